import { describe, expect, test } from '@jest/globals';
import { BRIDGE_KINDS } from '../choices.ts';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { chroma } from '../pitch/note.ts';
import { bridgeWords } from '../wording/bridge-words.ts';
import { type BridgeKind, findBridges, homeOfChord } from './bridge.ts';

const end = (symbol: string, key?: string) => {
  const chord = requireValue(parseChord(symbol));
  return { chord, key: key === undefined ? homeOfChord(chord) : requireValue(parseKey(key)) };
};
const bridges = (from: string, to: string) => findBridges(end(from), end(to));
const played = (from: string, to: string, kind: BridgeKind) =>
  bridges(from, to)
    .find((bridge) => bridge.kind === kind)
    ?.chords.map((chord) => printChord(chord))
    .join(' ');
const kinds = (from: string, to: string) => bridges(from, to).map(({ kind }) => kind);

describe('what leads to a chord', () => {
  test.each([
    ['Eb', 'Em', 'B7', 'F#m7b5 B7', 'F7', 'D#dim7'],
    ['G', 'A', 'E7', 'Bm7 E7', 'Bb7', 'G#dim7'],
    ['D', 'Bb', 'F7', 'Cm7 F7', 'B7', 'Adim7'],
    ['C', 'Am', 'E7', 'Bm7b5 E7', 'Bb7', 'G#dim7'],
    ['A', 'Db', 'Ab7', 'Ebm7 Ab7', 'D7', 'Cdim7'],
    ['F', 'Gm', 'D7', 'Am7b5 D7', 'Ab7', 'F#dim7'],
    ['C', 'F#m', 'C#7', 'G#m7b5 C#7', 'G7', 'E#dim7'],
    ['A', 'C#m', 'G#7', 'D#m7b5 G#7', 'D7', 'B#dim7'],
    ['F#', 'D#m', 'A#7', 'E#m7b5 A#7', 'E7', 'Ddim7'],
    ['Gb', 'Cb', 'Gb7', 'Dbm7 Gb7', 'C7', 'Bbdim7'],
  ])('from %s to %s', (from, to, dominant, twoFive, tritone, diminished) => {
    expect(played(from, to, 'dominant')).toBe(dominant);
    expect(played(from, to, 'two-five')).toBe(twoFive);
    expect(played(from, to, 'tritone-substitute')).toBe(tritone);
    expect(played(from, to, 'diminished-approach')).toBe(diminished);
    expect(played(from, to, 'direct')).toBe('');
  });

  test('a shared chord belongs to both keys, and is none of the two', () => {
    // C major and D major share Em and G
    expect(['Em', 'G']).toContain(played('C', 'D', 'pivot'));
    // C and F# major share nothing
    expect(played('C', 'F#', 'pivot')).toBeUndefined();
  });

  test('a chord that is the dominant already is not asked to be played again', () => {
    expect(kinds('G7', 'C')).not.toContain('dominant');
    expect(kinds('G7', 'C')[0]).toBe('direct');
  });

  test('far keys want their dominant first, a straight join last', () => {
    for (const [from, to] of [
      ['Eb', 'Em'],
      ['C', 'F#'],
      ['D', 'Bb'],
    ] as const) {
      const order = kinds(from, to);
      expect(['dominant', 'two-five']).toContain(order[0]);
      expect(order.at(-1)).toBe('direct');
    }
    expect(kinds('Eb', 'Em')[0]).toBe('dominant');
    expect(kinds('Bb', 'Bb')[0]).toBe('direct');
  });
});

describe('laws, over every pair of chords', () => {
  const roots = 'C C# Db D Eb E F F# Gb G Ab A Bb B'.split(' ');
  const chords = roots.flatMap((root) => ['', 'm', '7', 'm7b5', 'sus4'].map((quality) => root + quality));

  const joins = (to: string) => chords.flatMap((from) => bridges(from, to));
  /** Where the last chord before the goal stands above it, in half steps. */
  const APPROACH: Readonly<Partial<Record<BridgeKind, number>>> = {
    dominant: 7,
    'two-five': 7,
    'tritone-substitute': 1,
    'diminished-approach': 11,
  };

  test.each(roots.flatMap((root) => [root, `${root}m`]))('to %s', (to) => {
    for (const { kind, chords: between, beats, smoothness } of joins(to)) {
      expect(BRIDGE_KINDS).toContain(kind);
      expect(smoothness).toBeGreaterThanOrEqual(0);
      expect(smoothness).toBeLessThanOrEqual(100);
      expect(beats).toBe(kind === 'pivot' ? 4 : 2 * between.length);
      const last = between.at(-1);
      if (last === undefined || kind === 'pivot') continue;
      expect((chroma(last.root) - chroma(end(to).chord.root) + 12) % 12).toBe(APPROACH[kind]);
    }
  });

  test('each kind once, the smoothest first', () => {
    for (const from of chords) {
      const found = bridges(from, 'Ebm');
      expect(new Set(found.map(({ kind }) => kind)).size).toBe(found.length);
      const order = found.map(({ smoothness }) => smoothness);
      expect(order).toEqual([...order].sort((a, b) => b - a));
    }
  });

  test('the same bridge in every key', () => {
    for (let move = -3; move <= 3; move += 1) {
      const shift = ({ chord, key }: ReturnType<typeof end>) => ({
        chord: { ...chord, root: chord.root + move },
        key: { ...key, tonic: key.tonic + move },
      });
      const plain = findBridges(end('C'), end('Am'));
      const moved = findBridges(shift(end('C')), shift(end('Am')));
      expect(moved.map(({ kind, smoothness }) => [kind, smoothness])).toEqual(plain.map(({ kind, smoothness }) => [kind, smoothness]));
    }
  });
});

test('every bridge says why, with its chords', () => {
  const [from, to] = [end('C'), end('D')];
  const said = Object.fromEntries(findBridges(from, to).map((bridge) => [bridge.kind, bridgeWords(bridge, from, to, DEFAULT_NAMING)]));
  expect(Object.keys(said).sort()).toEqual([...BRIDGE_KINDS].sort());
  expect(said.dominant).toMatch(/^A7 is the dominant of D/);
  expect(said['two-five']).toMatch(/^Em7 prepares A7/);
  expect(said['tritone-substitute']).toContain('E♭7');
  expect(said['diminished-approach']).toContain('C♯dim7');
  expect(said.pivot).toContain('belongs to C and to D');
});
