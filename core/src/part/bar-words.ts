import type { BarForm, BarRemark, WrittenBar } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';
import type { Key } from '../key/key.ts';
import { type Naming, nameKey } from '../naming/naming.ts';

/** The lyric lines that follow a line of music directly. */
export function wordsUnder(line: number, { chart }: Pick<ChartReading, 'chart'>): readonly string[] {
  const words: string[] = [];
  for (let index = line + 1; chart.body[index]?.kind === 'words'; index += 1) {
    const under = chart.body[index];
    if (under?.kind === 'words') words.push(under.text);
  }
  return words;
}

/** Whether a remark is for everyone, or a cue for one of these names: `@bass` reaches who plays the bass guitar. */
export function isFor({ to }: BarRemark, names: readonly string[] | null): boolean {
  if (to === null) return true;
  const wanted = to.toLowerCase().replace(/s$/, '');
  return (
    names === null ||
    names.some((name) =>
      name
        .toLowerCase()
        .split(/\s+/)
        .some((word) => word.replace(/s$/, '') === wanted),
    )
  );
}

/** `1.`, `1. 2.`: the passes of an ending as they stand under its bracket. */
export function endingLabel(passes: readonly number[]): string {
  return passes.map((pass) => `${pass}.`).join(' ');
}

/** What stands at the end of a bar: `Fine`, `To Coda`, `D.S. al Coda`. */
export function afterWords({ after }: Pick<BarForm, 'after'>): readonly string[] {
  return after.map((mark) => {
    if (mark === 'fine') return 'Fine';
    if (mark === 'to-coda') return 'To Coda';
    const until = { coda: ' al Coda', fine: ' al Fine', either: '' }[mark.until];
    return `${mark.to === 'start' ? 'D.C.' : 'D.S.'}${until}${mark.keepRepeats ? ' with repeats' : ''}`;
  });
}

/** What is new with a bar: key, meter, tempo, a pickup. Keys are those the reader reads. */
export function barHeading(bar: WrittenBar, before: WrittenBar | undefined, keys: readonly Key[], naming: Naming): string {
  const key = keys[bar.stretch];
  const meter = `${bar.meter.beats}/${bar.meter.unit}`;
  return [
    key !== undefined && bar.stretch !== (before?.stretch ?? 0) ? `key ${nameKey(key, naming)}` : '',
    before !== undefined && meter !== `${before.meter.beats}/${before.meter.unit}` ? meter : '',
    before !== undefined && bar.tempo !== null && bar.tempo !== before.tempo ? `${bar.tempo} bpm` : '',
    bar.pickup === null ? '' : 'pickup',
  ]
    .filter((word) => word !== '')
    .join(' · ');
}
