import { describe, expect, test } from '@jest/globals';
import { printKey } from '../key/key-text.ts';
import { parseChart } from './chart-text.ts';
import { countingTonic, findMeter, findTempo } from './head.ts';

const head = (text: string) => parseChart(text).head;

describe('the head', () => {
  test('is silent: C, 4/4, no tempo', () => {
    expect(head('1')).toMatchObject({
      title: '',
      keyNamed: false,
      numbering: 'tonic',
      meter: { beats: 4, unit: 4 },
      tempo: null,
      form: null,
    });
  });

  test('is read whatever the case of its names, and past blank lines and comments', () => {
    const read = head('Title: Fog\n// slow\n\nKEY: Em\nTime: 6/8\nTempo: 60\nFeel: dragged\nby: Ann\nform: A, B\n[A]\n1-');
    expect(read).toMatchObject({
      title: 'Fog',
      meter: { beats: 6, unit: 8 },
      tempo: 60,
      feel: 'dragged',
      by: 'Ann',
      form: { entries: [{ name: 'A' }, { name: 'B' }] },
    });
    expect(printKey(read.key)).toBe('Em');
  });

  test.each(['{key: A}\nkey: D', '|: 1\nkey: D', '~ a: b\nkey: D', '1\nkey: D', 'A D :| x2\nkey: D'])(
    '%j: the first other line ends it',
    (text) => {
      expect(head(text).keyNamed).toBe(false);
    },
  );

  test('the first of two lines of one name counts', () => expect(head('title: One\ntitle: Two\n1').title).toBe('One'));

  test('minor keys count from the tonic or from the relative major, major keys always from the tonic', () => {
    const { key } = head('key: Em\n1');
    expect([countingTonic(key, 'tonic'), countingTonic(key, 'relative')]).toEqual([4, 1]);
    expect(countingTonic(head('key: D\n1').key, 'relative')).toBe(2);
  });
});

test.each([
  ['4/4', { beats: 4, unit: 4 }],
  [' 7 / 8 ', { beats: 7, unit: 8 }],
  ['32/32', { beats: 32, unit: 32 }],
])('%j is a meter', (text, meter) => expect(findMeter(text)).toEqual(meter));

test.each(['0/4', '33/4', '4/3', '4', 'four', '4/4/4', '-1/4'])('%j is no meter', (text) => expect(findMeter(text)).toBeUndefined());

test.each(['19', '401', '1e2', '60 bpm', '', '12.345'])('%j is no tempo', (text) => expect(findTempo(text)).toBeUndefined());
