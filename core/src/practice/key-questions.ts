import { type Chord, chordNotes } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { formulaOf, formulaTones, holdsAny } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { type Depth, type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import { intervalNumber } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { isSpellable, type Key, keyNotes, simplestKey } from '../key/key.ts';
import { OCTAVE_ON_FIFTHS } from '../pitch/note.ts';
import { printNote } from '../pitch/note-text.ts';
import { isMinorScale } from '../scale/scale.ts';
import type { Asked, WishInOneDepth } from './question.ts';

/** Every different question of one kind about one key; none where the kind makes no sense in it. */
export type AskAll = (key: Key, wish: WishInOneDepth) => readonly Asked[];

/** The quality of a chord as it follows a root: `m7`, `maj7`, nothing for a plain major chord. */
export function qualityText({ root, formula }: Chord): string {
  return printChord({ root, formula, bass: null }).slice(printNote(root).length);
}

/** `Eb major`, `C minor`, `D dorian`. */
export function keyText({ tonic, scale }: Key): string {
  return `${printNote(tonic)} ${scale === 'natural minor' ? 'minor' : scale}`;
}

/** A degree by its name against the major scale and, where those differ, by its plain place in the scale. */
export function degreeTexts(degree: number): readonly string[] {
  const name = printScaleNumber(degree);
  const plain = String(intervalNumber(degree));
  return name === plain ? [name] : [name, plain];
}

const ofEach = (key: Key, depth: Depth, ask: (one: HarmonizedChord) => Omit<Asked, 'about'>): readonly Asked[] =>
  harmonize(key, depth).map((one) => ({ ...ask(one), about: printScaleNumber(one.number.degree) }));

export const degreeToChord: AskAll = (key, { depth }) =>
  ofEach(key, depth ?? 'seventh', ({ number: { degree }, chord }) => ({
    prompt: { degree },
    answer: { as: 'chord', accepted: [printChord(chord)], spelled: true },
  }));

export const chordToDegree: AskAll = (key, { depth }) =>
  ofEach(key, depth ?? 'seventh', ({ number: { degree }, chord }) => ({
    prompt: { chord },
    answer: { as: 'degree', accepted: degreeTexts(degree), spelled: false },
  }));

export const degreeQuality: AskAll = (key, { depth }) =>
  ofEach(key, depth ?? 'seventh', ({ number: { degree }, chord }) => ({
    prompt: { degree },
    answer: { as: 'quality', accepted: [qualityText(chord)], spelled: false },
  }));

export const qualityRow: AskAll = (key, { depth }) => {
  const row = harmonize(key, depth ?? 'seventh').map(({ chord }) => qualityText(chord) || '-');
  return [{ about: 'row', prompt: {}, answer: { as: 'qualities', accepted: [row.join(' ')], spelled: false } }];
};

export const chordTones: AskAll = (key, { depth }) =>
  ofEach(key, depth ?? 'seventh', ({ chord }) => ({
    prompt: { chord },
    answer: {
      as: 'notes',
      accepted: [
        chordNotes(chord)
          .map((note) => printNote(note))
          .join(' '),
      ],
      spelled: true,
    },
  }));

export const scaleNumbers: AskAll = (key, { depth }) =>
  ofEach(key, depth ?? 'seventh', ({ number: { degree }, tones }) => {
    const names = tones.map(({ parentDegree }) => degreeTexts(parentDegree));
    const rows = [names.map(([name]) => name), names.map((both) => both.at(-1))].map((row) => row.join(' '));
    return { prompt: { degree }, answer: { as: 'degrees', accepted: [...new Set(rows)], spelled: false } };
  });

const DOMINANT = formulaOf('1', '3', '5', 'b7');
const MAJOR = formulaOf('1', '3', '5');
const DIMINISHED_FIFTH = formulaOf('b5');
const AUGMENTED_FIFTH = formulaOf('#5');
const MAJOR_SEVENTH = formulaOf('1', '3', '5', '7');
const MINOR_SEVENTH = formulaOf('1', 'b3', '5', 'b7');
const MINOR = formulaOf('1', 'b3', '5');
const HALF_DIMINISHED = formulaOf('1', 'b3', 'b5', 'b7');
const MINOR_MAJOR = formulaOf('1', 'b3', '5', '7');

const plain = (root: number, formula: number): Chord => ({ root, formula, bass: null });

/** The dominant of every chord of the key that can be a home for a moment: major and minor ones, the tonic aside. */
export const secondaryDominant: AskAll = (key) =>
  harmonize(key, 'triad').flatMap(({ number: { degree, formula } }) => {
    if (degree === 0 || holdsAny(formula, DIMINISHED_FIFTH | AUGMENTED_FIFTH)) return [];
    const root = key.tonic + degree + 1;
    const accepted = [printChord(plain(root, DOMINANT)), printChord(plain(root, MAJOR))];
    return [{ about: printScaleNumber(degree), prompt: { degree }, answer: { as: 'chord', accepted, spelled: true } }];
  });

const MINOR_KEYS: readonly string[] = ['natural minor', 'harmonic minor', 'melodic minor'];

/** The chords of ii–V–I in a key: in minor with every kind of minor home that is played, in melodic minor over its own ii–7 as well. */
export function twoFiveOneIn({ tonic, scale }: Key): readonly (readonly Chord[])[] {
  const isMinor = isMinorScale(scale);
  const twos = scale === 'melodic minor' ? [HALF_DIMINISHED, MINOR_SEVENTH] : [isMinor ? HALF_DIMINISHED : MINOR_SEVENTH];
  const homes = isMinor ? [MINOR_SEVENTH, MINOR, MINOR_MAJOR] : [MAJOR_SEVENTH];
  return twos.flatMap((two) => homes.map((home) => [plain(tonic + 2, two), plain(tonic + 1, DOMINANT), plain(tonic, home)]));
}

/** Only of a major or a minor key: a mode has no dominant of its own on the 5. */
export const twoFiveOne: AskAll = (key) => {
  if (key.scale !== 'major' && !MINOR_KEYS.includes(key.scale)) return [];
  const accepted = twoFiveOneIn(key).map((chords) => chords.map((chord) => printChord(chord)).join(' '));
  return [{ about: 'ii-V-I', prompt: {}, answer: { as: 'chords', accepted, spelled: true } }];
};

/** The key of the other kind for a major or a minor key; null for a mode, that has neither. */
function otherKind({ tonic, scale }: Key, fifths: number): Key | null {
  if (scale === 'major') return { tonic: tonic + fifths, scale: 'natural minor' };
  return MINOR_KEYS.includes(scale) ? { tonic: tonic - fifths, scale: 'major' } : null;
}

export const relative: AskAll = (key) => {
  const other = otherKind(key, 3);
  if (other === null) return [];
  return [{ about: 'relative', prompt: {}, answer: { as: 'key', accepted: [keyText(other)], spelled: true } }];
};

/** The parallel key by its own name and, where that is one nobody writes, by its easier one. */
export const parallel: AskAll = (key) => {
  const other = otherKind(key, 0);
  if (other === null || !isSpellable(other)) return [];
  const accepted = [...new Set([keyText(other), keyText(simplestKey(other, other))])];
  return [{ about: 'parallel', prompt: {}, answer: { as: 'key', accepted, spelled: false } }];
};

export const toneName: AskAll = (key, { depth }) =>
  harmonize(key, depth ?? 'seventh').flatMap(({ chord }) =>
    formulaTones(chord.formula)
      .slice(1)
      .map(({ name, interval }): Asked => {
        const answer = { as: 'note', accepted: [printNote(chord.root + interval)], spelled: true } as const;
        return { about: `${printChord(chord)} ${name}`, prompt: { chord, formula: name }, answer };
      }),
  );

/** A note and the tonic, asked both ways: the interval from one up to the other, and the degree one is in the key of the other. */
export const intervalOrDegree: AskAll = (key) =>
  keyNotes(key)
    .slice(1)
    .flatMap((note): readonly Asked[] => {
      const up = { as: 'degree', accepted: [String(intervalNumber(key.tonic - note))], spelled: false } as const;
      const inside = { as: 'degree', accepted: degreeTexts(note - key.tonic), spelled: false } as const;
      return [
        { about: `${printNote(note)} up`, prompt: { note, to: key.tonic }, answer: up },
        { about: `${printNote(note)} in`, prompt: { note }, answer: inside },
      ];
    });

/** The tonics of the major keys that hold a chord, in circle order from C by fifths, each under its usual name. */
function majorKeysWith(chord: Chord, depth: Depth): readonly number[] {
  const found = harmonize({ tonic: 0, scale: 'major' }, depth).flatMap(({ number: { degree, formula } }) => {
    if (formula !== chord.formula) return [];
    const key: Key = { tonic: chord.root - degree, scale: 'major' };
    return [Math.abs(key.tonic) <= 6 ? key.tonic : simplestKey(key, key).tonic];
  });
  return [...new Set(found)].sort((a, b) => mod(a, OCTAVE_ON_FIFTHS) - mod(b, OCTAVE_ON_FIFTHS));
}

export const keysWithChord: AskAll = (key, { depth: wished }) => {
  const depth = wished ?? 'triad';
  return harmonize(key, depth).flatMap(({ chord }) => {
    const tonics = majorKeysWith(chord, depth);
    if (tonics.length === 0) return [];
    const accepted = [tonics.map((tonic) => printNote(tonic)).join(' ')];
    return [{ about: printChord(chord), prompt: { chord }, answer: { as: 'keys', accepted, spelled: false } }];
  });
};
