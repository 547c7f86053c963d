import { type Drawing, type Drill, type Instrument, type Key, type Run, runEvents, stackedLines } from '@aurora/core';
import { useEffect, useMemo, useRef } from 'react';
import { chordTitle } from '../../../parts/neck/chord-title.ts';
import { NeckBoard } from '../../../parts/neck/NeckBoard.tsx';
import { runDots } from '../../../parts/neck/neck-view.ts';
import { DrawingView } from '../../../parts/paper/DrawingView.tsx';
import { useStudyLines } from '../../../parts/paper/use-study.ts';
import { useNaming } from '../../../session/lens.ts';
import { usePhone } from '../../../session/use-media.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { Framed } from '../Framed.tsx';
import { fretsOf } from './say-view.ts';

interface RunTabProps {
  readonly run: Run;
  /** The mode over each chord; none where it plays no part. */
  readonly modes: Drill['modes'];
  /** Which note sounds. */
  readonly at: number | null;
  readonly keyOf: Key;
  readonly instrument: Instrument;
}

const WIDTH = 1080;
const PHONE_WIDTH = 520;
const BEATS = 4;

/** A run as tab, and on the neck the places it goes through. */
export function RunTab({ run, modes, at, keyOf, instrument }: RunTabProps) {
  const naming = useNaming();
  const width = usePhone() ? PHONE_WIDTH : WIDTH;
  const study = useMemo(
    () => ({
      title: '',
      facts: '',
      events: runEvents(run, (index) => {
        const of = run.chords[index];
        const mode = modes[index];
        if (of === undefined) return '';
        return PRACTICE_WORDS.modeOver(chordTitle(of, instrument, naming), mode?.scale ?? null);
      }),
      beatsPerBar: BEATS,
      instrument,
      key: keyOf,
    }),
    [run, modes, instrument, naming, keyOf],
  );
  const { lines } = useStudyLines(study, width, false);
  const now = at === null ? null : lineAt(lines, at);
  const sounding = at === null ? null : (run.notes[at] ?? null);
  // the root of the chord that is played, of the first one before
  const root = run.chords[(sounding ?? run.notes[0])?.chord ?? 0]?.root ?? null;
  const dots = useMemo(() => runDots(run.notes, root, { labels: 'notes', naming }), [run, root, naming]);
  return (
    <>
      <Framed label={PRACTICE_WORDS.onTheNeck}>
        <NeckBoard
          instrument={instrument}
          {...fretsOf(dots, instrument)}
          dots={dots}
          sounding={sounding}
          label={PRACTICE_WORDS.onTheNeck}
        />
      </Framed>
      <Framed label={PRACTICE_WORDS.tab}>
        {lines.map((line, place) => (
          <TabLine
            // biome-ignore lint/suspicious/noArrayIndexKey: lines are their places
            key={place}
            drawing={stackedLines([line], instrument, width + 4, PRACTICE_WORDS.tabLine(place + 1, lines.length))}
            isNow={place === now}
          />
        ))}
      </Framed>
    </>
  );
}

/** The line a note stands on. */
function lineAt(lines: ReturnType<typeof useStudyLines>['lines'], note: number): number | null {
  let notes = 0;
  const line = lines.findIndex(({ system }) => {
    notes += system.events.length;
    return note < notes;
  });
  return line < 0 ? null : line;
}

/** A line of tab; the one that sounds comes into sight by itself, since both hands are busy. */
function TabLine({ drawing, isNow }: { readonly drawing: Drawing; readonly isNow: boolean }) {
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (isNow) line.current?.scrollIntoView({ block: 'center' });
  }, [isNow]);
  return (
    <div ref={line} aria-current={isNow ? 'step' : undefined} className="rounded-lg aria-[current=step]:bg-wash">
      <DrawingView drawing={drawing} className="w-full max-w-[1240px]" />
    </div>
  );
}
