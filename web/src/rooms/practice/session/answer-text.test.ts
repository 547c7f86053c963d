import type { AnswerForm } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { isTypedWhole, isWhole, type PadPress, pressed, takenBack } from './answer-text.ts';

const press = (word: string): PadPress => {
  if (/^\d$/.test(word)) return { kind: 'digit', sign: word };
  if (/^[A-G]$/.test(word)) return { kind: 'letter', sign: word };
  if (word === 'b' || word === '#') return { kind: 'accidental', sign: word };
  return { kind: 'quality', sign: word === 'major' ? '' : word };
};
const after = (as: AnswerForm, ...words: readonly string[]) => words.reduce((text, word) => pressed(as, text, press(word)), '');

describe('answers put together on the pad', () => {
  test.each([
    ['degree', ['3'], '3'],
    ['degree', ['b', '7'], 'b7'],
    ['degree', ['3', '5'], '5'],
    ['degrees', ['2', '4', '6', '1'], '2 4 6 1'],
    ['degrees', ['1', 'b', '3', '5'], '1 b3 5'],
    ['tone', ['b', '3'], 'b3'],
    ['quality', ['m7'], 'm7'],
    ['quality', ['major'], 'major'],
    ['qualities', ['maj7', 'm7', 'major'], 'maj7 m7 -'],
    ['note', ['E', 'b'], 'Eb'],
    ['note', ['E', 'b', '#'], 'E'],
    ['note', ['F', '#', '#'], 'F##'],
    ['note', ['E', 'b', 'G'], 'G'],
    ['notes', ['E', 'b', 'G', 'B', 'b', 'D'], 'Eb G Bb D'],
    ['chord', ['G', 'm7'], 'Gm7'],
    ['chord', ['B', 'b', 'maj7'], 'Bbmaj7'],
    ['chord', ['B', 'b', 'm7', '7'], '7'],
    ['chords', ['F', 'm7', 'B', 'b', '7x', 'E', 'b', 'maj7'], 'Fm7 Bb7x Ebmaj7'],
  ] as const)('%s: %j gives “%s”', (as, words, text) => {
    expect(after(as, ...words)).toBe(text);
  });

  test('another quality takes the place of the last one; one before any letter does nothing', () => {
    expect(after('chord', 'G', 'm7', 'maj7')).toBe('Gmaj7');
    expect(after('chord', 'm7')).toBe('');
    expect(after('note', 'b')).toBe('');
  });

  test('what completes an answer, and what does not', () => {
    expect(isWhole('degree', press('3'))).toBe(true);
    expect(isWhole('degree', press('b'))).toBe(false);
    expect(isWhole('degrees', press('3'))).toBe(false);
    expect(isWhole('chord', press('m7'))).toBe(true);
    expect(isWhole('notes', press('C'))).toBe(false);
    expect(['3', 'b3', '♭7'].every((text) => isTypedWhole('degree', text))).toBe(true);
    expect(['', 'b', '8', '35'].some((text) => isTypedWhole('degree', text))).toBe(false);
  });

  test('taking back takes one thing', () => {
    expect(takenBack('Eb G Bb')).toBe('Eb G');
    expect(takenBack('Eb')).toBe('');
    expect(takenBack('')).toBe('');
  });
});
