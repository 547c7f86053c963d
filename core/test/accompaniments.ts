import { type MidiEvent, writeMidi } from 'midi-file';

/** A chord of a plan: its letter name, its root as a pitch below middle C, and its tones above the root in half steps. */
export interface PlannedChord {
  readonly name: string;
  readonly root: number;
  readonly tones: readonly number[];
  /** In beats. */
  readonly beats: number;
}

const LETTERS: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };
const QUALITIES: Readonly<Record<string, readonly number[]>> = {
  '': [0, 4, 7],
  m: [0, 3, 7],
  '7': [0, 4, 7, 10],
  m7: [0, 3, 7, 10],
  maj7: [0, 4, 7, 11],
  dim: [0, 3, 6],
  m7b5: [0, 3, 6, 10],
};

/** `C Am7 F,G C`: a bar a word, chords that share one between commas. */
export function planOf(text: string, beats: number): readonly PlannedChord[] {
  return text.split(' ').flatMap((bar) => {
    const names = bar.split(',');
    return names.map((name): PlannedChord => {
      const [, letter = 'C', accidental = '', quality = ''] = /^([A-G])([#b]?)(.*)$/.exec(name) ?? [];
      const pitch = ((LETTERS[letter] as number) + (accidental === '#' ? 1 : accidental === 'b' ? 11 : 0)) % 12;
      return { name, root: 36 + pitch, tones: QUALITIES[quality] as readonly number[], beats: beats / names.length };
    });
  });
}

/** A note of an accompaniment, in beats. */
export interface PlayedNote {
  readonly at: number;
  readonly beats: number;
  readonly midi: number;
  readonly channel: number;
}

type Style = (chord: PlannedChord, at: number, next: PlannedChord | undefined) => readonly PlayedNote[];

/** Tones in the octave above middle C or so, close together. */
function close({ root, tones }: PlannedChord, low = 55): readonly number[] {
  return tones.map((tone) => low + ((((root + tone - low) % 12) + 12) % 12)).sort((a, b) => a - b);
}
const struck = (midi: readonly number[], at: number, beats: number, channel = 0): readonly PlayedNote[] =>
  midi.map((note) => ({ at, beats, midi: note, channel }));
const beatsOf = (count: number) => Array.from({ length: count }, (_, beat) => beat);

/** Eight ways in which people accompany. */
export const STYLES: Readonly<Record<string, Style>> = {
  'bass on the strong beats, chords on the weak ones': (chord, at) =>
    beatsOf(chord.beats).flatMap((beat) =>
      beat % 2 === 0
        ? struck([chord.root + (beat % 4 === 2 ? (chord.tones[2] as number) : 0)], at + beat, 0.9, 1)
        : struck(close(chord), at + beat, 0.5),
    ),
  'broken chords in eighths': (chord, at) => {
    const up = [chord.root, ...close(chord)];
    return beatsOf(chord.beats * 2).map((step) => ({
      at: at + step / 2,
      beats: 0.5,
      midi: up[step % up.length] as number,
      channel: 0,
    }));
  },
  'low, high, middle, high': (chord, at) => {
    const [low, middle, high, top = high] = close(chord, chord.root + 12);
    const four = [low, top, middle, high];
    return beatsOf(chord.beats * 2).map((step) => ({ at: at + step / 2, beats: 0.5, midi: four[step % 4] as number, channel: 0 }));
  },
  'strummed eighths, the first left to the bass': (chord, at) => [
    ...struck([chord.root], at, chord.beats * 0.95, 1),
    ...beatsOf(chord.beats * 2)
      .filter((step) => step !== 0 && step % 4 !== 2)
      .flatMap((step) => struck([...close(chord), close(chord)[0] as number], at + step / 2, 0.4)),
  ],
  'a walking bass, chords off the beat': (chord, at, next) => {
    const to = (next ?? chord).root;
    const walk = [
      chord.root,
      chord.root + (chord.tones[1] as number),
      chord.root + (chord.tones[2] as number),
      next === undefined ? chord.root + 12 : to + (to > chord.root ? -1 : 1),
    ];
    return [
      ...beatsOf(chord.beats).flatMap((beat) => struck([walk[beat === chord.beats - 1 ? 3 : beat % 3] as number], at + beat, 0.95, 1)),
      ...beatsOf(Math.floor(chord.beats / 2)).flatMap((pair) => struck(close(chord), at + 2 * pair + 1.5, 0.45)),
    ];
  },
  'held chords under a moving melody': (chord, at) => {
    const top = close(chord, 67);
    const melody = [top[0], (top[0] as number) + 2, top[1], (top[1] as number) - 1, top[1], top[2], (top[2] as number) + 1, top[2]];
    return [
      ...struck([chord.root, ...close(chord)], at, chord.beats),
      ...beatsOf(chord.beats * 2).map((step) => ({ at: at + step / 2, beats: 0.5, midi: melody[step % 8] as number, channel: 2 })),
    ];
  },
  'octaves in the left hand, chords in the right, a little early and late': (chord, at) =>
    beatsOf(chord.beats).flatMap((beat) => [
      ...struck([chord.root, chord.root + 12], Math.max(0, at + beat + (beat % 2 === 0 ? -0.04 : 0.05)), 0.6, 1),
      ...struck(close(chord), Math.max(0, at + beat + (beat % 3) * 0.03 - 0.02), 0.85),
    ]),
  'each tone when it comes, held to the end': (chord, at) =>
    [chord.root, ...close(chord)].map((midi, place) => ({
      at: at + (place * chord.beats) / 8,
      beats: chord.beats - (place * chord.beats) / 8,
      midi,
      channel: 0,
    })),
};

/** A plan played in a style, note by note. */
export function played(style: Style, plan: readonly PlannedChord[]): readonly PlayedNote[] {
  let at = 0;
  return plan.flatMap((chord, place) => {
    const notes = style(chord, at, plan[place + 1]);
    at += chord.beats;
    return notes;
  });
}

/** A plan played in a style as a MIDI file, a track a channel. */
export function accompaniment(style: Style, plan: readonly PlannedChord[], beats: number): Uint8Array {
  return midiOf(played(style, plan), beats);
}

const TICKS = 480;

/** Notes as a MIDI file of three tracks. */
export function midiOf(notes: readonly PlayedNote[], beats: number): Uint8Array {
  const meter = {
    type: 'timeSignature',
    numerator: beats,
    denominator: 4,
    metronome: 24,
    thirtyseconds: 8,
    deltaTime: 0,
    meta: true,
  } as const;
  const tracks = [0, 1, 2].map((channel): MidiEvent[] => {
    const events = notes
      .filter((note) => note.channel === channel)
      .flatMap(({ at, beats: length, midi }) => [
        { ticks: Math.round(at * TICKS), type: 'noteOn' as const, noteNumber: midi, velocity: 80 },
        { ticks: Math.round((at + length) * TICKS), type: 'noteOff' as const, noteNumber: midi, velocity: 0 },
      ])
      .sort((a, b) => a.ticks - b.ticks || (a.type === 'noteOff' ? -1 : 1));
    let now = 0;
    const timed = events.map(({ ticks, ...event }): MidiEvent => {
      const deltaTime = ticks - now;
      now = ticks;
      return { ...event, deltaTime, channel };
    });
    return [...(channel === 0 ? [meter] : []), ...timed, { type: 'endOfTrack', deltaTime: 0, meta: true }];
  });
  return Uint8Array.from(writeMidi({ header: { format: 1, numTracks: 3, ticksPerBeat: TICKS }, tracks }));
}
