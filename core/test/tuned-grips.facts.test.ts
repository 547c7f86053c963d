import { describe, expect, test } from '@jest/globals';
import { chordNotes, chroma, findVoicings, INSTRUMENTS, type Instrument, parseChord, printFrets, requireValue } from '../src/index.ts';

/**
 * The first grip of a chord on each instrument and in each tuning, as its methods begin with them.
 * Source: common teaching of each instrument.
 */
const FIRST_GRIPS: Readonly<Record<string, string>> = {
  Ukulele:
    'C 0003, G 0232, D 2220, F 2010, Am 2000, Dm 2210, Em 0432, A 2100, E 4442, G7 0212, D7 2223, C7 0001, A7 0100, E7 1202, Bb 3211, Bm 4222, Gm 0231, Cmaj7 0002, Fm 1013, Cm 0333, B 4322, B7 2322, Ab 5343, Eb 0331, Am7 0000, Em7 0202, Dm7 2213, Gm7 0211',
  'Baritone ukulele':
    'D 0232, G 0003, C 2010, A 2220, E 2100, Em 2000, Am 2210, Dm 0231, F 3211, D7 0212, G7 0001, B7 1202, Bm 4432, Dmaj7 0222',
  Mandolin:
    'G 0023, C 0230, D 2002, A 2245, E 1220, F 5301, Am 2230, Em 0220, Dm 2001, Bm 4022, G7 0021, D7 2032, A7 2243, E7 1020, Bb 3011, Gm 0013',
  'Banjo, open G':
    'G 00000, C 02012, D x4234, D7 x4210, Em 02002, Am x2212, F x3213, A x2222, G7 00003, E x2102, E7 x2100, Bm x4434, C7 02312',
  'Guitar, low D':
    'D5 000xxx, E5 222xxx, F5 333xxx, G5 555xxx, A5 777xxx, D 000232, Dm 000231, D7 000212, G 5x0003, Em 222000, C x32010, A x02220, Am x02210',
  'Guitar, both outer strings low D': 'D5 000xxx, F5 333xxx, G5 555xxx, D 000234, Dm 000233, G 5x0000, Em 222002, A x02222, Am x02212',
  'Guitar, D A D G A D': 'D5 000xxx, F5 333xxx, G5 5500xx, D 000204, Dm 000203, Dsus4 000000, G 550020, Em 222022, A5 x0220x',
  'Guitar, open G': 'G x00000, Ab x11111, C x55555, D x77777, Am x22212',
  'Guitar, open D': 'D 000000, Eb 111111, G 555555, A 777777, Em 222122',
  'Guitar, open E': 'E 000000, F 111111, A 555555, B 777777, F#m 222122',
  'Guitar, half step down': 'B x32010, F# 320003, Eb 022100, Ab x02220, Ebm 022000, Abm x02210',
  'Seven-string guitar': 'E x022100, A xx02220, C xx32010, G x320003, Em x022000, Am xx02210',
  Bass: 'E 02xx, A x02x, Am x02x, D xx02, C x355, G 355x, F 133x, B x244, Bb x133, Dm xx02',
  'Five-string bass': 'E x02xx, A xx02x, D xxx02, G x355x, C xx355, F x133x',
};

const named = (name: string): Instrument => {
  const found = INSTRUMENTS.find((one) => one.name === name);
  if (found === undefined) throw new Error(`no ${name}`);
  return found;
};

describe.each(Object.entries(FIRST_GRIPS))('%s', (name, rows) => {
  const instrument = named(name);
  test.each(rows.split(', ').map((row) => row.split(' ') as [string, string]))('%s is %s', (symbol, grip) => {
    const chord = requireValue(parseChord(symbol));
    const [first] = findVoicings(chord, instrument).voicings;
    expect(first === undefined ? '' : printFrets(first.frets)).toBe(grip);
    // and it holds the chord's notes alone
    const own = chordNotes(chord).map(chroma);
    expect(first?.tones.filter(({ midi }) => !own.includes(midi % 12))).toEqual([]);
  });
});

test('every instrument one may begin with has its first grips here, but the guitar, which has a book of its own', () => {
  const covered = [...Object.keys(FIRST_GRIPS), 'Guitar'];
  expect(INSTRUMENTS.map(({ name }) => name).filter((name) => !covered.includes(name))).toEqual([]);
});

test.each(['Ukulele', 'Baritone ukulele', 'Mandolin'])('on a %s every string sounds in every shape', (name) => {
  for (const symbol of ['C', 'D', 'Bb', 'F#m', 'G7', 'Ebmaj7']) {
    const { voicings } = findVoicings(requireValue(parseChord(symbol)), named(name));
    expect(voicings.length).toBeGreaterThan(5);
    for (const { frets } of voicings) expect(frets).not.toContain(null);
  }
});

test.each(['Bass', 'Five-string bass'])('on a %s the root is lowest in the first shape of every chord', (name) => {
  for (const symbol of ['C', 'Ebm', 'F#', 'G7', 'Bbmaj7', 'Am7', 'D5', 'Ab', 'Bm7b5'])
    expect(findVoicings(requireValue(parseChord(symbol)), named(name)).voicings[0]?.inversion).toBe(0);
});
