import { describe, expect, test } from '@jest/globals';
import {
  askQuestions,
  type Key,
  makeKey,
  markAnswer,
  parseKey,
  QUESTION_KINDS,
  type Question,
  type QuestionKind,
  requireValue,
  SCALE_NAMES,
} from '../src/index.ts';

// A second way of computing the answers: letters and half steps as text and piano keys, nothing of the program's own line of fifths.

const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];
const WHITE = [0, 2, 4, 5, 7, 9, 11];
const MAJOR = [0, 2, 4, 5, 7, 9, 11];
const SCALES: Readonly<Record<string, readonly number[]>> = {
  major: MAJOR,
  'natural minor': [0, 2, 3, 5, 7, 8, 10],
  'harmonic minor': [0, 2, 3, 5, 7, 8, 11],
  'melodic minor': [0, 2, 3, 5, 7, 9, 11],
  dorian: [0, 2, 3, 5, 7, 9, 10],
};
const QUALITIES: Readonly<Record<string, string>> = {
  '0 4 7': '',
  '0 3 7': 'm',
  '0 3 6': 'dim',
  '0 4 8': 'aug',
  '0 4 7 11': 'maj7',
  '0 4 7 10': '7',
  '0 3 7 10': 'm7',
  '0 3 6 10': 'm7b5',
  '0 3 6 9': 'dim7',
  '0 3 7 11': 'm(maj7)',
  '0 4 8 11': 'maj7#5',
  '0 4 8 10': 'aug7',
};
const up = (from: number, to: number) => (((to - from) % 12) + 12) % 12;

const piano = (name: string) => {
  const signs = name.slice(1);
  return up(0, (WHITE[LETTERS.indexOf(name.charAt(0))] as number) + (signs.match(/#/g)?.length ?? 0) - (signs.match(/b/g)?.length ?? 0));
};
/** The name a sound has when it must stand on a letter. */
const onLetter = (letter: string, sound: number) => {
  const off = up(WHITE[LETTERS.indexOf(letter)] as number, sound);
  return letter + (off <= 6 ? '#'.repeat(off) : 'b'.repeat(12 - off));
};
const letterUp = (letter: string, steps: number) => LETTERS[(LETTERS.indexOf(letter) + steps) % 7] as string;

/** The seven notes of a key, letter after letter. */
const notesOf = (tonic: string, scale: string) =>
  (SCALES[scale] as readonly number[]).map((step, place) => onLetter(letterUp(tonic.charAt(0), place), piano(tonic) + step));
const numberOf = (step: number, place: number) => onNumber(place, step - (MAJOR[place] as number));
const onNumber = (place: number, off: number) => (off < 0 ? 'b'.repeat(-off) : '#'.repeat(off)) + String(place + 1);
const numbersOf = (scale: string) => (SCALES[scale] as readonly number[]).map((step, place) => numberOf(step, place));

/** The chord on a place of a key, every other note of it. */
const chordAt = (tonic: string, scale: string, place: number, size: number) => {
  const notes = notesOf(tonic, scale);
  const tones = Array.from({ length: size }, (_, third) => notes[(place + 2 * third) % 7] as string);
  const quality = QUALITIES[tones.map((tone) => up(piano(tones[0] as string), piano(tone))).join(' ')] as string;
  return { name: `${tones[0]}${quality}`, quality, tones };
};

const TONICS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'Db', 'Ab', 'Eb', 'Bb', 'F'];
const keyOf = (tonic: string, scale: string) => requireValue(parseKey(`${tonic} ${scale}`));
const sixths = ['major', 'natural minor', 'harmonic minor', 'melodic minor', 'dorian'];
const ask = (kinds: readonly QuestionKind[], keys: readonly Key[], over: Partial<Parameters<typeof askQuestions>[0]> = {}) =>
  askQuestions({ kinds, keys, depth: null, count: 200, seed: 7, capo: null, tuning: [40, 45, 50, 55, 59, 64], loops: [], ...over });

/** The asked degree as a place in the scale, 0 for the first. */
const placeOf = (question: Question, tonic: string, scale: string) => {
  const { degree, chord } = question.prompt;
  const named = notesOf(tonic, scale);
  if (chord !== undefined) return named.findIndex((name) => piano(name) === chord.root * 7 - 12 * Math.floor((chord.root * 7) / 12));
  return named.findIndex((name) => up(piano(tonic), piano(name)) === up(0, (degree as number) * 7));
};

type Second = (question: Question, tonic: string, scale: string) => readonly string[];

const SECOND: Readonly<Partial<Record<QuestionKind, Second>>> = {
  'degree-to-chord': (question, tonic, scale) => [chordAt(tonic, scale, placeOf(question, tonic, scale), 4).name],
  'chord-to-degree': (question, tonic, scale) => {
    const place = placeOf(question, tonic, scale);
    return [...new Set([numbersOf(scale)[place] as string, String(place + 1)])];
  },
  'degree-quality': (question, tonic, scale) => [chordAt(tonic, scale, placeOf(question, tonic, scale), 4).quality],
  'quality-row': (_, tonic, scale) => [[0, 1, 2, 3, 4, 5, 6].map((place) => chordAt(tonic, scale, place, 4).quality || '-').join(' ')],
  'chord-tones': (question, tonic, scale) => [chordAt(tonic, scale, placeOf(question, tonic, scale), 4).tones.join(' ')],
  'scale-numbers': (question, tonic, scale) => {
    const place = placeOf(question, tonic, scale);
    const places = [0, 2, 4, 6].map((third) => (place + third) % 7);
    return [...new Set([places.map((one) => numbersOf(scale)[one]).join(' '), places.map((one) => one + 1).join(' ')])];
  },
  'secondary-dominant': (question, tonic, scale) => {
    const target = notesOf(tonic, scale)[placeOf(question, tonic, scale)] as string;
    const root = onLetter(letterUp(target.charAt(0), 4), piano(target) + 7);
    return [`${root}7`, root];
  },
  'two-five-one': (_, tonic, scale) => {
    const two = onLetter(letterUp(tonic.charAt(0), 1), piano(tonic) + 2);
    const five = onLetter(letterUp(tonic.charAt(0), 4), piano(tonic) + 7);
    if (scale === 'major') return [`${two}m7 ${five}7 ${tonic}maj7`];
    // the sixth of melodic minor is raised: its own ii has a perfect fifth
    const twos = scale === 'melodic minor' ? ['m7b5', 'm7'] : ['m7b5'];
    return twos.flatMap((quality) => ['m7', 'm', 'm(maj7)'].map((home) => `${two}${quality} ${five}7 ${tonic}${home}`));
  },
  relative: (_, tonic, scale) =>
    scale === 'major'
      ? [`${onLetter(letterUp(tonic.charAt(0), 5), piano(tonic) + 9)} minor`]
      : [`${onLetter(letterUp(tonic.charAt(0), 2), piano(tonic) + 3)} major`],
};

describe('answers computed a second way, in every key', () => {
  test.each(Object.keys(SECOND) as QuestionKind[])('%s', (kind) => {
    // modes have neither a relative key nor a dominant on their 5
    for (const scale of ['relative', 'two-five-one'].includes(kind) ? sixths.slice(0, 4) : sixths) {
      for (const tonic of TONICS) {
        const key = keyOf(tonic, scale);
        const asked = ask([kind], [key]);
        expect(asked).toHaveLength(200);
        const otherwise = asked.filter((question) => `${question.answer.accepted}` !== `${SECOND[kind]?.(question, tonic, scale)}`);
        expect(otherwise.map(({ id }) => id)).toEqual([]);
      }
    }
  });

  test('tones by name: the letter is counted, the sound is counted', () => {
    for (const tonic of TONICS) {
      for (const { prompt, answer } of ask(['tone-name'], [keyOf(tonic, 'major')])) {
        const formula = prompt.formula as string;
        const root = notesOf(tonic, 'major').find((name) => piano(name) === up(0, (prompt.chord?.root as number) * 7)) as string;
        const place = Number(formula.replace(/\D/g, '')) - 1;
        const sound = piano(root) + (MAJOR[place] as number) + (formula.startsWith('b') ? -1 : formula.startsWith('#') ? 1 : 0);
        expect(answer.accepted).toEqual([onLetter(letterUp(root.charAt(0), place), sound)]);
      }
    }
  });

  test('notes on frets and frets of notes, by counting half steps from the open string', () => {
    const tuning = [28, 33, 38, 43];
    for (const { prompt, answer } of ask(['note-on-fret'], [keyOf('C', 'major')], { tuning })) {
      const sound = ((tuning[4 - (prompt.string as number)] as number) + (prompt.fret as number)) % 12;
      expect(answer.accepted.map(piano)).toEqual(answer.accepted.map(() => sound));
      expect(answer.accepted).toHaveLength(WHITE.includes(sound) ? 1 : 2);
    }
    // A string, fret by fret: as the key calls its own notes, else on the side of its signature
    const called = (tonic: string, scale: string) =>
      Object.fromEntries(
        ask(['note-on-fret'], [keyOf(tonic, scale)], { tuning })
          .filter(({ prompt }) => prompt.string === 3)
          .map(({ prompt, answer }) => [prompt.fret, answer.accepted[0]]),
      );
    expect(called('Eb', 'major')).toMatchObject({ 1: 'Bb', 4: 'Db', 6: 'Eb', 9: 'Gb', 11: 'Ab' });
    expect(called('E', 'major')).toMatchObject({ 1: 'A#', 4: 'C#', 6: 'D#', 9: 'F#', 11: 'G#' });
    // C minor has B♭, E♭ and A♭ of its own
    expect(called('C', 'natural minor')).toMatchObject({ 1: 'Bb', 4: 'Db', 6: 'Eb', 11: 'Ab' });
    for (const { prompt, answer } of ask(['find-on-string'], [keyOf('Eb', 'major')], { tuning })) {
      const open = tuning[4 - (prompt.string as number)] as number;
      const wanted = Array.from({ length: 16 }, (_, fret) => fret).filter(
        (fret) => (open + fret) % 12 === up(0, (prompt.note as number) * 7),
      );
      expect(answer.accepted).toEqual(wanted.map(String));
    }
  });

  test.each([
    ['capo-sounds', 3],
    ['capo-shape', -3],
  ] as const)('%s: a capo at 3 moves the name by %i half steps, and the quality stays', (kind, moved) => {
    const keys = TONICS.map((tonic) => keyOf(tonic, 'major'));
    for (const { prompt, answer } of ask([kind], keys, { capo: 3 })) {
      const given = (prompt.shape ?? prompt.chord)?.root as number;
      const wanted = up(0, (given + 120) * 7 + moved);
      expect(answer.accepted.map((name) => piano(/^[A-G][b#]*/.exec(name)?.[0] as string))).toEqual(answer.accepted.map(() => wanted));
      expect(answer.accepted).toHaveLength(WHITE.includes(wanted) ? 1 : 2);
    }
  });

  test('keys with a chord: exactly the major keys of the circle that hold its sound', () => {
    for (const tonic of TONICS) {
      for (const { prompt, answer } of ask(['keys-with-chord'], [keyOf(tonic, 'major')])) {
        const root = up(0, (prompt.chord?.root as number) * 7);
        const quality = chordAt(tonic, 'major', placeOf({ prompt } as Question, tonic, 'major'), 3).quality;
        const holding = TONICS.filter((one) =>
          [0, 1, 2, 3, 4, 5, 6].some((place) => {
            const chord = chordAt(one, 'major', place, 3);
            return chord.quality === quality && piano(chord.tones[0] as string) === root;
          }),
        );
        expect((answer.accepted[0] as string).split(' ').map(piano)).toEqual(holding.map(piano));
      }
    }
  });

  test.each([
    ['degree-to-chord', 'Eb', 'major', '3', 'Gm7'],
    ['secondary-dominant', 'Bb', 'major', '6', 'D7'],
    ['two-five-one', 'F#', 'major', '', 'G#m7 C#7 F#maj7'],
    ['two-five-one', 'Eb', 'major', '', 'Fm7 Bb7 Ebmaj7'],
    ['scale-numbers', 'A', 'major', '2', '2 4 6 1'],
    ['quality-row', 'Db', 'major', '', 'maj7 m7 m7 maj7 7 m7 m7b5'],
    ['relative', 'Eb', 'major', '', 'C minor'],
  ] as const)('%s in %s %s, %s: %s', (kind, tonic, scale, degree, wanted) => {
    const asked = ask([kind], [keyOf(tonic, scale)]);
    const one = asked.find(
      ({ prompt }) =>
        degree === '' || notesOf(tonic, scale)[Number(degree) - 1] === notesOf(tonic, scale)[placeOf({ prompt } as Question, tonic, scale)],
    );
    expect(one?.answer.accepted[0]).toBe(wanted);
  });
});

const sound = (note: number) => up(0, (note + 120) * 7);
const inKeys = (scale: string) => TONICS.map((tonic) => [tonic, keyOf(tonic, scale)] as const);
/** Ids of questions that say otherwise than the second way. */
const otherwise = (asked: readonly Question[], second: (question: Question) => readonly string[]) =>
  asked.filter((question) => `${question.answer.accepted}` !== `${second(question)}`).map(({ id }) => id);
/** Sounds of a chord above its lowest, as a name of the table. */
const heardQuality = (midi: readonly number[]) => {
  const lowest = Math.min(...midi);
  return QUALITIES[[...new Set(midi.map((one) => (one - lowest) % 12))].sort((a, b) => a - b).join(' ')];
};
const lastSound = ({ prompt }: Question) => prompt.sounds?.at(-1)?.midi ?? [];
/** Names of tones by half steps above a root, as the ladder and triads have them. */
const TONE_NAMES: Readonly<Record<number, readonly string[]>> = {
  0: ['1'],
  3: ['b3'],
  4: ['3'],
  6: ['b5'],
  7: ['5'],
  8: ['#5'],
  9: ['bb7'],
  10: ['b7'],
  11: ['7'],
};
const toneAt = (semitones: number) => (TONE_NAMES[semitones] as readonly string[])[0] as string;

describe('the other kinds, a second way', () => {
  test('parallel: the same tonic, and its twin where nobody writes the key', () => {
    for (const [tonic, key] of inKeys('major')) {
      for (const { answer } of ask(['parallel'], [key])) {
        expect(answer.accepted[0]).toBe(`${tonic} minor`);
        expect(answer.accepted.map((name) => piano(name.split(' ')[0] as string))).toEqual(answer.accepted.map(() => piano(tonic)));
      }
    }
  });

  test('interval or degree: letters counted up to the tonic, or from it', () => {
    for (const scale of ['major', 'natural minor']) {
      for (const [tonic, key] of inKeys(scale)) {
        const notes = notesOf(tonic, scale);
        const second = ({ prompt }: Question) => {
          const place = notes.findIndex((name) => piano(name) === sound(prompt.note as number));
          const letters = ((LETTERS.indexOf(tonic.charAt(0)) - LETTERS.indexOf((notes[place] as string).charAt(0)) + 7) % 7) + 1;
          return prompt.to === undefined ? [...new Set([numbersOf(scale)[place] as string, String(place + 1)])] : [String(letters)];
        };
        expect(otherwise(ask(['interval-or-degree'], [key]), second)).toEqual([]);
      }
    }
  });

  test('the tone on a fret: half steps from the root to what sounds there', () => {
    for (const [, key] of inKeys('harmonic minor')) {
      const second = ({ prompt }: Question) => [
        toneAt(up(sound(prompt.chord?.root as number), ((prompt.open as number) + (prompt.fret as number)) % 12)),
      ];
      expect(otherwise(ask(['tone-on-fret'], [key]), second)).toEqual([]);
    }
  });

  test('what changed: the one string whose fret is lower, and the tone that lay on it', () => {
    const tuning = [40, 45, 50, 55, 59, 64];
    for (const [, key] of inKeys('major')) {
      const second = ({ prompt }: Question) => {
        const [before, after] = prompt.shapes as readonly [readonly (number | null)[], readonly (number | null)[]];
        const string = before.findIndex((fret, at) => fret !== after[at]);
        const pitch = (fret: number | null) =>
          up(sound(prompt.chord?.root as number), ((tuning[string] as number) + (fret as number)) % 12);
        return [before[string], after[string]].map((fret) => toneAt(pitch(fret ?? null)));
      };
      const asked = ask(['what-changed'], [key]);
      expect(otherwise(asked, second)).toEqual([]);
      for (const { prompt } of asked) {
        const [before, after] = prompt.shapes as readonly [readonly (number | null)[], readonly (number | null)[]];
        expect(before.filter((fret, at) => fret !== after[at])).toHaveLength(1);
      }
    }
  });

  test('three chords over a capo: each shape lies that many half steps lower', () => {
    for (const [, key] of inKeys('major')) {
      for (const { prompt, answer } of ask(['capo-position'], [key])) {
        const shapes = (answer.accepted[0] as string).split(' ').map((name) => piano(/^[A-G][b#]*/.exec(name)?.[0] as string));
        expect(shapes).toEqual((prompt.chords ?? []).map(({ root }) => up(prompt.capo as number, sound(root))));
      }
    }
  });

  test('by ear: the quality that sounds, the degree of the last chord, the bass against the root', () => {
    for (const [tonic, key] of inKeys('major')) {
      expect(otherwise(ask(['ear-quality'], [key]), (question) => [heardQuality(lastSound(question)) as string])).toEqual([]);
      const degree = (question: Question) => [String(MAJOR.indexOf(up(piano(tonic), (lastSound(question)[0] as number) % 12)) + 1)];
      expect(otherwise(ask(['ear-degree'], [key]), degree)).toEqual([]);
      const bass = (question: Question) => [
        toneAt(up(sound(question.prompt.chord?.root as number), Math.min(...lastSound(question)) % 12)),
      ];
      expect(otherwise(ask(['ear-bass'], [key]), bass)).toEqual([]);
    }
  });

  test('by ear: the tone that moved, the loop after the cadence, the chord that is not of the key', () => {
    for (const [tonic, key] of inKeys('major')) {
      const moved = ({ prompt }: Question) => {
        const [before, after] = (prompt.sounds ?? []).map(({ midi }) => midi.map((one) => up(piano(tonic), one % 12)));
        return [before?.find((tone) => !after?.includes(tone)), after?.find((tone) => !before?.includes(tone))].map((tone) =>
          toneAt(tone as number),
        );
      };
      expect(otherwise(ask(['ear-tone'], [key]), moved)).toEqual([]);
      const place = (midi: readonly number[]) => String(MAJOR.indexOf(up(piano(tonic), (midi[0] as number) % 12)) + 1);
      const loop = ({ prompt }: Question) => [
        (prompt.sounds ?? [])
          .slice(-4)
          .map(({ midi }) => place(midi))
          .join(' '),
      ];
      expect(otherwise(ask(['ear-loop'], [key]), loop)).toEqual([]);
      const wrong = ({ prompt }: Question) => {
        const foreign = (midi: readonly number[]) => midi.some((one) => !MAJOR.includes(up(piano(tonic), one % 12)));
        return (prompt.sounds ?? []).filter(({ midi }) => foreign(midi)).map(({ midi }) => place(midi));
      };
      expect(otherwise(ask(['ear-wrong'], [key]), wrong)).toEqual([]);
    }
  });
});

describe('every kind, every scale', () => {
  const keys = SCALE_NAMES.flatMap((scale) => [-4, 0, 3].flatMap((tonic) => (makeKey(tonic, scale).ok ? [{ tonic, scale }] : [])));

  test.each(QUESTION_KINDS)('%s: what is accepted is marked right, whatever else sounds the same too', (kind) => {
    const refused: string[] = [];
    for (const key of keys) {
      for (const question of ask([kind], [key], { count: 40 })) {
        if (question.answer.accepted.length === 0) refused.push(question.id);
        refused.push(
          ...question.answer.accepted.filter((accepted) => markAnswer(question, accepted).kind !== 'right').map(() => question.id),
        );
      }
    }
    expect(refused).toEqual([]);
  });

  test('no question has two right answers of which one is refused: all that sounds right is right, or is told its letter', () => {
    const twins: Readonly<Record<string, string>> = {
      'C#': 'Db',
      Db: 'C#',
      'D#': 'Eb',
      Eb: 'D#',
      'F#': 'Gb',
      Gb: 'F#',
      'G#': 'Ab',
      Ab: 'G#',
      'A#': 'Bb',
      Bb: 'A#',
    };
    for (const question of ask(
      QUESTION_KINDS,
      TONICS.map((tonic) => keyOf(tonic, 'major')),
      { count: 2000 },
    )) {
      const { as, spelled, accepted } = question.answer;
      if (!['chord', 'note', 'key'].includes(as)) continue;
      const right = accepted[0] as string;
      const root = /^[A-G](?:bb|##|b|#)?/.exec(right)?.[0] as string;
      const twin = twins[root];
      if (twin === undefined) continue;
      expect(markAnswer(question, right.replace(root, twin)).kind).toBe(spelled ? 'misspelled' : 'right');
    }
  });

  test('the same wish asks the same, another seed asks otherwise, and nothing twice in a row', () => {
    const wish = ['degree-to-chord', 'note-on-fret', 'ear-loop'] as const;
    const again = (seed: number) => ask(wish, [keyOf('A', 'major'), keyOf('F', 'major')], { seed }).map(({ id }) => id.replace(/^\d+/, ''));
    expect(again(3)).toEqual(again(3));
    expect(again(3)).not.toEqual(again(4));
    for (const seed of [1, 2, 3]) expect(again(seed).filter((id, at, all) => id === all[at - 1])).toEqual([]);
  });

  test('ids are unique, kinds and keys come evenly', () => {
    const asked = ask(
      ['degree-to-chord', 'chord-tones'],
      TONICS.map((tonic) => keyOf(tonic, 'major')),
      { count: 192 },
    );
    expect(new Set(asked.map(({ id }) => id)).size).toBe(192);
    for (const tonic of TONICS) expect(asked.filter(({ key }) => key.tonic === keyOf(tonic, 'major').tonic)).toHaveLength(16);
  });

  test('what an instrument or a scale has no place for is not asked', () => {
    expect(ask(['what-changed'], [keyOf('C', 'major')], { tuning: [40, 45] })).toEqual([]);
    expect(ask(['relative'], [keyOf('D', 'dorian')])).toEqual([]);
    for (const [tonic, mode] of [
      ['D', 'dorian'],
      ['E', 'phrygian'],
      ['F', 'lydian'],
      ['G', 'mixolydian'],
      ['B', 'locrian'],
    ] as const)
      expect(ask(['two-five-one'], [keyOf(tonic, mode)])).toEqual([]);
  });
});

describe('answers as people write them', () => {
  const one = (kind: QuestionKind, about: string, key = keyOf('Eb', 'major')) =>
    ask([kind], [key]).find(({ id }) => id.endsWith(`/${about}`)) as Question;

  test.each([
    ['degree-to-chord', '3', 'Gm7', 'right'],
    ['degree-to-chord', '3', 'g−7', 'right'],
    ['degree-to-chord', '3', ' Gmin7 ', 'right'],
    ['degree-to-chord', '3', 'Gm', 'as-triad'],
    ['degree-to-chord', '3', 'G', 'wrong'],
    ['degree-to-chord', '4', 'G#maj7', 'misspelled'],
    ['degree-to-chord', '4', 'A♭△7', 'right'],
    ['degree-to-chord', '3', 'hello', 'unread'],
    ['degree-to-chord', '3', '', 'unread'],
    ['degree-quality', '1', 'maj7', 'right'],
    ['degree-quality', '7', 'ø7', 'right'],
    ['scale-numbers', '2', '2-4-6-1', 'right'],
    ['scale-numbers', '2', '2 4 6', 'wrong'],
    ['chord-tones', '1', 'eb g bb d', 'right'],
    ['chord-tones', '1', 'Eb, G, A#, D', 'misspelled'],
    ['relative', 'relative', 'Cm', 'right'],
    ['relative', 'relative', 'c minor', 'right'],
    ['relative', 'relative', 'C', 'wrong'],
  ] as const)('%s %s: “%s” is %s', (kind, about, said, mark) => {
    expect(markAnswer(one(kind, about), said).kind).toBe(mark);
  });

  test('keys may come in any order and under either name', () => {
    const question = one('keys-with-chord', 'Fm');
    expect(question.answer.accepted).toEqual(['Db Ab Eb']);
    expect(markAnswer(question, 'Eb C# Ab').kind).toBe('right');
    expect(markAnswer(question, 'Eb Ab').kind).toBe('wrong');
  });

  test('one of several frets is enough', () => {
    const question = ask(['find-on-string'], [keyOf('C', 'major')]).find(({ answer }) => answer.accepted.length === 2) as Question;
    for (const fret of question.answer.accepted) expect(markAnswer(question, fret).kind).toBe('right');
    expect(markAnswer(question, '99').kind).toBe('wrong');
  });
});
