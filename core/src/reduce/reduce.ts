import type { Analysis } from '../analysis/analysis.ts';
import { analyze } from '../analysis/analyze.ts';
import type { Chord } from '../chord/chord.ts';
import { mod } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { chroma, letterStep } from '../pitch/note.ts';
import { type ScorePlace, timeOf } from '../score/place.ts';
import type { Score, ScoreNote } from '../score/score.ts';
import { barPrint } from './bar-print.ts';
import { cadencesOf } from './cadences.ts';
import type { Rhythm } from './chord-path.ts';
import type { Harmony } from './columns.ts';
import { type Grid, type Moment, momentAt } from './grid.ts';
import { type Harmonized, type HarmonizeWish, harmonizeScore } from './harmonize-score.ts';
import { inversionOf } from './inversion.ts';
import { keySpansOf } from './keys/key-spans.ts';
import { progressionOfHarmonies } from './progression-of.ts';
import type { Column, KeySpan, PedalSpan, ReducedTone, Reduction, SpelledPitch } from './reduction.ts';
import { placeOfSaid, type Remembered, type Said } from './said.ts';
import { leadingOf } from './tones/leading.ts';
import { pedalsOf } from './tones/pedals.ts';
import type { ToneKind } from './tones/tone-kinds.ts';
import { belongsTo, type StrangeTone, strangeTones } from './tones/tones.ts';

export interface ReduceWish {
  readonly rhythm?: Rhythm;
  readonly remembered?: readonly Remembered[];
}

/**
 * A written-out piece as its harmony: chords with their inversions, the notes outside them by their kinds, keys,
 * cadences and pedals. What the player says stands; the same piece always gives the same answer.
 */
export function reduce(score: Score, { rhythm = 'auto', remembered = [] }: ReduceWish = {}): Reduction {
  const stale = remembered.filter(({ said, print }) => barPrint(score, placeOfSaid(said).bar) !== print);
  const said = remembered.filter((one) => !stale.includes(one)).map((one) => one.said);
  const wish = wishOf(score, rhythm, said);
  const own = told(score, harmonizeScore(score, wish), wish, said);
  const ruled = said.length === 0 ? own : told(score, harmonizeScore(score, { ...wish, ...UNSAID }), { ...wish, ...UNSAID }, []);
  return { score, rhythm, ...withRuled(own, ruled, wish), stale };
}

const UNSAID = { borders: new Map(), chords: new Map(), keys: new Map(), tones: new Map() } satisfies Partial<HarmonizeWish>;

function wishOf(score: Score, rhythm: Rhythm, said: readonly Said[]): HarmonizeWish {
  const [borders, chords, keys] = [new Map<number, boolean>(), new Map<number, Chord>(), new Map<number, Key>()];
  const tones = new Map<number, ToneKind | 'chord'>();
  for (const one of said) {
    const at = timeOf(score, placeOfSaid(one));
    if (at === undefined) continue;
    if (one.kind === 'border') borders.set(at, one.isBorder);
    if (one.kind === 'chord') chords.set(at, one.chord);
    if (one.kind === 'key') keys.set(at, one.key);
    if (one.kind === 'tone') {
      const index = score.notes.findIndex(
        (note) => note.part === one.note.part && note.midi === one.note.midi && note.from <= at && at < note.to,
      );
      if (index >= 0) tones.set(index, one.tone);
    }
  }
  return { rhythm, borders, chords, keys, tones };
}

type Told = Pick<Reduction, 'columns' | 'tones' | 'keys' | 'cadences' | 'pedals' | 'analysis'>;

function told(score: Score, { grid, harmonies: found, keys }: Harmonized, wish: HarmonizeWish, said: readonly Said[]): Told {
  const harmonies = reconsidered(score, found, keys, wish).map((harmony) => withPedal(score, harmony, said));
  const cadences = cadencesOf(score, harmonies, keys);
  const { analysis, places } = analysisOf(score, harmonies, keys);
  const pedals = pedalsOf(harmonies);
  const spans = keySpansOf(grid, harmonies, keys, cadences, {
    begins: new Set(harmonies.flatMap(({ from }, index) => (wish.keys.has(from) ? [index] : []))),
    pivots: new Set(said.flatMap((one) => (one.kind === 'pivot' ? [harmonyAt(score, harmonies, one.at)] : []))),
  });
  const columns = columnsOf({ grid, harmonies, spans, pedals, wish, analysis, places });
  return { columns, tones: tonesOf(grid, harmonies, wish), keys: spans, cadences, pedals, analysis };
}

function analysisOf(score: Score, harmonies: readonly Harmony[], keys: readonly Key[]) {
  const phraseEnds = new Set(cadencesOf(score, harmonies, keys).map(({ harmony }) => harmony));
  const { progression, places } = progressionOfHarmonies(score, harmonies, keys, phraseEnds);
  return { analysis: analyze(progression), places };
}

/** Less sure than this a chord without a reading gives way to the runner-up that has one. */
const DOUBTFUL = 0.85;

/** A chord that nothing explains is looked at once more: where the next best name of its notes has a reading, it is that. */
function reconsidered(score: Score, harmonies: readonly Harmony[], keys: readonly Key[], { chords }: HarmonizeWish): readonly Harmony[] {
  const unread = unexplained(score, harmonies, keys);
  const mayTurn = ({ confidence, others, from }: Harmony, index: number) =>
    unread.has(index) && confidence < DOUBTFUL && others.length > 0 && !chords.has(from);
  if (!harmonies.some(mayTurn)) return harmonies;
  const turned = harmonies.map((harmony, index): Harmony => {
    const [next, ...others] = harmony.others;
    if (!mayTurn(harmony, index) || next === undefined || harmony.chord === null) return harmony;
    return { ...harmony, chord: next, others: [harmony.chord, ...others], isPedal: inversionOf(next) === null };
  });
  const stillUnread = unexplained(score, turned, keys);
  return turned.map((harmony, index) => (stillUnread.has(index) ? (harmonies[index] as Harmony) : harmony));
}

function unexplained(score: Score, harmonies: readonly Harmony[], keys: readonly Key[]): ReadonlySet<number> {
  const { analysis, places } = analysisOf(score, harmonies, keys);
  return new Set(places.filter((_, at) => analysis.chords[at]?.reading.kind === 'unexplained'));
}

function harmonyAt(score: Score, harmonies: readonly Harmony[], place: ScorePlace): number {
  const time = timeOf(score, place) ?? -1;
  return harmonies.findIndex(({ from, to }) => from <= time && time < to);
}

function withPedal(score: Score, harmony: Harmony, said: readonly Said[]): Harmony {
  const own = said.find((one) => one.kind === 'pedal' && timeOf(score, one.at) === harmony.from);
  return own?.kind === 'pedal' ? { ...harmony, isPedal: own.isPedal } : harmony;
}

interface ColumnsQuestion {
  readonly grid: Grid;
  readonly harmonies: readonly Harmony[];
  readonly spans: readonly KeySpan[];
  readonly pedals: readonly PedalSpan[];
  readonly wish: HarmonizeWish;
  readonly analysis: Analysis;
  /** Which harmony each chord of the analysis is. */
  readonly places: readonly number[];
}

function columnsOf({ grid, harmonies, spans, pedals, wish, analysis, places }: ColumnsQuestion): readonly Column[] {
  const placeOf = new Map(places.map((harmony, place) => [harmony, place]));
  return harmonies.map((harmony, index): Column => {
    const { from, to, chord, confidence, others, isPedal } = harmony;
    const inversion = chord === null ? null : inversionOf(chord);
    return {
      from,
      to,
      chord,
      confidence,
      others,
      isPedal,
      inversion,
      notes: pitchesIn(grid, harmony),
      key: spans.findIndex((span) => span.from <= from && from < span.to),
      analyzed: analysis.chords[placeOf.get(index) ?? -1] ?? null,
      place: placeOf.get(index) ?? null,
      mayBePedal: inversion === 3 || pedals.some(({ columns: [first, last] }) => first <= index && index <= last),
      leading: leadingOf(harmonies, index),
      by: wish.chords.has(from) || wish.borders.get(from) === true ? 'player' : 'rules',
      ruled: null,
    };
  });
}

/** What sounds of a chord, each pitch once, lowest first; all that sounds where nothing is decided. */
function pitchesIn({ score, moments }: Grid, { from, to, chord }: Harmony): readonly SpelledPitch[] {
  const found = new Map<number, SpelledPitch>();
  for (let at = momentAt({ moments }, from); at < moments.length && (moments[at] as Moment).from < to; at += 1)
    for (const index of (moments[at] as Moment).sounding) {
      const { note, midi } = score.notes[index] as ScoreNote;
      const isBass = chord !== null && chord.bass !== null && chroma(chord.bass) === mod(midi, 12);
      if (isBass || belongsTo({ midi }, chord)) found.set(midi, { note, midi });
    }
  return [...found.values()].sort((a, b) => a.midi - b.midi);
}

function tonesOf(grid: Grid, harmonies: readonly Harmony[], wish: HarmonizeWish): readonly ReducedTone[] {
  const found = strangeTones(grid, harmonies).filter(({ index }) => wish.tones.get(index) !== 'chord');
  const known = new Set(found.map(({ index }) => index));
  const { notes } = grid.score;
  const more = [...wish.tones].flatMap(([index, kind]): readonly StrangeTone[] => {
    const note = notes[index] as ScoreNote;
    return kind === 'chord' || known.has(index) ? [] : [{ index, at: note.from, kind, resolvesTo: grid.neighbours[index]?.after ?? null }];
  });
  return [...found, ...more]
    .sort((a, b) => a.index - b.index)
    .map((tone): ReducedTone => {
      const said = wish.tones.get(tone.index);
      const kind = said === undefined || said === 'chord' ? tone.kind : said;
      const column = harmonies.findIndex(({ from, to }) => from <= tone.at && tone.at < to);
      return {
        ...tone,
        kind,
        column,
        figures: figuresOf(grid, { ...tone, kind }, harmonies[column]),
        by: said === undefined ? 'rules' : 'player',
        ruled: null,
      };
    });
}

/** A suspension as its intervals over the bass: 4–3, 7–6, 9–8; in the bass itself 2–3. */
function figuresOf({ score }: Grid, { index, resolvesTo, kind }: StrangeTone, harmony: Harmony | undefined): ReducedTone['figures'] {
  const chord = harmony?.chord ?? null;
  if (chord === null || resolvesTo === null || (kind !== 'suspension' && kind !== 'retardation')) return null;
  const [note, goal] = [score.notes[index] as ScoreNote, score.notes[resolvesTo] as ScoreNote];
  const bass = chord.bass ?? chord.root;
  const over = (one: ScoreNote) => 1 + mod(letterStep(one.note) - letterStep(bass), 7);
  if (over(goal) === 1) return kind === 'suspension' ? [9, 8] : [7, 8];
  return [over(note), over(goal)];
}

/** What the player changed, beside what the rules make of it. */
function withRuled(own: Told, ruled: Told, wish: HarmonizeWish): Told {
  const ruledAt = (time: number) => ruled.columns.find(({ from, to }) => from <= time && time < to)?.chord ?? null;
  const ruledTone = new Map(ruled.tones.map(({ index, kind }) => [index, kind]));
  return {
    ...own,
    columns: own.columns.map((column) => (wish.chords.has(column.from) ? { ...column, ruled: ruledAt(column.from) } : column)),
    tones: own.tones.map((tone) => (tone.by === 'player' ? { ...tone, ruled: ruledTone.get(tone.index) ?? 'chord' } : tone)),
  };
}
