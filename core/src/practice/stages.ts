/** How much of a song is still shown: all of it, every second bar, the first of each line, nothing. */
export const FADES = ['shown', 'every second bar', 'first of each line', 'none'] as const;
export type Fade = (typeof FADES)[number];

/** How much is shown of what is to be said aloud: all, its first letter, nothing, all of it a beat later. */
export const CUES = ['shown', 'first letter', 'hidden', 'a beat later'] as const;
export type Cue = (typeof CUES)[number];

/** How a chain is played, from reading it to its tones in broken order. */
export const CHAIN_STAGES = ['reading', 'numbers only', 'blank', 'by ear', 'with a rhythm', 'broken order'] as const;
export type ChainStage = (typeof CHAIN_STAGES)[number];

/** Which bars of a line are shown at a stage, by their place in the line. */
export function isShown(fade: Fade, placeInLine: number): boolean {
  if (fade === 'shown') return true;
  if (fade === 'none') return false;
  return fade === 'first of each line' ? placeInLine === 0 : placeInLine % 2 === 0;
}

/** The stage after a pass: on when it was clean, back by one when it broke off, and never past either end. */
export function nextStage<Stage extends string>(stages: readonly Stage[], stage: Stage, outcome: string): Stage {
  const at = stages.indexOf(stage);
  const to = outcome === 'clean' ? at + 1 : outcome === 'stopped' ? at - 1 : at;
  return stages[Math.min(stages.length - 1, Math.max(0, to))] as Stage;
}

/** What of a word is seen at a cue; null for nothing. A sharp or flat belongs to its letter. */
export function cued(cue: Cue, word: string): string | null {
  if (cue === 'hidden' || cue === 'a beat later') return null;
  return cue === 'shown' ? word : `${/^.[♭♯]*/u.exec(word)?.[0] ?? ''}…`;
}
