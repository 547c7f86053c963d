import {
  CHAIN_STAGES,
  type ChainStage,
  CUES,
  type Cue,
  cleanInARow,
  type Drill,
  drillFor,
  FASTEST,
  firstTempo,
  nextStage,
  nextTempo,
  SLOWEST,
} from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import { useNaming } from '../../../session/lens.ts';
import { BAR_BEATS, clicksFor } from '../../../transport/clicks.ts';
import { play, stop, usePlayer } from '../../../transport/player.ts';
import { type ItemProps, passesOf } from '../use-practice.ts';
import type { Marked } from './MarkRow.tsx';
import { turnRun, useRun } from './run-store.ts';
import { marked, playing, stopped } from './session-run.ts';
import { useSongLoops } from './use-song-loops.ts';

const ID = 'practice';

/** A drill on the stand: what is played, how fast, at which stage, and where it is. */
export interface DrillOnStand {
  readonly drill: Drill | null;
  readonly tempo: number;
  readonly setTempo: (tempo: number) => void;
  /** Clean passes in a row at this tempo; three raise it. */
  readonly clean: number;
  /** The stage of a chain, or the cue of what is said; empty for what has none. */
  readonly stage: string;
  readonly isPlaying: boolean;
  /** Which step sounds; null before the first. */
  readonly at: number | null;
  readonly start: () => void;
  readonly halt: () => void;
  readonly mark: (outcome: Marked) => void;
}

/** Plays an item's drill, and keeps how it went. */
export function useDrill({ practice, run, item }: ItemProps): DrillOnStand {
  const { instrument, settings, passes, record } = practice;
  const { click, heard } = useRun();
  const [began, setBegan] = useState(() => Date.now());
  const own = useMemo(() => passesOf(passes, item.item), [passes, item]);
  const loops = useSongLoops();
  const strings = settings.programme?.strings;
  const easier = useNaming().spelling === 'easier';
  const drill = useMemo(
    () =>
      drillFor(item.item, {
        instrument,
        loops,
        strings,
        easier,
        seed: own.length + 1,
        isCalled: item.item.study === 'aloud' && own.length % 2 === 1,
      }),
    [item, instrument, loops, strings, easier, own.length],
  );
  const [chosen, setChosen] = useState<number | null>(null);
  const due = nextTempo(own, firstTempo(item.item), settings.ladder, Date.now());
  const tempo = chosen ?? due;
  const stage = stageOf(item.item.study, own.at(-1));
  const sounding = usePlayer((state) => (state.playing === ID ? state.step : null));
  useEffect(() => () => stop(), []);
  const start = () => {
    if (drill === null) return;
    setBegan(Date.now());
    turnRun(playing);
    const beats = drill.steps.reduce((sum, step) => sum + step.beats, 0);
    const isHeard = heard || stage === 'by ear';
    const steps = drill.steps.map(({ midi, beats: long }) => ({ midi: isHeard ? midi : [], beats: long }));
    void play(ID, [{ midi: [], beats: BAR_BEATS }, ...steps], tempo, clicksFor(beats, click));
  };
  return {
    drill,
    tempo,
    setTempo: (wanted) => setChosen(Math.min(FASTEST, Math.max(SLOWEST, Math.round(wanted)))),
    clean: cleanInARow(own.filter((pass) => pass.tempo === tempo && pass.at >= run.startedAt)),
    stage,
    isPlaying: run.phase === 'playing',
    at: sounding === null || sounding === 0 ? null : sounding - 1,
    start,
    halt: () => {
      stop();
      turnRun(stopped);
    },
    mark: (outcome) => {
      stop();
      const now = Date.now();
      const hidden = HIDDEN.includes(stage);
      record(item, { outcome, stage, tempo, hidden, seconds: Math.min(MOST_SECONDS, (now - began) / 1000) });
      setChosen(null);
      setBegan(now);
      turnRun((before) => marked(before, outcome === 'clean', now));
    },
  };
}

const MOST_SECONDS = 900;
/** Stages at which nothing is read. */
const HIDDEN: readonly string[] = ['hidden', 'a beat later', 'blank', 'by ear'] satisfies readonly (Cue | ChainStage)[];

/** Where an item stands in its stages: on from the last pass of it. */
function stageOf(study: string, last: { readonly stage: string; readonly outcome: string } | undefined): string {
  const stages: readonly string[] = study === 'chain' ? CHAIN_STAGES : study === 'aloud' ? CUES : [];
  if (stages.length === 0) return '';
  return last === undefined || !stages.includes(last.stage) ? (stages[0] as string) : nextStage(stages, last.stage, last.outcome);
}
