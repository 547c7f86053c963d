import { analyzeText, parseKey, printNumber, requireValue, symbolText } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import {
  addBars,
  clearBars,
  readBarsTyped,
  redoBars,
  removeBar,
  songOf,
  undoBars,
  useProgression,
} from '../../document/progression-store.ts';
import { buildOf } from './depth.ts';
import { columnsOf, ridgePath, rulerOf } from './harmonize-view.ts';

const key = (text: string) => requireValue(parseKey(text));

describe('the stage', () => {
  test('shows the seven chords of the key, tones from the top down', () => {
    const columns = columnsOf(key('Eb'), key('Eb'), buildOf('seventh'));
    expect(columns.map(({ letter }) => symbolText(letter))).toEqual(['E♭maj7', 'Fm7', 'Gm7', 'A♭maj7', 'B♭7', 'Cm7', 'Dm7♭5']);
    expect(columns[1]?.tones.map(({ note, formula, degree, below }) => [note, formula, degree, below])).toEqual([
      ['E♭', '♭7', '1', 'm3'],
      ['C', '5', '6', 'M3'],
      ['A♭', '♭3', '4', 'm3'],
      ['F', '1', '2', null],
    ]);
  });

  test('for another reader it shows their letters and says what sounds', () => {
    const [first] = columnsOf(key('Eb'), key('C'), buildOf('triad'));
    expect([symbolText(first?.letter as never), symbolText(first?.sounding as never)]).toEqual(['C', 'E♭']);
  });

  test('the ruler measures half steps', () => {
    const at = rulerOf(key('A harmonic minor')).map((note) => Math.round(note.at * 12));
    expect(at).toEqual([0, 2, 3, 5, 7, 8, 11, 12]);
    expect(
      rulerOf(key('A harmonic minor'))
        .map(({ step }) => step)
        .join(' ')
        .trim(),
    ).toBe('W H W W H W+H H');
  });

  test('the ridge is flat where a chord rests and highest where it pulls', () => {
    const heights = (path: string) => path.match(/\d+,\d+/g)?.map((point) => Number(point.split(',')[1]));
    const [one, , , four, five] = columnsOf(key('C'), key('C'), buildOf('triad'));
    expect(heights(ridgePath([one, four, five] as never, 40))).toEqual([40, 40, 40, 20, 0, 40]);
  });

  test.each(['C', 'Eb', 'A minor'])('in %s every chord stands as high as in the ridge of a song', (name) => {
    const columns = columnsOf(key(name), key(name), buildOf('triad'));
    const { ridge } = analyzeText(`key: ${name}\n${columns.map(({ number }) => printNumber(number)).join(' ')}\n`);
    const highest = Math.max(...ridge.map(({ does }) => does));
    expect(columns.map(({ height }) => height)).toEqual(ridge.map(({ does }) => does / highest));
  });
});

describe('gathering a progression', () => {
  test.each([
    ['1 4 6- 5', 'D', ['1', '4', '6-', '5']],
    ['A D F#m E', 'A', ['1', '4', '6-', '5']],
    ['1 5 | 4', 'C', ['(1 5)', '4']],
    ['(1.. 4. 5.) >1', 'C', ['(1.. 4. 5.)', '>1']],
    ['Am G F E', 'Am', ['1-', 'b7', 'b6', '5']],
  ])('%s in %s', (text, home, expected) => expect(readBarsTyped(text, key(home))).toEqual({ bars: expected }));

  test.each([
    ['1 8', '8 is the 1 again'],
    ['em', 'capitals for letters'],
    ['', 'numbers or letters'],
    ['   ', 'numbers or letters'],
  ])('%j is answered', (text, words) => expect((readBarsTyped(text, key('C')) as { fault: string }).fault).toContain(words));

  test('every step can be taken back and done again', () => {
    addBars(['1', '4']);
    removeBar(0);
    clearBars();
    expect(useProgression.getState().bars).toEqual([]);
    undoBars();
    expect(useProgression.getState().bars).toEqual(['4']);
    undoBars();
    expect(useProgression.getState().bars).toEqual(['1', '4']);
    redoBars();
    expect(useProgression.getState().bars).toEqual(['4']);
  });

  test('a song starts with its bars four a line', () => {
    expect(songOf(['1', '4', '5', '1', '(2- 5)'], key('F#m'))).toBe(
      'title: New song\nkey: F#m\ntime: 4/4\ntempo: 100\n\n[A]\n1 4 5 1\n(2- 5)\n',
    );
  });
});
