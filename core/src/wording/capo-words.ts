import type { CapoOption } from '../capo/capo-plan.ts';
import { type Naming, nameChord, nameKey } from '../naming/naming.ts';

/** Why a capo sits well or badly at a fret: what is open, what is hardest, and what else tells. */
export function capoWords({ fret, shapes, hardest, shapeKey, soundingKey }: CapoOption, naming: Naming): string {
  const place = fret === 0 ? 'No capo' : `Capo ${fret}: ${nameKey(shapeKey, naming)} shapes sound ${nameKey(soundingKey, naming)}`;
  if (hardest === null) return `${place}.`;
  const open = shapes.filter(({ hold }) => hold.open).length;
  const held = open === shapes.length ? 'every chord is open' : `${open} of ${shapes.length} chords are open`;
  const worst = nameChord(hardest.shape, naming);
  const told = hardest.hold.frets === null ? `; ${worst} cannot be held` : hardest.hold.open ? '' : `; hardest is ${worst}, held closed`;
  return `${place}; ${held}${told}.${fret > HIGH_FRET ? ' High up the strings are short and the neck is narrow.' : ''}`;
}

const HIGH_FRET = 7;
