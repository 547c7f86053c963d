import { describe, expect, test } from '@jest/globals';
import { lineAfter, pageOf, sectionAt, turnedTo } from './stand-walk.ts';

const heading = (name: string) => ({ heading: { name, beside: '' }, time: 1 });
const bare = { heading: null, time: 1 };
const lines = [heading('Verse'), bare, bare, heading('Chorus'), bare, { ...heading('Verse'), time: 2 }];

describe('walking over the stand', () => {
  test('a line lies on its page', () => {
    expect(
      pageOf(
        [
          [0, 1, 2],
          [3, 4],
        ],
        3,
      ),
    ).toBe(1);
    expect(pageOf([], 0)).toBe(0);
  });

  test('a turn leads to the first line of the next page, or of the next two that lie open', () => {
    const pages = [[0, 1], [2, 3], [4], [5]];
    expect([turnedTo(pages, 0, 1), turnedTo(pages, 3, -1)]).toEqual([2, 4]);
    expect([turnedTo(pages, 0, 2), turnedTo(pages, 1, 2), turnedTo(pages, 3, -2)]).toEqual([4, 4, 0]);
    expect([turnedTo(pages, 3, 1), turnedTo(pages, 2, 2), turnedTo(pages, 1, -2)]).toEqual([-1, -1, -1]);
  });

  test('a long press goes to where the next section begins, and back to where this one does', () => {
    expect(lineAfter(lines, 1, 1)).toBe(3);
    expect(lineAfter(lines, 3, 1)).toBe(5);
    expect(lineAfter(lines, 5, 1)).toBe(5);
    expect(lineAfter(lines, 4, -1)).toBe(3);
    expect(lineAfter(lines, 3, -1)).toBe(0);
  });

  test('says where one is, and which time it is', () => {
    expect([0, 2, 4, 5].map((line) => sectionAt(lines, line))).toEqual(['Verse', 'Verse', 'Chorus', 'Verse 2']);
    expect(sectionAt([bare], 0)).toBe('');
  });
});
