import { pulseOf } from '../chart/timeline.ts';
import { mod } from '../fault.ts';
import { type Neighbours, neighboursOf } from '../score/lines.ts';
import { accentIn, pulseTicks } from '../score/place.ts';
import type { Measure, Score, ScoreNote } from '../score/score.ts';
import { lastBy } from '../score/search.ts';
import type { ToneKind } from './tones/tone-kinds.ts';

/** A piece cut where harmony may change, with how long each pitch of it sounds. */
export interface Grid {
  readonly score: Score;
  readonly neighbours: readonly Neighbours[];
  readonly moments: readonly Moment[];
  /** For each pitch class, how long it sounds up to a moment, in pulses: differences give any stretch. */
  readonly heard: readonly Float64Array[];
  /** What the player says of notes. */
  readonly said: TonesSaid;
}

export interface Moment {
  readonly from: number;
  readonly to: number;
  readonly accent: 0 | 1 | 2 | 3;
  readonly measure: number;
  /** How long it is, in pulses. */
  readonly pulses: number;
  /** The notes that sound in it. */
  readonly sounding: readonly number[];
  /** How many notes begin with it, and whether one of them is the lowest. */
  readonly begun: number;
  readonly bassBegins: boolean;
  /** How much of what sounds in the pulse from here did not sound in the pulse before, from 0 to 1. */
  readonly novelty: number;
  /** The lowest note of the first pulse from here on; null in silence. */
  readonly bass: number | null;
}

/** What the player says of notes, by their place: that they belong to their chord, or what they are beside it. */
export type TonesSaid = ReadonlyMap<number, ToneKind | 'chord'>;
const NOTHING_SAID: TonesSaid = new Map();
const NONE_DRAWN: ReadonlySet<number> = new Set();

/** Cuts a piece into moments at every beat, at every half beat at which something begins, and at times where somebody drew a border. */
export function gridOf(score: Score, said: TonesSaid = NOTHING_SAID, drawn: ReadonlySet<number> = NONE_DRAWN): Grid {
  const neighbours = neighboursOf(score.notes);
  const spans = cutsOf(score, drawn);
  const sounding = soundingIn(score.notes, spans);
  const plain = spans.map(({ from, to, measure }, at): Omit<Moment, 'novelty'> => {
    const notes = sounding[at] as readonly number[];
    const own = score.measures[measure] as Measure;
    const begun = notes.filter((index) => (score.notes[index] as ScoreNote).from === from);
    const lowest = lowestOf(score.notes, notes);
    return {
      from,
      to,
      measure,
      accent: accentIn(own, from),
      pulses: (to - from) / pulseTicks(own),
      sounding: notes,
      begun: begun.length,
      bassBegins: lowest !== null && begun.includes(lowest),
      bass: bassFrom(score, spans, sounding, at),
    };
  });
  const heard = heardIn(score, plain, said);
  const moments = plain.map((moment, at) => ({ ...moment, novelty: noveltyAt(plain, heard, at) }));
  return { score, neighbours, moments, heard, said };
}

interface Span {
  readonly from: number;
  readonly to: number;
  readonly measure: number;
}

function cutsOf({ measures, notes }: Score, drawn: ReadonlySet<number>): readonly Span[] {
  const begins = new Set(notes.map(({ from }) => from));
  return measures.flatMap((measure, index): readonly Span[] => {
    const step = halfBeat(measure);
    const cuts: number[] = [];
    for (let time = measure.from; time < measure.to; time += step)
      if (time === measure.from || begins.has(time) || drawn.has(time) || accentIn(measure, time) > 0) cuts.push(time);
    return cuts.map((from, at) => ({ from, to: cuts[at + 1] ?? measure.to, measure: index }));
  });
}

/** Half a beat; in compound meters a third of one. */
function halfBeat(measure: Measure): number {
  return pulseTicks(measure) / (pulseOf(measure.meter) === 3 ? 3 : 2);
}

function soundingIn(notes: readonly ScoreNote[], spans: readonly Span[]): readonly (readonly number[])[] {
  let next = 0;
  let open: number[] = [];
  return spans.map(({ from, to }) => {
    while (next < notes.length && (notes[next] as ScoreNote).from < to) open.push(next++);
    open = open.filter((index) => (notes[index] as ScoreNote).to > from);
    return [...open];
  });
}

function lowestOf(notes: readonly ScoreNote[], among: readonly number[]): number | null {
  let lowest: number | null = null;
  for (const index of among) if (lowest === null || (notes[index] as ScoreNote).midi < (notes[lowest] as ScoreNote).midi) lowest = index;
  return lowest;
}

/** The lowest of what sounds in the first pulse from a moment on. */
function bassFrom(score: Score, spans: readonly Span[], sounding: readonly (readonly number[])[], at: number): number | null {
  const { from, measure } = spans[at] as Span;
  const end = from + pulseTicks(score.measures[measure] as Measure);
  let found: number | null = null;
  for (let here = at; here < spans.length && ((spans[here] as Span).from < end || found === null); here += 1) {
    const begun = (sounding[here] as readonly number[]).filter(
      (index) => here === at || (score.notes[index] as ScoreNote).from < end || found === null,
    );
    const lowest = lowestOf(score.notes, begun);
    if (lowest !== null && (found === null || isUnder(score.notes, lowest, found))) found = lowest;
    if (here - at > FARTHEST) break;
  }
  return found;
}

/** How many moments a bass is waited for. */
const FARTHEST = 8;

/** Whether a later note is the bass rather than one that began earlier: it is lower, and no step of the same line. */
function isUnder(notes: readonly ScoreNote[], later: number, earlier: number): boolean {
  const [low, high] = [notes[later] as ScoreNote, notes[earlier] as ScoreNote];
  if (low.midi >= high.midi) return false;
  return low.part !== high.part || low.voice !== high.voice || low.from === high.from;
}

/** What of the pitches in the pulse from a moment on is new against the pulse before it. */
function noveltyAt(moments: readonly Omit<Moment, 'novelty'>[], heard: readonly Float64Array[], at: number): number {
  let [begin, end] = [at, at];
  for (let pulses = 0; begin > 0 && pulses < 1; begin -= 1) pulses += (moments[begin - 1] as Moment).pulses;
  for (let pulses = 0; end < moments.length && pulses < 1; end += 1) pulses += (moments[end] as Moment).pulses;
  let [fresh, all] = [0, 0];
  for (const sums of heard) {
    const [before, after] = [(sums[at] as number) - (sums[begin] as number), (sums[end] as number) - (sums[at] as number)];
    all += after;
    fresh += Math.max(0, after - before);
  }
  return all === 0 ? 0 : fresh / all;
}

/** How long each pitch class sounds up to each moment, in pulses; what is doubled is no more of a chord. */
function heardIn(score: Score, moments: readonly Omit<Moment, 'novelty'>[], said: TonesSaid): readonly Float64Array[] {
  const heard = Array.from({ length: 12 }, () => new Float64Array(moments.length + 1));
  moments.forEach((moment, at) => {
    const long = new Float64Array(12);
    for (const index of moment.sounding) {
      const about = said.get(index);
      if (about !== undefined && about !== 'chord') continue;
      const note = score.notes[index] as ScoreNote;
      const share = (Math.min(note.to, moment.to) - Math.max(note.from, moment.from)) / (moment.to - moment.from);
      const pitch = mod(note.midi, 12);
      long[pitch] = Math.max(long[pitch] as number, share * moment.pulses);
    }
    heard.forEach((sums, pitch) => {
      sums[at + 1] = (sums[at] as number) + (long[pitch] as number);
    });
  });
  return heard;
}

/** The moment that begins at a time or is under way at it. */
export function momentAt({ moments }: Pick<Grid, 'moments'>, time: number): number {
  return lastBy(moments, time);
}
