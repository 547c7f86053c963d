import type { AnalyzedChord } from '../analysis/analysis.ts';
import { formulaTones } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { Told } from './told.ts';

const FEWEST = 3;
const PLACES: Readonly<Record<number, string>> = {
  2: 'second',
  3: 'third',
  4: 'fourth',
  5: 'fifth',
  6: 'sixth',
  7: 'seventh',
  9: 'ninth',
  11: 'eleventh',
  13: 'thirteenth',
};

/**
 * What a bass of its own does: it walks by step through three chords or more, it puts a tone of the chord lowest, or it
 * stands apart from the chord. Held basses are told with their chord.
 */
export function bassSentence({ chord, analysis, index, naming }: Told): readonly string[] {
  const { bass } = chord.chord;
  if (bass === null || chord.reading.kind === 'pedal') return [];
  const note = nameNote(bass, naming.notes);
  const place = placeOf(chord);
  const walk = walkThrough(analysis.chords, index);
  const walks = walk.length < FEWEST ? '' : `, and the bass walks ${walk.map((one) => nameNote(one, naming.notes)).join('–')}`;
  if (place !== undefined) return [`Its ${place}, ${note}, is in the bass${walks}.`];
  return [walks === '' ? `The bass ${note} is no tone of the chord.` : `The bass ${note} is no tone of the chord${walks}.`];
}

/** Which tone of the chord lies in the bass; undefined for none that has a place of its own. */
function placeOf({ chord }: AnalyzedChord): string | undefined {
  const tone = formulaTones(chord.formula).find(
    ({ interval }) => chord.bass !== null && chroma(chord.root + interval) === chroma(chord.bass),
  );
  if (tone !== undefined) return PLACES[tone.number];
  return chord.bass !== null && mod(chroma(chord.bass) - chroma(chord.root), 12) === 10 ? PLACES[7] : undefined;
}

/** The basses of the longest run by step in one direction that the chord is part of. */
function walkThrough(chords: readonly AnalyzedChord[], index: number): readonly Note[] {
  const bassAt = (at: number) => {
    const one = chords[at]?.chord;
    return one === undefined ? undefined : (one.bass ?? one.root);
  };
  const runs = [1, -1].map((direction) => {
    const isStep = (from: number, to: number) => {
      const [low, high] = [bassAt(from), bassAt(to)];
      if (low === undefined || high === undefined) return false;
      const by = mod(direction * (chroma(high) - chroma(low)), 12);
      return by === 1 || by === 2;
    };
    let [from, to] = [index, index];
    while (isStep(from - 1, from)) from -= 1;
    while (isStep(to, to + 1)) to += 1;
    return Array.from({ length: to - from + 1 }, (_, order) => bassAt(from + order) as Note);
  });
  return runs.sort((a, b) => b.length - a.length)[0] ?? [];
}
