import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TEXT_STEPS } from './chart-kind.ts';
import { doneAgain, type History, historyOf, keptHistory, NO_HISTORY, rebased, takenBack, written } from './history.ts';

type Text = History<ReturnType<typeof TEXT_STEPS.invert>>;

/** Writes texts one after the other, so many milliseconds apart. */
function write(texts: readonly string[], apart: number, typed = true): Text {
  return texts
    .slice(1)
    .reduce<Text>(
      (history, after, index) => written(history, { before: texts[index] as string, after, typed, at: (index + 1) * apart }, TEXT_STEPS),
      NO_HISTORY,
    );
}

describe('what was done can be taken back', () => {
  test('letters typed on are one step, after a pause another', () => {
    expect(write(['1', '1 ', '1 4', '1 4-'], 100).done).toHaveLength(1);
    expect(write(['1', '1 ', '1 4', '1 4-'], 2000).done).toHaveLength(3);
    expect(takenBack(write(['1', '1 ', '1 4'], 100), '1 4', TEXT_STEPS)?.value).toBe('1');
  });

  test('elsewhere, on a new line, or on the sheet is a step of its own', () => {
    expect(write(['1 4 5', '1 4 57', '17 4 57'], 100).done).toHaveLength(2);
    expect(write(['1', '12', '12\n', '12\n4'], 100).done).toHaveLength(2);
    expect(write(['1', '1 4', '1 4 5'], 100, false).done).toHaveLength(2);
  });

  test('typing something and deleting it again leaves no step', () => expect(write(['1', '12', '1'], 100).done).toEqual([]));

  test('a text of another length is not torn apart', () => {
    expect(takenBack(write(['1 4', '1 4 5'], 100), 'something else', TEXT_STEPS)).toBeNull();
    expect(doneAgain(NO_HISTORY, '1', TEXT_STEPS)).toBeNull();
  });

  test('any way back leads through the same texts, and on again, also after it was kept and read', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 8 }), { minLength: 2, maxLength: 8 }), fc.boolean(), (texts, kept) => {
        const whole = write(texts, 5000, false);
        let history = kept ? historyOf(keptHistory(whole, TEXT_STEPS), TEXT_STEPS) : whole;
        let value = texts.at(-1) as string;
        const steps = history.done.length;
        for (let step = 0; step < steps; step += 1)
          ({ value, history } = takenBack(history, value, TEXT_STEPS) as NonNullable<ReturnType<typeof takenBack<string, never>>>);
        expect(value).toBe(texts[0]);
        for (let step = 0; step < steps; step += 1)
          ({ value, history } = doneAgain(history, value, TEXT_STEPS) as NonNullable<ReturnType<typeof doneAgain<string, never>>>);
        expect(value).toBe(texts.at(-1));
      }),
      { seed: 71, numRuns: 200 },
    );
  });

  test('one’s own steps are taken back over what somebody else wrote meanwhile, which stays', () => {
    const history = rebased(write(['a\nb\nc', 'a1\nb\nc', 'a12\nb\nc'], 5000, false), 'a12\nb\nc', 'a12\nb\nc\nd', TEXT_STEPS);
    const once = takenBack(history, 'a12\nb\nc\nd', TEXT_STEPS);
    expect(once?.value).toBe('a1\nb\nc\nd');
    expect(takenBack(once?.history ?? NO_HISTORY, 'a1\nb\nc\nd', TEXT_STEPS)?.value).toBe('a\nb\nc\nd');
  });

  test('what is kept is bounded, and what is no history is an empty one', () => {
    const long = write(
      Array.from({ length: 400 }, (_, place) => 'x'.repeat(place)),
      5000,
      false,
    );
    expect(historyOf(keptHistory(long, TEXT_STEPS), TEXT_STEPS).done).toHaveLength(100);
    for (const kept of [null, { done: [1], undone: [] }, { done: [], undone: ['x'] }])
      expect(historyOf(kept, TEXT_STEPS)).toEqual(NO_HISTORY);
  });
});
