import { describe, expect, test } from '@jest/globals';
import { planCapo } from '../capo/capo-plan.ts';
import { readChart } from '../chart/reading.ts';
import { requireValue } from '../fault.ts';
import { pitchName } from '../fretboard/tuning-text.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { parseRange } from '../pitch/pitch-text.ts';
import { sungWords } from '../wording/singer-words.ts';
import {
  accidentalsFor,
  checkVoice,
  guitarKindness,
  isAtEdge,
  type Kindness,
  roomOf,
  singerKeys,
  sungRange,
  type Voice,
} from './singer-key.ts';

const range = (text: string) => requireValue(parseRange(text));
const key = (text: string) => requireValue(parseKey(text));
const ALTO: Voice = { comfortable: range('A3 D5'), possible: range('F3 F5') };
const BASS: Voice = { comfortable: range('F2 C4'), possible: range('E2 E4') };
const NEUTRAL: Kindness = { guitar: null, accidentals: 0 };

describe('a melody in a voice', () => {
  test.each([
    // melody, half steps, what is sung, how, room below and above: counted on the keyboard
    ['A3 D5', 0, 'A3', 'comfortable', 0, 0],
    ['C4 C5', 0, 'C4', 'comfortable', 3, 2],
    ['C4 C5', 2, 'D4', 'comfortable', 5, 0],
    ['A3 D5', 2, 'B3', 'possible', 2, -2],
    ['A3 D5', -3, 'F#3', 'possible', -3, 3],
    ['A3 D5', 6, 'D#4', 'outside', 6, -6],
  ])('%s moved by %i', (melody, semitones, lowest, fit, lowRoom, highRoom) => {
    const sung = sungRange(range(melody), semitones, ALTO);
    expect(pitchName(sung.melody.low).replace('Gb', 'F#').replace('Eb', 'D#')).toBe(lowest);
    expect(sung).toMatchObject({ fit, lowRoom, highRoom });
  });

  test('a low voice takes it an octave lower', () => {
    expect(sungRange(range('A3 D5'), 0, BASS)).toMatchObject({ shift: -12, fit: 'possible' });
    expect(sungRange(range('G3 C5'), 0, BASS)).toMatchObject({ shift: -12, fit: 'comfortable', lowRoom: 2, highRoom: 0 });
  });

  test('is at the edge with no half step left', () => {
    expect(isAtEdge(sungRange(range('A3 D5'), 0, ALTO))).toBe(true);
    expect(isAtEdge(sungRange(range('C4 C5'), 0, ALTO))).toBe(false);
  });

  test('is told in words', () => {
    expect(sungWords(sungRange(range('C4 C5'), 0, ALTO), key('C'), DEFAULT_NAMING)).toBe(
      'C4 to C5: with ease, 3 half steps left below and 2 half steps above.',
    );
    expect(sungWords(sungRange(range('A3 D5'), 2, ALTO), key('E'), DEFAULT_NAMING)).toBe(
      'B3 to E5: possible, 2 half steps too high to be easy.',
    );
  });
});

test.each([
  ['G#m', 'G♯3 to D♯5'],
  ['Ab', 'A♭3 to E♭5'],
  ['Gb', 'A♭3 to E♭5'],
])('in %s notes are called as the key calls them', (name, words) =>
  expect(sungWords(sungRange(range('Ab3 Eb5'), 0, ALTO), key(name), DEFAULT_NAMING)).toContain(words),
);

test('a C flat is counted with the letter it has', () => {
  // B3 on the keyboard
  expect(sungWords(sungRange(range('B3 Eb4'), 0, ALTO), key('Gb'), DEFAULT_NAMING)).toContain('C♭4 to E♭4');
});

describe('keys for a singer', () => {
  const keys = singerKeys(key('C'), range('C4 C5'), [ALTO], () => NEUTRAL);

  test('are twelve, each once, and the best leaves the same room at both ends', () => {
    expect(new Set(keys.map(({ semitones }) => semitones)).size).toBe(12);
    // 17 half steps of voice, 12 of melody: 5 to share, at best 2 and 3
    expect(keys.slice(0, 2).map(({ sung: [one] }) => one && roomOf(one))).toEqual([2, 2]);
  });

  test('go from easy to possible to out of reach, and where nobody else minds from much room to little', () => {
    const order = ['comfortable', 'possible', 'outside'];
    const ranks = keys.map(({ fit, sung: [one] }) => [order.indexOf(fit), one === undefined ? 0 : -roomOf(one)] as const);
    for (const [index, [fit, room]] of ranks.slice(1).entries()) {
      const [before, roomBefore] = ranks[index] as readonly [number, number];
      expect(fit > before || (fit === before && room >= roomBefore)).toBe(true);
    }
  });

  /** The easy keys, best first: from A to D, since C4 to C5 may move by 3 down and 2 up in a voice from A3 to D5. */
  const ranked = (kind: (name: string) => Partial<Kindness>) =>
    singerKeys(key('C'), range('C4 C5'), [ALTO], ({ tonic }) => ({ ...NEUTRAL, ...kind(printKey({ tonic, scale: 'major' })) }))
      .filter(({ fit }) => fit === 'comfortable')
      .map((one) => printKey(one.key));

  test('of the easy ones the kindest to the guitars comes first, whatever room is left', () => {
    expect(ranked((name) => ({ guitar: { score: name === 'D' ? 90 : 40, capo: 0 } }))[0]).toBe('D');
    expect(ranked((name) => ({ guitar: { score: name === 'A' ? 90 : 40, capo: 0 } }))[0]).toBe('A');
    // a point or two is no difference; then the horns are asked
    const nearly = ranked((name) => ({ guitar: { score: name === 'D' ? 71 : 69, capo: 0 }, accidentals: name === 'Bb' ? 0 : 5 }));
    expect(nearly[0]).toBe('Bb');
  });

  test('of those only possible the one with the most room comes first, whatever the guitars say', () => {
    const wanted = singerKeys(key('C'), range('A3 D5'), [ALTO], () => NEUTRAL).filter(({ fit }) => fit === 'possible');
    const last = wanted.at(-1);
    const kind = singerKeys(key('C'), range('A3 D5'), [ALTO], ({ tonic }) => ({
      ...NEUTRAL,
      guitar: { score: tonic === last?.key.tonic ? 99 : 10, capo: 0 },
    })).filter(({ fit }) => fit === 'possible');
    expect(kind.length).toBeGreaterThan(2);
    expect(kind[0]?.key.tonic).not.toBe(last?.key.tonic);
  });

  test('for two singers are ranked by the one who is worse off', () => {
    for (const { fit, sung } of singerKeys(key('D'), range('A3 D5'), [ALTO, BASS], () => NEUTRAL)) {
      expect(sung).toHaveLength(2);
      const order = ['comfortable', 'possible', 'outside'];
      expect(order.indexOf(fit)).toBe(Math.max(...sung.map((one) => order.indexOf(one.fit))));
    }
  });

  test('keep the song’s own name for its key, and the mode', () => {
    const minor = singerKeys(key('C#m'), range('C4 C5'), [ALTO], () => NEUTRAL);
    expect(minor.find(({ semitones }) => semitones === 0)?.key).toEqual(key('C#m'));
    expect(minor.every(({ key: { scale } }) => scale === 'natural minor')).toBe(true);
  });
});

describe('how kind a key is to the guitars', () => {
  const at = (fret: number, score: number) => ({ fret, score });

  test('half by the best capo, half by none: what rings by itself goes before what needs one', () => {
    expect(guitarKindness([[at(0, 75)]])).toEqual({ score: 75, capo: 0 });
    expect(guitarKindness([[at(1, 71), at(0, 46)]])).toEqual({ score: 59, capo: 1 });
  });

  test('for two guitars it is the one that has it harder', () => {
    expect(
      guitarKindness([
        [at(0, 90), at(2, 80)],
        [at(3, 70), at(0, 40)],
      ]),
    ).toEqual({ score: 55, capo: 3 });
  });

  test('without a guitar nobody minds', () => expect(guitarKindness([])).toBeNull());

  test.each(['|: 1 4 6- 5 :|', '|: 1 5 4 1 :|', '|: 2- 5 1 6- :|'])(
    'of a plain song (%s) C and D go before D♭, and G before G♭',
    (bars) => {
      const reading = readChart(`key: C\n\n${bars}\n`);
      const score = (name: string) => guitarKindness([planCapo(reading, { tonic: key(name).tonic })])?.score ?? 0;
      for (const [kind, hard] of [
        ['C', 'Db'],
        ['D', 'Db'],
        ['G', 'Gb'],
        ['A', 'Ab'],
        ['E', 'Eb'],
      ] as const)
        expect(score(kind)).toBeGreaterThan(score(hard));
    },
  );
});

test.each([
  // counted by hand: C is written D (2 sharps) by a B♭ instrument and A (3 sharps) by an E♭ one
  ['C', 5],
  ['Bb', 1],
  ['Eb', 1],
  ['E', 6 + 5],
])('a B♭ and an E♭ instrument in %s read %i accidentals together', (name, count) => {
  const reader = (transpose: number) => ({ transpose, capo: 0, tuning: 0 });
  expect(accidentalsFor([reader(2), reader(9)], key(name))).toBe(count);
});

test.each([
  ['D5 A3'.split(' ').reverse().join(' '), 'F3 F5', null],
  ['E3 D5', 'F3 F5', 'voice-outside'],
  ['A3 G5', 'F3 F5', 'voice-outside'],
])('a voice with ease %s within %s', (comfortable, possible, code) => {
  const voice = checkVoice({ comfortable: range(comfortable), possible: range(possible) });
  expect(voice.ok ? null : voice.fault.code).toBe(code);
});

test('a voice upside down is refused', () => {
  expect(checkVoice({ comfortable: { low: 60, high: 50 }, possible: range('F3 F5') })).toMatchObject({
    ok: false,
    fault: { code: 'range-upside-down' },
  });
});
