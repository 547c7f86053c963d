import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { doneAgain, type EditHistory, NO_HISTORY, takenBack, written } from './edit-history.ts';

/** Writes texts one after the other, so many milliseconds apart. */
function write(texts: readonly string[], apart: number, typed = true): EditHistory {
  return texts
    .slice(1)
    .reduce((history, after, index) => written(history, texts[index] as string, after, { typed, at: (index + 1) * apart }), NO_HISTORY);
}

describe('what was done can be taken back', () => {
  test('letters typed on are one step, after a pause another', () => {
    expect(write(['1', '1 ', '1 4', '1 4-'], 100).done).toHaveLength(1);
    expect(write(['1', '1 ', '1 4', '1 4-'], 2000).done).toHaveLength(3);
    expect(takenBack(write(['1', '1 ', '1 4'], 100), '1 4')?.text).toBe('1');
  });

  test('elsewhere, on a new line, or on the sheet is a step of its own', () => {
    expect(write(['1 4 5', '1 4 57', '17 4 57'], 100).done).toHaveLength(2);
    expect(write(['1', '12', '12\n', '12\n4'], 100).done).toHaveLength(2);
    expect(write(['1', '1 4', '1 4 5'], 100, false).done).toHaveLength(2);
  });

  test('typing something and deleting it again leaves no step', () => {
    expect(write(['1', '12', '1'], 100).done).toEqual([]);
  });

  test('a text that came from elsewhere is not torn apart', () => {
    const history = write(['1 4', '1 4 5'], 100);
    expect(takenBack(history, 'something else')).toBeNull();
    expect(doneAgain(NO_HISTORY, '1')).toBeNull();
  });

  test('any way back leads through the same texts, and on again', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 8 }), { minLength: 2, maxLength: 8 }), (texts) => {
        let history = write(texts, 5000, false);
        let text = texts.at(-1) as string;
        const steps = history.done.length;
        for (let step = 0; step < steps; step += 1)
          ({ text, history } = takenBack(history, text) as NonNullable<ReturnType<typeof takenBack>>);
        expect(text).toBe(texts[0]);
        for (let step = 0; step < steps; step += 1)
          ({ text, history } = doneAgain(history, text) as NonNullable<ReturnType<typeof doneAgain>>);
        expect(text).toBe(texts.at(-1));
      }),
      { seed: 71, numRuns: 200 },
    );
  });
});
