import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { analyzeText } from './analyze.ts';

/** The scales of the chord in brackets, best first: `A phrygian dominant`. */
function scalesIn(key: string, line: string, hearing: 'local' | 'home' = 'local', melody?: string): readonly string[] {
  const tokens = line.split(' ');
  const index = tokens.findIndex((token) => token.startsWith('['));
  const analysis = analyzeText(tokens.map((token) => token.replace(/^\[|\]$/g, '')).join(' '), {
    key: requireValue(parseKey(key)),
    hearing,
    ...(melody === undefined ? {} : { melody: new Map([[index, requireValue(parseNote(melody))]]) }),
  });
  return (analysis.chords[index]?.scales ?? []).map(({ tonic, scale }) => `${printNote(tonic)} ${scale}`);
}

describe('chord scales by role', () => {
  test.each([
    ['C', '[Cmaj7] F G7', 'C major'],
    ['C', 'C [Dm7] G7 C', 'D dorian'],
    ['C', 'C [Em7] F G7', 'E phrygian'],
    ['C', 'C [Fmaj7] G7 C', 'F lydian'],
    ['C', 'C F [G7] C', 'G mixolydian'],
    ['C', 'C [Am7] F G7', 'A natural minor'],
    ['C', 'C [Bm7b5] C', 'B locrian'],
    ['Am', '[Am] Dm E7', 'A natural minor'],
    ['Am', 'Am [Bm7b5] E7 Am', 'B locrian'],
    ['Am', 'Am Dm [E7] Am', 'E phrygian dominant'],
    ['Am', 'Am [F] G Am', 'F lydian'],
    ['Am', 'Am F [G7] Am', 'G mixolydian'],
    ['Am', 'Am [Dm7] E7 Am', 'D dorian'],
    ['Am', 'Am E7 [Am(maj7)] Dm', 'A melodic minor'],
    ['Am', 'Am E7 [Am6] Dm', 'A dorian'],
    ['Am', 'Am [G#dim7] Am', 'A harmonic minor'],
    ['C', 'C [A7] Dm G7', 'A phrygian dominant'],
    ['C', 'C [E7] Am F', 'E phrygian dominant'],
    ['C', 'C [E7] F C', 'E phrygian dominant'],
    ['C', 'C [C7] F G7', 'C mixolydian'],
    ['C', 'C [D7] G C', 'D mixolydian'],
    ['C', 'C F [Bb7] C', 'Bb lydian dominant'],
    ['C', 'Dm7 [Db7] Cmaj7 G7', 'Db lydian dominant'],
    ['C', 'C [Ab7] G7 C', 'Ab lydian dominant'],
    ['C', 'C F G [D7]', 'D lydian dominant'],
    ['C', 'C [Fm] C', 'F dorian'],
    ['C', 'C [Ab] G C', 'Ab lydian'],
    ['C', 'C [Eb] F C', 'Eb lydian'],
    ['C', 'C [Db] G7 C', 'Db lydian'],
    ['C', 'C [C#dim7] Dm G7', 'D harmonic minor'],
    ['A', '[A7] D7 A7 E7', 'A mixolydian'],
    ['D dorian', '[Dm7] G7 Dm7 G7', 'D dorian'],
  ])('in %s, %s: %s', (key, line, first) => expect(scalesIn(key, line)[0]).toBe(first));

  test('what else may be played stands behind it', () => {
    expect(scalesIn('C', 'C [A7] Dm G7').slice(0, 3)).toEqual(['A phrygian dominant', 'A altered', 'A mixolydian b6']);
    expect(scalesIn('C', 'C F [G7] C').slice(0, 2)).toEqual(['G mixolydian', 'G altered']);
    expect(scalesIn('C', 'C [Fm] C').slice(0, 2)).toEqual(['F dorian', 'F melodic minor']);
    expect(scalesIn('C', 'C [Bm7b5] C')).toContain('B locrian #2');
    expect(scalesIn('Am', 'Am E7 [Am(maj7)] Dm')).toContain('A harmonic minor');
    expect(scalesIn('A', '[A7] D7 A7 E7')).toContain('A blues');
    expect(scalesIn('A', 'A7 [D7] A7 E7')).toContain('A blues');
    expect(scalesIn('C', 'C [C#dim7] Dm G7')).toContain('C# diminished');
    expect(scalesIn('C', 'C [C+] F G')).toEqual(expect.arrayContaining(['C whole tone', 'C lydian augmented']));
  });

  test('one may always stay in the key', () => {
    expect(scalesIn('C', 'C [A7] Dm G7').at(-1)).toBe('C major');
    expect(scalesIn('C', 'C F [Bb7] C').at(-1)).toBe('C major');
  });

  test('what is written comes before the role', () => {
    expect(scalesIn('C', 'Dm [G7b9] C').slice(0, 2)).toEqual(['G altered', 'G phrygian dominant']);
    expect(scalesIn('C', 'Dm [G7alt] C')[0]).toBe('G altered');
    expect(scalesIn('C', 'Dm [G13b9] C')[0]).toBe('G half-whole diminished');
    expect(scalesIn('C', 'Dm [G7#11] C')[0]).toBe('G lydian dominant');
    expect(scalesIn('C', 'Dm [G13] C')).not.toContain('G altered');
    expect(scalesIn('C', 'Dm [G+7] C')).toContain('G whole tone');
    expect(scalesIn('Am', 'Bm7b5 [E7b9] Am')[0]).toBe('E phrygian dominant');
  });

  test('a melody note rules scales out', () => {
    expect(scalesIn('C', 'Dm [G7] C', 'local', 'E')).toContain('G mixolydian');
    expect(scalesIn('C', 'Dm [G7] C', 'local', 'E')).not.toContain('G altered');
    expect(scalesIn('C', 'Dm [G7] C', 'local', 'Eb')[0]).toBe('G altered');
  });

  test('the hearing decides between a momentary home and the home key', () => {
    const line = 'Abmaj7 Ebm7 Ab7 [Dbmaj7]';
    expect(scalesIn('Ab', line, 'local')[0]).toBe('Db major');
    expect(scalesIn('Ab', line, 'home')[0]).toBe('Db lydian');
    expect(scalesIn('C', 'C [Em7] A7 Dm G7', 'local')).toEqual(['E dorian', 'E phrygian']);
    expect(scalesIn('C', 'C [Em7] A7 Dm G7', 'home')).toEqual(['E phrygian', 'E dorian']);
    expect(scalesIn('F', 'F [Dm7] G7 C7 F', 'local')).toEqual(['D dorian', 'D natural minor']);
  });

  test('each scale names the tones it shares with the next chord', () => {
    const { scales } = analyzeText('C A7 Dm').chords[1] ?? { scales: [] };
    expect(scales[0]?.sharesWithNext.map((note) => printNote(note))).toEqual(['D', 'F', 'A']);
    expect(scales.find(({ scale }) => scale === 'mixolydian')?.sharesWithNext.map((note) => printNote(note))).toEqual(['D', 'A']);
  });
});
