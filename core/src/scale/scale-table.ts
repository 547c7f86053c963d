/**
 * The scales by name, written as numbers counted on the major scale of the same tonic.
 * Source: standard practice; modes of the melodic minor under their usual names.
 */
export const SCALE_TABLE = {
  major: '1 2 3 4 5 6 7',
  'natural minor': '1 2 b3 4 5 b6 b7',
  'harmonic minor': '1 2 b3 4 5 b6 7',
  'melodic minor': '1 2 b3 4 5 6 7',
  'harmonic major': '1 2 3 4 5 b6 7',
  dorian: '1 2 b3 4 5 6 b7',
  phrygian: '1 b2 b3 4 5 b6 b7',
  lydian: '1 2 3 #4 5 6 7',
  mixolydian: '1 2 3 4 5 6 b7',
  locrian: '1 b2 b3 4 b5 b6 b7',
  'phrygian dominant': '1 b2 3 4 5 b6 b7',
  'lydian dominant': '1 2 3 #4 5 6 b7',
  altered: '1 b2 b3 b4 b5 b6 b7',
  'lydian augmented': '1 2 3 #4 #5 6 7',
  'dorian b2': '1 b2 b3 4 5 6 b7',
  'mixolydian b6': '1 2 3 4 5 b6 b7',
  'locrian #2': '1 2 b3 4 b5 b6 b7',
  'locrian #6': '1 b2 b3 4 b5 6 b7',
  'ionian #5': '1 2 3 4 #5 6 7',
  'dorian #4': '1 2 b3 #4 5 6 b7',
  'lydian #2': '1 #2 3 #4 5 6 7',
  'altered bb7': '1 b2 b3 b4 b5 b6 bb7',
} as const;

export type ScaleName = keyof typeof SCALE_TABLE;

/**
 * Scales that are played over a chord but make no key: they have six or eight notes, so thirds do
 * not stack on them. `diminished` starts with a whole step, as over a diminished seventh chord.
 */
export const FREE_SCALE_TABLE = {
  diminished: '1 2 b3 4 b5 b6 6 7',
  'half-whole diminished': '1 b2 #2 3 #4 5 6 b7',
  'whole tone': '1 2 3 #4 #5 b7',
  blues: '1 b3 4 b5 5 b7',
  'major blues': '1 2 b3 3 5 6',
} as const;

/** Any scale that may be played over a chord. */
export type ChordScaleName = ScaleName | keyof typeof FREE_SCALE_TABLE;

/** Other names players use for the same scales. */
export const SCALE_ALIASES: Readonly<Record<string, ScaleName>> = {
  ionian: 'major',
  maj: 'major',
  minor: 'natural minor',
  min: 'natural minor',
  aeolian: 'natural minor',
  'pure minor': 'natural minor',
  'jazz minor': 'melodic minor',
  'phrygian major': 'phrygian dominant',
  'spanish phrygian': 'phrygian dominant',
  'mixolydian #11': 'lydian dominant',
  'lydian b7': 'lydian dominant',
  'super locrian': 'altered',
  superlocrian: 'altered',
  'lydian #5': 'lydian augmented',
  'phrygian #6': 'dorian b2',
  'aeolian dominant': 'mixolydian b6',
  'locrian natural 2': 'locrian #2',
  'locrian ♮2': 'locrian #2',
  'aeolian b5': 'locrian #2',
  'locrian natural 6': 'locrian #6',
  'locrian ♮6': 'locrian #6',
  'ionian augmented': 'ionian #5',
  'dorian #11': 'dorian #4',
  'superlocrian bb7': 'altered bb7',
  'altered diminished': 'altered bb7',
};
