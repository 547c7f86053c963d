import { FADES, type Fade, nextStage, nextTempo } from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import type { ChartOnDesk } from '../../../parts/sheet/use-chart-sheet.ts';
import { playSong, stopSong, useSongPlayer } from '../../../transport/song-player.ts';
import { type ItemProps, passesOf } from '../use-practice.ts';
import type { Marked } from './MarkRow.tsx';
import { turnRun, useRun } from './run-store.ts';
import { marked, playing, stopped } from './session-run.ts';

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
  readonly mark: (outcome: Marked) => void;
}

/** Plays a song as its form says, faded as far as the last pass allows; a section that failed comes back alone. */
export function useSongPractice({ practice, run, item }: ItemProps, desk: ChartOnDesk, setTempo: number | null): SongOnStand {
  const { passes, settings, record } = practice;
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
  return {
    fade,
    tempo,
    isPlaying: run.phase === 'playing',
    bar: at < 0 ? null : (timeline[at]?.bar ?? null),
    failing: sectionName(part?.section),
    start: () => {
      setBegan(Date.now());
      turnRun(playing);
      const sound = { timeline, chordAt, tempo: written, pace: tempo / written, click: true, guitar: heard, bass: heard };
      const loop = part === undefined ? null : { from: part.from, to: part.from + part.count - 1 };
      void playSong(ID, { ...sound, loop }, part?.from ?? 0, true);
    },
    halt: () => {
      stopSong();
      turnRun(stopped);
    },
    mark: (outcome) => {
      const now = Date.now();
      const where = at < 0 ? null : (timeline[at]?.part ?? null);
      stopSong();
      const section = where === null ? '' : (sectionName(reading.performance.parts[where]?.section) ?? '');
      const said = outcome === 'clean' ? '' : section;
      record(item, { outcome, stage: fade, tempo, said, hidden: fade === 'none', seconds: Math.min(MOST_SECONDS, (now - began) / 1000) });
      setFailed(outcome === 'clean' ? null : (where ?? failed));
      setBegan(now);
      turnRun((before) => marked(before, outcome === 'clean', now));
    },
  };
}

/** How much is shown after the last pass; all of it at first. */
function fadeAfter(stage: string | undefined, outcome: string): Fade {
  const before = FADES.find((fade) => fade === stage);
  return before === undefined ? 'shown' : nextStage(FADES, before, outcome);
}
