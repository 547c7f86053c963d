/** Where in the given text a fault lies: 0-based offset and length in characters. */
export interface TextSpan {
  readonly start: number;
  readonly length: number;
}

/**
 * Everything that can be wrong with what a musician typed: a code and the evidence.
 * Sentences are made from these in `wording/`, nowhere else.
 */
export type Fault =
  | { readonly code: 'empty'; readonly wanted: 'note' | 'key' | 'chord' | 'tuning' }
  | { readonly code: 'note-letter'; readonly text: string }
  | { readonly code: 'note-rest'; readonly text: string; readonly rest: string }
  | { readonly code: 'note-accidentals'; readonly text: string; readonly easier: string }
  | { readonly code: 'pitch-octave'; readonly text: string }
  | { readonly code: 'range-notes'; readonly text: string }
  | { readonly code: 'range-upside-down'; readonly low: string; readonly high: string }
  | { readonly code: 'voice-outside'; readonly note: string; readonly low: string; readonly high: string }
  | { readonly code: 'scale-unknown'; readonly text: string; readonly nearest: string | null }
  | { readonly code: 'key-unspellable'; readonly key: string; readonly easier: string }
  | { readonly code: 'chord-lowercase'; readonly text: string }
  | { readonly code: 'chord-german'; readonly text: string }
  | { readonly code: 'quality-unknown'; readonly text: string; readonly rest: string }
  | { readonly code: 'quality-bare-alteration'; readonly text: string; readonly write: string }
  | { readonly code: 'quality-contradiction'; readonly text: string; readonly tones: string }
  | { readonly code: 'bass-unknown'; readonly text: string; readonly bass: string }
  | { readonly code: 'degree-range'; readonly text: string; readonly digit: string }
  | { readonly code: 'degree-accidentals'; readonly text: string }
  | { readonly code: 'number-run-together'; readonly text: string; readonly write: string }
  | { readonly code: 'number-six-nine'; readonly text: string; readonly write: string }
  | { readonly code: 'number-on-seven'; readonly text: string; readonly write: string }
  | { readonly code: 'token-unreadable'; readonly text: string }
  | InstrumentFault
  | FormatFault
  | ChartFault;

/** What can be wrong with a file of another format. */
type FormatFault =
  | { readonly code: 'format-broken'; readonly format: string; readonly detail: string }
  | { readonly code: 'format-other'; readonly format: string; readonly found: string }
  | { readonly code: 'format-empty'; readonly format: string }
  | { readonly code: 'format-large'; readonly format: string }
  | { readonly code: 'format-entities' }
  | { readonly code: 'format-timewise' }
  | { readonly code: 'format-newer'; readonly version: number; readonly known: number }
  | { readonly code: 'format-missing'; readonly format: string; readonly part: string };

/** What can be wrong with an instrument. */
export type InstrumentFault =
  | { readonly code: 'tuning-strings'; readonly strings: number; readonly fewest: number; readonly most: number }
  | { readonly code: 'tuning-pitch'; readonly string: number }
  | { readonly code: 'frets-range'; readonly frets: number; readonly fewest: number; readonly most: number }
  | { readonly code: 'capo-range'; readonly capo: number; readonly most: number }
  | { readonly code: 'comfort-range'; readonly fret: number; readonly fewest: number; readonly most: number }
  | { readonly code: 'scale-length'; readonly millimetres: number; readonly fewest: number; readonly most: number };

/** What can be wrong with a chart beyond a single symbol. */
export type ChartFault =
  | { readonly code: 'head-value'; readonly name: string; readonly value: string; readonly wanted: string }
  | { readonly code: 'head-twice'; readonly name: string }
  | { readonly code: 'key-missing' }
  | { readonly code: 'numbering-in-major'; readonly key: string }
  | { readonly code: 'unclosed'; readonly text: string; readonly closing: string }
  | { readonly code: 'section-rest'; readonly name: string; readonly rest: string }
  | { readonly code: 'section-nameless' }
  | { readonly code: 'count-range'; readonly text: string; readonly most: number }
  | { readonly code: 'beats-outside-bar'; readonly text: string }
  | { readonly code: 'beats-missing'; readonly text: string }
  | { readonly code: 'beats-sum'; readonly sum: number; readonly wanted: number }
  | { readonly code: 'beats-uneven'; readonly chords: number; readonly beats: number }
  | { readonly code: 'bar-empty' }
  | { readonly code: 'ring-and-stop'; readonly text: string }
  | { readonly code: 'mark-order'; readonly text: string }
  | { readonly code: 'repeat-in-bar'; readonly text: string }
  | { readonly code: 'repeat-nothing'; readonly bars: number }
  | { readonly code: 'pickup-range'; readonly text: string; readonly beats: number }
  | { readonly code: 'pickup-without-bar' }
  | { readonly code: 'change-unknown'; readonly text: string }
  | { readonly code: 'cue-wordless'; readonly text: string }
  | { readonly code: 'count-stray'; readonly text: string }
  | { readonly code: 'repeat-unopened' }
  | { readonly code: 'repeat-unclosed' }
  | { readonly code: 'ending-outside'; readonly passes: string }
  | { readonly code: 'ending-unclosed'; readonly passes: string }
  | { readonly code: 'ending-unopened' }
  | { readonly code: 'ending-passes'; readonly pass: number; readonly endings: number }
  | { readonly code: 'ending-count'; readonly times: number; readonly passes: number }
  | { readonly code: 'jump-target'; readonly jump: string; readonly missing: 'segno' | 'coda' | 'to coda' | 'fine' }
  | { readonly code: 'sign-twice'; readonly sign: string }
  | { readonly code: 'form-section-missing'; readonly name: string; readonly nearest: string | null }
  | { readonly code: 'form-section-twice'; readonly name: string }
  | { readonly code: 'form-and-jumps' }
  | { readonly code: 'performance-long'; readonly bars: number; readonly most: number }
  | { readonly code: 'two-bars-perhaps'; readonly text: string; readonly write: string };

export type FaultCode = Fault['code'];

export interface Success<T> {
  readonly ok: true;
  readonly value: T;
}

export interface Failure {
  readonly ok: false;
  readonly fault: Fault;
  readonly span: TextSpan;
}

/** What every `parseX` gives back: the value, or the fault and where in the text it lies. */
export type Result<T> = Success<T> | Failure;

export function success<T>(value: T): Success<T> {
  return { ok: true, value };
}

export function failure(fault: Fault, start: number, length: number): Failure {
  return { ok: false, fault, span: { start, length } };
}

/** The value of a Result that is known to be good; a Failure here is a bug in the caller. */
export function requireValue<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(`expected a value, got fault ${JSON.stringify(result.fault)}`);
}

/** The remainder that is never negative, as the circles of twelve and seven need it. */
export function mod(value: number, size: number): number {
  return ((value % size) + size) % size;
}
