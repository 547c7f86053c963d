import type { FormMark } from './chart.ts';

/** The most times a section, a repeat or an ending may be played. */
export const MOST_TIMES = 99;

const JUMP = /^(dc|ds)(!?)(?: al (coda|fine)(!?))?$/;
const ENDING = /^\d{1,2}(?:[,-]\d{1,2})*\.\[$/;

/** Whether the word opens an ending: `1.[`, `1,2.[`. */
export function isEndingOpen(word: string): boolean {
  return ENDING.test(word);
}

/** Reads what stands in braces when it is a form mark: `segno`, `to coda`, `ds al coda`. Undefined for anything else. */
export function parseFormWords(text: string): FormMark | undefined {
  const words = text.trim().toLowerCase().replace(/\./g, '').replace(/\s+/g, ' ');
  if (words === 'segno' || words === 'coda' || words === 'fine') return { kind: 'sign', sign: words };
  if (words === 'to coda') return { kind: 'to-coda' };
  const jump = JUMP.exec(words);
  if (jump === null) return undefined;
  const [, from, keep, until, lateKeep] = jump;
  return {
    kind: 'jump',
    to: from === 'dc' ? 'start' : 'segno',
    until: until === 'coda' || until === 'fine' ? until : 'either',
    keepRepeats: keep === '!' || lateKeep === '!',
  };
}

/** Reads `1.[` or `1,2.[`: the passes the ending is played on, in rising order, each once. */
export function parseEndingOpen(word: string): FormMark {
  const passes = word
    .slice(0, -2)
    .split(',')
    .flatMap((part) => {
      const [first = 0, last = first] = part.split('-').map(Number);
      return Array.from({ length: Math.max(1, Math.min(MOST_TIMES, last - first + 1)) }, (_, index) => first + index);
    });
  return { kind: 'ending-open', passes: [...new Set(passes)].sort((a, b) => a - b) };
}

/** Reads a bar line with a colon, with the count that may follow it: `|:`, `:|`, `:| x3`, `:|:`. */
export function parseRepeatSign(text: string): readonly FormMark[] {
  const [, close = '', open = '', count] = /^(:?)\|+(:?)(?:\s*[x×](\d{1,3}))?$/i.exec(text) ?? [];
  return [
    ...(close === '' ? [] : [{ kind: 'repeat-close' as const, times: count === undefined ? null : Number(count) }]),
    ...(open === '' ? [] : [{ kind: 'repeat-open' as const }]),
  ];
}

/** The mark as it is written on a line of music. */
export function printFormMark(mark: FormMark): string {
  switch (mark.kind) {
    case 'repeat-open':
      return '|:';
    case 'repeat-close':
      return mark.times === null ? ':|' : `:| x${mark.times}`;
    case 'ending-open':
      return `${mark.passes.join(',')}.[`;
    case 'ending-close':
      return ']';
    case 'sign':
      return `{${mark.sign}}`;
    case 'to-coda':
      return '{to coda}';
    case 'jump':
      return `{${mark.to === 'start' ? 'dc' : 'ds'}${mark.keepRepeats ? '!' : ''}${mark.until === 'either' ? '' : ` al ${mark.until}`}}`;
  }
}

/** One entry of a form line: which section, and how often when the line says so. */
export interface FormEntry {
  readonly name: string;
  readonly times: number | null;
  /** Where the entry stands in the value, 0-based, and how long it is. */
  readonly start: number;
  readonly length: number;
}

/** Reads the value of a form line: `Intro, Verse x2, Chorus`. Empty entries are passed over. */
export function parseFormLine(value: string): readonly FormEntry[] {
  const entries: FormEntry[] = [];
  let start = 0;
  for (const part of value.split(',')) {
    const text = part.trim();
    const [, name = text, count] = /^(.*?)\s*[x×]\s*(\d{1,2})$/i.exec(text) ?? [];
    const times = count === undefined ? null : Number(count);
    const place = { start: start + part.length - part.trimStart().length, length: text.length };
    if (text !== '') entries.push(times === 0 || name === '' ? { name: text, times: null, ...place } : { name, times, ...place });
    start += part.length + 1;
  }
  return entries;
}
