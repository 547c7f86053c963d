import { shapeOverCapo } from '../capo/shape-name.ts';
import type { Chord } from '../chord/chord.ts';
import { transposeChord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { type Formula, formulaTones, type Tone } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { LADDER, toneChanges } from '../harmony/motion.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { accidentals, chroma, type Note, OCTAVE_ON_FIFTHS, simplest } from '../pitch/note.ts';
import { printNote } from '../pitch/note-text.ts';
import type { Frets } from '../voicing/voicing.ts';
import type { AskAll } from './key-questions.ts';
import type { Asked } from './question.ts';

const LAST_ASKED_FRET = 12;
const LAST_FOUND_FRET = 15;
const OCTAVE = 12;
const CAPOS = [1, 2, 3, 4, 5, 7];

/** The names a sounding note commonly has: one for a white key, the sharp and the flat for a black one. */
function commonNames(midi: number): readonly Note[] {
  const note = simplest(mod(midi * 7, OCTAVE));
  const sign = Math.sign(accidentals(note));
  return sign === 0 ? [note] : [sign > 0 ? note : note + OCTAVE_ON_FIFTHS, sign > 0 ? note - OCTAVE_ON_FIFTHS : note];
}

/** The strings of an instrument with their numbers, the thinnest first. */
const stringsOf = (tuning: readonly number[]) => [...tuning].reverse().map((open, index) => ({ string: index + 1, open }));

/** What calls a sounding note by the names it commonly has, first the one a key has for it: its own note, else on the side of its signature. */
function callingIn(key: Key): (midi: number) => readonly Note[] {
  const notes = keyNotes(key);
  const side = Math.sign(notes.reduce((sum, note) => sum + accidentals(note), 0));
  const rank = (note: Note) => (notes.includes(note) ? 0 : Math.sign(accidentals(note)) === side ? 1 : 2);
  return (midi) => [...commonNames(midi)].sort((a, b) => rank(a) - rank(b));
}

/** Any note of any string, called as the key calls it; either name of a black key is right. */
export const noteOnFret: AskAll = (key, { tuning }) => {
  const namesOf = callingIn(key);
  return stringsOf(tuning).flatMap(({ string, open }) =>
    Array.from({ length: LAST_ASKED_FRET + 1 }, (_, fret): Asked => {
      const accepted = namesOf(open + fret).map((note) => printNote(note));
      return { about: `${string}:${fret}`, prompt: { string, fret, open }, answer: { as: 'note', accepted, spelled: false } };
    }),
  );
};

/** The notes of the key's chords on a string: every fret that sounds one. */
export const findOnString: AskAll = (key, { tuning }) =>
  stringsOf(tuning).flatMap(({ string, open }) =>
    harmonize(key, 'triad').map(({ chord: { root: note } }): Asked => {
      const frets = Array.from({ length: LAST_FOUND_FRET + 1 }, (_, fret) => fret);
      const accepted = frets.filter((fret) => mod(open + fret, OCTAVE) === chroma(note)).map(String);
      return { about: `${string}:${printNote(note)}`, prompt: { string, note, open }, answer: { as: 'frets', accepted, spelled: false } };
    }),
  );

/** A place on the neck and a chord of the key: which tone of the chord lies there? */
export const toneOnFret: AskAll = (key, { tuning, depth }) =>
  harmonize(key, depth ?? 'seventh').flatMap(({ chord }) =>
    stringsOf(tuning).flatMap(({ string, open }) =>
      formulaTones(chord.formula).map(({ name, interval }): Asked => {
        const fret = mod(chroma(chord.root + interval) - open, OCTAVE);
        const answer = { as: 'tone', accepted: [name], spelled: false } as const;
        return { about: `${printChord(chord)} ${string}:${fret}`, prompt: { chord, string, fret, open }, answer };
      }),
    ),
  );

/** A four-note shape with the root on the thickest of four neighbouring strings: root, 5, 7, 3. Null where a hand could not hold it. */
function fourNoteShape(root: Note, formula: Formula, tuning: readonly number[], from: number): Frets | null {
  const tones = formulaTones(formula);
  const order = [tones[0], tones[2], tones[3], tones[1]] as readonly Tone[];
  const first = mod(chroma(root) - (tuning[from] as number), OCTAVE);
  const frets = order.map(({ interval }, place) => {
    const fret = mod(chroma(root + interval) - (tuning[from + place] as number), OCTAVE);
    return fret - first > OCTAVE / 2 ? fret - OCTAVE : first - fret > OCTAVE / 2 ? fret + OCTAVE : fret;
  });
  if (Math.min(...frets) < 0 || Math.max(...frets) - Math.min(...frets) > MOST_SPAN) return null;
  return tuning.map((_, string) => (string >= from && string < from + 4 ? (frets[string - from] as number) : null));
}

const MOST_SPAN = 4;

/** Two shapes on one root, the second with one tone lower: which one moved? */
export const whatChanged: AskAll = (key, { tuning }) =>
  LADDER.slice(1).flatMap((after, rung) => {
    const before = LADDER[rung] as Formula;
    const moved = toneChanges(before, after)[0];
    const from = tuning.length - 5;
    return harmonize(key, 'triad').flatMap(({ chord: { root } }): readonly Asked[] => {
      const shapes = [before, after].map((formula) => (from < 0 ? null : fourNoteShape(root, formula, tuning, from)));
      const [first, second] = shapes;
      if (moved === undefined || first == null || second == null) return [];
      const accepted = [moved.before.name, moved.after.name];
      return [
        {
          about: `${printNote(root)} ${rung}`,
          prompt: { chord: { root, formula: before, bass: null }, shapes: [first, second] },
          answer: { as: 'tone', accepted, spelled: false },
        },
      ];
    });
  });

/** A chord under its plainest name and, on a black key, under its other one. */
function namesOf(chord: Chord): readonly string[] {
  const usual = shapeOverCapo(chord, 0);
  const twins = commonNames(chroma(usual.root)).filter((root) => root !== usual.root);
  return [usual, ...twins.map((root) => transposeChord(usual, root - usual.root))].map((one) => printChord(one));
}

const capos = (capo: number | null): readonly number[] => (capo === null || capo === 0 ? CAPOS : [capo]);

export const capoSounds: AskAll = (key, { depth, capo: sits }) =>
  capos(sits).flatMap((capo) =>
    harmonize(key, depth ?? 'triad').map(({ chord }): Asked => {
      const shape = shapeOverCapo(chord, capo);
      return {
        about: `${capo}:${printChord(shape)}`,
        prompt: { capo, shape },
        answer: { as: 'chord', accepted: namesOf(chord), spelled: false },
      };
    }),
  );

export const capoShape: AskAll = (key, { depth, capo: sits }) =>
  capos(sits).flatMap((capo) =>
    harmonize(key, depth ?? 'triad').map(({ chord }): Asked => {
      const accepted = namesOf(shapeOverCapo(chord, capo));
      return { about: `${capo}:${printChord(chord)}`, prompt: { capo, chord }, answer: { as: 'chord', accepted, spelled: false } };
    }),
  );

/** Three chords of the key that are to be found over the capo, one after the other. */
export const capoPosition: AskAll = (key, { capo: sits }) =>
  capos(sits).flatMap((capo) => {
    const chords = harmonize(key, 'triad').map(({ chord }) => chord);
    return POSITION_CALLS.map((degrees): Asked => {
      const called = degrees.map((degree) => chords[degree - 1] as Chord);
      const accepted = [called.map((chord) => printChord(shapeOverCapo(chord, capo))).join(' ')];
      return {
        about: `${capo}:${degrees.join('')}`,
        prompt: { capo, chords: called },
        answer: { as: 'chords', accepted, spelled: false },
      };
    });
  });

const POSITION_CALLS = [
  [1, 6, 4],
  [5, 3, 1],
  [4, 2, 5],
];
