import { describe, expect, test } from '@jest/globals';
import { accidentals, chroma, isEnharmonic, letterStep, simplest } from './note.ts';
import { parseNote, printNote } from './note-text.ts';

describe('a note is a place on the line of fifths', () => {
  const FACTS: readonly (readonly [name: string, place: number, chroma: number, step: number, accidentals: number])[] = [
    ['C', 0, 0, 0, 0],
    ['G', 1, 7, 4, 0],
    ['F', -1, 5, 3, 0],
    ['B', 5, 11, 6, 0],
    ['F#', 6, 6, 3, 1],
    ['Bb', -2, 10, 6, -1],
    ['E#', 11, 5, 2, 1],
    ['Cb', -7, 11, 0, -1],
    ['F##', 13, 7, 3, 2],
    ['Bbb', -9, 9, 6, -2],
    ['B##', 19, 1, 6, 2],
    ['Fbb', -15, 3, 3, -2],
  ];

  test.each(FACTS)('%s', (name, place, expectedChroma, step, count) => {
    expect(parseNote(name)).toEqual({ ok: true, value: place });
    expect(printNote(place)).toBe(name);
    expect(chroma(place)).toBe(expectedChroma);
    expect(letterStep(place)).toBe(step);
    expect(accidentals(place)).toBe(count);
  });

  test('every place within double accidentals prints and reads back as itself', () => {
    for (let note = -15; note <= 19; note += 1) {
      expect(parseNote(printNote(note))).toEqual({ ok: true, value: note });
      expect(parseNote(printNote(note, 'glyph'))).toEqual({ ok: true, value: note });
    }
  });

  test('enharmonic twins sound alike and the simplest has the fewest accidentals', () => {
    expect(isEnharmonic(6, -6)).toBe(true);
    expect(isEnharmonic(6, -5)).toBe(false);
    const simple = ['B#', 'Fb', 'F##', 'Ebb', 'F#', 'Gb'].map((name) => {
      const note = parseNote(name);
      return note.ok ? printNote(simplest(note.value)) : 'unread';
    });
    expect(simple).toEqual(['C', 'E', 'G', 'D', 'F#', 'Gb']);
  });
});

describe('what is no note is refused', () => {
  test.each([
    ['', 'empty', 0],
    ['   ', 'empty', 0],
    ['H', 'note-letter', 0],
    ['c', 'note-letter', 0],
    ['1', 'note-letter', 0],
    ['🎸', 'note-letter', 0],
    ['E###', 'note-accidentals', 0],
    ['Bbbb', 'note-accidentals', 0],
    ['C#b', 'note-rest', 2],
    ['Fis', 'note-rest', 1],
    ['C4', 'note-rest', 1],
  ])('%j', (text, code, start) => {
    expect(parseNote(text)).toMatchObject({ ok: false, fault: { code }, span: { start } });
  });

  test('an easier name is offered for too many sharps', () => {
    expect(parseNote('E###')).toMatchObject({ fault: { easier: 'G' } });
  });
});
