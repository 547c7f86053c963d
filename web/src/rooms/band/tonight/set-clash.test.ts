import { DEFAULT_NAMING } from '@aurora/core';
import type { SetListBody } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { clashWords } from './set-clash.ts';

const song = {
  kind: 'song',
  id: 'e1',
  songId: 's1',
  key: 'Bb',
  tempo: 96,
  capos: { p1: 2 },
  starts: '',
  notes: '',
  seconds: null,
  join: { kind: 'gap' },
} as const;
const BODY: SetListBody = {
  name: 'Friday',
  place: '',
  startsAt: '',
  date: '',
  gapSeconds: 30,
  entries: [song, { kind: 'break', id: 'e2', name: 'Tea', seconds: 900 }],
};
const nameOf = (id: string) => ({ s1: 'Harbor Wall', p1: 'Ivo' })[id];
const asked = (path: string[], mine: unknown, theirs: unknown) => {
  const { what, ...sides } = clashWords({ path, mine, theirs }, BODY, nameOf, DEFAULT_NAMING);
  return [what, sides.mine, sides.theirs];
};

describe('what two people gave a set different values for', () => {
  test.each([
    [['name'], 'Friday', 'Saturday', 'The set’s name', 'Friday', 'Saturday'],
    [['place'], '', 'The weir', 'Where it is', 'nothing', 'The weir'],
    [['gapSeconds'], 30, 10, 'The time between songs', '30 seconds', '10 seconds'],
    [['entries', 'e1', 'key'], 'Bb', null, 'Harbor Wall: tonight’s key', 'B♭', 'the song’s own'],
    [['entries', 'e1', 'tempo'], 96, null, 'Harbor Wall: the tempo', '96 beats a minute', 'as the chart says'],
    [['entries', 'e1', 'capos', 'p1'], 2, undefined, 'Harbor Wall: the capo of Ivo', 'capo 2', 'as usual'],
    [['entries', 'e1', 'capos', 'gone'], 0, 3, 'Harbor Wall: the capo', 'no capo', 'capo 3'],
    [
      ['entries', 'e1', 'join'],
      { kind: 'gap' },
      { kind: 'bridge', bridge: 'two-five' },
      'Harbor Wall: how it goes over',
      'after a stop',
      'with a two five',
    ],
    [['entries', 'e2', 'name'], 'Tea', 'Soup', 'Tea: what it is called', 'Tea', 'Soup'],
  ])('%j', (path, mine, theirs, what, left, right) => {
    expect(asked(path, mine, theirs)).toEqual([what, left, right]);
  });
});
