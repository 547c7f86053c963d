import type { Place, Problem } from '../chart/chart.ts';
import { linesOf } from '../chart/text-lines.ts';

/** A way to mend a problem: what to write in the place of what stands there. */
export interface QuickFix {
  readonly at: Place;
  readonly write: string;
}

/** The one way that is most likely meant; undefined where only the writer knows. */
export function quickFix({ fault, at }: Problem, source: string): QuickFix | undefined {
  const line = linesOf(source)[at.line - 1] ?? '';
  const typed = line.slice(at.column - 1, at.column - 1 + at.length);
  switch (fault.code) {
    case 'two-bars-perhaps':
    case 'number-run-together':
    case 'number-six-nine':
    case 'number-on-seven':
    case 'quality-bare-alteration':
      return { at, write: fault.write };
    case 'chord-lowercase':
      return { at, write: typed.charAt(0).toUpperCase() + typed.slice(1) };
    case 'degree-range':
      return fault.digit === '8' ? { at, write: typed.replace('8', '1') } : undefined;
    case 'unclosed':
      return fault.closing.length === 1 ? { at, write: typed + fault.closing } : undefined;
    case 'beats-outside-bar':
      return { at, write: typed.replace(/[.,]+$/, '') };
    case 'repeat-unclosed': {
      const rest = line.slice(at.column - 1).trimEnd();
      return { at: { ...at, length: rest.length }, write: `${rest} :|` };
    }
    case 'form-section-missing':
      return fault.nearest === null ? undefined : { at, write: typed.replace(fault.name, fault.nearest) };
    case 'key-missing':
      return { at: { line: 1, column: 1, length: 0 }, write: 'key: C\n' };
    default:
      return undefined;
  }
}

/** The text with the fix written in; everything else, line ends included, stays to the letter. */
export function applyQuickFix(source: string, { at, write }: QuickFix): string {
  // every second part is what ends a line
  const parts = source.split(/(\r\n|\r|\n)/);
  const line = 2 * (at.line - 1);
  const typed = parts[line] ?? '';
  const mended = typed.slice(0, at.column - 1) + write + typed.slice(at.column - 1 + at.length);
  return [...parts.slice(0, line), mended, ...parts.slice(line + 1)].join('');
}
