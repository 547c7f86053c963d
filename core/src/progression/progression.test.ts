import { describe, expect, test } from '@jest/globals';
import { printChord } from '../chord/chord-text.ts';
import { readProgression } from './progression.ts';

const symbols = (source: string) => readProgression(source).chords.map(({ chord }) => printChord(chord));

describe('reading a progression', () => {
  test.each([
    ['Eb Cm | F7 Bb7', 'Eb Cm F7 Bb7'],
    ['Eb, Cm, F7, Bb7', 'Eb Cm F7 Bb7'],
    ['Eb - Cm - F7 - Bb7', 'Eb Cm F7 Bb7'],
    ['Eb → Cm -> F7 => Bb7', 'Eb Cm F7 Bb7'],
    ['| C | Am F | G |', 'C Am F G'],
    ['C7(b9,#11) F', 'C7b9#11 F'],
    ['C % G', 'C C G'],
    ['C NC G', 'C G'],
    ['key: D\n\n1 4 57 1', 'D G A7 D'],
    ['key: Em\nnumbering: relative\n\n6- 4 1 5', 'Em C G D'],
    ['key: D\n\n1 {key: E} 1', 'D E'],
    ['C\r\nF\rG', 'C F G'],
    ['', ''],
    ['   \n\n', ''],
  ])('%j: %s', (source, expected) => expect(symbols(source).join(' ')).toBe(expected));

  test('words of a chart are not taken apart', () => {
    const { chart } = readProgression('title: One, two\n\n[A]\n1 "hold, then go" 4');
    expect(chart.head.title).toBe('One, two');
    expect(chart.bars[0]?.remarks[0]?.text).toBe('hold, then go');
  });

  test('chords know their bar, their place in it, and where phrases end', () => {
    const { chords } = readProgression('C (F G)\nAm');
    expect(chords.map(({ bar, place, endsPhrase }) => [bar, place, endsPhrase])).toEqual([
      [0, 0, false],
      [1, 0, false],
      [1, 1, true],
      [2, 0, true],
    ]);
  });

  test.each([
    ['C xyz G', ['xyz'], [1]],
    ['C | Gmaj8 F | G', ['Gmaj8'], [1]],
    ['c g', ['c', 'g'], [0, 0]],
    ['Hm C', ['Hm'], [0]],
    ['C F#q9 ??? G', ['F#q9', '???'], [1, 1]],
    ['C | F Xm G | G', ['Xm'], [2]],
  ])('%s: unread are %j', (source, texts, before) => {
    const { unread } = readProgression(source);
    expect(unread.map(({ text }) => text)).toEqual(texts);
    expect(unread.map((chord) => chord.before)).toEqual(before);
  });

  test('the key is given by a head line or by numbers, never by letters', () => {
    expect(readProgression('C F G').keyGiven).toBe(false);
    expect(readProgression('1 4 5').keyGiven).toBe(true);
    expect(readProgression('key: C\n\nC F').keyGiven).toBe(true);
  });
});

describe('what is said of a root behind a space', () => {
  const symbols = (text: string) => readProgression(text).chords.map(({ chord }) => printChord(chord));
  test.each([
    ['D min7 G7 Cmaj7', 'Dm7 G7 Cmaj7'],
    ['D minor | G dom7 | C major', 'Dm G7 C'],
    ['A half-dim D7 G m', 'Am7b5 D7 Gm'],
    ['Eb maj7 | (C min7 F dom9)', 'Ebmaj7 Cm7 F9'],
    ['F# dim B aug E sus4', 'F#dim Baug Esus4'],
    // a root alone stays one, and so does what follows it
    ['D G m7b5', 'D Gm7b5'],
    ['A B C', 'A B C'],
  ])('%s is %s', (typed, read) => expect(symbols(typed).join(' ')).toBe(read));

  test('what follows keeps its column', () => {
    const [, second] = readProgression('D min7 G7').chords;
    expect(second?.at.column).toBe(readProgression('Dmin7  G7').chords[1]?.at.column);
  });
});
