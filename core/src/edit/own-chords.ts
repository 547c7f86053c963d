import { countingTonic } from '../chart/head.ts';
import type { ChartReading } from '../chart/reading.ts';
import { CHART_SCHOOL, printQuality } from '../chord/quality-text.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { majorInterval } from '../interval/interval.ts';
import type { Key } from '../key/key.ts';

/** A degree by itself, with the marks that may stand around it. */
const BARE = /^([>]?<?)([1-7])(>?[!?]?[.,]*)$/;

/**
 * A bar as typed, in which a digit alone stands for the key's own chord: `2 5` in a major key is
 * `2- 5`. Whatever has a quality, an accidental or a bass stays as it is typed, so that `2M` is major.
 */
export function withOwnQualities(typed: string, { bars, stretches, head }: ChartReading, bar: number): string {
  const key = (stretches[bars[bar]?.stretch ?? stretches.length - 1] as { readonly key: Key }).key;
  const shift = countingTonic(key, head.numbering) - key.tonic;
  const own = harmonize(key, 'triad');
  return typed.replace(/[^\s()]+/g, (token) => {
    const [, before = '', digit = '', after = ''] = BARE.exec(token) ?? [];
    if (digit === '') return token;
    const chord = own.find(({ number }) => number.degree === majorInterval(Number(digit) - 1) + shift);
    return chord === undefined ? token : `${before}${digit}${printQuality(chord.number.formula, CHART_SCHOOL)}${after}`;
  });
}
