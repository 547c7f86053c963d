import { describe, expect, test } from '@jest/globals';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { INSTRUMENTS, type Instrument, STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { keyNotes } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { comfortOf, easierByColour, neighboursOf } from './easier.ts';
import { gripOf } from './grips.ts';
import { holdsAlong, holdsOf } from './holding.ts';
import {
  type KeyDepth,
  keyAlongNeck,
  keyInOpenChords,
  keyInPosition,
  ladderShapes,
  movesBetween,
  shiftBetween,
  stringSets,
} from './key-shapes.ts';
import { leftRinging, nameFrets, newBasses, voiceUp } from './reshape.ts';
import { findVoicings } from './search.ts';
import { type Family, type Frets, printFrets, type Voicing } from './voicing.ts';

const key = (text: string) => requireValue(parseKey(text));
const frets = (text: string): Frets =>
  (text.includes('-') ? text.split('-') : [...text]).map((fret) => (fret === 'x' ? null : Number(fret)));
const all = (symbol: string, instrument: Instrument = STANDARD_GUITAR) =>
  findVoicings(requireValue(parseChord(symbol)), instrument, { maxFret: 15 }).voicings;
const shape = (symbol: string, written: string): Voicing => all(symbol).find((voicing) => printFrets(voicing.frets) === written) as Voicing;

describe('a key on the neck', () => {
  const along = (home: string, family: 'triad' | 'drop-2' | 'barre-6' | 'drop-3', strings: readonly number[] | null, inversion = 0) =>
    keyAlongNeck(key(home), { family, strings, inversion, depth: 'triad' }, STANDARD_GUITAR);

  test('the triads of G on the top strings go up and double back where the neck runs out', () => {
    const written = along('G', 'triad', [3, 2, 1]).map(
      ({ voicing, folded }) => `${voicing === null ? '-' : printFrets(voicing.frets)}${folded ? ' back' : ''}`,
    );
    expect(written).toEqual(['x-x-x-12-12-10', 'x-x-x-14-13-12', 'xxx432 back', 'xxx553', 'xxx775', 'xxx987', 'x-x-x-11-10-8']);
  });

  test('sevenths of C, drop-2 with the root lowest on strings 5 to 2', () => {
    expect(along('C', 'drop-2', [5, 4, 3, 2]).map(({ voicing }) => voicing && printFrets(voicing.frets))).toEqual([
      'x3545x',
      'x5756x',
      'x7978x',
      'x-8-10-9-10-x',
      'x-10-12-10-12-x',
      'x-12-14-12-13-x',
      'x-14-15-14-15-x',
    ]);
  });

  test('there is no barre shape of a diminished triad; something comfortable is offered', () => {
    expect(along('G', 'barre-6', null)[6]?.voicing).toBeNull();
    const comfort = comfortOf('barre-6', all('F#dim'), STANDARD_GUITAR);
    expect(comfort).toMatchObject({ comfortable: false, easiest: null });
    expect(comfort.instead?.inversion).toBe(0);
  });

  test('in one position nothing leaves the position, and every shape belongs to its chord', () => {
    for (const { chord, voicing } of keyInPosition(key('A'), { family: 'drop-2', depth: 'seventh' }, 4, STANDARD_GUITAR)) {
      expect(voicing?.chord).toEqual(chord);
      for (const fret of voicing?.frets ?? []) expect(fret === null || (fret >= 4 && fret <= 8)).toBe(true);
    }
  });

  test('what moves from shape to shape', () => {
    const moves = movesBetween(shape('Cmaj7', 'x3545x'), shape('Cm7', 'x3534x'));
    expect(moves.map(({ string, kind, frets: by }) => `${string} ${kind} ${by}`)).toEqual([
      '5 stays 0',
      '4 stays 0',
      '3 moves -1',
      '2 moves -1',
    ]);
    expect(shiftBetween(shape('Cmaj7', 'x3545x'), shape('Dm7', 'x5756x'), 0)).toBe(2);
  });

  test('string sets are adjacent strings; drop-3 leaves one out above the lowest', () => {
    expect(stringSets('drop-2', 6).map((set) => set.join(''))).toEqual(['6543', '5432', '4321']);
    expect(stringSets('drop-3', 6).map((set) => set.join(''))).toEqual(['6432', '5321']);
    expect(stringSets('quartal', 6).map((set) => set.join(''))).toEqual(['6543', '5432', '4321', '65432', '54321']);
    expect(stringSets('triad', 7)).toHaveLength(5);
  });
});

describe('easier, fuller, otherwise', () => {
  test.each([
    ['F', '133211', 'xx3211'],
    ['Bm', 'x24432', 'x2443x'],
    ['A', '577655', 'xx7655'],
  ])('%s %s: next easier %s', (symbol, hard, easy) => {
    expect(printFrets(neighboursOf(shape(symbol, hard), all(symbol), STANDARD_GUITAR).easier?.frets ?? [])).toBe(easy);
  });

  test.each(['C', 'Gm7', 'Ebmaj7', 'D9'])('%s: fuller sounds more strings, easier is easier, both keep the lowest tone', (symbol) => {
    const shapes = all(symbol);
    const wrong = shapes.slice(0, 40).filter((voicing) => {
      const { easier, fuller } = neighboursOf(voicing, shapes, STANDARD_GUITAR);
      const lowest = [easier, fuller].every((other) => other === null || other.tones[0]?.formula === voicing.tones[0]?.formula);
      const down = easier === null || easier.difficulty < voicing.difficulty;
      return !lowest || !down || (fuller !== null && fuller.tones.length <= voicing.tones.length);
    });
    expect(wrong).toEqual([]);
  });

  test.each([
    ['Bm', 'x24432', 'D', 'Bm7 x20202 +b7'],
    ['F', '133211', 'C', 'Fmaj7 xx3210 +7'],
    ['A', '577655', 'A', 'Asus2 x02200 +2 -3'],
  ])('%s %s in %s by colour: %s', (symbol, hard, home, wanted) => {
    const colours = easierByColour(shape(symbol, hard), key(home), STANDARD_GUITAR);
    const named = colours.map(({ voicing, added, left }) =>
      [printChord(voicing.chord), printFrets(voicing.frets), ...added.map((name) => `+${name}`), ...left.map((name) => `-${name}`)].join(
        ' ',
      ),
    );
    expect(named.some((name) => name.startsWith(wanted.split(' ')[0] as string))).toBe(true);
    const inKey = new Set(keyNotes(key(home)).map(chroma));
    for (const { voicing } of colours) {
      expect(voicing.difficulty).toBeLessThan(shape(symbol, hard).difficulty);
      expect(voicing.frets).toContain(0);
      const own = new Set(shape(symbol, hard).tones.map(({ note }) => chroma(note)));
      for (const { note } of voicing.tones) expect(inKey.has(chroma(note)) || own.has(chroma(note))).toBe(true);
    }
  });

  test('a string left ringing: Cmaj7 over an open low E; Am over a G is Am7/G', () => {
    const ringing = leftRinging(shape('C', 'x32010'), STANDARD_GUITAR, null);
    expect(ringing.map(({ string, name }) => `${string} ${name === null ? '' : printChord(name.chord)}`)).toEqual(['6 C/E']);
    const basses = newBasses(shape('Am', 'x02210'), STANDARD_GUITAR, key('C'));
    expect(basses.find(({ frets: at }) => at[0] === 3)?.name?.chord).toEqual(requireValue(parseChord('Am7/G')));
  });

  test('one voice an octave over keeps the pitch classes', () => {
    for (const { frets: at } of voiceUp(shape('Cmaj7', 'x3545x'), STANDARD_GUITAR, null)) {
      const heard = new Set(nameFrets(at, STANDARD_GUITAR, null).flatMap(({ chord }) => [chord.root]));
      expect(heard.size).toBeGreaterThan(0);
      const pitches = at.flatMap((fret, index) => (fret === null ? [] : [((STANDARD_GUITAR.tuning[index] as number) + fret) % 12]));
      expect(new Set(pitches)).toEqual(new Set([0, 4, 7, 11]));
    }
  });

  test.each([
    ['x32010', 'C', 'C'],
    ['320003', 'G', 'G'],
    ['x02010', 'C', 'Am7'],
    ['xx0232', 'D', 'D'],
    ['2x0232', 'D', 'D/F#'],
    ['x3545x', 'C', 'Cmaj7'],
    ['xx2233', 'C', 'Em7add11'],
  ])('tapped %s in %s is %s', (written, home, name) => {
    const names = nameFrets(frets(written), STANDARD_GUITAR, key(home)).map(({ chord }) => printChord(chord));
    expect(names.slice(0, 4)).toContain(name);
  });
});

describe('which fingers', () => {
  test('reasons: the thumb, a freed finger, a finger that stays for the next chord, who mutes', () => {
    const kinds = (voicing: Voicing, next: Voicing | null = null) =>
      holdsOf(voicing, STANDARD_GUITAR, next).flatMap(({ reasons }) => reasons.map((reason) => reason.kind));
    expect(kinds(shape('F', '133211'))).toEqual(expect.arrayContaining(['easiest', 'thumb', 'light-barre']));
    expect(kinds(shape('G', '320003'))).toContain('frees');
    expect(kinds(shape('Gmaj7', '3x443x'))).toContain('mutes');
    expect(kinds(shape('C', 'x32010'), shape('Am', 'x02210'))).toContain('stays');
  });

  test('along C, Am7, Fmaj7 the first finger never leaves string 2', () => {
    const ways = holdsAlong([shape('C', 'x32010'), shape('Am7', 'x02010'), shape('Fmaj7', 'xx3210')], STANDARD_GUITAR);
    expect(ways.map(({ fingers }) => fingers[4])).toEqual([1, 1, 1]);
  });
});

test('a bass and a seven-string guitar have shapes too', () => {
  for (const name of ['Bass', 'Five-string bass', 'Seven-string guitar']) {
    const instrument = INSTRUMENTS.find((one) => one.name === name) as Instrument;
    expect(all('Dm7', instrument).length).toBeGreaterThan(5);
  }
});

describe('a key family by family', () => {
  const lowest = (voicing: Voicing | null | undefined) => voicing?.tones[0]?.midi ?? Number.NaN;
  const written = (shapes: readonly { readonly voicing: Voicing | null }[]) =>
    shapes.map(({ voicing }) => voicing && printFrets(voicing.frets));
  const along = (home: string, family: Family, depth: KeyDepth, strings: readonly number[] | null = null) =>
    keyAlongNeck(key(home), { family, strings, inversion: 0, depth }, STANDARD_GUITAR);

  test('barre sevenths of G on string 5 are full barres', () => {
    expect(written(along('G', 'barre-5', 'seventh')).slice(2, 6)).toEqual(['x24232', 'x35453', 'x57575', 'x79787']);
    expect(written(along('C', 'barre-6', 'seventh'))[4]).toBe('353433');
  });

  // as methods for the guitar print them, moved along the neck by counting frets
  test.each([
    ['C', 'barre-5', 'seventh', 6, 'x-14-15-14-15-x'],
    ['F', 'barre-5', 'seventh', 6, 'x7878x'],
    ['Eb', 'barre-5', 'seventh', 6, 'x5656x'],
    ['Bb', 'barre-5', 'seventh', 6, 'x-12-13-12-13-x'],
    ['C', 'barre-6', 'seventh', 6, '7x776x'],
    ['Eb', 'barre-6', 'seventh', 6, '10-x-10-10-9-x'],
    ['G', 'barre-6', 'triad', 6, '2342xx'],
    ['C', 'barre-5', 'triad', 6, 'x2343x'],
    ['Em', 'barre-6', 'triad', 1, '2342xx'],
    ['Gm', 'barre-5', 'seventh', 1, 'x-12-13-12-13-x'],
  ] as const)('%s, %s, %ss, chord %i: where no barre is taught, %s stands in', (home, family, depth, place, frets) => {
    const shape = along(home, family, depth)[place];
    expect(shape?.voicing).toBeNull();
    expect(printFrets(shape?.standIn?.frets ?? [])).toBe(frets);
  });

  test('in no key does a barre row hold a shape that nobody teaches, and it climbs with what stands in', () => {
    for (const home of ['C', 'G', 'D', 'A', 'E', 'F', 'Bb', 'Eb', 'Ab', 'Am', 'Em', 'Dm'])
      for (const family of ['barre-5', 'barre-6'] as const)
        for (const depth of ['triad', 'seventh'] as const) {
          const shapes = along(home, family, depth).map(({ voicing, standIn }) => voicing ?? standIn);
          expect(shapes.every((shape) => shape !== null && gripOf(shape.frets, STANDARD_GUITAR.tuning, 0) !== undefined)).toBe(true);
          const falls = shapes.filter((shape, at) => at > 0 && lowest(shape) < lowest(shapes[at - 1]));
          expect(falls.length).toBeLessThanOrEqual(1);
        }
  });

  test('the octave chord closes the row where it is wished', () => {
    const row = keyAlongNeck(
      key('A'),
      { family: 'triad', strings: [3, 2, 1], inversion: 0, depth: 'triad', octave: true },
      STANDARD_GUITAR,
    );
    expect(row).toHaveLength(8);
    expect(row[7]?.chord).toEqual(row[0]?.chord);
    expect(lowest(row[7]?.voicing ?? null) - lowest(row[0]?.voicing ?? null)).toBe(12);
  });

  test.each([
    ['D', 1, 'Em', null, null],
    ['C', 3, 'F', '133211', 'xx3211'],
    ['D', 5, 'Bm', 'x24432', 'xx4432'],
    ['Em', 4, 'Bm', 'x24432', 'xx4432'],
    ['Am', 5, 'F', '133211', 'xx3211'],
    ['Eb', 5, 'Cm', 'x35543', 'xx5543'],
    ['F', 3, 'Bb', 'x13331', 'xx3331'],
  ] as const)('open chords of %s, chord %i: %s has the usual grip %s, easier %s', (home, place, _, usual, easier) => {
    const shape = keyInOpenChords(key(home), 'triad', STANDARD_GUITAR)[place];
    const frets = (voicing: Voicing | null | undefined) => (voicing == null ? null : printFrets(voicing.frets));
    expect(frets(shape?.standIn)).toBe(usual);
    if (usual !== null) expect(frets(shape?.easier)).toBe(easier);
  });

  test('what stands in for a diminished barre is a closed shape players know', () => {
    for (const [home, symbol] of [
      ['C', 'Bdim'],
      ['G', 'F#dim'],
      ['Bb', 'Adim'],
    ] as const) {
      expect(along(home, 'barre-5', 'triad')[6]?.voicing).toBeNull();
      const { instead } = comfortOf('barre-5', all(symbol), STANDARD_GUITAR);
      expect(instead?.frets).not.toContain(0);
      expect(gripOf(instead?.frets ?? [], STANDARD_GUITAR.tuning, 0)).toBeDefined();
    }
  });

  test('open chords by key, with what has none said so', () => {
    expect(written(keyInOpenChords(key('G'), 'triad', STANDARD_GUITAR))).toEqual([
      '320003',
      'x02210',
      null,
      'x32010',
      'xx0232',
      '022000',
      null,
    ]);
    expect(written(keyInOpenChords(key('C'), 'seventh', STANDARD_GUITAR)).slice(0, 6)).toEqual([
      'x32000',
      'xx0211',
      '022030',
      'xx3210',
      '320001',
      'x02010',
    ]);
    expect(written(keyInOpenChords(key('Ab'), 'triad', STANDARD_GUITAR)).filter((frets) => frets !== null)).toEqual([]);
    const [g] = keyInOpenChords(key('G'), 'triad', STANDARD_GUITAR);
    expect(g?.easier?.difficulty).toBeLessThan(g?.voicing?.difficulty ?? 0);
  });

  test.each([
    ['spread', '653'],
    ['spread', '542'],
    ['spread', '431'],
    ['shell', '643'],
  ] as const)('%s shapes with the root lowest on strings %s', (family, set) => {
    expect(stringSets(family, 6).map((strings) => strings.join(''))).toContain(set);
    const shapes = along('C', family, 'triad', [...set].map(Number));
    for (const { voicing, chord } of shapes) {
      expect(voicing?.tones.slice(0, 1).map(({ note }) => chroma(note))).toEqual([chroma(chord.root)]);
      expect(voicing?.tones.map(({ string }) => string).join('')).toBe(set);
    }
  });

  test('five notes in fourths with a third on top go through the key as one grip, and are no barre', () => {
    const shapes = along('C', 'quartal', 'triad', [5, 4, 3, 2, 1]);
    for (const { voicing } of shapes) {
      expect(voicing?.families).toContain('quartal');
      expect(voicing?.families.some((family) => family.startsWith('barre'))).toBe(false);
      const heights = (voicing?.tones ?? []).map(({ midi }) => midi);
      const steps = heights.slice(1).map((midi, index) => midi - (heights[index] as number));
      expect(steps.slice(0, 3).every((step) => step === 5 || step === 6)).toBe(true);
      expect([3, 4]).toContain(steps[3]);
    }
  });

  test('every note of every shape is a note of the key', () => {
    const own = new Set(keyNotes(key('C')).map(chroma));
    const families = ['quartal', 'shell', 'spread', 'drop-2', 'drop-3', 'triad'] as const;
    const places = families.flatMap((family) => stringSets(family, 6).map((strings) => ({ family, strings })));
    const wishes = places.flatMap((place) => [0, 1, 2, 3].map((inversion) => ({ ...place, inversion, depth: 'seventh' as const })));
    const heard = wishes.flatMap((wish) => keyAlongNeck(key('C'), wish, STANDARD_GUITAR).flatMap(({ voicing }) => voicing?.tones ?? []));
    expect(heard.length).toBeGreaterThan(100);
    expect(heard.filter(({ note }) => !own.has(chroma(note)))).toEqual([]);
  });
});

describe('the ladder on one root', () => {
  const sets = [
    ...stringSets('drop-2', 6).map((strings) => ['drop-2', strings] as const),
    ...stringSets('drop-3', 6).map((strings) => ['drop-3', strings] as const),
  ];
  test.each(sets.flatMap(([family, strings]) => [0, 1, 2, 3].map((inversion) => [family, strings.join(' '), inversion] as const)))(
    '%s on strings %s, inversion %i: one string moves a fret at a time',
    (family, set, inversion) => {
      for (const home of ['C', 'F#', 'Bb']) {
        const shapes = ladderShapes(key(home).tonic, { family, strings: set.split(' ').map(Number), inversion }, STANDARD_GUITAR);
        expect(shapes.map(({ chord }) => printChord(chord).replace(home, ''))).toEqual(['maj7', '7', 'm7', 'm7b5', 'dim7']);
        shapes.forEach(({ voicing }, index) => {
          const before = shapes[index - 1]?.voicing;
          if (voicing === null || before === undefined || before === null) return;
          const moved = movesBetween(before, voicing).filter(({ kind }) => kind !== 'stays');
          expect(moved.map(({ kind, frets: by }) => `${kind} ${by}`)).toEqual(['moves -1']);
        });
        expect(shapes.filter(({ voicing }) => voicing !== null).length).toBeGreaterThanOrEqual(4);
      }
    },
  );
});
