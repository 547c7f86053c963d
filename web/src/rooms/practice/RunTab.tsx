import { type Instrument, type Key, type Run, runEvents, stackedLines } from '@aurora/core';
import { useMemo } from 'react';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { NeckBoard } from '../../parts/neck/NeckBoard.tsx';
import { runDots } from '../../parts/neck/neck-view.ts';
import { DrawingView } from '../../parts/paper/DrawingView.tsx';
import { useStudyLines } from '../../parts/paper/use-study.ts';
import { useNaming } from '../../session/lens.ts';
import { usePhone } from '../../session/use-media.ts';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { Framed } from './Framed.tsx';
import { fretsOf } from './say-view.ts';

interface RunTabProps {
  readonly run: Run;
  /** Which note sounds. */
  readonly at: number | null;
  readonly keyOf: Key;
  readonly instrument: Instrument;
}

const WIDTH = 1080;
const PHONE_WIDTH = 520;
const BEATS = 4;

/** A run as tab, and on the neck the places it goes through. */
export function RunTab({ run, at, keyOf, instrument }: RunTabProps) {
  const naming = useNaming();
  const width = usePhone() ? PHONE_WIDTH : WIDTH;
  const study = useMemo(
    () => ({
      title: '',
      facts: '',
      events: runEvents(run, (index) => (run.chords[index] === undefined ? '' : chordTitle(run.chords[index], instrument, naming))),
      beatsPerBar: BEATS,
      instrument,
      key: keyOf,
    }),
    [run, instrument, naming, keyOf],
  );
  const { lines } = useStudyLines(study, width, false);
  const dots = useMemo(() => runDots(run.notes, null, { labels: 'notes', naming }), [run, naming]);
  const sounding = at === null ? null : (run.notes[at] ?? null);
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
        <DrawingView drawing={stackedLines(lines, instrument, width + 4, PRACTICE_WORDS.tab)} className="w-full max-w-[1240px]" />
      </Framed>
    </>
  );
}
