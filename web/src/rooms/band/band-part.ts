import { BAND_WORDS } from '../../wording/band.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';

/** The parts of the Band room, by the name they have in an address. */
export const BAND_PARTS = [
  ['tonight', BAND_WORDS.tonightTitle],
  ['players', BAND_WORDS.players],
  ['singer', BAND_WORDS.singersKey],
  ['guitars', BAND_WORDS.twoGuitars],
  ['files', BAND_WORDS.files],
  ['people', PEOPLE_WORDS.people],
] as const;

export type BandPartName = (typeof BAND_PARTS)[number][0];

/** The part an address names; the first one for anything else. */
export function bandPart(name: string | undefined): BandPartName {
  return BAND_PARTS.find(([part]) => part === name)?.[0] ?? 'tonight';
}
