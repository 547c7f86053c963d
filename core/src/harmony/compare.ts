import { formulaTones, type Tone } from '../chord/formula.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { letterStep, type Note } from '../pitch/note.ts';
import { type Depth, type HarmonizedChord, harmonize } from './harmonize.ts';

/** A letter that has another accidental in the other key. */
interface ChangedNote {
  readonly from: Note;
  readonly to: Note;
}

/** A tone of a chord that is another note in the other key. */
interface ChangedTone extends ChangedNote {
  /** What the note is in the chord before, and in the chord after. */
  readonly before: Tone;
  readonly after: Tone | undefined;
}

/** The chords of two keys on one letter. */
interface ComparedChord {
  readonly first: HarmonizedChord;
  readonly second: HarmonizedChord;
  /** Empty when the two are the same chord. */
  readonly changes: readonly ChangedTone[];
}

export interface ScaleComparison {
  readonly changed: readonly ChangedNote[];
  /** In the order of the first key's degrees. */
  readonly chords: readonly ComparedChord[];
}

/** Two keys side by side, letter by letter: which notes change, and what that does to each chord. */
export function compareKeys(first: Key, second: Key, depth: Depth): ScaleComparison {
  const partner = (note: Note) => keyNotes(second).find((other) => letterStep(other) === letterStep(note)) as Note;
  const others = harmonize(second, depth);
  const chords = harmonize(first, depth).map((chord) => {
    const match = others.find((other) => letterStep(other.chord.root) === letterStep(chord.chord.root)) as HarmonizedChord;
    return { first: chord, second: match, changes: changesBetween(chord, match) };
  });
  const changed = keyNotes(first)
    .map((from) => ({ from, to: partner(from) }))
    .filter(({ from, to }) => from !== to);
  return { changed, chords };
}

function changesBetween(first: HarmonizedChord, second: HarmonizedChord): readonly ChangedTone[] {
  const before = formulaTones(first.chord.formula);
  const after = formulaTones(second.chord.formula);
  return first.tones.flatMap(({ note }, index) => {
    const to = second.tones[index]?.note;
    const tone = before[index];
    return to === undefined || tone === undefined || to === note ? [] : [{ from: note, to, before: tone, after: after[index] }];
  });
}
