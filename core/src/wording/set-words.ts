import { type Naming, nameKey } from '../naming/naming.ts';
import type { SetWarning } from '../setlist/set-list.ts';

/** A warning about a set, in a sentence; `titleOf` names the song at a place, `nameOf` a player. */
export function setWarningWords(
  warning: SetWarning,
  titleOf: (at: number) => string,
  nameOf: (player: string) => string,
  naming: Naming,
): string {
  const titles = warning.at.map(titleOf);
  switch (warning.kind) {
    case 'same-key':
      return `Three songs in a row in ${nameKey(warning.key, naming)}: ${titles.join(', ')}.`;
    case 'capo-no-gap':
      return `${nameOf(warning.player)} moves the capo from ${capoName(warning.from)} to ${capoName(warning.to)} between ${titles.join(' and ')}, which go straight on.`;
    case 'singer-edge':
      return `${nameOf(warning.singer)} is at the edge of the range twice in a row: ${titles.join(', then ')}.`;
  }
}

function capoName(fret: number): string {
  return fret === 0 ? 'off' : `fret ${fret}`;
}
