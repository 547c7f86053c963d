import type { Analysis, AnalyzedChord, Region } from '../analysis/analysis.ts';
import type { Key } from '../key/key.ts';
import type { Naming } from '../naming/naming.ts';

/** What a sentence about a chord is made of. */
export interface Told {
  readonly analysis: Analysis;
  readonly index: number;
  readonly chord: AnalyzedChord;
  readonly region: Region;
  readonly key: Key;
  /** The chord next to it on either side that is another one, in the same or another key. */
  readonly before: AnalyzedChord | null;
  readonly after: AnalyzedChord | null;
  readonly naming: Naming;
}
