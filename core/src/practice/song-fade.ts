/** How much of a song is still shown: all of it, every second bar, the first of each line, nothing. */
export const FADES = ['shown', 'every second bar', 'first of each line', 'none'] as const;
export type Fade = (typeof FADES)[number];

/** Which bars of a line are shown at a stage, by their place in the line. */
export function isShown(fade: Fade, placeInLine: number): boolean {
  if (fade === 'shown') return true;
  if (fade === 'none') return false;
  return fade === 'first of each line' ? placeInLine === 0 : placeInLine % 2 === 0;
}

/** The stage after a pass: on when it was clean, back by one when it broke off. */
export function nextFade(fade: Fade, outcome: 'clean' | 'shaky' | 'stopped'): Fade {
  const at = FADES.indexOf(fade);
  const to = outcome === 'clean' ? at + 1 : outcome === 'stopped' ? at - 1 : at;
  return FADES[Math.min(FADES.length - 1, Math.max(0, to))] as Fade;
}
