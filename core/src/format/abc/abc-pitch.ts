import type { Note } from '../../pitch/note.ts';
import type { AbcElement, AbcPitch } from './abc-tune.ts';

const STEPS = [0, 2, 4, 5, 7, 9, 11] as const;
/** The same letters as places on the line of fifths. */
const NOTES: readonly Note[] = [0, 2, 4, -1, 1, 3, 5];
const LETTERS = 'cdefgab';
const MIDDLE_C = 60;
const ALTERS: Readonly<Record<string, number>> = { sharp: 1, flat: -1, natural: 0, dblsharp: 2, dblflat: -2 };

/** What raises and lowers the notes of a voice: its key, and what was written before in the bar. */
export class Accidentals {
  readonly #key = new Map<number, number>();
  readonly #bar = new Map<number, number>();

  key({ accidentals = [] }: AbcElement): void {
    this.#key.clear();
    for (const { acc, note } of accidentals) this.#key.set(LETTERS.indexOf(note.toLowerCase()), ALTERS[acc] ?? 0);
  }

  barLine(): void {
    this.#bar.clear();
  }

  /** The note as it sounds, with its name; undefined where it has no pitch. */
  heard({ pitch, accidental }: AbcPitch): { readonly midi: number; readonly note: Note } | undefined {
    if (pitch === undefined) return undefined;
    const step = ((pitch % 7) + 7) % 7;
    const written = accidental === undefined ? undefined : ALTERS[accidental];
    if (written !== undefined) this.#bar.set(pitch, written);
    const alter = this.#bar.get(pitch) ?? this.#key.get(step) ?? 0;
    const midi = Math.max(0, Math.min(127, MIDDLE_C + 12 * Math.floor(pitch / 7) + (STEPS[step] as number) + alter));
    return { midi, note: (NOTES[step] as Note) + 7 * alter };
  }
}
