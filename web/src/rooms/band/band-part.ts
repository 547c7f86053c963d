import { BAND_WORDS } from '../../wording/band.ts';

/** The parts of the Band room, by the name they have in an address. */
export const BAND_PARTS = [
  ['tonight', BAND_WORDS.tonightTitle],
  ['players', BAND_WORDS.players],
  ['singer', BAND_WORDS.singersKey],
  ['guitars', BAND_WORDS.twoGuitars],
  ['files', BAND_WORDS.files],
] as const;

export type BandPartName = (typeof BAND_PARTS)[number][0];

/** What a guest of an evening has of them: the evening, and the band they are a guest of. */
export const GUEST_PARTS = BAND_PARTS.filter(([name]) => name === 'tonight' || name === 'players');

/** The one of these parts an address names; the first one for anything else. */
export function bandPart(name: string | undefined, parts: typeof BAND_PARTS | typeof GUEST_PARTS = BAND_PARTS): BandPartName {
  return parts.find(([part]) => part === name)?.[0] ?? 'tonight';
}
