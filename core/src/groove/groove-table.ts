/** How a band plays, in its own words. */
export const GROOVE_NAMES = [
  'plain',
  'straight',
  'rock',
  'half time',
  'swing',
  'shuffle',
  'ballad',
  'bossa',
  'waltz',
  'funk',
  'gospel',
  'train',
  'one drop',
] as const;
export type GrooveName = (typeof GROOVE_NAMES)[number];

/** What a drummer strikes. */
export const DRUM_VOICES = ['kick', 'snare', 'rim', 'hat', 'pedal', 'ride', 'crash', 'high tom', 'low tom'] as const;
export type DrumVoice = (typeof DRUM_VOICES)[number];

/**
 * A bar as lines of signs, a step each, `.` for nothing.
 * Drums: `X` loud, `x`, `g` soft. Guitar: `D` `d` down, `U` `u` up, `S` short, `m` damped, `B` the
 * lowest string, `1` to `4` strings from the highest down. Bass: `R` root, `3`, `5`, `8`, `W` walks.
 */
export interface Pattern {
  readonly beats: 3 | 4 | 6;
  readonly steps: number;
  readonly rows: Partial<Readonly<Record<DrumVoice | 'guitar' | 'bass', string>>>;
  /** What the drums play at the end of a section, from the first sign on. */
  readonly fill: Partial<Readonly<Record<DrumVoice, string>>>;
}

/** A groove in the meters it has; several bars in turn where it goes over more than one. */
export interface Groove {
  readonly swings: boolean;
  readonly four?: readonly Pattern[];
  readonly three?: readonly Pattern[];
  readonly six?: readonly Pattern[];
}

/** The patterns a band falls into by the names bands give them. Source: common teaching for drums, bass and rhythm guitar. */
export const PATTERNS: Readonly<Record<GrooveName, Groove>> = {
  plain: { swings: false },
  straight: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'xgxgxgxg', snare: '..x...x.', kick: 'x...xx..', guitar: 'D.DU.UDU', bass: 'R..RR...' },
        fill: { snare: '......xx' },
      },
    ],
    three: [
      {
        beats: 3,
        steps: 6,
        rows: { hat: 'xgxgxg', snare: '..x.x.', kick: 'x.....', guitar: 'D.DUDU', bass: 'R...5.' },
        fill: { snare: '....xx' },
      },
    ],
  },
  rock: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 16,
        rows: {
          hat: 'x.x.x.x.x.x.x.x.',
          snare: '....X.......X...',
          kick: 'X.......x.x.....',
          guitar: 'D.d.D.d.D.d.D.d.',
          bass: 'R.R.R.R.R.R.R.R.',
        },
        fill: { snare: '............XX..', 'high tom': '..............x.', 'low tom': '...............x' },
      },
    ],
  },
  'half time': {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'xgxgxgxg', snare: '....X...', kick: 'X..x..x.', guitar: 'D...D.DU', bass: 'R..R..5.' },
        fill: { snare: '......xx' },
      },
    ],
  },
  swing: {
    swings: true,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { ride: 'x.xgx.xg', pedal: '..x...x.', kick: 'g.g.g.g.', guitar: 'S.S.S.S.', bass: 'W.W.W.W.' },
        fill: { snare: '.....xxx' },
      },
    ],
    three: [
      {
        beats: 3,
        steps: 6,
        rows: { ride: 'x.xgx.', pedal: '..x...', kick: 'x.....', guitar: 'S..S..', bass: 'W.W.W.' },
        fill: { snare: '...xxx' },
      },
    ],
  },
  shuffle: {
    swings: true,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'xgxgxgxg', snare: '..X...X.', kick: 'x...x...', guitar: 'DdDdDdDd', bass: 'R.3.5.3.' },
        fill: { snare: '.....xXx' },
      },
    ],
  },
  ballad: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'gggggggg', rim: '..x...x.', kick: 'x....x..', guitar: 'B3212323', bass: 'R...5...' },
        fill: { snare: '......gx' },
      },
    ],
    three: [
      {
        beats: 3,
        steps: 6,
        rows: { hat: 'gggggg', rim: '....x.', kick: 'x.....', guitar: 'B32123', bass: 'R...5.' },
        fill: { snare: '....gx' },
      },
    ],
    six: [
      {
        beats: 6,
        steps: 6,
        rows: { hat: 'gggggg', rim: '...x..', kick: 'x.....', guitar: 'B32123', bass: 'R..5..' },
        fill: { snare: '...ggx' },
      },
    ],
  },
  bossa: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'gggggggg', rim: 'x..x..x.', kick: 'x..xx..x', guitar: 'd..d..d.', bass: 'R..55..5' },
        fill: { snare: '......gx' },
      },
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'gggggggg', rim: '..x..x..', kick: 'x..xx..x', guitar: '..d..d..', bass: 'R..55..5' },
        fill: { snare: '......gx' },
      },
    ],
  },
  waltz: {
    swings: false,
    three: [
      {
        beats: 3,
        steps: 6,
        rows: { hat: '..x.x.', snare: '..g.g.', kick: 'x.....', guitar: 'B.d.d.', bass: 'R.....' },
        fill: { snare: '....xx' },
      },
    ],
  },
  funk: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 16,
        rows: {
          hat: 'xgggxgggxgggxggg',
          snare: '....X..g.g..X...',
          kick: 'X..x......x.....',
          guitar: 'D.mU.mDU.mDU.mm.',
          bass: 'R..R..8...R.5...',
        },
        fill: { snare: '............XgXX' },
      },
    ],
  },
  gospel: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 12,
        rows: { hat: 'xggxggxggxgg', snare: '...X.....X..', kick: 'X.....X....x', guitar: 'D.UD.UD.UD.U', bass: 'R....R5.....' },
        fill: { snare: '.........xxX' },
      },
    ],
    six: [
      {
        beats: 6,
        steps: 6,
        rows: { hat: 'xggxgg', snare: '...X..', kick: 'X....x', guitar: 'D.UD.U', bass: 'R..5..' },
        fill: { snare: '...xxX' },
      },
    ],
  },
  train: {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 16,
        rows: {
          snare: 'ggXgggXgggXgggXg',
          kick: 'x...x...x...x...',
          guitar: 'B...D.U.B...D.U.',
          bass: 'R.......5.......',
        },
        fill: { snare: '............XXXX' },
      },
    ],
  },
  'one drop': {
    swings: false,
    four: [
      {
        beats: 4,
        steps: 8,
        rows: { hat: 'gxgxgxgx', rim: '....X...', kick: '....X...', guitar: '..S...S.', bass: 'R.RR..5.' },
        fill: { snare: '.....xxX' },
      },
    ],
  },
};
