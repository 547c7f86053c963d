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
  placeOfBreak,
  SLOWEST,
} from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import { useNaming } from '../../../session/lens.ts';
import { BAR_BEATS, clicksFor } from '../../../transport/clicks.ts';
import { play, stop, usePlayer } from '../../../transport/player.ts';
import { type ItemProps, type Practice, passesOf } from '../use-practice.ts';
import { giveMark } from './given-marks.ts';
import { turnRun, useRun } from './run-store.ts';
import { stepBefore } from './say-view.ts';
import { playing, type RunItem, stopped } from './session-run.ts';
import { type Marking, useMarking } from './use-marking.ts';
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
  readonly marking: Marking;
  /** Where it broke the last time, from 1; null where it did not. */
  readonly brokeAt: number | null;
  /** The step of the chord before that; 0 for the top. */
  readonly resume: number;
  /** How many steps are left out at the beginning: it goes on from where it broke. */
  readonly from: number;
  readonly setFrom: (from: number) => void;
}

/** Plays an item's drill, and keeps how it went. */
export function useDrill({ practice, run, item }: ItemProps): DrillOnStand {
  const { settings, passes } = practice;
  const { click, heard } = useRun();
  const [began, setBegan] = useState(() => Date.now());
  const own = useMemo(() => passesOf(passes, item.item), [passes, item]);
  const drill = useDrillOf(item.item, practice, own.length);
  const [chosen, setChosen] = useState<number | null>(null);
  const due = nextTempo(own, firstTempo(item.item), settings.ladder, Date.now());
  const tempo = chosen ?? due;
  const stage = stageOf(item.item.study, own.at(-1));
  const sounding = usePlayer((state) => (state.playing === ID ? state.step : null));
  useEffect(() => () => stop(), []);
  const last = own.at(-1);
  const brokeAt = last === undefined ? null : placeOfBreak(last);
  const resume = drill === null || brokeAt === null ? 0 : stepBefore(drill, brokeAt);
  const [from, setFrom] = useBeginning(resume, own.length);
  const steps = drill?.steps.slice(from) ?? [];
  const beats = steps.reduce((sum, step) => sum + step.beats, 0);
  const marking = useMarking(((beats + BAR_BEATS) * 60_000) / tempo, ({ outcome, place, inTime }) => {
    stop();
    const now = Date.now();
    const seconds = Math.min(MOST_SECONDS, (now - began) / 1000);
    // only what was played whole and in time says something of its tempo
    const timed = inTime && from === 0 ? tempo : null;
    const said = place === null ? '' : String(place);
    giveMark(practice, run, item, { outcome, stage, tempo: timed, said, hidden: HIDDEN.includes(stage), seconds });
    setChosen(null);
    setBegan(now);
  });
  const start = () => {
    if (drill === null) return;
    setBegan(Date.now());
    turnRun(playing);
    marking.began();
    const isHeard = heard || stage === 'by ear';
    const sounds = steps.map(({ midi, beats: long }) => ({ midi: isHeard ? midi : [], beats: long }));
    void play(ID, [{ midi: [], beats: BAR_BEATS }, ...sounds], tempo, clicksFor(beats, click));
  };
  return {
    drill,
    tempo,
    setTempo: (wanted) => setChosen(Math.min(FASTEST, Math.max(SLOWEST, Math.round(wanted)))),
    clean: cleanInARow(own.filter((pass) => pass.tempo === tempo && pass.at >= run.startedAt)),
    stage,
    isPlaying: run.phase === 'playing',
    at: sounding === null || sounding === 0 ? null : sounding - 1 + from,
    start,
    halt: () => {
      stop();
      marking.halted();
      turnRun(stopped);
    },
    marking,
    brokeAt,
    resume,
    from,
    setFrom,
  };
}

/** The drill of an item on the player's instrument, another one after each pass where it is called. */
function useDrillOf(item: RunItem['item'], { instrument, settings, depth }: Practice, passes: number): Drill | null {
  const loops = useSongLoops();
  const strings = settings.programme?.strings;
  const easier = useNaming().spelling === 'easier';
  return useMemo(() => {
    const isCalled = item.study === 'aloud' && passes % 2 === 1;
    return drillFor(item, { instrument, loops, strings, easier, depth, seed: passes + 1, isCalled });
  }, [item, instrument, loops, strings, easier, depth, passes]);
}

/** Where it begins: before the place where it broke the last time, until it was played from there or the player chooses. */
function useBeginning(resume: number, passes: number): readonly [from: number, setFrom: (from: number) => void] {
  const [chosen, setChosen] = useState<{ readonly from: number; readonly passes: number } | null>(null);
  return [chosen?.passes === passes ? chosen.from : resume, (wanted) => setChosen({ from: wanted, passes })];
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
