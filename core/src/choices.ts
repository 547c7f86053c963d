// Lists of what can be chosen, by the names they have everywhere: here, in the database and between
// programs. They stand by themselves, so that whoever only checks a name fetches nothing else.

/** How many thirds are stacked on each degree. */
export const DEPTHS = ['triad', 'seventh', 'ninth', 'eleventh', 'thirteenth'] as const;

/** How the last chord of one song is joined to the first of the next. */
export const BRIDGE_KINDS = ['dominant', 'two-five', 'tritone-substitute', 'diminished-approach', 'pivot', 'direct'] as const;

/** How a player stands with barre chords. */
export const BARRE_LEVELS = ['none', 'some', 'any'] as const;

/** What of the chart a player reads: all of it, the bass line, or the form with its hits and stops. */
export const PART_KINDS = ['chart', 'bass', 'form'] as const;

/** What a part shows of each chord. */
export const CHORD_SHOWS = ['numbers', 'letters', 'both', 'roman'] as const;

/** Whether a reader wants the chart on as few pages as can be read, or in larger type on more of them. */
export const PAGE_SIZES = ['fewest pages', 'large type'] as const;

/** Which cues somebody wants to see: everybody's, their own, none. */
export const CUE_WISHES = ['all', 'own', 'none'] as const;

/** What can be practised. */
export const STUDIES = ['warm-up', 'recall', 'programme', 'aloud', 'shapes', 'runs', 'chain', 'ear', 'worksheet', 'song'] as const;

/** In what depth chords are asked in practice. */
export const ASKED_DEPTHS = ['triad', 'seventh', 'both'] as const;

/** What form an answer to a question has. */
export const ANSWER_FORMS = [
  'chord',
  'chords',
  'degree',
  'degrees',
  'quality',
  'qualities',
  'note',
  'notes',
  'key',
  'keys',
  'frets',
  'tone',
] as const;

/** How a pass or an answer went: played, then asked. */
export const OUTCOMES = ['clean', 'shaky', 'stopped', 'right', 'wrong'] as const;

/** In which order the keys of a programme come, night by night. */
export const KEY_ORDERS = ['fourths', 'fifths', 'whole-steps', 'easiest', 'weakest'] as const;

/** What a plan is made of. */
export const BLOCK_KINDS = ['warm-up', 'recall', 'programme', 'shapes', 'runs', 'chain', 'ear', 'song', 'break'] as const;

/** What is asked in recall, and by ear. */
export const QUESTION_KINDS = [
  'degree-to-chord',
  'chord-to-degree',
  'degree-quality',
  'quality-row',
  'chord-tones',
  'scale-numbers',
  'secondary-dominant',
  'two-five-one',
  'relative',
  'parallel',
  'tone-name',
  'interval-or-degree',
  'keys-with-chord',
  'note-on-fret',
  'find-on-string',
  'tone-on-fret',
  'what-changed',
  'capo-sounds',
  'capo-shape',
  'capo-position',
  'ear-quality',
  'ear-degree',
  'ear-tone',
  'ear-bass',
  'ear-loop',
  'ear-wrong',
] as const;

export const PAPER_NAMES = ['A4', 'Letter'] as const;

/** What things can be called, by what is named; the first is the usual. */
export const NAMING_SCHOOLS = {
  majorSeventh: ['maj7', '△7'],
  minorSeventh: ['m7', '−7'],
  halfDiminished: ['m7♭5', 'ø7'],
  diminished: ['dim', '°', 'm♭5'],
  /** Whole and half steps, or tones and semitones. */
  steps: ['W-H', 'T-S'],
  /** Degrees as numbers, as Roman numerals by case, or as capitals only. */
  degrees: ['numbers', 'roman', 'capitals'],
  /** How Roman numerals tell an inversion. */
  inversions: ['slash', 'figures'],
  notes: ['english', 'german', 'solfege'],
  /** Whether roots with double accidentals keep the name that belongs there, or take the easier one that sounds the same. */
  spelling: ['proper', 'easier'],
} as const;

/** Formats that hold every note of a piece. */
export const SCORE_FORMATS = ['musicxml', 'mxl', 'midi', 'abc'] as const;

/** Where the harmony of a written-out piece may change: anywhere, on beats, half bars, or bars. */
export const RHYTHMS = ['auto', 'beat', 'half', 'bar'] as const;

/** What a note outside its chord is, in the order in which they are told. */
export const TONE_KINDS = [
  'passing',
  'accented-passing',
  'neighbour',
  'incomplete-neighbour',
  'appoggiatura',
  'suspension',
  'retardation',
  'anticipation',
  'escape',
  'pedal',
] as const;

/** How a phrase closes. */
export const CADENCE_KINDS = ['authentic', 'half', 'plagal', 'deceptive'] as const;
