import { FADES, type Fade, grooveOf, nextStage, nextTempo } from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import type { ChartOnDesk } from '../../../parts/sheet/use-chart-sheet.ts';
import { playSong, stopSong, useSongPlayer } from '../../../transport/song-player.ts';
import { type ItemProps, passesOf } from '../use-practice.ts';
import { giveMark } from './given-marks.ts';
import { turnRun, useRun } from './run-store.ts';
import { playing, stopped } from './session-run.ts';
import { type Marking, useMarking } from './use-marking.ts';

const ID = 'practice-song';
const USUAL_TEMPO = 90;
const MOST_SECONDS = 1800;

/** A song being practised: how much is shown, how fast it goes, and which section comes back because it failed. */
export interface SongOnStand {
  readonly fade: Fade;
  readonly tempo: number;
  readonly isPlaying: boolean;
  /** The written bar that sounds. */
  readonly bar: number | null;
  /** The name of the section that is played once more. */
  readonly failing: string | null;
  readonly start: () => void;
  readonly halt: () => void;
  /** A bar it broke at is counted as it is written, from 1. */
  readonly marking: Marking;
}

/** Plays a song as its form says, faded as far as the last pass allows; a section that failed comes back alone. */
export function useSongPractice({ practice, run, item }: ItemProps, desk: ChartOnDesk, setTempo: number | null): SongOnStand {
  const { passes, settings } = practice;
  const heard = useRun((state) => state.heard);
  const own = useMemo(() => passesOf(passes, item.item), [passes, item]);
  const [began, setBegan] = useState(() => Date.now());
  const [failed, setFailed] = useState<number | null>(null);
  const at = useSongPlayer((state) => (state.playing === ID ? state.at : -1));
  useEffect(() => () => stopSong(), []);
  const { timeline, chordAt, reading } = desk;
  const written = setTempo ?? reading.head.tempo ?? USUAL_TEMPO;
  const tempo = own.length === 0 ? written : Math.min(written, nextTempo(own, written, settings.ladder, Date.now()));
  const last = own.at(-1);
  const fade = fadeAfter(last?.stage, last?.outcome ?? 'shaky');
  const part = failed === null ? undefined : reading.performance.parts[failed];
  const sectionName = (index: number | null | undefined) => (index == null ? null : (reading.sections[index]?.name ?? null));
  const bars = part === undefined ? timeline : timeline.slice(part.from, part.from + part.count);
  const beats = bars.reduce((sum, bar) => sum + bar.beats / bar.pulse, 0);
  const marking = useMarking((beats * 60_000) / tempo, ({ outcome, place, inTime }) => {
    const now = Date.now();
    const sounding = place === null ? timeline[at] : timeline.find(({ bar }) => bar === place - 1);
    const where = sounding?.part ?? null;
    stopSong();
    const section = where === null ? '' : (sectionName(reading.performance.parts[where]?.section) ?? '');
    const said = outcome === 'clean' ? '' : section;
    const seconds = Math.min(MOST_SECONDS, (now - began) / 1000);
    const timed = inTime && part === undefined ? tempo : null;
    giveMark(practice, run, item, { outcome, stage: fade, tempo: timed, said, hidden: fade === 'none', seconds });
    setFailed(outcome === 'clean' ? null : (where ?? failed));
    setBegan(now);
  });
  return {
    fade,
    tempo,
    isPlaying: run.phase === 'playing',
    bar: at < 0 ? null : (timeline[at]?.bar ?? null),
    failing: sectionName(part?.section),
    start: () => {
      setBegan(Date.now());
      turnRun(playing);
      marking.began();
      const groove = grooveOf(reading.head.feel);
      const parts = { guitar: heard, bass: heard, drums: heard };
      const sound = { timeline, chordAt, scaleAt: () => null, groove, parts, tempo: written, pace: tempo / written, click: true };
      const loop = part === undefined ? null : { from: part.from, to: part.from + part.count - 1 };
      void playSong(ID, { ...sound, loop }, part?.from ?? 0, true);
    },
    halt: () => {
      stopSong();
      marking.halted();
      turnRun(stopped);
    },
    marking,
  };
}

/** How much is shown after the last pass; all of it at first. */
function fadeAfter(stage: string | undefined, outcome: string): Fade {
  const before = FADES.find((fade) => fade === stage);
  return before === undefined ? 'shown' : nextStage(FADES, before, outcome);
}
