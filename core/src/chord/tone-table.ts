/**
 * Every tone a chord can hold beside the root, in the order chords are spelled upward.
 * The number counts on the major scale of the chord's root; 9, 11 and 13 lie past the octave.
 */
export const TONE_TABLE = [
  '1',
  'b2',
  '2',
  'b3',
  '3',
  '4',
  '#4',
  'b5',
  '5',
  '#5',
  'b6',
  '6',
  'bb7',
  'b7',
  '7',
  'b9',
  '9',
  '#9',
  'b11',
  '11',
  '#11',
  'b13',
  '13',
] as const;

export type ToneName = (typeof TONE_TABLE)[number];
