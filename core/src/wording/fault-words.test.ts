import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { parseChord } from '../chord/chord-text.ts';
import type { Result } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { parseNote } from '../pitch/note-text.ts';
import { faultWords } from './fault-words.ts';

const words = (result: Result<unknown>) => (result.ok ? '' : faultWords(result.fault));
const chartWords = (text: string) => readChart(text).problems.map(({ fault }) => faultWords(fault));

describe('faults in a musician’s words', () => {
  test.each([
    [words(parseNote('H')), 'write B for the note below C'],
    [words(parseNote('E###')), 'The same sound is written G'],
    [words(parseNote('f#')), 'Write F#'],
    [words(parseKey('D dorain')), 'Did you mean dorian?'],
    [words(parseKey('D## major')), 'Write E: it sounds the same'],
    [words(parseChord('em')), 'Write Em'],
    [words(parseChord('C7#5b5')), 'contradicts'],
    [words(parseChord('C4')), 'sus4 or add4'],
  ])('%s', (sentence, part) => expect(sentence).toContain(part));

  test.each([
    ['8', '8 is the 1 again'],
    ['13', 'Several bars? Write 1 3'],
    ['6/9', 'write 169'],
    ['7b9', 'Did you mean 57b9?'],
    ['g', 'capitals for letters'],
    ['1 2- 15 4', 'Two bars? Write 1 5'],
    ['(1.. 4.)', 'add up to 3; this bar has 4'],
    ['(1 4 5)', '3 chords do not share 4 beats evenly'],
    ['1 4 :|', 'goes back to the start of its section'],
    ['|: 1 4', 'write :| where it ends'],
    ['1.[ 1 ]', 'Ending 1 stands outside a repeat'],
    ['|: 1 1.[ 4 2.[ 5 ] :|', 'before the next ending'],
    ['C', 'Add a line such as key: G'],
  ])('%s', (text, part) => expect(chartWords(text).join(' ')).toContain(part));

  test('a sentence never quotes more than a line, and never splits an emoji', () => {
    const [sentence] = chartWords('🎸'.repeat(5000));
    expect((sentence as string).length).toBeLessThan(200);
    expect(sentence).not.toMatch(/[\uD800-\uDBFF](?![\uDC00-\uDFFF])/);
  });
});
