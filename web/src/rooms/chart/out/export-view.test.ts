import { CONCERT_READER } from '@aurora/core';
import { DEFAULT_READS, type Member } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { CONCERT, memberChoice, READER_CHOICES } from '../../../session/reader-view.ts';
import { exportReaders, isForReaders, shownIn, writtenFor } from './export-view.ts';

const member = (id: string, name: string, plays: string, reads: Partial<Member['reads']> = {}): Member => ({
  id: `00000000-0000-4000-8000-00000000000${id}`,
  name,
  plays,
  reads: { ...DEFAULT_READS, ...reads },
  instrument: null,
  isIn: false,
});
const BAND = [member('1', 'Tam', 'guitar', { capo: 3 }), member('2', 'Odile', 'alto saxophone', { transpose: 9 })];
const names = (reader = CONCERT) => exportReaders({ members: BAND, reader }).map(({ short }) => short);

describe('for whom a song is exported', () => {
  test('what sounds, everybody in the band, and the reader at the device', () => {
    expect(names()).toEqual(['Concert', 'Tam', 'Odile']);
    expect(names(memberChoice(BAND[0] as Member, 5))).toEqual(['Concert', 'Tam', 'Odile']);
    expect(names(READER_CHOICES.find(({ id }) => id === 'capo-2'))).toEqual(['Concert', 'Tam', 'Odile', 'Capo 2']);
  });

  // half steps up to what is read: a capo reads lower than it sounds
  test.each<[string, number, number, number, number, number, number]>([
    ['what sounds', 0, 0, 0, 0, 0, 0],
    ['a trumpet in B flat', 2, 0, 0, 0, 2, 0],
    ['a tenor saxophone, an octave more', 2, 1, 0, 0, 2, 1],
    ['a capo at 3', 0, 0, 3, 0, 9, -1],
    ['tuned a half step down', 0, 0, 0, -1, 1, 0],
    ['tuned down, with a capo at 1', 0, 0, 1, -1, 0, 0],
  ])('%s', (_, transpose, octave, capo, tuning, expected, octaves) => {
    const choice = { ...memberChoice(member('3', 'X', 'guitar', { octave })), reader: { ...CONCERT_READER, transpose, capo, tuning } };
    expect(writtenFor(choice)).toEqual({ transpose: expected, octave: octaves });
  });

  test('what everybody hears and what everybody keeps is written for nobody', () => {
    expect((['musicxml', 'mxl', 'midi', 'abc', 'text', 'chart'] as const).filter(isForReaders)).toEqual(['musicxml', 'mxl', 'abc', 'text']);
    expect(shownIn('mxl')).toEqual(['both', 'letters', 'numbers']);
    expect(shownIn('text')).toEqual(['letters', 'numbers']);
    expect(shownIn('midi')).toEqual([]);
  });
});
