import { expect, test } from '@jest/globals';
import { fileName } from './save-file.ts';

test.each([
  ['G: triads', 'pdf', 'G-triads.pdf'],
  ['B♭maj7 x-1-3-2', 'svg', 'Bbmaj7-x-1-3-2.svg'],
  ['F♯m7♭5', 'svg', 'F#m7b5.svg'],
  ['Half a Moon over Corriewick: a path', 'pdf', 'Half-a-Moon-over-Corriewick-a-path.pdf'],
  ['../../etc', 'svg', 'etc.svg'],
  ['Übung für Önder', 'pdf', 'Übung-für-Önder.pdf'],
  ['…', 'pdf', 'sheet.pdf'],
])('%s as %s is kept as %s', (title, ending, name) => expect(fileName(title, ending)).toBe(name));
