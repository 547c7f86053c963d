import { type ChordCandidate, COMMON_COST, identify } from '../chord/identify.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { noteName } from '../key/note-name.ts';
import type { Note } from '../pitch/note.ts';
import { usualFingering } from './fingering.ts';
import { fitsHand } from './hand.ts';
import { type Frets, soundingMidi, type Voicing } from './voicing.ts';

/** A shape with one string changed, and what it is called then. */
export interface Reshaped {
  readonly frets: Frets;
  /** The changed string, 1 the thinnest. */
  readonly string: number;
  /** The note that sounds there now. */
  readonly note: Note;
  /** The best name for it; null when there is none in common use. */
  readonly name: ChordCandidate | null;
}

/** The notes of the sounding strings from the lowest pitch up, named by the key and, where given, the chord. */
function notesAt(frets: Frets, instrument: Instrument, key: Key | null, named: readonly Note[] = []): readonly Note[] {
  return soundingMidi(frets, instrument.tuning)
    .filter((midi): midi is number => midi !== null)
    .sort((a, b) => a - b)
    .map((midi) => noteName(midi, key, named));
}

/** Names for whatever is held, best first; none when nothing sounds. */
export function nameFrets(frets: Frets, instrument: Instrument, key: Key | null): readonly ChordCandidate[] {
  return identify(notesAt(frets, instrument, key), key);
}

/** What the shape turns into when a muted string is left ringing open by mistake, string by string. */
export function leftRinging(voicing: Voicing, instrument: Instrument, key: Key | null): readonly Reshaped[] {
  return voicing.frets.flatMap((fret, index) => (fret === null ? [changed(voicing, index, instrument.capo, { instrument, key })] : []));
}

/** The shape with one of its voices taken an octave up to a free thinner string, where the hand still reaches. */
export function voiceUp(voicing: Voicing, instrument: Instrument, key: Key | null): readonly Reshaped[] {
  const found: Reshaped[] = [];
  voicing.frets.forEach((fret, index) => {
    if (fret === null) return;
    const wanted = (instrument.tuning[index] as number) + fret + 12;
    for (let to = index + 1; to < voicing.frets.length; to += 1) {
      const at = wanted - (instrument.tuning[to] as number);
      if (voicing.frets[to] !== null || at < instrument.capo || at > instrument.frets) continue;
      const frets = voicing.frets.map((before, string) => (string === to ? at : string === index ? null : before));
      if (isHoldable(frets, instrument)) found.push(describe(frets, to, voicing, { instrument, key }));
    }
  });
  return found;
}

/** The shape over every new lowest note the hand still reaches on a string below it. */
export function newBasses(voicing: Voicing, instrument: Instrument, key: Key | null): readonly Reshaped[] {
  const lowest = voicing.frets.findIndex((fret) => fret !== null);
  const found: Reshaped[] = [];
  for (let string = 0; string < lowest; string += 1) {
    for (let fret = instrument.capo; fret <= instrument.frets; fret += 1) {
      const frets = voicing.frets.map((before, index) => (index === string ? fret : before));
      if (isHoldable(frets, instrument)) found.push(describe(frets, string, voicing, { instrument, key }));
    }
  }
  return found;
}

interface Setting {
  readonly instrument: Instrument;
  readonly key: Key | null;
}

function changed(voicing: Voicing, index: number, fret: number, setting: Setting): Reshaped {
  const frets = voicing.frets.map((before, string) => (string === index ? fret : before));
  return describe(frets, index, voicing, setting);
}

function describe(frets: Frets, index: number, voicing: Voicing, { instrument, key }: Setting): Reshaped {
  const named = voicing.tones.map(({ note }) => note);
  const midi = (instrument.tuning[index] as number) + (frets[index] as number);
  const [name] = identify(notesAt(frets, instrument, key, named), key);
  return {
    frets,
    string: frets.length - index,
    note: noteName(midi, key, named),
    name: name !== undefined && name.cost <= COMMON_COST ? name : null,
  };
}

/** Whether four fingers can hold it. */
function isHoldable(frets: Frets, instrument: Instrument): boolean {
  return fitsHand(frets, instrument.capo, instrument.scaleLength) && usualFingering(frets, instrument) !== undefined;
}
