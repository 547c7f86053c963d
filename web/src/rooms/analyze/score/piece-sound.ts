import { type Reduction, TICKS } from '@aurora/core';
import { type PlayStep, play, stop, usePlayer } from '../../../transport/player.ts';

/** What of a piece is heard. */
export const PIECE_SOUNDS = ['piece', 'reduction', 'both'] as const;
export type PieceSound = (typeof PIECE_SOUNDS)[number];

const USUAL_TEMPO = 84;

/** Plays a piece, its reduction, or both from a time on; pressed again it stops. */
export function playPiece(reduction: Reduction, sound: PieceSound, from: number): void {
  const id = `score ${sound}`;
  if (usePlayer.getState().playing === id) stop();
  else void play(id, pieceSteps(reduction, sound, from), reduction.score.tempo ?? USUAL_TEMPO);
}

/** Everything that sets in from a time on, each step until the next; a silence before the first is left out. */
export function pieceSteps({ score, columns }: Reduction, sound: PieceSound, from: number): readonly PlayStep[] {
  const written = sound === 'reduction' ? [] : score.notes.map(({ from: at, midi }) => ({ at, midi }));
  const reduced = sound === 'piece' ? [] : columns.flatMap(({ from: at, notes }) => notes.map(({ midi }) => ({ at, midi })));
  const struck = new Map<number, Set<number>>();
  for (const { at, midi } of [...written, ...reduced]) if (at >= from) struck.set(at, (struck.get(at) ?? new Set()).add(midi));
  const times = [...struck.keys()].sort((a, b) => a - b);
  const end = score.notes.reduce((last: number, { to }) => Math.max(last, to), 0);
  return times.map((time, place) => ({
    midi: [...(struck.get(time) as ReadonlySet<number>)].sort((a, b) => a - b),
    beats: ((times[place + 1] ?? end) - time) / TICKS,
  }));
}
