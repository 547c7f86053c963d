import { describe, expect, test } from '@jest/globals';
import {
  findVoicings,
  formulaNames,
  type Instrument,
  parseChord,
  printChord,
  printFrets,
  requireValue,
  STANDARD_GUITAR,
} from '../src/index.ts';

/**
 * The sixty chords that are played most, with the grip a chord book prints first and the fingers it shows.
 * Source: common guitar teaching.
 */
const FIRST_GRIPS = `
C x32010 x32010
D xx0232 xx0132
E 022100 023100
F 133211 134211
G 320003 210003
A x02220 x01230
B x24442 x13331
Bb x13331 x13331
Eb x68886 x13331
Ab 466544 134211
Db x46664 x13331
F# 244322 134211
Am x02210 x02310
Bm x24432 x13421
Cm x35543 x13421
Dm xx0231 xx0231
Em 022000 023000
Fm 133111 134111
Gm 355333 134111
F#m 244222 134111
C#m x46654 x13421
G#m 466444 134111
Bbm x13321 x13421
Ebm x68876 x13421
C7 x32310 x32410
D7 xx0212 xx0213
E7 020100 020100
F7 131211 131211
G7 320001 320001
A7 x02020 x02030
B7 x21202 x21304
Bb7 x13131 x13141
Eb7 x68686 x13141
Ab7 464544 131211
F#7 242322 131211
C#7 x46464 x13141
Am7 x02010 x02010
Bm7 x20202 x10203
Cm7 x35343 x13121
Dm7 xx0211 xx0211
Em7 022030 012030
Fm7 131111 131111
Gm7 353333 131111
F#m7 242222 131111
C#m7 x46454 x13121
Cmaj7 x32000 x32000
Dmaj7 xx0222 xx0111
Emaj7 021100 031200
Fmaj7 xx3210 xx3210
Gmaj7 320002 310002
Amaj7 x02120 x02130
Dsus4 xx0233 xx0134
Dsus2 xx0230 xx0130
Asus4 x02230 x01240
Asus2 x02200 x01200
Esus4 022200 023400
Gsus4 330013 230014
Cadd9 x32030 x21030
D/F# 2x0232 Tx0132
G/B x20003 x10003
Bbmaj7 x13231 x13241
Am6 x02212 x02314
C/G 332010 342010
`;

/** Grips every player of chords knows, which stand among the first three; fingers where they are taught one way. */
const KNOWN_GRIPS = `
E7#9 x7678x x2134x
C7#9 x3234x x2134x
G13 3x345x 1x234x
C13 8-x-8-9-10-x 1x234x
Gm6 3x233x 2x133x
Cm6 8x788x 2x133x
F#m7b5 2x221x 2x341x
Bm7b5 x2323x x1324x
Em7b5 x7878x x1324x
C9 x3233x x2134x
C9 x32333 x21333
D9 x5455x x2134x
G7b9 x-10-9-10-9-x x3241x
C7b9 x3232x x3241x
Cmaj9 x3243x x2143x
Cm9 x3133x x2134x
C69 x32233 x21134
C69 x3223x x2113x
G7alt 3x3444 1x1234
G7#5 3x344x 1x234x
G7#11 3x342x 2x341x
G7b5 3x342x 2x341x
C7b5 x3435x x1324x
Cdim7 x3424x x2314x
Bdim x2343x x1243x
F#dim7 2x121x 2x131x
Caug x3211x x4312x
G6 3x243x 2x143x
A6 x02222 x01111
C6 x32210 x42310
Am(maj7) x02110 x02310
Fm(maj7) 132111 142111
Bbm(maj7) x13221 x14231
Gmaj7 3x443x 1x342x
Fmaj7 1x221x 1x342x
Bbmaj7 x13231 x13241
Gm7 3x333x 2x333x
G7sus4 353533 131411
C7sus4 x35363 x13141
A7sus4 x02030 x02030
C9sus4 x33333 x11111
Cmaj7#11 x3445x x1234x
A5 577xxx 134xxx
C5 x355xx x134xx
E5 022xxx 011xxx
Cm7 8-10-8-8-8-8 131111
F#m 244222 134111
Am/G 3x2210 4x2310
C/E 032010 032010
`;

const read = (table: string) =>
  table
    .trim()
    .split('\n')
    .map((row) => row.split(' ') as [string, string, string]);
const shapesOf = (symbol: string, instrument: Instrument = STANDARD_GUITAR) =>
  findVoicings(requireValue(parseChord(symbol)), instrument, { maxFret: 15 }).voicings.map(({ frets, fingering }) => ({
    frets: printFrets(frets, instrument.capo),
    fingers: fingering.fingers.map((finger) => finger ?? 'x').join(''),
  }));

describe('what a chord book prints first', () => {
  test('the table holds the sixty', () => expect(read(FIRST_GRIPS).length).toBeGreaterThanOrEqual(60));

  test.each(read(FIRST_GRIPS))('%s is %s, held %s', (symbol, frets, fingers) => {
    expect(shapesOf(symbol)[0]).toEqual({ frets, fingers });
  });

  test.each(read(KNOWN_GRIPS))('%s has %s, held %s, among its first three', (symbol, frets, fingers) => {
    expect(shapesOf(symbol).slice(0, 3)).toContainEqual({ frets, fingers });
  });
});

describe('movable grips in every key', () => {
  const ROOTS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'Gb', 'G', 'Ab', 'A', 'Bb', 'B'];
  /** A grip on F or B♭, string by string, moved up to each root: fret 1 holds F on string 6 and B♭ on string 5. */
  const GRIPS: readonly (readonly [suffix: string, frets: string, home: 'F' | 'Bb'])[] = [
    ['', '133211', 'F'],
    ['', 'x13331', 'Bb'],
    ['m', '133111', 'F'],
    ['m', 'x13321', 'Bb'],
    ['7', '131211', 'F'],
    ['7', 'x13131', 'Bb'],
    ['m7', '131111', 'F'],
    ['m7', 'x13121', 'Bb'],
    ['maj7', 'x13231', 'Bb'],
    ['m7b5', 'x1212x', 'Bb'],
  ];
  const rows = GRIPS.flatMap(([suffix, frets, home]) =>
    ROOTS.flatMap((root) => {
      const fifths = requireValue(parseChord(root)).root;
      const up = ((((fifths - requireValue(parseChord(home)).root) * 7) % 12) + 12) % 12;
      if (up > 8) return [];
      const moved = [...frets].map((sign) => (sign === 'x' ? null : Number(sign) + up));
      return [[`${root}${suffix}`, printFrets(moved)] as const];
    }),
  );

  test('they are many', () => expect(rows.length + read(FIRST_GRIPS).length + read(KNOWN_GRIPS).length).toBeGreaterThanOrEqual(200));

  test.each(rows)('%s has %s among its first five', (symbol, frets) => {
    expect(
      shapesOf(symbol)
        .slice(0, 5)
        .map((shape) => shape.frets),
    ).toContain(frets);
  });
});

describe('on other instruments', () => {
  const down = { ...STANDARD_GUITAR, tuning: STANDARD_GUITAR.tuning.map((midi) => midi - 1) };
  test('strings a half step down bring the grips of the key above', () => {
    expect(shapesOf('Eb', down)[0]).toEqual(shapesOf('E')[0]);
    expect(shapesOf('Gb7', down)[0]).toEqual(shapesOf('G7')[0]);
  });

  test('over a capo the open grips are those of the shape', () => {
    expect(shapesOf('D', { ...STANDARD_GUITAR, capo: 2 })[0]).toEqual(shapesOf('C')[0]);
    expect(shapesOf('Bbm', { ...STANDARD_GUITAR, capo: 1 })[0]).toEqual(shapesOf('Am')[0]);
  });

  test('in another tuning only shapes whose strings stand alike are grips', () => {
    const open = { ...STANDARD_GUITAR, tuning: [38, 43, 50, 55, 59, 62] };
    for (const { frets } of shapesOf('G', open).slice(0, 3)) expect(frets).not.toBe('320003');
  });
});

describe('a shape holds what its symbol names', () => {
  const QUALITIES =
    '7 maj7 m7 m7b5 dim7 m(maj7) 6 m6 69 sus4 sus2 7sus4 9 maj9 m9 13 m11 11 add9 7b9 7#9 7#11 7b13 13b9 9#11 maj7#11 aug7 7b5'.split(' ');
  const MAY_GO = ['1', '5'];
  test.each(QUALITIES.flatMap((quality) => ['C', 'F#', 'A'].map((root) => `${root}${quality}`)))('%s', (symbol) => {
    const chord = requireValue(parseChord(symbol));
    const tones = formulaNames(chord.formula);
    // under the highest plain extension the lower ones may go
    const top = tones.includes('13') ? ['9', '11'] : tones.includes('11') ? ['9'] : [];
    const named = tones.filter((tone) => !MAY_GO.includes(tone) && !top.includes(tone));
    for (const { tones: held, frets } of findVoicings(chord, STANDARD_GUITAR, { maxFret: 12 }).voicings) {
      const heard = held.map(({ formula }) => formula);
      expect([printChord(chord), printFrets(frets), named.filter((tone) => !heard.includes(tone))]).toEqual([
        printChord(chord),
        printFrets(frets),
        [],
      ]);
      expect(heard).toContain('1');
    }
  });

  test('an altered dominant has third, seventh and an altered ninth', () => {
    for (const { tones } of findVoicings(requireValue(parseChord('G7alt')), STANDARD_GUITAR, { maxFret: 12 }).voicings) {
      const heard = tones.map(({ formula }) => formula);
      expect(heard).toEqual(expect.arrayContaining(['3', 'b7']));
      expect(heard.some((tone) => tone === 'b9' || tone === '#9')).toBe(true);
    }
  });
});
