import { type Naming, nameNote, nameStep, plainNote, positionDots, printScaleNumber, scaleOnString } from '@aurora/core';
import { useState } from 'react';
import { neckGeometry } from '../../../parts/neck/neck-view.ts';
import { usePlaying } from '../../../session/playing.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { Select } from '../../../ui/Select.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { PanelProps } from './panel.ts';

const LINE = 44;
const LAST_FRET = 15;
const FEWEST = 12;

/** The roots of the key along one string, so that the pattern of steps is seen; past the last fret an octave back. */
export function OneString({ sounding, naming }: PanelProps) {
  const { instrument } = usePlaying();
  const { tuning } = instrument;
  const [chosen, setChosen] = useState('5');
  const [last, setLast] = useState(LAST_FRET);
  const string = Number(chosen) <= tuning.length ? chosen : '1';
  const notes = scaleOnString(sounding, tuning[tuning.length - Number(string)] as number, last);
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-center gap-4">
        <Choice
          label={HARMONIZE_WORDS.string}
          value={string}
          options={tuning.map(
            (_, index) => [String(tuning.length - index), HARMONIZE_WORDS.stringNumbered(tuning.length - index)] as const,
          )}
          onChange={setChosen}
        />
        <label className="flex items-center gap-2">
          {HARMONIZE_WORDS.lastFret}
          <Select value={last} onChange={(event) => setLast(Number(event.target.value))}>
            {Array.from({ length: LAST_FRET - FEWEST + 1 }, (_, step) => FEWEST + step).map((fret) => (
              <option key={fret}>{fret}</option>
            ))}
          </Select>
        </label>
      </div>
      <div className="overflow-x-auto">
        <StringPicture string={string} notes={notes} naming={naming} />
      </div>
      <p className="text-quiet">
        {HARMONIZE_WORDS.asItSoundsOnAString} {nameNote(plainNote(tuning[tuning.length - Number(string)] as number), naming.notes)}.{' '}
        {notes.some(({ folded }) => folded) ? HARMONIZE_WORDS.dashedNotesAreTakenAnOctave : ''}
      </p>
    </div>
  );
}

interface StringPictureProps {
  readonly string: string;
  readonly notes: readonly StringNoteOf[];
  readonly naming: Naming;
}

type StringNoteOf = ReturnType<typeof scaleOnString>[number];

/** One string from the nut to the last fret, with the notes of the key on it. */
function StringPicture({ string, notes, naming }: StringPictureProps) {
  const { instrument } = usePlaying();
  const neck = neckGeometry(instrument, LAST_FRET);
  const { fretX, spaceX } = neck;
  return (
    <svg
      viewBox={`0 0 ${neck.width} 112`}
      className="w-full min-w-[680px]"
      role="img"
      aria-label={HARMONIZE_WORDS.onString(
        string,
        notes.map(({ note, fret }) => HARMONIZE_WORDS.atFret(nameNote(note, naming.notes), fret)).join(', '),
      )}
    >
      <rect
        x={Math.min(fretX(0), fretX(LAST_FRET))}
        y={LINE - 16}
        width={Math.abs(fretX(LAST_FRET) - fretX(0))}
        height={32}
        fill="var(--wood)"
      />
      {Array.from({ length: LAST_FRET + 1 }, (_, fret) => (
        <line
          key={fretX(fret)}
          x1={fretX(fret)}
          x2={fretX(fret)}
          y1={LINE - 16}
          y2={LINE + 16}
          stroke={fret === 0 ? 'var(--ink)' : 'var(--fretwire)'}
          strokeWidth={fret === 0 ? 6 : 2}
        />
      ))}
      {positionDots(instrument.dots, LAST_FRET).map(({ fret }) => (
        <circle key={fret} cx={spaceX(fret)} cy={LINE + 26} r={3.5} fill="var(--fretwire)" />
      ))}
      <line x1={fretX(0)} x2={fretX(LAST_FRET)} y1={LINE} y2={LINE} stroke="var(--string)" strokeWidth={3} />
      {notes.map((one, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the tonic stands twice
        <StringNote key={place} one={one} next={notes[place + 1]} x={spaceX} naming={naming} />
      ))}
    </svg>
  );
}

interface StringNoteProps {
  readonly one: StringNoteOf;
  readonly next: StringNoteOf | undefined;
  /** Where a fret is pressed. */
  readonly x: (fret: number) => number;
  readonly naming: Naming;
}

/** A note on the string with its degree, its fret and the step to the next one. */
function StringNote({ one: { note, degree, fret, folded, step }, next, x, naming }: StringNoteProps) {
  const at = x(fret);
  const root = degree === 0;
  return (
    <g>
      {next !== undefined && next.fret > fret && (
        <text x={(at + x(next.fret)) / 2} y={14} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--quiet)">
          {nameStep(step, naming.steps)}
        </text>
      )}
      {next !== undefined && next.fret <= fret && (
        <text x={at} y={14} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--quiet)">
          {nameStep(step, naming.steps)} ↩ {next.fret}
        </text>
      )}
      {root ? (
        <rect x={at - 14} y={LINE - 13} width={28} height={26} rx={5} fill="var(--accent)" />
      ) : (
        <circle
          cx={at}
          cy={LINE}
          r={13}
          fill="var(--raised)"
          stroke="var(--ink)"
          strokeWidth={1.6}
          strokeDasharray={folded ? '3 3' : undefined}
        />
      )}
      <text
        x={at}
        y={LINE + 5}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill={root ? 'var(--on-accent)' : 'var(--ink)'}
        className="music-glyph"
      >
        {nameNote(note, naming.notes)}
      </text>
      <text x={at} y={LINE + 46} textAnchor="middle" fontSize={13} fontWeight={600} fill="var(--ink)" className="music-glyph">
        {printScaleNumber(degree, 'glyph')}
      </text>
      <text x={at} y={LINE + 63} textAnchor="middle" fontSize={13} fill="var(--quiet)">
        {HARMONIZE_WORDS.fret} {fret}
      </text>
    </g>
  );
}
