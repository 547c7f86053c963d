import type { WrittenBar } from '../chart/bars.ts';
import type { Place, Problem } from '../chart/chart.ts';
import { type ChartReading, lettersFrom, readChart } from '../chart/reading.ts';
import { linesOf } from '../chart/text-lines.ts';
import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { OpenChart } from '../edit/bar-edits.ts';
import type { FaultCode } from '../fault.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';

/** A chord of a progression, in its place. */
export interface ProgressionChord {
  readonly chord: Chord;
  /** The chord as its chart counts it. */
  readonly number: NumberChord;
  /** Index of the written bar, and the chord's place in it, both from 0. */
  readonly bar: number;
  readonly place: number;
  /** Index into `keys`: the key the chart is in here. */
  readonly stretch: number;
  /** Others may leave it out. */
  readonly optional: boolean;
  /** Whether a line, a section or the whole progression ends behind it. */
  readonly endsPhrase: boolean;
  readonly at: Place;
}

/** Something that was meant as a chord and could not be read. */
interface UnreadChord {
  readonly text: string;
  /** How many chords of the progression stand before it. */
  readonly before: number;
  readonly problem: Problem;
}

/** Chords in the order they are written, from a chart or from plain chords. */
export interface Progression {
  readonly chords: readonly ProgressionChord[];
  readonly unread: readonly UnreadChord[];
  /** The keys the chart itself names, first its home. */
  readonly keys: readonly Key[];
  /** Whether the home key is given: by a head line, or because the chords are written as numbers. */
  readonly keyGiven: boolean;
  /** The chart it was read from, with every problem found in it. */
  readonly chart: ChartReading;
}

/** Faults of a token that was meant as a chord. */
const CHORD_FAULTS: ReadonlySet<FaultCode> = new Set<FaultCode>([
  'note-letter',
  'note-accidentals',
  'chord-lowercase',
  'chord-german',
  'quality-unknown',
  'quality-bare-alteration',
  'quality-contradiction',
  'bass-unknown',
  'degree-range',
  'degree-accidentals',
  'number-run-together',
  'number-six-nine',
  'number-on-seven',
  'token-unreadable',
  'mark-order',
]);

const NUMBER_TOKEN = /(?<![^\s(|><])[b#♭♯]*[1-7]/g;
const LETTER_TOKEN = /(?<![^\s(|><])[A-G]/g;
const LONGEST_SHOWN = 40;

/**
 * Reads chart text, or chords separated by spaces, commas, dashes and bar lines. Whatever the text,
 * the chords that can be read are there; the others stand in `unread`. With a tonic, a chart is
 * read with its home there.
 */
export function readProgression(source: string, tonic?: Note): Progression {
  return progressionIn(source, readChart(withoutSeparators(source)), tonic);
}

/** The same of a text that has been read already. */
export function progressionOf({ source, reading }: OpenChart, tonic?: Note): Progression {
  const plain = withoutSeparators(source);
  return progressionIn(source, plain === source ? reading : readChart(plain), tonic);
}

function progressionIn(source: string, chart: ChartReading, tonic?: Note): Progression {
  const letters = lettersFrom(chart, tonic ?? chart.head.key.tonic);
  const chords = chart.bars.flatMap((bar, index) =>
    bar.chords.flatMap(({ chord, optional }, place): ProgressionChord[] => {
      if (chord === null) return [];
      const endsPhrase = place === bar.chords.length - 1 && phraseEnds(bar, chart.bars[index + 1]);
      return [
        {
          chord: letters.chordIn(chord, bar.stretch),
          number: chord,
          bar: index,
          place,
          stretch: bar.stretch,
          optional,
          endsPhrase,
          at: bar.at,
        },
      ];
    }),
  );
  const keyGiven = chart.head.keyNamed || countOf(source, NUMBER_TOKEN) > countOf(source, LETTER_TOKEN);
  return { chords, unread: unreadChords(source, chart, chords), keys: letters.keys, keyGiven, chart };
}

const WORDS = /["~[\]:@{}]|\/\//;
const COMMA = /,(?=\s|$)(?![^(]*\))/g;
const DASH = /(?<=\s)(?:[-–—→]|->|=>)(?=\s)/g;

/** A root and behind a space what is said of it: `D min7`, `G dom7`. */
const SPOKEN_APART =
  /(?<![^\s(|])([A-G][b#♭♯]?)( +)((?:half-?dim(?:inished)?|min(?:or)?|maj(?:or)?|dim(?:inished)?|aug(?:mented)?|dom(?:inant)?|sus|m|M)\d{0,2}(?:[b#♭♯]\d{1,2})*)(?=[\s|)]|$)/g;

/** Commas and lone dashes or arrows between chords become spaces, and what is said of a root stands right behind it; everything else keeps its column. */
function withoutSeparators(source: string): string {
  const lines = source.split(/(\r\n|\r|\n)/);
  return lines
    .map((line) =>
      WORDS.test(line)
        ? line
        : line
            .replace(COMMA, ' ')
            .replace(DASH, (dash) => ' '.repeat(dash.length))
            .replace(SPOKEN_APART, '$1$3$2'),
    )
    .join('');
}

function countOf(source: string, pattern: RegExp): number {
  return source.match(pattern)?.length ?? 0;
}

/** A phrase ends where the written line or the section does. */
function phraseEnds(bar: WrittenBar, next: WrittenBar | undefined): boolean {
  return next === undefined || next.line !== bar.line || next.section !== bar.section;
}

function unreadChords(source: string, chart: ChartReading, chords: readonly ProgressionChord[]): readonly UnreadChord[] {
  const faults = chart.problems.filter(({ fault, severity }) => severity === 'error' && CHORD_FAULTS.has(fault.code));
  const lines = faults.length === 0 ? [] : linesOf(source);
  return faults.map((problem, index) => {
    const line = lines[problem.at.line - 1] ?? '';
    return { text: tokenAt(line, problem.at.column - 1), before: chordsBefore(problem.at, line, faults.slice(0, index), chords), problem };
  });
}

/** How many chords stand before a place; within a bar its tokens are counted, as chords only know their bar. */
function chordsBefore(place: Place, line: string, unread: readonly Problem[], chords: readonly ProgressionChord[]): number {
  const startsBefore = ({ at }: ProgressionChord) => at.line < place.line || (at.line === place.line && at.column <= place.column);
  const before = chords.filter(startsBefore);
  const bar = before.at(-1)?.bar;
  const start = before.at(-1)?.at;
  if (start === undefined || start.line !== place.line) return before.length;
  const tokens = line.slice(start.column - 1, tokenStart(line, place.column - 1)).match(/[^\s|()]+/g)?.length ?? 0;
  const faulty = unread.filter(({ at }) => at.line === place.line && at.column >= start.column).length;
  return before.filter((chord) => chord.bar !== bar || chord.place < tokens - faulty).length;
}

/** Where the token around a column of a line begins. */
function tokenStart(line: string, column: number): number {
  return Math.max(...[' ', '\t', '|', '('].map((sign) => line.lastIndexOf(sign, column))) + 1;
}

/** The whole token around a column of a line. */
function tokenAt(line: string, column: number): string {
  const rest = line.slice(tokenStart(line, column));
  const end = rest.search(/[\s|)]/);
  return (end < 0 ? rest : rest.slice(0, Math.max(end, 1))).slice(0, LONGEST_SHOWN);
}
