import type { Score } from '../score/score.ts';

const OFFSET = 0x811c9dc5;
const PRIME = 0x01000193;

/** A short print of what is written in a bar (FNV-1a): another one when its notes change. */
export function barPrint({ measures, notes }: Score, bar: number): string {
  const measure = measures.find(({ number }) => number === bar);
  if (measure === undefined) return 'none';
  let hash = OFFSET;
  for (const { part, from, to, midi, note } of notes) {
    if (from >= measure.to || to <= measure.from) continue;
    for (const letter of `${part} ${from - measure.from} ${to - from} ${midi} ${note};`)
      hash = Math.imul(hash ^ letter.charCodeAt(0), PRIME) >>> 0;
  }
  return hash.toString(16);
}
