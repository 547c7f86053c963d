import type { Tuning } from '../fretboard/fretboard.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { MOVABLE_GRIPS, OPEN_GRIPS } from './grip-table.ts';
import { GRIP_BOOKS } from './tuned-grip-table.ts';
import type { Barre, Finger, Frets } from './voicing.ts';

/** A grip that is taught: how players hold it, where a method says so, and how early it is shown. */
export interface Grip {
  readonly fingers: readonly (Finger | null)[] | null;
  /** Higher the later it is shown: among the open grips, or among the movable ones of its kind. */
  readonly order: number;
  readonly open: boolean;
}

const STRINGS = STANDARD_GUITAR.tuning.length;
const OPENS = new Map<string, Grip>();
const MOVABLES = new Map<string, Grip>();

OPEN_GRIPS.forEach((row, order) => {
  const { frets, fingers } = readRow(row);
  if (!OPENS.has(frets.join())) OPENS.set(frets.join(), { fingers, order, open: true });
});
for (const group of MOVABLE_GRIPS) {
  group.forEach((row, order) => {
    const { frets, fingers } = readRow(row);
    const name = shapeName(frets);
    if (!MOVABLES.has(name)) MOVABLES.set(name, { fingers, order, open: false });
  });
}

function readRow(row: string): { readonly frets: Frets; readonly fingers: readonly (Finger | null)[] } {
  const [frets = '', fingers = ''] = row.split(' ');
  const readFinger = (sign: string) => (sign === 'T' ? 'T' : (Number(sign) as Finger));
  return {
    frets: readFrets(frets),
    fingers: [...fingers].map((sign) => (sign === 'x' ? null : readFinger(sign))),
  };
}

function readFrets(row: string): Frets {
  return [...row].map((sign) => (sign === 'x' ? null : Number(sign)));
}

/** A shape wherever it lies: its frets counted from the lowest one. */
function shapeName(frets: Frets): string {
  const lowest = Math.min(...frets.filter((fret) => fret !== null));
  return frets.map((fret) => (fret === null ? null : fret - lowest)).join();
}

/**
 * The taught grip that a shape is: of a method for its tuning, or of a guitar's on any instrument whose strings stand to each
 * other as a guitar's do, as far as the shape uses them; undefined for a shape that only arithmetic finds.
 */
export function gripOf(frets: Frets, tuning: Tuning, capo: number): Grip | undefined {
  const book = bookFor(tuning);
  if (book === undefined) return guitarGrip(frets, tuning, capo);
  const own = gripInBook(book, frets, capo);
  if (own !== undefined) return own;
  const guitars = guitarGrip(frets, tuning, capo);
  // where a tuning has a method of its own, a guitar's grips come after it
  return guitars === undefined ? undefined : { ...guitars, order: guitars.order + (guitars.open ? BEHIND_OPEN : BEHIND_MOVABLE) };
}

interface Book {
  readonly steps: string;
  readonly opens: ReadonlyMap<string, number>;
  readonly movables: ReadonlyMap<string, number>;
}

const BOOKS: readonly Book[] = GRIP_BOOKS.map(({ tuning, grips, movable }) => ({
  steps: stepsOf(tuning),
  opens: orders(grips, (frets) => frets.join()),
  movables: orders(movable, shapeName),
}));

function orders(rows: readonly string[], nameOf: (frets: Frets) => string): ReadonlyMap<string, number> {
  const names = rows.flatMap((row) => row.split(' ')).map((row) => nameOf(readFrets(row)));
  return new Map(names.map((name, order) => [name, order] as const).reverse());
}

/** How the strings of a tuning stand to each other. */
function stepsOf(tuning: Tuning): string {
  return tuning.map((midi) => midi - (tuning[0] as number)).join();
}

const BEHIND_OPEN = 300;
const BEHIND_MOVABLE = 6;

function bookFor(tuning: Tuning): Book | undefined {
  const steps = stepsOf(tuning);
  return BOOKS.find((one) => one.steps === steps);
}

function gripInBook(book: Book, frets: Frets, capo: number): Grip | undefined {
  const open = book.opens.get(frets.map((fret) => (fret === null ? null : fret - capo)).join());
  if (open !== undefined) return { fingers: null, order: open, open: true };
  const moved = frets.includes(capo) ? undefined : book.movables.get(shapeName(frets));
  return moved === undefined ? undefined : { fingers: null, order: moved, open: false };
}

function guitarGrip(frets: Frets, tuning: Tuning, capo: number): Grip | undefined {
  if (tuning.length < STRINGS) return undefined;
  const thicker = tuning.length - STRINGS;
  if (frets.slice(0, thicker).some((fret) => fret !== null)) return undefined;
  const six = frets.slice(thicker);
  const known = OPENS.get(six.map((fret) => (fret === null ? null : fret - capo)).join()) ?? closedGrip(six, capo);
  if (known === undefined || !isTunedLikeGuitar(six, tuning.slice(thicker))) return undefined;
  return thicker === 0 ? known : { ...known, fingers: [...Array.from({ length: thicker }, () => null), ...(known.fingers ?? [])] };
}

function closedGrip(frets: Frets, capo: number): Grip | undefined {
  return frets.includes(capo) ? undefined : MOVABLES.get(shapeName(frets));
}

function isTunedLikeGuitar(frets: Frets, tuning: Tuning): boolean {
  let shift: number | undefined;
  return frets.every((fret, string) => {
    if (fret === null) return true;
    const here = (tuning[string] as number) - (STANDARD_GUITAR.tuning[string] as number);
    shift ??= here;
    return here === shift;
  });
}

/** Fingers that lie over several strings of one fret. */
export function barresIn(fingers: readonly (Finger | null)[], frets: Frets): readonly Barre[] {
  const barres: Barre[] = [];
  for (const finger of [1, 2, 3, 4] as const) {
    const from = fingers.indexOf(finger);
    const to = fingers.lastIndexOf(finger);
    if (from >= 0 && to > from) barres.push({ finger, fret: frets[from] as number, from, to });
  }
  return barres;
}
