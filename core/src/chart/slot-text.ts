import type { NumberChord } from '../degree/degree.ts';
import { type LetterCount, parseNumberOrLetters, printNumber } from '../degree/number-text.ts';
import type { Fault } from '../fault.ts';
import type { Slot } from './chart.ts';

/** The longest chord token that is looked at; anything longer is no chord. */
const MOST_CHARACTERS = 48;

const NO_CHORD = /^N\.?C\.?$/;

/** A slot as read, with faults that do not keep it from being played. */
export interface ReadSlot {
  readonly slot: Slot;
  readonly faults: readonly Fault[];
}

/** Why a token is no slot, and where in the token (0-based). */
export interface SlotRefusal {
  readonly fault: Fault;
  readonly start: number;
  readonly length: number;
}

/** Reads a chord with its marks: `>1`, `<4>`, `5!`, `6-7?`, `5/7.,`, `NC`. Letters count from `tonic`. */
export function parseSlot(token: string, tonic: number, count: LetterCount = 'as-typed'): ReadSlot | SlotRefusal {
  const shown = token.length > MOST_CHARACTERS ? `${token.slice(0, MOST_CHARACTERS)}…` : token;
  if (token.length > MOST_CHARACTERS) return refuse({ code: 'token-unreadable', text: shown }, 0, token.length);
  const match = /^(>?)(<?)(N\.C\.?|.*?)(>?)([!?]*)(\.*,?)$/s.exec(token) as RegExpExecArray;
  const [, push = '', open = '', core = '', close = '', marks = '', length = ''] = match;
  const start = push.length + open.length;
  if (open.length !== close.length) {
    const fault: Fault = open === '<' ? { code: 'unclosed', text: token, closing: '>' } : { code: 'mark-order', text: token };
    return refuse(fault, 0, token.length);
  }
  const chord = NO_CHORD.test(core) ? { ok: true as const, value: null } : parseNumberOrLetters(core, tonic, count);
  if (!chord.ok) {
    if (core === '' || /[<>!?]/.test(core)) return refuse(markFault(token, core), 0, token.length);
    return refuse(chord.fault, start + chord.span.start, Math.max(1, chord.span.length));
  }
  const slot: Slot = {
    chord: chord.value,
    push: push !== '',
    ring: open !== '',
    stop: marks.includes('!'),
    optional: marks.includes('?'),
    beats: length === '' ? null : beatsOf(length),
  };
  return { slot, faults: slot.ring && slot.stop ? [{ code: 'ring-and-stop', text: token }] : [] };
}

/** The slot as text, its chord written by `print`. */
export function printSlot(slot: Slot, print: (chord: NumberChord) => string = printNumber): string {
  const chord = slot.chord === null ? 'NC' : print(slot.chord);
  const rung = slot.ring ? `<${chord}>` : chord;
  return `${slot.push ? '>' : ''}${rung}${slot.stop ? '!' : ''}${slot.optional ? '?' : ''}${printBeats(slot.beats)}`;
}

function printBeats(beats: number | null): string {
  if (beats === null) return '';
  return '.'.repeat(Math.floor(beats)) + (beats % 1 === 0 ? '' : ',');
}

function beatsOf(length: string): number {
  return length.endsWith(',') ? length.length - 0.5 : length.length;
}

function markFault(token: string, core: string): Fault {
  return /\d|[A-G]/.test(core) ? { code: 'mark-order', text: token } : { code: 'token-unreadable', text: token };
}

function refuse(fault: Fault, start: number, length: number): SlotRefusal {
  return { fault, start, length };
}
