import type { BarChord, WrittenBar } from '../chart/bars.ts';
import { formulaOf } from '../chord/formula.ts';
import type { NumberChord } from '../degree/degree.ts';

const MAJOR = formulaOf('1', '3', '5');

/** What the bass plays of a chord, as a plain number: its root, or the note under the slash. */
export function bassOf({ degree, bass }: NumberChord): NumberChord {
  return { degree: bass ?? degree, formula: MAJOR, bass: null };
}

/** A chord as a drummer reads it: something that falls with a mark, or time that is kept. */
export function beatSign({ push, ring, stop }: Pick<BarChord, 'push' | 'ring' | 'stop'>): '×' | '–' {
  return push || ring || stop ? '×' : '–';
}

/** The chords of a bar a drummer has to know of: all where something falls, else one for the bar. */
export function drummedChords({ chords }: Pick<WrittenBar, 'chords'>): readonly BarChord[] {
  const told = chords.some(({ chord, push, ring, stop }) => chord === null || push || ring || stop);
  return told ? chords : chords.slice(0, 1).map((chord) => ({ ...chord, beats: null }));
}
