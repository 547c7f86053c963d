import { shapeOverCapo } from '../capo/shape-name.ts';
import type { Chord } from '../chord/chord.ts';
import { mod } from '../fault.ts';
import { type Key, moveKey, semitonesBetween } from '../key/key.ts';
import { OCTAVE_ON_FIFTHS } from '../pitch/note.ts';
import { type Item, itemId, itemIn, keyOfItem } from './item.ts';
import { keyText, twoFiveOneIn } from './key-questions.ts';
import { isSafe, type Memory } from './memory.ts';

/** ii–V–I from key to key: the 1 becomes the 2 of the next. */
export interface ChainWish {
  readonly start: Key;
  /** Half steps down from one key to the next; 2 for the 1 that becomes the 2. */
  readonly down: number;
  /** Whether every chord takes its plainest name, D♭7 for the C♯7 of F♯. */
  readonly easier: boolean;
}

/** One key of the chain. */
export interface ChainLink {
  readonly key: Key;
  /** ii7 V7 Imaj7, or in minor iiø V7 i7. */
  readonly chords: readonly Chord[];
}

/** The 1 that becomes the 2 of the next key lies a whole step above that key. */
const USUAL_DOWN = 2;
const SEAM_TO = 'seam to ';

/** The keys of the chain until it comes back to its start, every one spelled from its own tonic. */
export function chainLinks({ start, down, easier }: ChainWish): readonly ChainLink[] {
  const count = OCTAVE_ON_FIFTHS / gcd(OCTAVE_ON_FIFTHS, mod(down, OCTAVE_ON_FIFTHS));
  return Array.from({ length: count }, (_, place) => {
    const key = moveKey(start, -down * place);
    return { key, chords: named(twoFiveOneIn(key)[0] as readonly Chord[], easier) };
  });
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** What of a chain is played: one key, the seam between two, or keys joined. */
export interface ChainUnit {
  readonly kind: 'key' | 'seam' | 'joined';
  /** Places in the chain, in order. */
  readonly links: readonly number[];
  readonly item: Item;
  readonly chords: readonly Chord[];
}

/** The steps of a chain in the order they are learned: every key, the seam from it, then more and more of them joined. */
export function chainUnits(links: readonly ChainLink[]): readonly ChainUnit[] {
  const keys = links.map((_, place) => keyUnit(links, place));
  const seams = links.slice(1).map((_, place) => seamUnit(links, place));
  const joins = links.slice(1).map((_, place) => joinedUnit(links, place + 2));
  // a key is joined as soon as it and its seam are safe, so that nobody plays six alone before two together
  return links.flatMap((_, place) => [keys[place], ...(place === 0 ? [] : [seams[place - 1], joins[place - 1]])] as readonly ChainUnit[]);
}

function keyUnit(links: readonly ChainLink[], place: number): ChainUnit {
  const { key, chords } = links[place] as ChainLink;
  return { kind: 'key', links: [place], item: itemIn('chain', 'key', key), chords };
}

function seamUnit(links: readonly ChainLink[], place: number): ChainUnit {
  const [from, to] = [links[place] as ChainLink, links[place + 1] as ChainLink];
  const item = itemIn('chain', `${SEAM_TO}${keyText(to.key)}`, from.key);
  return { kind: 'seam', links: [place, place + 1], item, chords: seamOf(from.chords, to.chords) };
}

function joinedUnit(links: readonly ChainLink[], length: number): ChainUnit {
  const joined = links.slice(0, length);
  const first = links[0] as ChainLink;
  const second = links[1] as ChainLink;
  const down = semitonesBetween(second.key.tonic, first.key.tonic);
  const item = itemIn('chain', `${length} keys${down === USUAL_DOWN ? '' : ` by ${down}`}`, first.key);
  return { kind: 'joined', links: joined.map((_, place) => place), item, chords: joined.flatMap(({ chords }) => chords) };
}

/** The next thing to play of a chain: the first unit that is not safe. Never a join with a key or a seam in it that is not. */
export function nextUnit(links: readonly ChainLink[], memories: ReadonlyMap<string, Memory>): ChainUnit {
  const units = chainUnits(links);
  return units.find(({ item }) => !isSafe(memories.get(itemId(item)))) ?? (units.at(-1) as ChainUnit);
}

function named(chords: readonly Chord[], easier: boolean): readonly Chord[] {
  return easier ? chords.map((chord) => shapeOverCapo(chord, 0)) : chords;
}

/** The chords that an item of a chain names, under their plainest names when wished; null where it names none. */
export function chainChords({ what }: Item, key: Key, easier = false): readonly Chord[] | null {
  if (what.startsWith(SEAM_TO)) {
    const to = keyOfItem(itemNamed(what.slice(SEAM_TO.length)));
    return to === null ? null : named(seamOf(twoFiveOneIn(key)[0], twoFiveOneIn(to)[0]), easier);
  }
  const joined = /^(\d+) keys(?: by (\d+))?$/.exec(what);
  if (what !== 'key' && joined === null) return null;
  const links = chainLinks({ start: key, down: Number(joined?.[2] ?? USUAL_DOWN), easier });
  return links.slice(0, Number(joined?.[1] ?? 1)).flatMap(({ chords }) => chords);
}

function itemNamed(key: string): Item {
  return { study: 'chain', what: '', key };
}

/** The last chord of one key and the first of the next. */
function seamOf(from: readonly Chord[] | undefined, to: readonly Chord[] | undefined): readonly Chord[] {
  return [...(from ?? []).slice(-1), ...(to ?? []).slice(0, 1)];
}
