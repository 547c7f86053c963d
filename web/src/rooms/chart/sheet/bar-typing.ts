import { linesOf, type OpenChart } from '@aurora/core';
import { CHART_WORDS } from '../../../wording/chart.ts';

/** A bar being typed. */
export interface Typing {
  readonly bar: number;
  /** Whether it is a new bar put before that one. */
  readonly isNew: boolean;
  readonly text: string;
  /** Where the next letter goes. */
  readonly caret: number;
  /** All of it is taken: what is typed stands in its place. A second press edits it instead. */
  readonly whole: boolean;
  /** Whether all of it is typed anew; what is edited stands as it is read. */
  readonly fresh: boolean;
  /** What stood there before. */
  readonly was: string;
}

/** A key of the pad: what it writes, and what stands on it. */
export interface PadKey {
  /** The single key that writes it. */
  readonly key: string;
  readonly writes: string;
  readonly shows: string;
  readonly says: string;
}

/**
 * Single keys for what follows a degree, so that a chord is two or three presses. Everything can
 * also be typed out in full.
 */
export const PAD: readonly PadKey[] = [
  { key: '-', writes: '-', shows: '–', says: 'minor' },
  { key: 'j', writes: 'maj7', shows: 'maj7', says: CHART_WORDS.majorSeventh },
  { key: 'h', writes: '-7b5', shows: '–7♭5', says: 'half-diminished' },
  { key: 'o', writes: 'o', shows: '°', says: 'diminished' },
  { key: '+', writes: '+', shows: '+', says: 'augmented' },
  { key: 's', writes: 'sus4', shows: 'sus4', says: 'suspended' },
  { key: 'a', writes: 'add9', shows: 'add9', says: CHART_WORDS.addedNinth },
  { key: 'x', writes: '7alt', shows: '7alt', says: 'altered' },
  { key: '/', writes: '/', shows: '/', says: 'bass' },
  { key: 'b', writes: 'b', shows: '♭', says: 'flat' },
  { key: '#', writes: '#', shows: '♯', says: 'sharp' },
  { key: '>', writes: '>', shows: '>', says: 'pushed' },
  { key: '<', writes: '<', shows: '◇', says: CHART_WORDS.letRing },
  { key: '!', writes: '!', shows: '!', says: 'stop' },
  { key: '?', writes: '?', shows: '( )', says: 'optional' },
  { key: '.', writes: '.', shows: '.', says: CHART_WORDS.aBeat },
  { key: ',', writes: ',', shows: ',', says: CHART_WORDS.halfABeat },
  { key: 'n', writes: 'NC', shows: 'N.C.', says: CHART_WORDS.noChord },
  { key: '%', writes: '%', shows: '%', says: CHART_WORDS.theBarBeforeAgain },
];

/** What a key writes at a place of what is typed: shorthand only where a chord's quality may stand. */
export function padWrites(key: string, before: string): string | null {
  const pad = PAD.find((one) => one.key === key);
  if (pad === undefined || pad.writes === key) return null;
  // in letters and words a key is the letter it is: Bbadd9, Gsus4, maj7
  if (key === 'n') return /(^|\s|\()$/.test(before) ? pad.writes : null;
  return /(^|[\s(<>])[b#]{0,2}[1-7][0-9-]*$/.test(before) ? pad.writes : null;
}

/** Whether a key, pressed with a bar chosen, begins to write that bar. Small letters that are notes are notes there. */
export function beginsWriting(key: string): boolean {
  return /^[1-7A-Gacdefgb#(<>%]$/.test(key);
}

/** A letter as it is meant: a small one that is a note begins a chord as a capital. A small b is a flat. */
export function letterOf(key: string, before: string): string {
  return /^[acdefg]$/.test(key) && /(^|[\s(<>])$/.test(before) ? key.toUpperCase() : key;
}

/** The typed bar closed where it is plain what is meant: a diamond without its other half. */
export function closed(typed: string): string {
  return typed
    .split(' ')
    .map((token) => (/^>?<[^>]+$/.test(token) ? token.replace(/([!?.,]*)$/, '>$1') : token))
    .join(' ')
    .trim();
}

/** Chart text as it is set in a sentence: `♭6`, `2–7`. */
export function chartText(text: string): string {
  return text
    .replaceAll('-', '–')
    .replace(/b(?=[\d])/g, '♭')
    .replaceAll('#', '♯');
}

/** A new bar, open and empty. */
export function newTyping(bar: number): Typing {
  return { bar, isNew: true, text: '', caret: 0, whole: false, fresh: true, was: '' };
}

/** A bar as it would be typed: without the parentheses around a shared one. */
export function barText({ source, reading }: OpenChart, bar: number): string {
  const found = reading.bars[bar];
  if (found === undefined) return '';
  const line = linesOf(source)[found.at.line - 1] ?? '';
  return line.slice(found.at.column - 1, found.at.column - 1 + found.at.length).replace(/^\((.*)\)$/, '$1');
}
