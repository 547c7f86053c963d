import type { CapoPair } from '../capo/capo-pairs.ts';
import type { CapoOption } from '../capo/capo-plan.ts';
import { type Naming, nameChord, nameKey } from '../naming/naming.ts';

/** Why a capo sits well or badly at a fret: what is open, what is hardest, and what else tells. */
export function capoWords({ fret, shapes, hardest, shapeKey, soundingKey }: CapoOption, naming: Naming): string {
  const place = fret === 0 ? 'No capo' : `Capo ${fret}: ${nameKey(shapeKey, naming)} shapes sound ${nameKey(soundingKey, naming)}`;
  if (hardest === null) return `${place}.`;
  const open = shapes.filter(({ hold }) => hold.open).length;
  const held = open === shapes.length ? 'every chord is open' : `${open} of ${shapes.length} chords are open`;
  const worst = nameChord(hardest.shape, naming);
  const told =
    hardest.hold.frets === null ? `; ${worst} cannot be held` : hardest.hold.open ? '' : `; hardest is ${worst}, barre or closed`;
  return `${place}; ${held}${told}.${fret > HIGH_FRET ? ' High up the strings are short and the neck is narrow.' : ''}`;
}

const HIGH_FRET = 7;

/** Why two guitars sit well together, or do not. */
export function pairWords({ first, second, apart }: CapoPair, naming: Naming): string {
  const shapes = `${nameKey(first.shapeKey, naming)} shapes and ${nameKey(second.shapeKey, naming)} shapes`;
  const far = Math.abs(apart);
  if (far === 0) return `Both play ${nameKey(first.shapeKey, naming)} shapes in one place: they double each other.`;
  const higher = apart > 0 ? 'the second lies' : 'the first lies';
  return `${shapes}; ${higher} ${far === 1 ? 'a half step' : `${far} half steps`} higher, so nothing is doubled.`;
}
