import type { NumberChord } from '../degree/degree.ts';
import type { Fault } from '../fault.ts';
import type { Key } from '../key/key.ts';

/** Where something stands in the chart text: 1-based line and column, length in characters. */
export interface Place {
  readonly line: number;
  readonly column: number;
  readonly length: number;
}

/** A chord in its place in a bar, with the marks around it. */
export interface Slot {
  /** Null where nobody plays a chord (NC). */
  readonly chord: NumberChord | null;
  /** Enters an eighth early. */
  readonly push: boolean;
  /** Let ring, drawn in a diamond. */
  readonly ring: boolean;
  /** Struck short and choked. */
  readonly stop: boolean;
  /** Others may leave it out. */
  readonly optional: boolean;
  /** Beats as marked in the text, in halves; null when unmarked. */
  readonly beats: number | null;
}

/** What changes from here on, or for the next bar. */
export type Change =
  | { readonly kind: 'key'; readonly key: Key }
  | { readonly kind: 'step'; readonly semitones: number }
  | { readonly kind: 'meter'; readonly meter: Meter }
  | { readonly kind: 'tempo'; readonly bpm: number }
  | { readonly kind: 'pickup'; readonly beats: number };

/** Beats a bar and the note value that is one beat: 6/8 is `{ beats: 6, unit: 8 }`. */
export interface Meter {
  readonly beats: number;
  readonly unit: number;
}

/** A mark that says in which order bars are played. */
export type FormMark =
  | { readonly kind: 'repeat-open' }
  /** How often in all; null for twice. */
  | { readonly kind: 'repeat-close'; readonly times: number | null }
  /** The passes it is played on, counted from 1. */
  | { readonly kind: 'ending-open'; readonly passes: readonly number[] }
  | { readonly kind: 'ending-close' }
  | { readonly kind: 'sign'; readonly sign: 'segno' | 'coda' | 'fine' }
  | { readonly kind: 'to-coda' }
  | FormJump;

/** D.C. or D.S.; plain ones heed both To Coda and Fine on the way. Repeats are left out after it unless kept. */
export interface FormJump {
  readonly kind: 'jump';
  readonly to: 'start' | 'segno';
  readonly until: 'coda' | 'fine' | 'either';
  readonly keepRepeats: boolean;
}

/** One thing on a line of music, in the order it is written. */
export type MusicItem = { readonly at: Place } /** `broken` is the bar as typed when not all of it could be read. */ & (
  | { readonly kind: 'bar'; readonly slots: readonly Slot[]; readonly broken: string | null }
  /** `%` or `%%`: the one or two bars before, again. */
  | { readonly kind: 'again'; readonly bars: 1 | 2 }
  | { readonly kind: 'change'; readonly change: Change }
  | { readonly kind: 'remark'; readonly text: string }
  | { readonly kind: 'cue'; readonly to: string; readonly text: string }
  | { readonly kind: 'form'; readonly mark: FormMark }
  /** What could not be read, kept so that nothing typed is lost. */
  | { readonly kind: 'unread'; readonly text: string }
);

/** One line of a chart's body. */
export type BodyLine = { readonly at: Place } & (
  | { readonly kind: 'section'; readonly name: string; readonly times: number | null; readonly remark: string | null }
  | { readonly kind: 'music'; readonly items: readonly MusicItem[] }
  /** Lyrics or a cue line under the bars above. */
  | { readonly kind: 'words'; readonly text: string }
  | { readonly kind: 'comment'; readonly text: string }
);

export type HeadLine = { readonly at: Place } & (
  | { readonly kind: 'field'; readonly name: string; readonly value: string }
  | { readonly kind: 'comment'; readonly text: string }
);

/** A chart as written. Numbers are the truth; letters are made from them when it is read in a key. */
export interface Chart {
  readonly head: readonly HeadLine[];
  readonly body: readonly BodyLine[];
}

/** `error`: the text does not say what to play; `warning`: it may not be meant; `info`: for knowledge. */
export type Severity = 'error' | 'warning' | 'info';

export interface Problem {
  readonly fault: Fault;
  readonly severity: Severity;
  readonly at: Place;
}
