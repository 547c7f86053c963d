import { type Chord, chordNotes } from '../src/chord/chord.ts';
import { chordOnTonic } from '../src/degree/degree.ts';
import { parseNumberOrLetters } from '../src/degree/number-text.ts';
import { requireValue } from '../src/fault.ts';
import type { Key } from '../src/key/key.ts';
import { chroma } from '../src/pitch/note.ts';
import { diceOf } from '../src/practice/dice.ts';
import { CHORD_KINDS } from '../src/reduce/kinds.ts';
import { inOrder, type Measure, type Score, TICKS } from '../src/score/score.ts';
import { type PlannedHarmony, type PlannedPiece, type PlannedTone, STYLES, type Style } from './planned-piece.ts';
import { scaleOf, Writer } from './planned-writer.ts';

/** Phrases in numbers, bar by bar; two chords share a bar. */
const PHRASES: Readonly<Record<'major' | 'minor', readonly string[]>> = {
  major: [
    '1 | 6- | 2-/4 57 | 1',
    '1 5/7 | 6- | 4 2-7/4 | 5',
    '1/3 4 | 57/4 1/3 | 2-7 57 | 1',
    '1 | 27/#4 | 5 57/4 | 1/3',
    '6- | 67/#1 | 2- 57/7 | 1',
    '1 17/b7 | 4/6 4-/b6 | 1/5 57 | 1',
    '3- | 6- | 2-7 57 | 6-',
    '1 | #4o7 | 5 57/7 | 1',
    '1 4 | 1/3 4 | 5 57 | 1',
  ],
  minor: [
    '1- | 4-/b6 | 2-7b5/4 57 | 1-',
    '1- 5/7 | 1- | b6 4-/b6 | 5',
    '1-/b3 4- | 57/2 1-/b3 | 2-7b5 57 | 1-',
    '1- | 7o7 | 1- 57 | 1-',
    'b6 | b3 | 2-7b5/4 57/7 | 1-',
    '17/3 | 4- | #4o7 57 | 1-',
  ],
};
/** The same over the tonic as a pedal. */
const PEDALS = { major: '1 | 4/1 | 57/1 | 1', minor: '1- | 4-/1 | 57/1 | 1-' } as const;

/** Ends on its 1, and after a 5 that stands on its root. */
const CLOSED = /\| 1-?$/;
const CONFIRMING = /57 \| 1-?$/;

/** Where a bar needs all its beats to say its chord, each has one. */
const BY_BAR: ReadonlySet<Style> = new Set(['waltz', 'horns', 'two-part']);

/** Styles that begin over a pedal now and then. */
const LYING: ReadonlySet<Style> = new Set(['study', 'broken']);

const METERS: Readonly<Record<Style, readonly (readonly [beats: number, unit: number])[]>> = {
  chorale: [
    [4, 4],
    [3, 4],
  ],
  broken: [[4, 4]],
  study: [
    [2, 4],
    [3, 4],
    [4, 4],
  ],
  waltz: [
    [3, 4],
    [6, 8],
  ],
  horns: [
    [4, 4],
    [3, 4],
  ],
  'two-part': [
    [4, 4],
    [2, 4],
  ],
};

/** A piece written out from a plan, with notes outside the chords put in by their definitions. */
export function plannedPiece(style: Style, seed: number): PlannedPiece {
  const { next: roll, pick } = diceOf(seed * 7919 + STYLES.indexOf(style));
  const [beats, unit] = pick(METERS[style]);
  const bar = (beats * TICKS * 4) / unit;
  const plan = new Plan(style, bar, splitOf(beats, unit), roll);
  const { notes, tones } = new Writer(style, roll, plan.harmonies, { beats, unit }).write();
  const score: Score = {
    title: `${style} ${seed}`,
    by: '',
    parts: [...new Set(notes.map(({ part }) => part))].map((id) => ({ id, name: id })),
    measures: measuresOf(plan, { beats, unit }),
    notes: inOrder(notes),
    names: [],
    tempo: null,
  };
  const harmonies = plan.harmonies.map((harmony) => ({
    ...harmony,
    accept: acceptedFor(harmony, score, tones),
    keys: keysAround(plan.harmonies, harmony, 2 * bar),
  }));
  return { style, score, harmonies, tones };
}

/** Keys and harmonies, phrase by phrase. */
class Plan {
  readonly harmonies: PlannedHarmony[] = [];
  readonly home: Key;
  readonly bar: number;
  #time = 0;
  readonly #split: number;

  constructor(style: Style, bar: number, split: number, roll: () => number) {
    this.bar = bar;
    this.#split = split;
    const isMinor = roll() < 0.5;
    this.home = { tonic: Math.floor(roll() * 11) - 4 + (isMinor ? 1 : 0), scale: isMinor ? 'harmonic minor' : 'major' };
    const phrases = 3 + Math.floor(roll() * 4);
    const wanders = phrases > 3 && roll() < 0.6;
    const away = awayFrom(this.home, roll);
    for (let phrase = 0; phrase < phrases; phrase += 1) {
      const isAway = wanders && (phrase === 1 || phrase === 2) && phrase < phrases - 1;
      const key = isAway ? away : this.home;
      const lies = phrase === 0 && LYING.has(style) && roll() < 0.5;
      const wanted = wantedPhrase(isAway || phrase === 0, phrase === phrases - 1);
      const fitting = PHRASES[modeOf(key)].filter((bars) => wanted.test(bars));
      this.#phrase(key, lies ? PEDALS[modeOf(key)] : pickOf(fitting, roll), BY_BAR.has(style));
    }
  }

  get bars(): number {
    return this.#time / this.bar;
  }

  #phrase(key: Key, text: string, isByBar: boolean): void {
    const bars = text.split(' | ').map((bar) => bar.split(' '));
    const rows = isByBar ? bars.flat().map((chord) => [chord]) : bars;
    for (const row of rows) {
      const cuts = row.length === 1 ? [0, this.bar] : [0, this.#split * this.bar, this.bar];
      row.forEach((token, place) => {
        const [from, to] = [this.#time + (cuts[place] as number), this.#time + (cuts[place + 1] as number)];
        this.harmonies.push({ from, to, chord: chordOnTonic(requireValue(parseNumberOrLetters(token, 0)), key.tonic), key });
      });
      this.#time += this.bar;
    }
  }
}

/** A key is one only once a cadence says so, and a piece says first where it is; in the end it closes. */
function wantedPhrase(isFresh: boolean, isLast: boolean): RegExp {
  if (isFresh) return CONFIRMING;
  return isLast ? CLOSED : /./;
}

const modeOf = ({ scale }: Key) => (scale === 'major' ? 'major' : 'minor');
const pickOf = <One>(values: readonly One[], roll: () => number) => values[Math.floor(roll() * values.length)] as One;
const splitOf = (beats: number, unit: number) => (unit === 8 ? 1 / 2 : beats === 3 ? 2 / 3 : 1 / 2);

function awayFrom({ tonic, scale }: Key, roll: () => number): Key {
  if (scale !== 'major') return { tonic: tonic - 3, scale: 'major' };
  return roll() < 0.5 ? { tonic: tonic + 1, scale: 'major' } : { tonic: tonic + 3, scale: 'harmonic minor' };
}

function measuresOf({ bars, bar, home }: Plan, meter: Measure['meter']): readonly Measure[] {
  const isMajor = home.scale === 'major';
  return Array.from({ length: bars }, (_, index): Measure => {
    const fifths = isMajor ? home.tonic : home.tonic - 3;
    return { number: index + 1, from: index * bar, to: (index + 1) * bar, meter, fifths, mode: isMajor ? 'major' : 'minor' };
  });
}

/**
 * The chords of the key that hold every planned tone that sounds over the same bass: sparse writing leaves
 * more than one.
 */
function acceptedFor(harmony: PlannedHarmony, { notes }: Score, tones: readonly PlannedTone[]): readonly Chord[] {
  const { from, to, chord, key } = harmony;
  const bass = chord.bass ?? chord.root;
  const own = [...scaleOf(key, 1), ...scaleOf(key, -1), ...(key.scale === 'major' ? [] : [key.tonic + 3])].map(chroma);
  const sounding = new Set(
    notes
      .filter((note) => note.from < to && note.to > from)
      .filter(
        (note) =>
          !tones.some(
            ({ at, midi, part }) => midi === note.midi && part === note.part && at >= note.from && at < note.to && at >= from && at < to,
          ),
      )
      .map(({ note }) => chroma(note)),
  );
  const others = CHORD_KINDS.slice(0, PLAIN).flatMap(({ formula }) =>
    Array.from({ length: 12 }, (_, place): Chord => ({ root: key.tonic - 5 + place, formula, bass: null })),
  );
  const accepted = others
    .filter((other) => other.root !== chord.root || other.formula !== chord.formula)
    .filter((other) => {
      const pitches = chordNotes(other).map(chroma);
      return (
        [...sounding].every((pitch) => pitches.includes(pitch)) &&
        pitches.includes(chroma(bass)) &&
        pitches.every((pitch) => own.includes(pitch))
      );
    })
    .map((other) => ({ ...other, bass: chroma(other.root) === chroma(bass) ? null : bass }));
  return [chord, ...accepted];
}

/** Two bars around a border both keys count. */
function keysAround(harmonies: readonly PlannedHarmony[], { from, to, key }: PlannedHarmony, near: number): readonly Key[] {
  return [
    key,
    ...harmonies.filter((other) => other.key !== key && other.from < to + near && other.to > from - near).map((other) => other.key),
  ];
}

/** Triads and plain sevenths come first among the qualities. */
const PLAIN = 8;
