// Laws of the voicing search over instruments, tunings and capos: checked from the strings up, not from the search.
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  chordNotes,
  chroma,
  type Family,
  type Fingering,
  type Frets,
  findVoicings,
  fingerings,
  INSTRUMENTS,
  type Instrument,
  parseChord,
  requireValue,
  STANDARD_GUITAR,
  type Voicing,
} from '../src/index.ts';

const ROOTS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const QUALITIES = [
  '',
  'm',
  'dim',
  'aug',
  'sus4',
  '7',
  'maj7',
  'm7',
  'm7b5',
  'dim7',
  '6',
  'm6',
  'add9',
  '9',
  'm9',
  '13',
  '7b9',
  '7alt',
  '5',
  'm11',
];
const TUNINGS: readonly (readonly number[])[] = [
  ...INSTRUMENTS.map(({ tuning }) => tuning),
  [67, 60, 64, 69],
  [40, 45, 50, 55, 59, 59],
  [40, 47],
];

const cases = fc.record({
  root: fc.constantFrom(...ROOTS),
  quality: fc.constantFrom(...QUALITIES),
  bass: fc.option(fc.constantFrom(...ROOTS), { freq: 3 }),
  tuning: fc.constantFrom(...TUNINGS),
  capo: fc.integer({ min: 0, max: 7 }),
  frets: fc.integer({ min: 12, max: 17 }),
});

const read = (symbol: string) => requireValue(parseChord(symbol));

/** What a hand cannot do whatever the shape, measured here by itself. */
function isBeyondHands({ frets }: Voicing, { fingers }: Fingering, instrument: Instrument): boolean {
  const pressed = frets.filter((fret): fret is number => fret !== null && fret > instrument.capo);
  if (pressed.length === 0) return false;
  const place = (fret: number) => instrument.scaleLength - instrument.scaleLength / 2 ** (fret / 12);
  const used = new Set(fingers.filter((finger) => finger !== null && finger !== 0));
  return used.size > 4 || place(Math.max(...pressed)) - place(Math.min(...pressed)) > 125;
}

test('frets sound exactly the notes named, nothing behind the capo, nothing past the last fret, nothing beyond hands', () => {
  let shapes = 0;
  fc.assert(
    fc.property(cases, ({ root, quality, bass, tuning, capo, frets }) => {
      const chord = read(`${root}${quality}${bass === null ? '' : `/${bass}`}`);
      const instrument: Instrument = { ...STANDARD_GUITAR, tuning, capo, frets, comfortFret: frets };
      const wanted = new Set([...chordNotes(chord), ...(chord.bass === null ? [] : [chord.bass])].map(chroma));
      const { voicings } = findVoicings(chord, instrument);
      shapes += voicings.length;
      const wrong = voicings.filter((voicing) => {
        const sounding = voicing.frets.flatMap((fret, index) => (fret === null ? [] : [(tuning[index] as number) + fret]));
        const heard = new Set(sounding.map((midi) => midi % 12));
        const right =
          voicing.tones.map(({ midi }) => midi).join() === sounding.join() &&
          voicing.tones.every(({ note, midi }) => chroma(note) === midi % 12 && wanted.has(midi % 12)) &&
          voicing.frets.every((fret) => fret === null || (fret >= capo && fret <= frets)) &&
          (chord.bass === null || Math.min(...sounding) % 12 === chroma(chord.bass)) &&
          [...wanted].filter((pitch) => !heard.has(pitch)).length === voicing.omitted.length;
        return !right || isBeyondHands(voicing, voicing.fingering, instrument);
      });
      expect(wrong).toEqual([]);
    }),
    { seed: 5, numRuns: 240 },
  );
  expect(shapes).toBeGreaterThan(10_000);
});

test('a closed shape moved up the neck is a shape of the moved chord, and no harder: frets only grow narrower', () => {
  const closed = findVoicings(read('Dbmaj7'), STANDARD_GUITAR, { maxFret: 14 }).voicings.filter(
    ({ frets }) => !frets.includes(0) && !frets.includes(1),
  );
  const moved = new Map(
    findVoicings(read('Ebmaj7'), STANDARD_GUITAR, { maxFret: 16 }).voicings.map((voicing) => [String(voicing.frets), voicing]),
  );
  expect(closed.length).toBeGreaterThan(50);
  for (const { frets, inversion, difficulty } of closed) {
    const same = moved.get(String(frets.map((fret) => (fret === null ? null : fret + 2))));
    expect(same?.inversion).toBe(inversion);
    expect(same?.difficulty).toBeLessThanOrEqual(difficulty);
  }
});

describe('families by definition', () => {
  const sorted = ({ tones }: Voicing) => tones.map(({ midi }) => midi).sort((a, b) => a - b);
  const closedUp = (midi: readonly number[], from: number) => {
    const lifted = [...midi.slice(1), (midi[0] as number) + 12].sort((a, b) => a - b);
    return { at: lifted.indexOf((midi[0] as number) + 12), span: (lifted[3] as number) - (lifted[0] as number), from };
  };
  const of = (symbol: string, family: Family) => findVoicings(read(symbol), STANDARD_GUITAR, { families: [family], maxFret: 15 }).voicings;

  test.each(['Cmaj7', 'F7', 'Bbm7', 'Em7b5', 'Adim7', 'D6'])('drop-2 and drop-3 of %s close to within an octave', (symbol) => {
    for (const [family, place] of [
      ['drop-2', 2],
      ['drop-3', 1],
    ] as const) {
      const shapes = of(symbol, family);
      expect(shapes.length).toBeGreaterThan(6);
      for (const shape of shapes) {
        const { at, span } = closedUp(sorted(shape), 0);
        expect(at).toBe(place);
        expect(span).toBeLessThan(12);
      }
    }
  });

  test.each(['Cmaj7', 'F7', 'Bbm7', 'Em7b5'])('drop-2 of %s: four inversions on the top four and the middle four strings', (symbol) => {
    for (const strings of ['4321', '5432']) {
      const inversions = of(symbol, 'drop-2').filter(({ tones }) => tones.map(({ string }) => string).join('') === strings);
      expect(new Set(inversions.map(({ inversion }) => inversion))).toEqual(new Set([0, 1, 2, 3]));
    }
  });

  test.each(['C', 'Fm', 'Bdim', 'Ebaug', 'Gsus4'])('triads of %s: three inversions on every set of adjacent strings', (symbol) => {
    for (const strings of ['321', '432', '543', '654']) {
      const shapes = of(symbol, 'triad').filter(({ tones }) => tones.map(({ string }) => string).join('') === strings);
      expect(new Set(shapes.map(({ inversion }) => inversion))).toEqual(new Set([0, 1, 2]));
    }
  });

  test('a chord without root or fifth only when asked', () => {
    const plain = findVoicings(read('Cmaj7'), STANDARD_GUITAR, { families: ['drop-2', 'other'] }).voicings;
    expect(plain.every(({ omitted }) => omitted.length === 0)).toBe(true);
    const asked = findVoicings(read('C9'), STANDARD_GUITAR, { without: ['root'], families: ['drop-2'] }).voicings;
    expect(
      asked.some(
        ({ omitted, tones }) =>
          omitted.join() === '1' &&
          tones
            .map(({ formula }) => formula)
            .sort()
            .join() === '3,5,9,b7',
      ),
    ).toBe(true);
  });

  test('more tones than strings: what was left out is said', () => {
    const bass = INSTRUMENTS.find(({ name }) => name === 'Bass') as Instrument;
    const { voicings, leftOut } = findVoicings(read('Cm13'), { ...bass, tuning: [40, 45, 50] });
    expect(leftOut).toEqual(expect.arrayContaining(['5', '9', '11']));
    expect(voicings.every(({ tones }) => tones.length <= 3)).toBe(true);
  });
});

function isOrderly(frets: Frets, fingers: Fingering['fingers']): boolean {
  const pressed = fingers.flatMap((finger, string) =>
    typeof finger === 'number' && finger > 0 ? [{ finger, fret: frets[string] as number }] : [],
  );
  return pressed.every((one) =>
    pressed.every((other) => (one.finger < other.finger ? one.fret <= other.fret : one.finger !== other.finger || one.fret === other.fret)),
  );
}

describe('ways to hold a shape', () => {
  test.each(['F', 'Cmaj7', 'Gm7b5', 'E7alt'])(
    '%s: a later finger never presses a lower fret, and one finger presses one fret',
    (symbol) => {
      const { voicings } = findVoicings(read(symbol), STANDARD_GUITAR, { maxFret: 12 });
      const holds = voicings.flatMap(({ frets }) => fingerings(frets, STANDARD_GUITAR).map(({ fingers }) => ({ frets, fingers })));
      expect(holds.length).toBeGreaterThan(voicings.length);
      expect(holds.filter(({ frets, fingers }) => !isOrderly(frets, fingers))).toEqual([]);
    },
  );

  test('the thumb takes string 6 of an F and frees the barre; a barre at the nut costs less than one fret up', () => {
    const barre = (fret: number) => [fret, fret + 2, fret + 2, fret + 1, fret, fret];
    const ways = fingerings(barre(1), STANDARD_GUITAR);
    expect(ways.map(({ fingers }) => fingers.join(''))).toContain('T34211');
    const cost = (fret: number) => fingerings(barre(fret), STANDARD_GUITAR)[0]?.cost ?? 0;
    expect(cost(1)).toBeLessThan(cost(2));
    expect(fingerings(barre(4), { ...STANDARD_GUITAR, capo: 3 })[0]?.cost).toBe(cost(1));
  });
});
