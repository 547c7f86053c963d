import { line, type Shape, text } from './drawing.ts';
import { textWidth } from './letter-width.ts';

/** A repeat's double bar line with its dots on the side the repeat lies: 1 for the right. */
export function repeatSign(x: number, top: number, bottom: number, size: number, way: 1 | -1): readonly Shape[] {
  const middle = (top + bottom) / 2;
  const dot = (y: number) => disc(x + way * 0.3 * size, y, 0.055 * size);
  return [
    line(x + way * 1.2, top, x + way * 1.2, bottom, 2.8, 'ink'),
    line(x + way * 0.17 * size, top, x + way * 0.17 * size, bottom, 0.9, 'ink'),
    dot(middle - 0.16 * size),
    dot(middle + 0.16 * size),
  ];
}

/** Segno and coda, drawn: no text face has them. */
export function formSign(sign: 'segno' | 'coda', x: number, y: number, size: number): readonly Shape[] {
  const h = size / 2;
  if (sign === 'coda') {
    const r = 0.66 * h;
    return [
      { kind: 'circle', x, y, radius: r, fill: null, stroke: 'ink', width: size * 0.1 },
      line(x, y - h, x, y + h, size * 0.06, 'ink'),
      line(x - h, y, x + h, y, size * 0.06, 'ink'),
    ];
  }
  const curve = `M ${x + 0.5 * h} ${y - 0.62 * h} Q ${x} ${y - h} ${x - 0.45 * h} ${y - 0.62 * h} Q ${x - 0.7 * h} ${y - 0.2 * h} ${x} ${y} Q ${x + 0.7 * h} ${y + 0.2 * h} ${x + 0.45 * h} ${y + 0.62 * h} Q ${x} ${y + h} ${x - 0.5 * h} ${y + 0.62 * h}`;
  const dot = (dx: number) => disc(x + dx, y, size * 0.07);
  return [
    stroked(curve, size * 0.12),
    line(x - 0.62 * h, y + 0.9 * h, x + 0.62 * h, y - 0.9 * h, size * 0.06, 'ink'),
    dot(-0.72 * h),
    dot(0.72 * h),
  ];
}

/** `%` for a bar as the one before, `%%` for two. */
export function againSign(twice: boolean, x: number, y: number, size: number): readonly Shape[] {
  const slash = (dx: number): Shape => line(x + dx - 0.2 * size, y + 0.3 * size, x + dx + 0.2 * size, y - 0.3 * size, 0.11 * size, 'ink');
  const dot = (dx: number, dy: number) => disc(x + dx, y + dy, 0.075 * size);
  return [
    ...(twice ? [slash(-0.12 * size), slash(0.12 * size)] : [slash(0)]),
    dot(-0.34 * size, -0.16 * size),
    dot(0.34 * size, 0.16 * size),
  ];
}

const PHRASE = 4;

/** Bars of time that are only counted: how many, and a stroke for each, in fours. `y` is the base line. */
export function countSign(bars: number, x: number, width: number, y: number, size: number): readonly Shape[] {
  const number = String(bars);
  const left = x + textWidth(number, 'numeral') * size + 0.4 * size;
  const gaps = bars - 1 + Math.floor((bars - 1) / PHRASE);
  const step = Math.min(0.3 * size, (x + width - left) / Math.max(1, gaps + 1));
  const strokes = Array.from({ length: bars }, (_, bar): Shape => {
    const at = left + (bar + Math.floor(bar / PHRASE)) * step;
    return line(at, y - 0.5 * size, at, y - 0.06 * size, 0.06 * size, 'quiet');
  });
  return [text(x, y, number, { size, anchor: 'start', face: 'numeral' }), ...strokes];
}

/** A push: a bow into the chord that follows at `s` × 0.36, on the base line y 0. `s` is the chord's size. */
export function pushMark(s: number): Shape {
  return stroked(`M 0 ${-0.08 * s} Q ${0.17 * s} ${0.12 * s} ${0.33 * s} ${-0.08 * s}`, 0.07 * s);
}

/** A chord that is stopped: a wedge behind it. */
export function stopMark(end: number, s: number): Shape {
  const top = TOP * s;
  const d = `M ${end + 0.1 * s} ${top} L ${end + 0.28 * s} ${top} L ${end + 0.19 * s} ${top + 0.34 * s} Z`;
  return { kind: 'path', d, fill: 'ink', stroke: null, width: 0 };
}

/** How high the numbers reach, as a part of their size. */
const TOP = -0.74;

const OVER = -1.02;
const DIAMOND = 0.14;

/**
 * What stands over a chord of a size: a diamond where it rings, small, so that it covers no part of the symbol
 * however long that is; then its beats in an unequally shared bar, a dot each, half a one smaller.
 */
export function marksOver({ ring, beats }: { readonly ring: boolean; readonly beats: number | null }, size: number): readonly Shape[] {
  const [x, y, r] = [(DIAMOND + 0.02) * size, OVER * size, DIAMOND * size];
  const diamond = stroked(`M ${x} ${y - r} L ${x + r} ${y} L ${x} ${y + r} L ${x - r} ${y} Z`, 0.05 * size);
  const first = ring ? 0.44 : 0.06;
  const dots = Array.from({ length: Math.ceil(beats ?? 0) }, (_, beat) =>
    disc((first + 0.14 * beat) * size, y, ((beats ?? 0) - beat < 1 ? 0.03 : 0.045) * size),
  );
  return ring ? [diamond, ...dots] : dots;
}

function stroked(d: string, width: number): Shape {
  return { kind: 'path', d, fill: null, stroke: 'ink', width };
}

function disc(x: number, y: number, radius: number): Shape {
  return { kind: 'circle', x, y, radius, fill: 'ink', stroke: null, width: 0 };
}
