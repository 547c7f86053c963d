import {
  type ChainStage,
  type Cue,
  type Drill,
  type DrillStep,
  type Instrument,
  type Key,
  type Naming,
  nameChord,
  nameNote,
  nameStep,
  numberChord,
  numberInWords,
  printScaleNumber,
  qualityName,
  type Say,
  withGlyphs,
} from '@aurora/core';
import type { NeckDot } from '../../../parts/neck/neck-view.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';

/** What is said at a step, as it stands on the screen. */
export function sayWord({ tone, chord, number }: DrillStep, say: Say, naming: Naming): string {
  if (tone !== null) {
    if (say === 'steps') return nameStep(tone.step, naming.steps);
    return say === 'numbers' ? withGlyphs(printScaleNumber(tone.degree)) : nameNote(tone.note, naming.notes);
  }
  if (chord === null) return '';
  const name = nameChord(chord, naming);
  if (number === null || say === 'names') return name;
  if (say === 'qualities') return qualityName(chord.formula);
  return say === 'numbers' ? numberInWords(number, naming) : `${numberInWords(number, naming)}  ${name}`;
}

/** The places of a drill along one string, each once. */
export function toneDots(steps: readonly DrillStep[], say: Say, naming: Naming): readonly NeckDot[] {
  const places = new Map<string, NeckDot>();
  for (const step of steps) {
    const { tone, midi } = step;
    if (tone === null) continue;
    const note = nameNote(tone.note, naming.notes);
    const name = PRACTICE_WORDS.dot(note, tone.string, tone.fret);
    places.set(`${tone.string}:${tone.fret}`, {
      string: tone.string,
      fret: tone.fret,
      midi: midi[0] as number,
      root: tone.degree === 0,
      label: sayWord(step, say, naming),
      name,
    });
  }
  return [...places.values()];
}

/** The frets that are drawn: those that are played, and one to each side. */
export function fretsOf(
  dots: readonly NeckDot[],
  { frets }: Pick<Instrument, 'frets'>,
): { readonly firstFret: number; readonly lastFret: number } {
  const played = dots.map(({ fret }) => fret);
  const [low, high] = [Math.min(...played), Math.max(...played)];
  return { firstFret: Math.max(1, low - 1), lastFret: Math.min(frets, Math.max(high + 1, low + FEWEST_FRETS)) };
}

const FEWEST_FRETS = 5;

/** A chord of a chain as its stage shows it: by name, by its number in its own key, or not at all. Three chords are a key. */
export function chainWord({ chord }: DrillStep, stage: ChainStage, key: Key | null, naming: Naming): string | null {
  if (chord === null) return null;
  if (stage === 'reading' || stage === 'with a rhythm' || stage === 'broken order') return nameChord(chord, naming);
  if (stage !== 'numbers only' || key === null) return null;
  return numberInWords(numberChord(chord, key.tonic), naming);
}

/** The keys of the chords of a joined chain, chord by chord: every third chord is a home. */
export function keysOfChain({ steps }: Pick<Drill, 'steps'>, key: Key | null): readonly (Key | null)[] {
  return steps.map((_, at) => {
    const home = steps[Math.floor(at / CHORDS_A_KEY) * CHORDS_A_KEY + CHORDS_A_KEY - 1]?.chord;
    return home === undefined || home === null || key === null ? key : { ...key, tonic: home.root };
  });
}

const CHORDS_A_KEY = 3;
/** Stages at which names are not given away. */
const HIDDEN: readonly string[] = ['first letter', 'hidden', 'a beat later', 'blank', 'by ear', 'numbers only'] satisfies readonly (
  | Cue
  | ChainStage
)[];

/** What a drill is made of, by name: its chords, or the notes along a string; by count where names are hidden. */
export function placesOf({ run, modes, steps, say }: Drill, stage: string, naming: Naming): readonly string[] {
  if (HIDDEN.includes(stage)) return steps.map((_, place) => String(place + 1));
  if (run !== null) return modes.map(({ chord }) => nameChord(chord, naming));
  return steps.map((step) => (step.chord === null ? sayWord(step, say, naming) : nameChord(step.chord, naming)));
}

/** The step of the chord before the place where it broke; 0 for the top. */
export function stepBefore({ run, steps }: Drill, brokeAt: number): number {
  const before = brokeAt - 2;
  if (run !== null)
    return Math.max(
      0,
      run.notes.findIndex(({ chord }) => chord === before),
    );
  return brokeAt > steps.length ? 0 : Math.max(0, before);
}

/** Which of these places sounds at a step. */
export function placeNow({ run }: Drill, at: number | null): number | null {
  return at === null || run === null ? at : (run.notes[at]?.chord ?? null);
}
