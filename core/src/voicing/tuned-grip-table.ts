import type { Tuning } from '../fretboard/fretboard.ts';

/** The first grips of an instrument or a tuning, as a method for it shows them: frets in the order of its strings. */
export interface GripBook {
  /** Open strings as they are listed; any tuning whose strings stand to each other as these do has the same grips. */
  readonly tuning: Tuning;
  readonly grips: readonly string[];
  /** Grips without open strings, written where their lowest fret is 1 or more; they move. */
  readonly movable: readonly string[];
}

/**
 * Source: the chords such methods begin with; each is tested against the notes it holds.
 * A string's sign is its fret, or x where it does not sound.
 */
export const GRIP_BOOKS: readonly GripBook[] = [
  {
    // ukulele, the fourth string high
    tuning: [67, 60, 64, 69],
    grips: [
      '0003 2010 0232 2000 2210 0432 0001 0212 2100 2220 0100 0000 2310 1202 0331 3211',
      '0231 1013 0333 2223 4442 4322 4222 2322 3111 0002 0222 0211 2213 0202 2413 1100 0013 0230 0233 2200 5343 1211 4432',
    ],
    movable: ['3211 4322 2220 4442 3111 4222 1211 2322 5343 2223'],
  },
  {
    // baritone ukulele: a guitar's thin four strings
    tuning: [50, 55, 59, 64],
    grips: ['0003 2010 0232 2000 2210 0231 2100 2220 0001 0212 0100 2310 3211 1202 4432 0222 2000 0211 0200 0002 2212 0233 0230'],
    movable: ['3211 3111 4432 2313 1323 1322 1333 4442 2220'],
  },
  {
    // mandolin, tuned in fifths
    tuning: [55, 62, 69, 76],
    grips: ['0023 0230 2002 2245 1220 5301 2230 0220 2001 0021 2032 2243 1020 3230 3011 4022 2442 0013 2000 0033 5530 2240'],
    movable: ['4452 7523 5530 2442 2245 4022'],
  },
  {
    // five-string banjo in open G, the fifth string short and high
    tuning: [67, 50, 55, 59, 62],
    grips: ['00000 02012 x4234 02002 x2212 00003 x4210 x3213 x2222 x2102 x2100 02312 x0233 x4434'],
    movable: ['x5555 x4234 x3213 x2212 x4434'],
  },
  {
    // a guitar with its sixth string at D
    tuning: [38, 45, 50, 55, 59, 64],
    grips: ['000xxx 000232 000231 000212 000222 000233 5x0003 222000 x32010 x02220 x02210 222100'],
    movable: ['111xxx'],
  },
  {
    // both outer strings at D
    tuning: [38, 45, 50, 55, 59, 62],
    grips: ['000xxx 000234 000233 5x0000 222002 x02222 x02212'],
    movable: ['111xxx'],
  },
  {
    // D A D G A D
    tuning: [38, 45, 50, 55, 57, 62],
    grips: ['000xxx 000204 000203 000000 000200 5500xx 5500x0 550020 x0220x 222022 x0222x'],
    movable: ['111xxx'],
  },
  {
    // open G
    tuning: [38, 43, 50, 55, 59, 62],
    grips: ['x00000 000000 x22212 202002 x02012'],
    movable: ['x11111 111111'],
  },
  {
    // open D; open E is the same a whole step higher
    tuning: [38, 45, 50, 54, 57, 62],
    grips: ['000000 222122 020120'],
    movable: ['111111 222122'],
  },
  {
    // four-string bass: root, fifth, octave
    tuning: [28, 33, 38, 43],
    grips: ['02xx x02x xx02 022x x022'],
    movable: ['133x x133 13xx x13x xx13'],
  },
  {
    // five-string bass
    tuning: [23, 28, 33, 38, 43],
    grips: ['x02xx xx02x xxx02 x022x xx022'],
    movable: ['x133x xx133 133xx x13xx xx13x 13xxx xxx13'],
  },
];
