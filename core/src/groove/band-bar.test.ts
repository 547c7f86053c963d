import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lettersFrom, readChart, soundingChords } from '../chart/reading.ts';
import { timelineOf } from '../chart/timeline.ts';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { chroma } from '../pitch/note.ts';
import { parseNote } from '../pitch/note-text.ts';
import { type BandPart, bandBar, DRUM_KEYS, type Hit } from './band-bar.ts';
import { GROOVE_NAMES, type GrooveName } from './groove-table.ts';
import { bassMidi, walkingLine } from './walking.ts';

/** Every bar of a chart as a band plays it. */
function played(text: string, groove: GrooveName, hasBass = true): readonly (readonly Hit[])[] {
  const reading = readChart(text);
  const letters = lettersFrom(reading, requireValue(parseNote('C')));
  const timeline = timelineOf(reading);
  const chordAt = soundingChords(reading, letters);
  return timeline.map((bar, order) =>
    bandBar(
      { bar, before: timeline[order - 1] ?? null, next: timeline[order + 1] ?? null, order },
      { groove, tempo: 120, chordAt, scaleAt: () => null, hasBass },
    ),
  );
}

const at = (hits: readonly Hit[] | undefined, part: BandPart) => (hits ?? []).filter((hit) => hit.part === part).map((hit) => hit.at);
const drums = (hits: readonly Hit[] | undefined, voice: keyof typeof DRUM_KEYS) =>
  (hits ?? []).filter((hit) => hit.part === 'drums' && hit.midi[0] === DRUM_KEYS[voice]).map((hit) => hit.at);
const pitches = (hits: readonly Hit[] | undefined, part: BandPart) =>
  (hits ?? []).filter((hit) => hit.part === part).map(({ midi }) => midi);

describe('plain', () => {
  test('a chord is struck where it enters and lasts to the next one', () => {
    const [first, second] = played('1 (4 5)', 'plain');
    expect(at(first, 'guitar')).toEqual([0]);
    expect(at(second, 'guitar')).toEqual([0, 2]);
    expect(second?.filter(({ part }) => part === 'guitar').map(({ beats }) => beats)).toEqual([2, 2]);
    expect(at(first, 'drums')).toEqual([]);
  });
});

describe('what the chart says is obeyed', () => {
  const ROCK = '1 1 1 1';
  test('a pattern is played where nothing else is said', () => {
    expect(drums(played(ROCK, 'rock')[1], 'snare')).toEqual([1, 3]);
    expect(at(played(ROCK, 'rock')[1], 'bass')).toHaveLength(8);
  });

  test.each(['rock', 'straight', 'swing', 'shuffle', 'funk', 'one drop', 'bossa', 'ballad'] as const)(
    '%s: a pushed chord comes early, by everybody, and is not struck again on the one',
    (groove) => {
      const bars = played('1 >4 1 1', groove);
      const push = groove === 'swing' || groove === 'shuffle' ? 3 + 2 / 3 : 3.5;
      expect(at(bars[0], 'guitar')).toContain(push);
      expect(at(bars[0], 'bass')).toContain(push);
      expect(drums(bars[0], 'kick')).toContain(push);
      expect(at(bars[1], 'guitar')).not.toContain(0);
      expect(at(bars[1], 'bass')).not.toContain(0);
      expect(drums(bars[1], 'kick')).not.toContain(0);
      // the pushed chord is the 4: F
      expect((pitches(bars[0], 'bass').at(-1)?.[0] ?? 0) % 12).toBe(5);
    },
  );

  test('at the very beginning there is nothing to push into', () => {
    const [first] = played('>1 4 1', 'rock');
    expect(at(first, 'guitar')).toContain(0);
    expect(at(first, 'bass')).toContain(0);
  });

  test('over a diamond everybody rings', () => {
    const [, ring] = played('1 <4> 1 1', 'rock');
    expect(at(ring, 'guitar')).toEqual([0]);
    expect(at(ring, 'bass')).toEqual([0]);
    expect(ring?.find(({ part }) => part === 'guitar')?.beats).toBe(4);
    expect([...new Set(at(ring, 'drums'))]).toEqual([0]);
    expect(drums(ring, 'crash')).toEqual([0]);
  });

  test('after a stop everybody is silent until the next chord', () => {
    const [, stop, on] = played('1 4! 1 1', 'rock');
    expect([...new Set(stop?.map((hit) => hit.at))]).toEqual([0]);
    expect(stop?.every(({ beats }) => beats <= 0.25)).toBe(true);
    expect(drums(on, 'snare')).toEqual([1, 3]);
    const [, half] = played('1 (4! 5) 1 1', 'rock');
    expect(half?.some((hit) => hit.at > 0 && hit.at < 2)).toBe(false);
    expect(drums(half, 'snare')).toEqual([0, 3]);
  });

  test('where nobody plays the drums keep time', () => {
    const [, silent] = played('1 NC 1 1', 'rock');
    expect(at(silent, 'guitar')).toEqual([]);
    expect(at(silent, 'bass')).toEqual([]);
    expect(drums(silent, 'snare')).toEqual([1, 3]);
  });

  test('a section ends with a fill and the next begins with a crash', () => {
    const bars = played('[Verse]\n1 4\n\n[Chorus]\n5 1 1\n', 'rock');
    expect(drums(bars[1], 'low tom')).toEqual([3.75]);
    expect(drums(bars[0], 'low tom')).toEqual([]);
    expect(drums(bars[2], 'crash')).toEqual([0]);
    expect(drums(bars[3], 'crash')).toEqual([]);
  });

  test('the last chord of all rings', () => {
    const last = played('1 4 (5 1)', 'swing').at(-1);
    expect(at(last, 'guitar').at(-1)).toBe(2);
    expect(last?.filter((hit) => hit.at > 2)).toEqual([]);
  });

  test('of a pickup the end of the pattern is played', () => {
    const [pickup] = played('{pickup: 1} 5 1 1 1', 'rock');
    expect(drums(pickup, 'snare')).toEqual([0]);
  });

  test('the guitar leaves a foreign bass to the bass player, if there is one', () => {
    const low = (hasBass: boolean) => (pitches(played('1/3 1 1', 'rock', hasBass)[0], 'guitar')[0]?.[0] ?? 0) % 12;
    expect([low(true), low(false)]).toEqual([0, 4]);
    expect(pitches(played('1/3 1 1', 'train')[0], 'bass').every(([midi = 0]) => midi % 12 === 4)).toBe(true);
  });
});

describe('laws', () => {
  const BARS = ['1', '4', '5', '6-', '(1 4)', '(2- 57)', '>4', '(1 >5)', '<1>', '5!', 'NC', '(1.. 4. 5.)', '1/3', '4maj7', '7ø'];
  const chart = fc.array(fc.constantFrom(...BARS), { minLength: 1, maxLength: 8 }).map((bars) => bars.join(' '));
  const time = fc.constantFrom('4/4', '3/4', '6/8', '12/8', '5/4', '7/8', '2/2');

  test('nothing is struck outside its bar, every chord that is played begins on its bass note, nothing overlaps in the bass', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GROOVE_NAMES), chart, time, (groove, music, meter) => {
        const text = `time: ${meter}\n${meter === '4/4' ? music : music.replace(/\(1\.\. 4\. 5\.\)/g, '1')}`;
        const reading = readChart(text);
        const timeline = timelineOf(reading);
        played(text, groove).forEach((hits, index) => {
          const bar = timeline[index];
          if (bar === undefined) throw new Error('a bar too many');
          const isWrong = (hit: Hit) => hit.at < 0 || hit.at >= bar.beats || hit.beats <= 0 || hit.midi.length === 0;
          expect(hits.filter(isWrong)).toEqual([]);
          const bass = hits.filter(({ part }) => part === 'bass');
          const ends = bass.map((hit) => hit.at + hit.beats - 1e-9);
          expect(bass.filter((hit, place) => place > 0 && hit.at < (ends[place - 1] ?? 0))).toEqual([]);
          const entered = bar.chords.filter(({ chord, at: from }) => chord !== null && from >= 0);
          expect(bass.length).toBeGreaterThanOrEqual(entered.length);
        });
      }),
      { seed: 2921, numRuns: 400 },
    );
  });
});

test.each([
  ['E', 28],
  ['D', 38],
  ['C/G', 31],
  ['Eb', 39],
])('the bass plays %s at %i', (symbol, midi) => expect(bassMidi(requireValue(parseChord(symbol)))).toBe(midi));

describe('a walking line', () => {
  const chord = (symbol: string) => requireValue(parseChord(symbol));
  const SYMBOLS = ['C', 'Dm7', 'G7', 'Fmaj7', 'Bm7b5', 'Ebmaj7', 'A7b9', 'Gsus4', 'C/E', 'F#dim7', 'Ab', 'Baug'];

  test.each([
    ['C', 'F'],
    ['Dm7', 'G7'],
    ['G7', 'C'],
    ['C', 'C'],
    ['Bm7b5', 'E7'],
  ])('from %s to %s: the root first, a step into the next one last', (from, to) => {
    const line = walkingLine({ chord: chord(from), scale: null, next: chord(to), count: 4 });
    expect(line).toHaveLength(4);
    expect(line[0]).toBe(bassMidi(chord(from)));
    const goal = (((line[3] as number) - bassMidi(chord(to))) % 12) + 12;
    expect([1, 2, 10, 11]).toContain(goal % 12);
  });

  test('from any chord to any other: in the range of a bass, no note twice in a row, no leap over a sixth, strong beats in the chord', () => {
    const walks = SYMBOLS.flatMap((from) => SYMBOLS.flatMap((to) => [1, 2, 3, 4, 5, 8].map((count) => [from, to, count] as const)));
    const wrong = walks.filter(([from, to, count]) => {
      const line = walkingLine({ chord: chord(from), scale: [0, 2, 4, 5, 7, 9, 11], next: chord(to), count });
      const steps = line.slice(1).map((midi, place) => Math.abs(midi - (line[place] as number)));
      const strong = line.filter((_, place) => place > 0 && place < count - 1 && place % 2 === 0);
      const into = Math.abs((line.at(-1) as number) - bassMidi(chord(to)));
      return (
        line.length !== count ||
        line.some((midi) => midi < 28 || midi > 50) ||
        steps.some((step) => step === 0 || step > 9) ||
        strong.some((midi) => !tonesOf(from).includes(midi % 12)) ||
        (count > 1 && ![1, 2, 10, 11, 13, 14].includes(into))
      );
    });
    expect(walks.length).toBe(864);
    expect(wrong).toEqual([]);
  });

  function tonesOf(symbol: string): readonly number[] {
    const { root } = chord(symbol);
    return SYMBOL_TONES[symbol]?.map((tone) => (chroma(root) + tone) % 12) ?? [];
  }
});

/** Half steps over the root, from the names of the qualities. */
const SYMBOL_TONES: Readonly<Record<string, readonly number[]>> = {
  C: [0, 4, 7],
  Dm7: [0, 3, 7, 10],
  G7: [0, 4, 7, 10],
  Fmaj7: [0, 4, 7, 11],
  Bm7b5: [0, 3, 6, 10],
  Ebmaj7: [0, 4, 7, 11],
  A7b9: [0, 1, 4, 7, 10],
  Gsus4: [0, 5, 7],
  'C/E': [0, 4, 7],
  'F#dim7': [0, 3, 6, 9],
  Ab: [0, 4, 7],
  Baug: [0, 4, 8],
};
