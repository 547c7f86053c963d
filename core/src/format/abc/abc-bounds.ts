import { findMeter } from '../../chart/head.ts';
import { failure, type Result, success } from '../../fault.ts';

/** Longer lines are no music that anybody has written by hand. */
const LONGEST_LINE = 4000;
/** No length, meter, tempo or rest of a tune has more digits. */
const MOST_DIGITS = 4;

/** Fields of words: whatever stands in them is text. */
const WORDS = /^\s*(?:[A-JNORSTWZrsw+]:|%)/;

/**
 * ABC as it may be given to a reader that takes every number at its word: numbers nobody can play and
 * endless lines are refused. Grace notes and slurs, which say nothing of the harmony, are left out,
 * for looking for their other ends takes longer than reading the rest.
 */
export function boundedAbc(text: string): Result<string> {
  const lines = text.split('\n');
  const bounded: string[] = [];
  for (const [place, line] of lines.entries()) {
    if (WORDS.test(line)) {
      bounded.push(line);
      continue;
    }
    const music = outsideQuotes(line);
    if (line.length > LONGEST_LINE) return failure({ code: 'format-large', format: 'ABC' }, 0, 0);
    const wrong = music.some((part) => NUMBER.test(part)) ? 'a number' : music.some(isUnmeasurable) ? 'a meter or a length' : null;
    if (wrong !== null) {
      const detail = `${wrong} in line ${place + 1} cannot be played`;
      return failure({ code: 'format-broken', format: 'ABC', detail }, 0, 0);
    }
    bounded.push(withoutOrnaments(line));
  }
  return success(bounded.join('\n'));
}

const NUMBER = new RegExp(`\\d{${MOST_DIGITS + 1},}`);

const METER = /(?:^|\[)\s*M:\s*([^\]%]*)/g;
const LENGTH = /(?:^|\[)\s*[LQ]:\s*([^\]%]*)/g;

/** Whether something on a line lasts no time, or has a meter with none: nothing can be counted in it. */
function isUnmeasurable(part: string): boolean {
  const meters = [...part.matchAll(METER)].map(([, value = '']) => value.trim());
  const lengths = [...part.matchAll(LENGTH)].map(([, value = '']) => value);
  return meters.some((meter) => !isMeter(meter)) || lengths.some((length) => ZERO.test(length)) || /\/0|\(0/.test(part);
}

const ZERO = /(?<![\d.])0+(?![\d.])/;

/** `6/8`, `C`, `C|`, `none`, or beats in groups: `2+3/8`, `(2+3)/8`. */
function isMeter(text: string): boolean {
  if (/^(C\|?|none)?$/.test(text)) return true;
  const [, groups = '', unit = ''] = /^\(?(\d+(?:\s*\+\s*\d+)*)\)?\s*\/\s*(\d+)$/.exec(text) ?? [];
  const beats = groups.split('+').reduce((sum, group) => sum + Number(group), 0);
  return findMeter(`${beats}/${unit}`) !== undefined;
}

/** The parts of a line that are no words in quotes. */
function outsideQuotes(line: string): readonly string[] {
  return line.split('"').filter((_, place) => place % 2 === 0);
}

/** A group of grace notes, a slur, or a brace that belongs to nothing. A parenthesis before a digit is a tuplet. */
const ORNAMENT = /\{[^{}]*\}|[{}]|\((?!\d)|\)/g;

function withoutOrnaments(line: string): string {
  return line
    .split('"')
    .map((part, place) => (place % 2 === 0 ? part.replace(ORNAMENT, '') : part))
    .join('"');
}
