import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import type { Shape } from '../notation/drawing.ts';
import { textWidth } from '../notation/letter-width.ts';
import { chartPart } from './chart-part.ts';
import { pageType } from './page-type.ts';
import { fittingRows, rowBlock } from './row-block.ts';

interface Box {
  readonly name: string;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The letters that reach under the line. */
const HANGING = /[gjpqy,;]/;
const CAP = 0.7;
const HANG = 0.2;

/** Where a shape has ink; of a path, at most the hull of its points. */
function boxOf(shape: Shape): Box {
  switch (shape.kind) {
    case 'line': {
      const half = shape.width / 2;
      return {
        name: 'line',
        left: Math.min(shape.x1, shape.x2) - half,
        right: Math.max(shape.x1, shape.x2) + half,
        top: Math.min(shape.y1, shape.y2) - half,
        bottom: Math.max(shape.y1, shape.y2) + half,
      };
    }
    case 'circle':
      return {
        name: 'circle',
        left: shape.x - shape.radius,
        right: shape.x + shape.radius,
        top: shape.y - shape.radius,
        bottom: shape.y + shape.radius,
      };
    case 'path': {
      const figures = [...shape.d.matchAll(/-?\d+(\.\d+)?(e-?\d+)?/g)].map(([figure]) => Number(figure));
      const xs = figures.filter((_, at) => at % 2 === 0);
      const ys = figures.filter((_, at) => at % 2 === 1);
      return { name: 'path', left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
    }
    case 'text': {
      const width = textWidth(shape.text, shape.face) * shape.size;
      const left = { start: shape.x, middle: shape.x - width / 2, end: shape.x - width }[shape.anchor];
      return {
        name: shape.text,
        left,
        right: left + width,
        top: shape.y - CAP * shape.size,
        bottom: shape.y + (HANGING.test(shape.text) ? HANG * shape.size : 0),
      };
    }
    default:
      return { name: 'rect', left: shape.x, right: shape.x + shape.width, top: shape.y, bottom: shape.y + shape.height };
  }
}

/** The last bar line stands on the edge. */
const BAR_LINE = 1;

/** Half a point is less than can be seen. */
const SEEN = 0.5;

function overlaps(a: Box, b: Box): boolean {
  return a.left < b.right - SEEN && b.left < a.right - SEEN && a.top < b.bottom - SEEN && b.top < a.bottom - SEEN;
}

/** Lines cross each other in a sign; words and everything else must be clear of each other. */
function collisions(shapes: readonly Shape[]): readonly string[] {
  const boxes = shapes.filter((shape) => shape.kind !== 'text' || shape.text !== '').map((shape) => ({ shape, box: boxOf(shape) }));
  return boxes.flatMap(({ shape, box }) =>
    shape.kind !== 'text'
      ? []
      : boxes.flatMap((other) => {
          const twice = other.shape.kind === 'text' && boxes.indexOf(other) <= boxes.findIndex((one) => one.shape === shape);
          return other.shape !== shape && !twice && overlaps(box, other.box) ? [`${box.name} × ${other.box.name}`] : [];
        }),
  );
}

/** Marks a bar may carry: what is written before its chord, around it, and behind. */
const MARKS: readonly {
  readonly name: string;
  readonly before?: string;
  readonly around?: (chord: string) => string;
  readonly after?: string;
}[] = [
  { name: 'meter', before: '{3/4}' },
  { name: 'key', before: '{key: +3}' },
  { name: 'tempo', before: '{tempo: 132}' },
  { name: 'segno', before: '{segno}' },
  { name: 'coda', before: '{coda}' },
  { name: 'diamond', around: (chord) => `<${chord}>` },
  { name: 'push', around: (chord) => `>${chord}` },
  { name: 'stop', around: (chord) => `${chord}!` },
  { name: 'optional', around: (chord) => `${chord}?` },
  { name: 'jump', after: '{ds al coda}' },
  { name: 'to coda', after: '{to coda}' },
  { name: 'fine', after: '{fine}' },
  { name: 'remark', after: '"watch the singer"' },
];
const AROUND = new Set(['stop', 'optional']);

function combined(): readonly (typeof MARKS)[] {
  const some: (typeof MARKS)[] = [];
  for (const [a, first] of MARKS.entries())
    for (const [b, second] of MARKS.entries()) {
      if (b <= a) continue;
      some.push([first, second]);
      for (const [c, third] of MARKS.entries()) if (c > b) some.push([first, second, third]);
    }
  return some.filter((marks) => marks.filter(({ name }) => AROUND.has(name)).length < 2);
}

/** What stands in the bar, alone and shared. */
const INSIDE = [['1'], ['#4-7b5/1'], ['6-7', '57'], ['2-7b5/b6', '5', 'b7maj7#11', '1']] as const;

function barOf(marks: typeof MARKS, inside: readonly string[]): string {
  // before the last chord of a shared bar stands what hinders most
  const chords = inside.map((chord, place) =>
    place === inside.length - 1 ? marks.reduce((one, { around }) => around?.(one) ?? one, chord) : chord,
  );
  const inOrder = chords.map((chord) => chord.replace(/^<>/, '><').replace(/^<(>)(.*)$/, '>$1$2'));
  const bar = inOrder.length === 1 ? inOrder[0] : `(${inOrder.join(' ')})`;
  return [...marks.map(({ before }) => before ?? ''), bar, ...marks.map(({ after }) => after ?? '')]
    .filter((word) => word !== '')
    .join(' ');
}

/** A bar in each of its surroundings: plain, opening a repeat, alone in an ending, the last of a repeat of three. */
const PLACES: readonly ((bar: string) => string)[] = [
  (bar) => `1 ${bar} 1`,
  (bar) => `|: ${bar} 1 :| x3`,
  (bar) => `|: 1 1.[ ${bar} ] 2.[ 1 ] :|`,
  (bar) => `|: 1 1,2.[ 1 ] 3.[ ${bar} ] :| x3`,
  (bar) => `|: 1 4 ${bar} :| x3`,
];

const LOOK = {
  naming: DEFAULT_NAMING,
  sounding: 1,
  written: 4,
  kind: 'chart',
  capo: 0,
  tonight: '',
  words: true,
  cuesFor: null,
  foot: '',
} as const;
const INSIDE_A4 = 515;

function found(text: string, show: 'numbers' | 'letters' | 'both', size: number): readonly string[] {
  const type = pageType(size);
  const { sections } = chartPart(readChart(`key: G\n\n${text}\n`), { ...LOOK, show });
  return sections.flatMap((section) =>
    section.rows
      .flatMap((row) => fittingRows(row, INSIDE_A4, type))
      .flatMap((row, at) => {
        const { shapes, height } = rowBlock(row, at === 0 ? section : null, INSIDE_A4, type);
        const out = shapes.map(boxOf).filter(({ top, bottom, right }) => top < -SEEN || bottom > height || right > INSIDE_A4 + BAR_LINE);
        return [...collisions(shapes), ...out.map(({ name }) => `${name} leaves its line`)];
      }),
  );
}

describe('nothing on paper is printed over anything', () => {
  const pairs = combined();

  test.each([
    ['both', [2, 3]],
    ['letters', [2]],
    ['numbers', [2]],
  ] as const)('marks on one bar, in %s: %j of them at once', (show, counts) => {
    const bad = pairs
      .filter(({ length }) => counts.some((count) => count === length))
      .flatMap((marks, index) => PLACES.map((place) => place(barOf(marks, INSIDE[index % INSIDE.length] ?? INSIDE[0]))))
      .flatMap((text) => [34, 16].flatMap((size) => found(text, show, size).map((fault) => `${text} at ${size}: ${fault}`)));
    expect([bad.length, ...bad.slice(0, 12)]).toEqual([0]);
  });

  test.each(INSIDE.map((inside) => [inside.join(' ')]))('every pair of marks on every kind of bar: %s', (chords) => {
    const bad = pairs
      .filter((marks) => marks.length === 2)
      .flatMap((marks) => PLACES.map((place) => place(barOf(marks, chords.split(' ')))))
      .flatMap((text) => [23, 9].flatMap((size) => found(text, 'both', size).map((fault) => `${text} at ${size}: ${fault}`)));
    expect([bad.length, ...bad.slice(0, 12)]).toEqual([0]);
  });
});
