import type { ChordScaleName } from '../scale/scale-table.ts';

/**
 * What players put over a chord by what it does, the usual choice first. Scales stand on the
 * chord's root. Source: the common chord-scale teaching for guitar and jazz.
 */
export const ROLE_SCALES = {
  one: ['major', 'lydian'],
  two: ['dorian'],
  'minor-two': ['locrian', 'locrian #2'],
  three: ['phrygian', 'dorian'],
  four: ['lydian', 'major'],
  six: ['natural minor', 'dorian'],
  seven: ['locrian', 'locrian #2'],
  'to-major': ['mixolydian', 'altered', 'lydian dominant'],
  'to-minor': ['phrygian dominant', 'altered', 'mixolydian b6'],
  'dominant-at-rest': ['lydian dominant', 'mixolydian'],
  blues: ['mixolydian', 'blues', 'lydian dominant'],
  'minor-one': ['natural minor', 'dorian', 'melodic minor', 'harmonic minor'],
  'local-minor-one': ['dorian', 'natural minor', 'melodic minor'],
  'minor-major': ['melodic minor', 'harmonic minor'],
  'minor-six': ['dorian', 'melodic minor'],
  'minor-three': ['major', 'lydian'],
  'minor-four': ['dorian', 'melodic minor'],
  'minor-four-dominant': ['lydian dominant', 'mixolydian'],
  'minor-five': ['phrygian', 'dorian'],
  'flat-six': ['lydian', 'major'],
  'flat-seven': ['mixolydian', 'lydian'],
  'borrowed-four': ['dorian', 'melodic minor'],
  'borrowed-major': ['lydian', 'major'],
  augmented: ['whole tone', 'lydian augmented'],
  'augmented-major': ['lydian augmented', 'ionian #5'],
  suspended: ['mixolydian', 'dorian'],
  major: ['major', 'lydian'],
  minor: ['dorian', 'natural minor'],
  'half-diminished': ['locrian', 'locrian #2'],
  diminished: ['diminished'],
  power: ['mixolydian', 'natural minor'],
} as const satisfies Readonly<Record<string, readonly ChordScaleName[]>>;

export type ScaleRole = keyof typeof ROLE_SCALES;

/** Scales that a dominant may take beside those of its role, as far as what is written allows them. */
export const DOMINANT_SCALES: readonly ChordScaleName[] = ['mixolydian', 'altered', 'half-whole diminished'];

/** What an alteration written on a dominant asks for first. */
export const WRITTEN_SCALES: readonly (readonly [readonly string[], readonly ChordScaleName[]])[] = [
  [['b9', '13'], ['half-whole diminished']],
  [
    ['b9', '#9'],
    ['altered', 'half-whole diminished'],
  ],
  [['#9'], ['altered', 'half-whole diminished']],
  [['b9'], ['altered', 'phrygian dominant', 'half-whole diminished']],
  [['b13'], ['altered', 'phrygian dominant', 'mixolydian b6']],
  [['#5'], ['altered', 'whole tone']],
  [['#11'], ['lydian dominant', 'whole tone']],
  [['b5'], ['altered', 'whole tone', 'lydian dominant']],
];
