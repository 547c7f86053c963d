import type { RidgeSpan, SongProfile } from '@aurora/core';

/** A corner of the ridge's line: beats from the beginning, and height above home. */
export interface RidgePoint {
  readonly x: number;
  readonly y: number;
}

/** Higher than any chord but the wildest stands; what is higher is drawn at the rim. */
export const MOST_HEIGHT = 6;
/** From one plateau to the next the line slopes over so much of a plateau, and over no more than so many beats. */
const SHOULDER_SHARE = 0.2;
const SHOULDER_BEATS = 0.5;

type Plateau = Pick<RidgeSpan, 'from' | 'to' | 'top'>;

/** The two corners of a chord's plateau: as wide as the chord lasts, its shoulders taken off. */
export function plateau({ from, to, top }: Plateau): readonly [RidgePoint, RidgePoint] {
  const shoulder = Math.min(SHOULDER_BEATS, (to - from) * SHOULDER_SHARE);
  const y = Math.min(top, MOST_HEIGHT);
  return [
    { x: from + shoulder, y },
    { x: to - shoulder, y },
  ];
}

/** The whole line from the first beat to the last, home at height 0. */
export function ridgeLine(spans: readonly Plateau[]): readonly RidgePoint[] {
  const corners = spans.flatMap(plateau);
  const [first, last] = [corners[0], corners.at(-1)];
  if (first === undefined || last === undefined) return [];
  return [{ x: spans[0]?.from ?? 0, y: first.y }, ...corners, { x: spans.at(-1)?.to ?? last.x, y: last.y }];
}

/** A line as the path of a picture in which y grows downward and home lies at `MOST_HEIGHT`. */
export function pathOf(points: readonly RidgePoint[]): string {
  return points.map(({ x, y }, place) => `${place === 0 ? 'M' : 'L'}${round(x)} ${round(MOST_HEIGHT - y)}`).join(' ');
}

/** Runs of chords that belong to the key and of those that stand outside it: the latter are drawn broken. Runs meet on the slope between them. */
export function ridgeRuns(spans: readonly RidgeSpan[]): readonly { readonly outside: boolean; readonly points: readonly RidgePoint[] }[] {
  const runs: { outside: boolean; spans: RidgeSpan[] }[] = [];
  for (const span of spans) {
    const outside = span.role === 'outside';
    const run = runs.at(-1);
    if (run?.outside === outside) run.spans.push(span);
    else runs.push({ outside, spans: [span] });
  }
  return runs.map(({ outside, spans: own }, place) => {
    const before = runs[place - 1]?.spans.at(-1);
    const after = runs[place + 1]?.spans[0];
    const [start, end] = [own[0] as RidgeSpan, own.at(-1) as RidgeSpan];
    // a chord outside the key is broken up to the plateaus beside it
    const lead = before === undefined ? { x: start.from, y: clip(start.top) } : outside ? plateau(before)[1] : null;
    const trail = after === undefined ? { x: end.to, y: clip(end.top) } : outside ? plateau(after)[0] : null;
    return { outside, points: [...(lead === null ? [] : [lead]), ...own.flatMap(plateau), ...(trail === null ? [] : [trail])] };
  });
}

/** The floor: a step wherever the key changes. */
export function floorLine(spans: readonly RidgeSpan[]): readonly RidgePoint[] {
  return spans.flatMap(({ from, to, ground }) => [
    { x: from, y: clip(ground) },
    { x: to, y: clip(ground) },
  ]);
}

/** The chord at a share of the picture's width; undefined where there is none. */
export function spanAt({ spans, beats }: Pick<SongProfile, 'spans' | 'beats'>, share: number): RidgeSpan | undefined {
  const time = Math.min(Math.max(0, share), 1) * beats;
  return spans.find(({ to }) => time < to) ?? spans.at(-1);
}

/** Heights at equal steps of time, as a shelf has them, as plateaus: equal neighbours are one. */
export function plateausOf(heights: readonly number[]): readonly Plateau[] {
  const found: { from: number; to: number; top: number }[] = [];
  for (const [place, top] of heights.entries()) {
    const last = found.at(-1);
    if (last?.top === top) last.to = place + 1;
    else found.push({ from: place, to: place + 1, top });
  }
  return found;
}

function clip(height: number): number {
  return Math.min(height, MOST_HEIGHT);
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
