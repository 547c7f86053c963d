import { line, type Shape, text } from '../notation/drawing.ts';
import { textWidth } from '../notation/letter-width.ts';
import { formSign } from '../notation/page-signs.ts';
import type { PageType } from './page-type.ts';
import type { BarCell } from './projection.ts';

/** Lengths in parts of the small type that stands over bars. */
const LINE = 1.35;
/** From the bar up to the base line of the lowest words. */
const FOOT = 0.44;
/** From the bar up to the bracket of an ending, over one line. */
const BRACKET = 0.25;
const DROP = 0.8;
const SIGN = 1.3;
const SIGN_ROOM = 1.6;
const GAP = 0.5;
const EDGE = 0.3;

/** Room over a row whose bars have so many lines over them, in points. */
export function overRoom(lines: number, { size, small }: Pick<PageType, 'size' | 'small'>): number {
  return lines === 0 ? 0.2 * size : (FOOT - 0.07 + LINE * lines) * small;
}

interface OverLine {
  /** Signs of form, before the words of the first line. */
  readonly signs: BarCell['signs'];
  readonly left: string;
  readonly right: string;
}

/** What stands over a bar, from the top: nothing in it is nearer to another than can be told apart. */
export interface OverBar {
  readonly lines: readonly OverLine[];
  readonly ending: BarCell['ending'];
  /** Where the words of the first line begin, behind the number of an ending, in points. */
  readonly lead: number;
}

/**
 * What stands over a bar in as many lines as it takes: the number of its ending first, then signs,
 * key, meter and tempo from the left, jumps and counts from the right.
 */
export function overBar({ heading, ending, signs, after, closesRepeat }: BarCell, width: number, { small }: PageType): OverBar {
  const inside = width / small - 2 * EDGE - (ending?.ends ? EDGE : 0);
  const label = ending?.begins ? textWidth(ending.label, 'bold') + GAP : 0;
  const lead = label + signs.length * SIGN_ROOM;
  const left = filled(heading.split(' · '), ' · ', inside, lead);
  const words = [...after, closesRepeat !== null && closesRepeat !== 2 ? `×${closesRepeat}` : ''].filter((word) => word !== '');
  const last = left.at(-1) ?? '';
  const taken = (left.length > 1 ? 0 : lead) + widthOf(last) + (last === '' ? 0 : GAP);
  const right = filled(words, '  ', inside, taken);
  const isEmpty = ending === null && lead === 0 && heading === '' && words.length === 0;
  const lines = Array.from({ length: isEmpty ? 0 : left.length + right.length - 1 }, (_, at) => ({
    signs: at === 0 ? signs : [],
    left: left[at] ?? '',
    // the first of them shares the last line from the left
    right: right[at - left.length + 1] ?? '',
  }));
  return { lines, ending, lead: label * small };
}

const widthOf = (words: string) => textWidth(words, 'bold');

/** Words line by line; the first line has `taken` already, and stays empty where nothing more has room in it. */
function filled(parts: readonly string[], between: string, width: number, taken: number): readonly string[] {
  const lines: string[] = [''];
  const room = () => width - (lines.length === 1 ? taken : 0);
  const put = (part: string, joint: string) => {
    const last = lines.at(-1) as string;
    const joined = last === '' ? part : `${last}${joint}${part}`;
    if (widthOf(joined) <= room()) lines[lines.length - 1] = joined;
    else lines.push(part);
  };
  for (const part of parts) {
    if (widthOf(part) <= width) put(part, between);
    else for (const [at, word] of part.split(' ').entries()) put(word, at === 0 ? between : ' ');
  }
  return lines;
}

/** Over a bar that ends at `barTop`, in a row of which the fullest bar has `most` lines over it. */
export function overShapes(
  { lines, ending, lead }: OverBar,
  width: number,
  barTop: number,
  most: number,
  type: PageType,
): readonly Shape[] {
  const { small } = type;
  // under a bracket words stand at the top with it, else next to their bar
  const first = ending === null ? most - lines.length : 0;
  const baseOf = (at: number) => barTop - (FOOT + (most - 1 - first - at) * LINE) * small;
  const edge = EDGE * small;
  const right = width - edge - (ending?.ends ? edge : 0);
  return [
    ...lines.flatMap(({ signs, left, right: behind }, at): readonly Shape[] => {
      const y = baseOf(at);
      const start = edge + (at === 0 ? lead : 0);
      const afterSigns = start + signs.length * SIGN_ROOM * small;
      return [
        ...signs.flatMap((sign, place) => formSign(sign, start + (place + 0.5) * SIGN_ROOM * small, y - 0.36 * small, SIGN * small)),
        ...(left === '' ? [] : [text(afterSigns, y, left, { size: small, anchor: 'start', face: 'bold' })]),
        ...(behind === '' ? [] : [text(right, y, behind, { size: small, anchor: 'end', face: 'bold' })]),
      ];
    }),
    ...(ending === null ? [] : bracketShapes(ending, width, barTop - (BRACKET + most * LINE) * small, baseOf(0), type)),
  ];
}

/** The bracket of an ending, the same height over a whole row; open where the ending goes on. */
function bracketShapes(
  { label, begins, ends }: NonNullable<BarCell['ending']>,
  width: number,
  y: number,
  base: number,
  { small }: PageType,
): readonly Shape[] {
  const drop = y + DROP * small;
  return [
    line(begins ? 1 : 0, y, width - (ends ? 2 : 0), y, 1, 'ink'),
    ...(begins ? [line(1, y, 1, drop, 1, 'ink'), text(EDGE * small, base, label, { size: small, anchor: 'start', face: 'bold' })] : []),
    ...(ends ? [line(width - 2, y, width - 2, drop, 1, 'ink')] : []),
  ];
}
