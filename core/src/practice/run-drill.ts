import type { Chord } from '../chord/chord.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { modesOf } from '../harmony/belonging.ts';
import { harmonize } from '../harmony/harmonize.ts';
import type { Key } from '../key/key.ts';
import { arpeggioRun } from '../run/arpeggio.ts';
import { fillBars } from '../run/fill-bars.ts';
import { NO_RUN, type Run } from '../run/run.ts';
import { scaleRun } from '../run/scale-run.ts';
import { sweepRun } from '../run/sweep.ts';
import type { RunStudy } from './catalogue.ts';
import type { Drill } from './drill-step.ts';

const POSITION = 5;
const SETS: Readonly<Record<string, readonly (readonly number[])[]>> = {
  'sweep triads': [[3, 2, 1]],
  'sweep two sets': [
    [5, 4, 3],
    [3, 2, 1],
  ],
  'sweep five strings': [[5, 4, 3, 2, 1]],
  'sweep with scale': [[3, 2, 1]],
  'sweep chained': [
    [5, 4, 3],
    [3, 2, 1],
  ],
};

type Ways = Readonly<Partial<Record<RunStudy, (chords: readonly Chord[], key: Key, instrument: Instrument) => Run>>>;

const arpeggios = (over: Partial<Parameters<typeof arpeggioRun>[1]>) => (chords: readonly Chord[], _: Key, instrument: Instrument) =>
  arpeggioRun(
    chords,
    {
      place: { kind: 'position', position: Math.max(POSITION, instrument.capo) },
      octave: false,
      fragment: null,
      turning: true,
      back: false,
      picking: 'alternate',
      ...over,
    },
    instrument,
  );

const WAYS: Ways = {
  arpeggios: arpeggios({}),
  'one note a string': arpeggios({ place: { kind: 'strings', strings: [4, 3, 2, 1] } }),
  // a bass ends an arpeggio with the octave and comes back through the scale
  'bass arpeggios': (chords, key, instrument) => arpeggios({ octave: true, fragment: key })(chords, key, instrument),
  'muted strings': arpeggios({ place: { kind: 'strings', strings: [4, 3, 2, 1] } }),
};

/** Single notes through a key: a scale over each chord, arpeggios, sweeps. Null for no study of runs. */
export function runDrill(what: string, key: Key, instrument: Instrument, pace: 'slowly' | 'in time' = 'in time'): Drill | null {
  const sevenths = harmonize(key, 'seventh').map(({ chord }) => chord);
  const found = runOf(what as RunStudy, key, { sevenths, instrument });
  if (found === null || found.notes.length === 0) return null;
  const run = { ...found, notes: fillBars(found.notes) };
  const steps = run.notes.map(({ midi, beats, chord }) => ({
    chord: run.chords[chord] ?? null,
    number: null,
    voicing: null,
    tone: null,
    midi: [midi],
    beats: pace === 'slowly' ? beats * 2 : beats,
  }));
  const modes = modesOf(key).map(({ scale }, place) => ({ chord: sevenths[place] as Chord, scale }));
  return { steps, run, say: 'nothing', modes: what === 'scale over each chord' ? modes : [] };
}

interface Over {
  readonly sevenths: readonly Chord[];
  readonly instrument: Instrument;
}

function runOf(what: RunStudy, key: Key, { sevenths, instrument }: Over): Run | null {
  if (what === 'scale over each chord') return scalesOver(key, { sevenths, instrument });
  const sets = SETS[what];
  if (sets !== undefined) return sweeps(what, key, { sets, instrument });
  return WAYS[what]?.(sevenths, key, instrument) ?? null;
}

/** The same notes from each chord's root to its octave: every mode under its chord. */
function scalesOver(key: Key, { sevenths, instrument }: Over): Run {
  const wish = {
    layout: 'position',
    position: Math.max(POSITION, instrument.capo),
    string: 5,
    picking: 'alternate',
    octave: true,
    back: true,
  } as const;
  const runs = sevenths.map((chord) => scaleRun(key, { ...wish, from: chord.root }, instrument));
  return {
    notes: runs.flatMap(({ notes }, place) => notes.map((note) => ({ ...note, chord: place }))),
    chords: sevenths,
    left: runs.reduce((sum, { left }) => sum + left, 0),
  };
}

function sweeps(
  what: RunStudy,
  key: Key,
  { sets, instrument }: { readonly sets: readonly (readonly number[])[]; readonly instrument: Instrument },
): Run {
  const triads = harmonize(key, 'triad').map(({ chord }) => chord);
  const chords = what === 'sweep chained' ? [0, 3, 4, 0].map((degree) => triads[degree] as Chord) : triads.slice(0, 1);
  const swept = sweepRun(chords, { sets, position: instrument.capo, rooted: what !== 'sweep chained' }, instrument);
  if (what !== 'sweep with scale') return swept;
  const scale = scaleRun(
    key,
    {
      layout: 'position',
      position: Math.max(POSITION, instrument.capo),
      string: 1,
      from: null,
      picking: 'alternate',
      octave: true,
      back: true,
    },
    instrument,
  );
  return swept.notes.length === 0
    ? NO_RUN
    : { ...swept, notes: [...fillBars(swept.notes), ...scale.notes.map((note) => ({ ...note, chord: 0 }))] };
}
