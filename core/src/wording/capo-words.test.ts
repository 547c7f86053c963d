import { expect, test } from '@jest/globals';
import { planCapo } from '../capo/capo-plan.ts';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { capoWords } from './capo-words.ts';

const told = (source: string, fret: number) => {
  const option = planCapo(readChart(source)).find((one) => one.fret === fret);
  return option === undefined ? '' : capoWords(option, DEFAULT_NAMING);
};

test.each([
  ['key: G\n1 4 5 6-\n', 0, 'No capo; every chord is open.'],
  ['key: G\n1 3- 4\n', 0, 'No capo; 2 of 3 chords are open; hardest is Bm, barre or closed.'],
  ['key: Bb\n1 4 5\n', 3, 'Capo 3: G shapes sound B♭; every chord is open.'],
  ['key: Eb\n1\n', 8, 'Capo 8: G shapes sound E♭; every chord is open. High up the strings are short and the neck is narrow.'],
  ['key: G\n', 0, 'No capo.'],
])('%s at %i', (source, fret, sentence) => expect(told(source, fret)).toBe(sentence));
