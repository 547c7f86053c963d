import { findItem } from './item.ts';
import { isGood, type Pass } from './pass.ts';
import type { NightStage } from './programme.ts';
import type { QuestionKind } from './question.ts';

/** Kinds whose chords are of the depth somebody practises in; the others have one of their own. */
export const KINDS_OF_DEPTH: readonly QuestionKind[] = [
  'degree-to-chord',
  'chord-to-degree',
  'degree-quality',
  'quality-row',
  'chord-tones',
  'scale-numbers',
  'tone-name',
  'tone-on-fret',
  'ear-quality',
];

/** Kinds whose answer tells by itself which depth was asked. */
const TOLD_BY_NUMBERS: readonly string[] = ['scale-numbers', 'chord-tones'] satisfies readonly QuestionKind[];
const TOLD_BY_SYMBOLS: readonly string[] = [
  'degree-to-chord',
  'degree-quality',
  'quality-row',
  'ear-quality',
] satisfies readonly QuestionKind[];
const TRIAD_TONES = 3;

/** Triad or seventh, as the answer of a question tells; null for kinds whose answer tells neither. */
export function depthOfAnswer(kind: string, answer: string): 'triad' | 'seventh' | null {
  if (TOLD_BY_NUMBERS.includes(kind)) return answer.split(' ').length > TRIAD_TONES ? 'seventh' : 'triad';
  if (TOLD_BY_SYMBOLS.includes(kind)) return answer.includes('7') ? 'seventh' : 'triad';
  return null;
}

/** So many triads named right, among so many of late, and sevenths are asked. */
const TRIADS_RIGHT = 12;
const TRIADS_ASKED = 15;
/** So many sevenths that were right, said or played, show that they are known already. */
const SEVENTHS_RIGHT = 3;

/** The depth a player stands at: triads until they are named surely, or until sevenths were. `passes` oldest first. */
export function depthStood(passes: readonly Pass[]): 'triad' | 'seventh' {
  const sevenths = passes.filter((pass) => depthOfPass(pass) === 'seventh');
  const triads = passes.filter((pass) => depthOfPass(pass) === 'triad').slice(-TRIADS_ASKED);
  return sevenths.filter(isGood).length >= SEVENTHS_RIGHT || triads.filter(isGood).length >= TRIADS_RIGHT ? 'seventh' : 'triad';
}

function depthOfPass({ item, stage }: Pass): 'triad' | 'seventh' | null {
  const known = findItem(item);
  if (known === undefined) return null;
  if (known.study === 'recall' || known.study === 'ear') return depthOfAnswer(known.what, stage);
  return known.study === 'programme' && known.what.endsWith('sevenths' satisfies NightStage) ? 'seventh' : null;
}
