import abcjs from 'abcjs';

export interface AbcChord {
  readonly name: string;
  readonly position: string;
}

/** A note by its step above middle C on the staff, with the accidental that stands before it. */
export interface AbcPitch {
  readonly pitch?: number;
  readonly accidental?: string;
  readonly startTie?: object;
  readonly endTie?: boolean;
}

/** What abcjs makes of a note, a bar line or a change; only what is looked at here. */
export interface AbcElement {
  readonly el_type: string;
  readonly type?: string;
  readonly duration?: number;
  readonly chord?: readonly AbcChord[];
  readonly pitches?: readonly AbcPitch[];
  readonly accidentals?: readonly { readonly acc: string; readonly note: string }[];
  readonly lyric?: readonly { readonly syllable?: string; readonly divider?: string }[];
  readonly decoration?: readonly string[];
  readonly startEnding?: string;
  readonly endEnding?: boolean;
  readonly startTriplet?: number;
  readonly tripletMultiplier?: number;
  readonly endTriplet?: boolean;
  readonly value?: readonly { readonly num: string; readonly den?: string }[];
  readonly root?: string;
  readonly acc?: string;
  readonly mode?: string;
  readonly title?: string;
  readonly bpm?: number;
}

export interface AbcLine {
  readonly staff?: readonly {
    readonly key?: AbcElement;
    readonly meter?: AbcElement;
    readonly voices?: readonly (readonly AbcElement[])[];
  }[];
  readonly text?: readonly { readonly text: string }[] | { readonly text?: string } | string;
}

export interface AbcTempo {
  readonly duration?: readonly number[];
  readonly bpm?: number;
}

export interface AbcTune {
  readonly metaText: { readonly title?: string; readonly composer?: string; readonly rhythm?: string; readonly tempo?: AbcTempo };
  readonly lines: readonly AbcLine[];
  /** The tune as it sounds, a list of events for each voice. */
  setUpAudio(options: object): { readonly tracks: readonly (readonly AbcEvent[])[] };
}

interface AbcEvent {
  readonly cmd: string;
  readonly pitch?: number;
  readonly start?: number;
}

/** The tunes of an ABC text as abcjs reads it. @throws when it cannot. */
export function tunesOf(text: string): readonly AbcTune[] {
  // abcjs does not know this decoration; as words over the bar it keeps it
  return abcjs.parseOnly(text.replace(/!dacoda!/g, '"^To Coda"')) as unknown as readonly AbcTune[];
}

/** The notes of the first voice as they sound; null where several sound together. */
export function melodyOf(tune: AbcTune): readonly number[] | null {
  try {
    const [voice = []] = tune.setUpAudio({ chordsOff: true }).tracks;
    const notes = voice.filter(({ cmd }) => cmd === 'note');
    const starts = new Set(notes.map(({ start }) => start));
    return starts.size < notes.length ? null : notes.flatMap(({ pitch }) => (pitch === undefined ? [] : [pitch]));
  } catch {
    // a tune may be readable as notation and still not be playable
    return null;
  }
}

/** What stands over an element and is no chord. */
export function annotations({ chord = [] }: AbcElement): readonly AbcChord[] {
  return chord.filter(({ position }) => position !== 'default');
}

/** Adds what is sung on a note to the verses of its line. */
export function sing({ lyric }: AbcElement, verses: string[]): void {
  lyric?.forEach(({ syllable = '', divider = ' ' }, verse) => {
    verses[verse] = `${verses[verse] ?? ''}${syllable}${divider === '-' ? '' : ' '}`;
  });
}
