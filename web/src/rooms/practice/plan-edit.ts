import { type PlanBlock, planPractice, type SetSongToPractise } from '@aurora/core';
import type { Practice } from './use-practice.ts';

export type EditedBlock = PlanBlock;

/** A block a minute shorter; its place and items stay. */
export function shorter(blocks: readonly EditedBlock[], at: number): readonly EditedBlock[] {
  return withMinutes(blocks, at, -1);
}

export function longer(blocks: readonly EditedBlock[], at: number): readonly EditedBlock[] {
  return withMinutes(blocks, at, 1);
}

function withMinutes(blocks: readonly EditedBlock[], at: number, by: number): readonly EditedBlock[] {
  return blocks.map((block, place) => (place === at ? { ...block, minutes: Math.max(1, block.minutes + by) } : block));
}

export function skipBlock(blocks: readonly EditedBlock[], at: number): readonly EditedBlock[] {
  return blocks.filter((_, place) => place !== at);
}

interface SwapScene {
  readonly practice: Pick<Practice, 'passes' | 'programme' | 'instrument'>;
  readonly songs: readonly SetSongToPractise[];
  readonly seed: number;
}

/** How many other plans are looked through for another block. */
const TRIES = 12;

/** Another block of the same length in its place: the first one of other plans that holds something else. */
export function swapped(blocks: readonly EditedBlock[], at: number, { practice, songs, seed }: SwapScene): readonly EditedBlock[] {
  const block = blocks[at];
  if (block === undefined) return blocks;
  const { passes, programme, instrument } = practice;
  const wish = { minutes: 45, passes, programme, songs, tuning: instrument.tuning, now: Date.now() };
  const shown = new Set(blocks.map(contents));
  for (let turn = 1; turn <= TRIES; turn += 1) {
    const found = planPractice({ ...wish, seed: seed + turn }).find(
      (other) => !['break', 'warm-up'].includes(other.kind) && other.kind !== block.kind && !shown.has(contents(other)),
    );
    if (found === undefined) continue;
    return blocks.map((one, place) => (place === at ? { ...found, minutes: block.minutes } : one));
  }
  return blocks;
}

function contents({ kind, items }: PlanBlock): string {
  return `${kind} ${items.map(({ item: { what, key } }) => `${what}/${key}`).join()}`;
}
