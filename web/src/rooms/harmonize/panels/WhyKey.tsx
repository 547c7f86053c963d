import {
  chordNotes,
  formulaTones,
  type Key,
  LADDER,
  type Naming,
  nameChord,
  nameNote,
  nearMisses,
  printScaleNumber,
  qualityName,
  scaleIntervals,
  toneChanges,
  withGlyphs,
} from '@aurora/core';
import { Word } from '../../../parts/glossary/Word.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { ColumnView } from '../harmonize-view.ts';
import { NameIt } from './NameIt.tsx';
import { PickTones } from './PickTones.tsx';
import type { PanelProps } from './panel.ts';
import { chordFacts, keyFacts, semitonesAbove } from './why-facts.ts';

/** Four ways to see why the selected chord has the quality it has, and what is particular about its key. */
export function WhyKey({ written, naming, columns, index }: PanelProps) {
  const column = columns[index] as ColumnView;
  const root = written.tonic + column.number.degree;
  const chord = { root, formula: column.number.formula, bass: null };
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-2">
      <Way title={HARMONIZE_WORDS.waySkipANote} term="parent scale">
        <SkipPicture written={written} naming={naming} notes={chordNotes(chord)} column={column} />
      </Way>
      <Way title={HARMONIZE_WORDS.wayThirds} term="third">
        <ThirdsPicture naming={naming} root={root} formula={chord.formula} />
        {chordFacts(chord).map((fact) => (
          <p key={fact} className="mt-2 text-quiet">
            {fact}
          </p>
        ))}
      </Way>
      <Way title={HARMONIZE_WORDS.wayLowered} term="seventh chord">
        <Lowered naming={naming} root={root} formula={chord.formula} />
      </Way>
      <Way title={HARMONIZE_WORDS.wayWhatElse} term="parent scale">
        <NearMisses root={root} written={written} naming={naming} deep={formulaTones(chord.formula).length > 3} />
      </Way>
      <Way title={HARMONIZE_WORDS.sayItYourself} term="formula">
        <NameIt chord={chord} naming={naming} />
      </Way>
      <Way title={HARMONIZE_WORDS.pickItsTonesByHand} term="formula">
        <PickTones written={written} index={index} naming={naming} />
      </Way>
      <Way title={HARMONIZE_WORDS.aboutThisKey} term="dominant seventh">
        <ul className="list-disc space-y-1 pl-5">
          {keyFacts(written, naming).map((fact) => (
            <li key={fact}>{fact}</li>
          ))}
        </ul>
      </Way>
    </div>
  );
}

function Way({ title, term, children }: { readonly title: string; readonly term: string; readonly children: React.ReactNode }) {
  return (
    <section>
      <h2 className="mb-2 font-semibold text-accent">
        <Word term={term}>{title}</Word>
      </h2>
      {children}
    </section>
  );
}

/** The scale in a row, twice around: taken notes filled, skipped ones hollow; the scale's number above, the chord's below. */
function SkipPicture({
  written,
  naming,
  notes,
  column,
}: {
  readonly written: Key;
  readonly naming: Naming;
  readonly notes: readonly number[];
  readonly column: ColumnView;
}) {
  const intervals = scaleIntervals(written.scale);
  const start = intervals.indexOf(column.number.degree);
  const span = 2 * (notes.length - 1) + 1;
  const formulas = formulaTones(column.number.formula);
  return (
    <table className="border-separate border-spacing-x-1 text-center">
      <tbody>
        {(['scale', 'note', 'chord'] as const).map((row) => (
          <tr key={row}>
            <th className="pr-2 text-left text-fine font-semibold text-quiet">
              {{ scale: HARMONIZE_WORDS.scaleNumber, note: 'note', chord: HARMONIZE_WORDS.inTheChord }[row]}
            </th>
            {Array.from({ length: span }, (_, step) => {
              const interval = intervals[(start + step) % intervals.length] as number;
              const note = written.tonic + interval;
              const taken = notes.indexOf(note);
              const text = {
                scale: printScaleNumber(interval, 'glyph'),
                note: nameNote(note, naming.notes),
                chord: taken < 0 ? '' : withGlyphs(formulas[taken]?.name ?? ''),
              }[row];
              const look =
                row === 'note'
                  ? taken < 0
                    ? 'rounded-full border border-edge text-quiet'
                    : 'rounded-full bg-accent font-bold text-on-accent'
                  : taken < 0
                    ? 'text-quiet/80'
                    : 'font-bold';
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: steps have no name but their place
                <td key={step} className={`music-glyph h-9 min-w-9 px-1 ${look}`}>
                  <Glyphs text={text} />
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Each tone as far up as it sounds: one unit is one fret. */
function ThirdsPicture({ naming, root, formula }: { readonly naming: Naming; readonly root: number; readonly formula: number }) {
  const tones = formulaTones(formula).filter(({ number }) => number <= 7);
  return (
    <ol className="flex" aria-label={HARMONIZE_WORDS.thirdsInFrets}>
      {tones.map((tone, place) => {
        const next = tones[place + 1];
        const frets = next === undefined ? 0 : semitonesAbove(next) - semitonesAbove(tone);
        return (
          <li key={tone.name} className="shrink-0" style={{ width: next === undefined ? 44 : frets * 30 }}>
            <span className="music-glyph block font-bold">
              <Glyphs text={nameNote(root + tone.interval, naming.notes)} />
              <span className="ml-1 font-normal text-quiet">{withGlyphs(tone.name)}</span>
            </span>
            {next !== undefined && (
              <span className={`mr-1 block rounded px-1 py-0.5 text-fine font-semibold ${frets === 4 ? 'bg-wash' : 'border border-edge'}`}>
                {frets === 4 ? 'M3' : frets === 3 ? 'm3' : ''} {frets} {HARMONIZE_WORDS.frets}
              </span>
            )}
            <span className="text-fine text-quiet">+{semitonesAbove(tone)}</span>
          </li>
        );
      })}
    </ol>
  );
}

function Lowered({ naming, root, formula }: { readonly naming: Naming; readonly root: number; readonly formula: number }) {
  const major = LADDER[0] as number;
  const changes = toneChanges(major, formula);
  const from = nameChord({ root, formula: major, bass: null }, naming);
  const to = nameChord({ root, formula, bass: null }, naming);
  if (formulaTones(formula).length !== 4) return <p className="text-quiet">{HARMONIZE_WORDS.thisWayIsForSeventhChords}</p>;
  if (changes.length === 0)
    return (
      <p>
        {to} {HARMONIZE_WORDS.isTheMajorSeventhChordItself}
      </p>
    );
  return (
    <p>
      {HARMONIZE_WORDS.from} <b className="music-glyph">{from}</b>,{' '}
      {changes
        .map(({ before, semitones }) =>
          HARMONIZE_WORDS.the(
            before.number,
            semitones < 0 ? 'down' : 'up',
            Math.abs(semitones) === 1 ? HARMONIZE_WORDS.aHalfStep : HARMONIZE_WORDS.aWholeStep,
          ),
        )
        .join(', ')}
      {HARMONIZE_WORDS.thatIsAfterColon} <b className="music-glyph">{to}</b>, {qualityName(formula)}.
    </p>
  );
}

function NearMisses({
  root,
  written,
  naming,
  deep,
}: {
  readonly root: number;
  readonly written: Key;
  readonly naming: Naming;
  readonly deep: boolean;
}) {
  return (
    <ul className="space-y-1">
      {nearMisses(root, written, deep ? 'seventh' : 'triad').map(({ formula, leaving }) => (
        <li key={formula} className="flex gap-3">
          <b className="music-glyph w-24 shrink-0">{nameChord({ root, formula, bass: null }, naming)}</b>
          {leaving.length === 0 ? (
            <span className="font-semibold text-accent">{HARMONIZE_WORDS.allInTheKey}</span>
          ) : (
            <span className="music-glyph border-b border-dashed border-outside text-outside">
              {HARMONIZE_WORDS.needs}{' '}
              {leaving
                .map(({ note, keyHas }) => HARMONIZE_WORDS.theKeyHas(nameNote(note, naming.notes), nameNote(keyHas, naming.notes)))
                .join('; ')}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}
