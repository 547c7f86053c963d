import type { WrittenNote } from '../found-harmony.ts';
import { child, childrenOf, numberIn, textIn, type XmlElement } from './xml.ts';

const HIGHEST_MIDI = 127;
const OCTAVE = 12;
const HALF_STEPS: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };

/** The pitch of a note as it is written; undefined for a rest or a drum. */
export function writtenMidi(note: XmlElement): number | undefined {
  const pitch = child(note, 'pitch');
  const step = HALF_STEPS[textIn(pitch, 'step')];
  if (pitch === undefined || step === undefined) return undefined;
  return OCTAVE * (Math.round(numberIn(pitch, 'octave', 4)) + 1) + step + Math.round(numberIn(pitch, 'alter', 0));
}

/** Half steps from what a transposing part writes to what sounds. */
export function soundsLower(attributes: XmlElement): number | undefined {
  const transpose = child(attributes, 'transpose');
  if (transpose === undefined) return undefined;
  return Math.round(numberIn(transpose, 'chromatic', 0)) + OCTAVE * Math.round(numberIn(transpose, 'octave-change', 0));
}

/** Every note of every part where it is written, as it sounds; grace notes and cues are no part of the harmony. */
export function notesOfParts(parts: readonly XmlElement[]): readonly WrittenNote[] {
  return parts.flatMap((part, index) => new PartNotes(`${index}`).read(childrenOf(part, 'measure')));
}

class PartNotes {
  readonly #part: string;
  readonly #notes: WrittenNote[] = [];
  #divisions = 1;
  #lower = 0;
  /** Where in its bar the next note stands, and the last one that others join, in quarters. */
  #at = 0;
  #struck = 0;

  constructor(part: string) {
    this.#part = part;
  }

  read(measures: readonly XmlElement[]): readonly WrittenNote[] {
    measures.forEach((measure, bar) => {
      this.#at = 0;
      for (const element of measure.children) this.#take(element, bar);
    });
    return this.#notes;
  }

  #take(element: XmlElement, bar: number): void {
    const duration = numberIn(element, 'duration', 0) / this.#divisions;
    if (element.name === 'attributes') this.#attributes(element);
    else if (element.name === 'backup') this.#at -= duration;
    else if (element.name === 'forward') this.#at += duration;
    else if (element.name === 'note' && child(element, 'grace') === undefined) {
      const isChord = child(element, 'chord') !== undefined;
      if (!isChord) this.#struck = this.#at;
      this.#note(element, bar, duration);
      if (!isChord) this.#at += duration;
    }
  }

  #attributes(element: XmlElement): void {
    this.#divisions = Math.max(1, numberIn(element, 'divisions', this.#divisions));
    this.#lower = soundsLower(element) ?? this.#lower;
  }

  #note(note: XmlElement, bar: number, quarters: number): void {
    const written = writtenMidi(note);
    if (written === undefined || quarters <= 0 || child(note, 'cue') !== undefined) return;
    const midi = Math.max(0, Math.min(HIGHEST_MIDI, written + this.#lower));
    this.#notes.push({
      bar,
      at: Math.max(0, this.#struck),
      quarters,
      midi,
      voice: `${this.#part} ${textIn(note, 'staff')} ${textIn(note, 'voice')}`,
    });
  }
}
