import {
  chordInKey,
  keyWords,
  letterView,
  type Naming,
  nameNote,
  numberChord,
  numberView,
  printScaleNumber,
  type Reader,
  symbolText,
  whyWords,
  withGlyphs,
  writtenChord,
} from '@aurora/core';
import type { Selection } from '../../session/lens-store.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { HearIcon } from '../../ui/icons.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { Word } from '../glossary/Word.tsx';
import { ChordSymbol, LetterSymbol } from '../notation/ChordSymbol.tsx';
import { Glyphs } from '../notation/Glyphs.tsx';
import { numeralSize } from '../notation/numeral-size.ts';
import { symbolEms } from '../notation/symbol-width.ts';

interface WhyPanelProps {
  readonly selection: Selection | null;
  readonly reader: Reader;
  readonly naming: Naming;
  readonly onHear: () => void;
}

/** Why the selected chord is what it is: its notes held against the key. */
export function WhyPanel({ selection, reader, naming, onHear }: WhyPanelProps) {
  return selection === null ? (
    <p className="text-quiet">{PARTS_WORDS.chooseAChordItsNotesAre}</p>
  ) : (
    <WhyChord {...selection} reader={reader} naming={naming} onHear={onHear} />
  );
}

/** Pixels for the number, beside its letters; a quality longer than this stands under it. */
const ROOM = 150;
const LONGEST_RAISED = 4;

function WhyChord({
  chord,
  heardIn: key,
  why,
  reader,
  naming,
  onHear,
}: Selection & { readonly reader: Reader; readonly naming: Naming; readonly onHear: () => void }) {
  const written = writtenChord(reader, chord, key);
  const number = numberView(numberChord(chord, key.tonic), naming);
  const size = numeralSize(symbolEms({ ...number, raised: number.raised.length > LONGEST_RAISED ? '' : number.raised }), ROOM, true);
  return (
    <div className="max-lg:grid max-lg:grid-cols-[auto_15rem_1fr] max-lg:gap-x-8 max-sm:block">
      <div>
        <div className="flex flex-wrap items-end gap-x-3">
          <ChordSymbol view={number} tail={number.raised.length > LONGEST_RAISED ? 'below' : 'raised'} className={`font-bold ${size}`} />
          <LetterSymbol view={letterView(chord, naming)} className="pb-1 text-head font-bold" />
        </div>
        {written.root !== chord.root && (
          <p className="mt-1 font-semibold text-quiet">
            {reader.capo > 0 ? PARTS_WORDS.yourShape : PARTS_WORDS.youRead}:{' '}
            <span className="music-glyph text-ink">{symbolText(letterView(written, naming))}</span>
          </p>
        )}
        <p className="mt-1 text-fine text-quiet">
          {PARTS_WORDS.inWord} {keyWords(key, naming)}
        </p>
        <Hint text={PARTS_WORDS.hearIt} keys="Space">
          <Button className="mt-3" onClick={onHear}>
            <HearIcon size={18} aria-hidden="true" /> {PARTS_WORDS.hearIt}
          </Button>
        </Hint>
      </div>
      <ToneTable chord={chord} heardIn={key} naming={naming} />
      <div className="mt-4 max-w-[34rem] space-y-2 text-base max-lg:mt-0 max-lg:pr-8">
        {(why ?? whyWords(chord, key, naming)).map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
    </div>
  );
}

function ToneTable({ chord, heardIn, naming }: Selection & { readonly naming: Naming }) {
  return (
    <table className="mt-4 w-full text-left text-base max-lg:mt-0 max-lg:self-start">
      <thead className="text-fine text-quiet">
        <tr>
          <th className="pb-1 font-semibold">
            <Word term="formula">{PARTS_WORDS.chord}</Word>
          </th>
          <th className="pb-1 font-semibold">{PARTS_WORDS.note}</th>
          <th className="pb-1 font-semibold">
            <Word term="degree">{PARTS_WORDS.scale}</Word>
          </th>
        </tr>
      </thead>
      <tbody>
        {chordInKey(chord, heardIn).map(({ note, formula, degree, keyHas }) => (
          <tr key={formula} className={`border-t ${keyHas === null ? 'border-hairline' : 'border-dashed border-outside text-outside'}`}>
            <td className="music-glyph py-1 font-semibold">{withGlyphs(formula)}</td>
            <td className="music-glyph py-1 font-bold">
              <Glyphs text={nameNote(note, naming.notes)} />
            </td>
            <td className="music-glyph py-1">
              {printScaleNumber(degree, 'glyph')}
              {keyHas !== null && <span className="ml-2 text-fine font-semibold">{PARTS_WORDS.outside}</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
