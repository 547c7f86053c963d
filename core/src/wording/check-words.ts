import type { Finding } from '../check/chart-check.ts';
import { numberInWords } from '../naming/in-words.ts';
import { READING_NAMES } from './analysis-words.ts';

/** A finding as a sentence: what was seen, and what it may mean. */
export function findingWords(finding: Finding): string {
  switch (finding.code) {
    case 'chord-unexplained': {
      const nearest = finding.nearest.map((kind) => READING_NAMES[kind]).join(' or ');
      return `${numberInWords(finding.number)} is outside the key and nothing explains it: a slip?${nearest === '' ? '' : ` Nearest: ${nearest}.`}`;
    }
    case 'section-unplayed':
      return `${finding.section || 'A section without a name'} is written and never played.`;
    case 'section-empty':
      return `${finding.section || 'This section'} has no bars.`;
  }
}
