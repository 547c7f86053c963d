import { type AnswerForm, type Instrument, type Naming, nameNote } from '@aurora/core';
import type { ReactNode } from 'react';
import { NeckBoard } from '../../../parts/neck/NeckBoard.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { Framed } from '../Framed.tsx';
import { KeyCircle } from '../KeyCircle.tsx';
import type { PadPress } from './answer-text.ts';

interface PadProps {
  readonly as: AnswerForm;
  readonly naming: Naming;
  /** Triads alone, or sevenths too. */
  readonly qualities: readonly string[];
  readonly onPress: (press: PadPress) => void;
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7'];
/** On the line of fifths, by letter. */
const LETTERS: readonly (readonly [letter: string, note: number])[] = [
  ['C', 0],
  ['D', 2],
  ['E', 4],
  ['F', -1],
  ['G', 1],
  ['A', 3],
  ['B', 5],
];
const HAS_DIGITS: readonly AnswerForm[] = ['degree', 'degrees', 'tone'];
const HAS_LETTERS: readonly AnswerForm[] = ['chord', 'chords', 'note', 'notes'];
const HAS_QUALITIES: readonly AnswerForm[] = ['chord', 'chords', 'quality', 'qualities'];

/** A pad to answer on: degrees, letters, qualities, the circle of keys, whichever the answer is made of. */
export function AnswerPad({ as, naming, qualities, onPress }: PadProps) {
  return (
    <div role="group" aria-label={PRACTICE_WORDS.answerPad} className="flex flex-col gap-2">
      {HAS_DIGITS.includes(as) && (
        <PadRow>
          <Accidentals onPress={onPress} />
          {DIGITS.map((sign) => (
            <PadKey key={sign} label={sign} onPress={() => onPress({ kind: 'digit', sign })} />
          ))}
        </PadRow>
      )}
      {HAS_LETTERS.includes(as) && (
        <PadRow>
          {LETTERS.map(([sign, note]) => (
            <PadKey key={sign} label={nameNote(note, naming.notes)} onPress={() => onPress({ kind: 'letter', sign })} />
          ))}
          <Accidentals onPress={onPress} />
        </PadRow>
      )}
      {HAS_QUALITIES.includes(as) && (
        <PadRow>
          {qualities.map((sign) => (
            <PadKey key={sign} label={PRACTICE_WORDS.qualityNames(sign, naming)} onPress={() => onPress({ kind: 'quality', sign })} />
          ))}
        </PadRow>
      )}
      {(as === 'key' || as === 'keys') && (
        <KeyCircle naming={naming} isMany={as === 'keys'} onPick={(sign) => onPress({ kind: 'key', sign })} />
      )}
    </div>
  );
}

function PadRow({ children }: { readonly children: ReactNode }) {
  return <div className="flex flex-wrap gap-2 phone:gap-1.5">{children}</div>;
}

function PadKey({ label, onPress }: { readonly label: string; readonly onPress: () => void }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="music-glyph min-h-14 min-w-14 flex-1 rounded-xl border border-edge bg-raised px-2.5 font-numeral text-lead font-bold hover:border-accent phone:min-w-11 phone:px-1.5"
    >
      <Glyphs text={label} />
    </button>
  );
}

function Accidentals({ onPress }: Pick<PadProps, 'onPress'>) {
  return (
    <>
      <PadKey label="♭" onPress={() => onPress({ kind: 'accidental', sign: 'b' })} />
      <PadKey label="♯" onPress={() => onPress({ kind: 'accidental', sign: '#' })} />
    </>
  );
}

interface NeckPadProps {
  readonly instrument: Instrument;
  readonly string: number;
  readonly onPick: (fret: number) => void;
}

const LAST_FRET = 15;

/** The neck to answer on: the fret that is tapped on the string that was asked for. */
export function NeckPad({ instrument, string, onPick }: NeckPadProps) {
  return (
    <Framed label={PRACTICE_WORDS.tapTheFret}>
      <NeckBoard
        instrument={{ ...instrument, capo: 0 }}
        lastFret={Math.min(instrument.frets, LAST_FRET)}
        dots={[]}
        label={PRACTICE_WORDS.tapTheFret}
        roomy
        onTap={(tapped, fret) => tapped === string && onPick(fret)}
      />
    </Framed>
  );
}
