import type { Chord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { type Formula, formulaTones, type Tone } from '../chord/formula.ts';
import { type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import { LADDER, toneChanges } from '../harmony/motion.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { printNote } from '../pitch/note-text.ts';
import { isMinorScale } from '../scale/scale.ts';
import { chordMidi } from '../sound/sounding.ts';
import { type AskAll, degreeTexts, qualityText } from './key-questions.ts';
import type { Asked, Sound } from './question.ts';

const sound = (chord: Chord, beats = 2): Sound => ({ midi: chordMidi(chord), beats });

/** The chords of a key by their place, 1 to 7. */
const chordsOf = (key: Key, depth: 'triad' | 'seventh') => harmonize(key, depth).map(({ chord }) => chord);

/** 1 4 5 1: after it the ear knows where home is. */
function cadence(key: Key): readonly Sound[] {
  const chords = chordsOf(isMinorScale(key.scale) ? { ...key, scale: 'harmonic minor' } : key, 'triad');
  return [1, 4, 5, 1].map((place) => sound(chords[place - 1] as Chord, 1));
}

/** A chord of the key alone: what is its quality? */
export const earQuality: AskAll = (key, { depth }) =>
  harmonize(key, depth ?? 'seventh').map(
    ({ chord }): Asked => ({
      about: printChord(chord),
      prompt: { sounds: [sound(chord, 4)] },
      answer: { as: 'quality', accepted: [qualityText(chord)], spelled: false },
    }),
  );

/** After a cadence, a chord of the key: on which degree does it stand? */
export const earDegree: AskAll = (key, { depth }) =>
  harmonize(key, depth ?? 'triad').map(
    ({ chord, number: { degree } }): Asked => ({
      about: printScaleNumber(degree),
      prompt: { sounds: [...cadence(key), sound(chord, 4)] },
      answer: { as: 'degree', accepted: degreeTexts(degree), spelled: false },
    }),
  );

/** Two chords on one root, one tone lower the second time; in minor also the 5 of natural and of harmonic minor. */
export const earTone: AskAll = (key) => {
  const ladder = LADDER.slice(1).flatMap((after, rung) => changed(key.tonic, LADDER[rung] as Formula, after));
  if (!isMinorScale(key.scale)) return ladder;
  const fives = (['natural minor', 'harmonic minor'] as const).map((scale) => harmonize({ ...key, scale }, 'triad')[4] as HarmonizedChord);
  return [...ladder, ...changed(key.tonic + 1, fives[0]?.chord.formula as Formula, fives[1]?.chord.formula as Formula)];
};

function changed(root: number, before: Formula, after: Formula): readonly Asked[] {
  const moved = toneChanges(before, after)[0];
  if (moved === undefined) return [];
  const chord = { root, formula: before, bass: null };
  return [
    {
      about: `${printChord(chord)} ${moved.before.name}`,
      prompt: { chord, sounds: [sound(chord), sound({ ...chord, formula: after }, 4)] },
      answer: { as: 'tone', accepted: [moved.before.name, moved.after.name], spelled: false },
    },
  ];
}

/** A triad of the key with one of its tones in the bass: which one? */
export const earBass: AskAll = (key) =>
  harmonize(key, 'triad').flatMap(({ chord }) =>
    formulaTones(chord.formula).map(({ name, interval }: Tone): Asked => {
      const bass = interval === 0 ? null : chord.root + interval;
      return {
        about: `${printChord(chord)} ${name}`,
        prompt: { chord, sounds: [sound({ ...chord, bass }, 4)] },
        answer: { as: 'tone', accepted: [name], spelled: false },
      };
    }),
  );

const USUAL_LOOPS = [
  [1, 5, 6, 4],
  [1, 6, 4, 5],
  [6, 4, 1, 5],
  [1, 4, 5, 4],
  [1, 6, 2, 5],
  [2, 5, 1, 6],
  [1, 3, 4, 5],
  [4, 1, 5, 6],
];

/** A cadence, then four chords of the key: their numbers. */
export const earLoop: AskAll = (key, { loops }) => {
  const chords = harmonize(key, 'triad');
  return (loops.length > 0 ? loops : USUAL_LOOPS).map((places): Asked => {
    const played = places.map((place) => chords[place - 1] as HarmonizedChord);
    const names = played.map(({ number: { degree } }) => degreeTexts(degree));
    const rows = [names.map(([name]) => name), names.map((both) => both.at(-1))].map((row) => row.join(' '));
    return {
      about: places.join(''),
      prompt: { sounds: [...cadence(key), ...played.map(({ chord }) => sound(chord))] },
      answer: { as: 'degrees', accepted: [...new Set(rows)], spelled: false },
    };
  });
};

/** The key's sevenths going up, one of them with a tone that is not in the key: which degree is wrong? */
export const earWrong: AskAll = (key) => {
  const chords = harmonize(key, 'seventh');
  return chords.flatMap(({ chord, number: { degree } }, at): readonly Asked[] => {
    const rung = LADDER.indexOf(chord.formula);
    const wrong = LADDER[rung === LADDER.length - 1 ? rung - 1 : rung + 1];
    if (rung < 0 || wrong === undefined) return [];
    const played = chords.map((one, place) => sound(place === at ? { ...chord, formula: wrong } : one.chord));
    return [
      {
        about: printNote(chord.root),
        prompt: { sounds: played },
        answer: { as: 'degree', accepted: degreeTexts(degree), spelled: false },
      },
    ];
  });
};
