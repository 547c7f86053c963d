/**
 * What everything costs, by name: the way of least cost through a piece is its reduction. A pulse is what is
 * felt as one beat. Set by hand and by trying them on planned pieces (docs/score.md); nothing is learned.
 */
export const COSTS = {
  /** A border, by how strongly its time is felt: off the beat, on a beat, in the middle of a bar, on the first beat. */
  border: [2.1, 0.81, 0.6, 0.25],
  /** … where nothing is struck, where the bass is not, and for what goes on unchanged over it. */
  notStruck: 0.7,
  noBass: 0.22,
  novel: 0.5,
  /** A chord that follows itself, that keeps its root, that resolves, that goes down a fifth. */
  alike: 0.12,
  sameRoot: 0.13,
  resolves: 0.31,
  byFifth: 0.05,
  /** What speaks against a chord from the first speaks so again in each pulse, for this part. */
  goesOn: 0.19,
  /** So long has a tone to sound before it is not missed: in pulses, and as a part of its stretch. */
  heard: 0.24,
  share: 0.1,
  /** A root that does not sound in the first pulse of its stretch. */
  rootLate: 0.26,
  /** A seventh or sixth that does not sound in the first two. */
  fourthLate: 0.3,
  /** A pulse of a note outside the chord, by how its line explains it; of one that the player says belongs to it. */
  strange: {
    passing: 0.35,
    accented: 1.2,
    suspension: 0.81,
    leaptTo: 1.35,
    anticipation: 0.6,
    escape: 1.27,
    pedal: 0.5,
    /** … of one that lies in an upper voice. */
    held: 1.2,
    none: 4.47,
    /** … so many times as much where the note it leans on is outside as well. */
    lost: 1.6,
    said: 8,
    bass: 1.8,
  },
  /** A chord tone that never sounds. */
  missing: { root: 0.81, third: 0.52, fifth: 0.32, ownFifth: 1.2, other: 2.16 },
  /** The bass, by the tone of the chord it is; a foreign one; one that lies or comes again; one that steps into its tone; a seventh that
   *  comes to lie in the bass within a stretch. */
  bass: { third: 0.22, fifth: 0.42, seventh: 0.36, other: 0.6, foreign: 1.4, ground: 0.5, late: 0.35, within: 0.9 },
  /** A tone outside the key; a chord that leans on one of the key by a dominant, or by a leading tone; the raised 6 of minor. */
  key: { outside: 0.35, applied: 0.34, leading: 0.33, raisedSix: 0.2 },
  /** Qualities, plain triads free. */
  kind: {
    '7': 0.3,
    m7: 0.45,
    maj7: 0.51,
    dim: 0.35,
    m7b5: 0.62,
    dim7: 0.4,
    aug: 0.9,
    sus4: 1.2,
    sus2: 1.7,
    '7sus4': 1.94,
    '6': 1.3,
    m6: 1.3,
    'm(maj7)': 1.4,
    aug7: 1.3,
    'maj7#5': 1.6,
    '9': 1.8,
    '7b9': 2,
    m9: 2.4,
    add9: 2.6,
  },
  /** Keys over harmonies: what they gain by chords of their own, and lose by changing. */
  keys: {
    near: 1.3,
    far: 2.52,
    cadence: 1.1,
    passing: 0.16,
    endsHome: 1.6,
    beginsHome: 0.5,
    signed: 0.78,
    outside: 0.81,
    applied: 0.05,
    notes: 0.35,
  },
  /** Keys over measures by their notes alone, before any chord is known. */
  bars: { near: 1.8, far: 2.6, signed: 1.5, outside: 1.01 },
};
