/** What was written before, and what was taken back. */
export interface TextHistory {
  readonly past: readonly string[];
  readonly future: readonly string[];
}

export const NO_HISTORY: TextHistory = { past: [], future: [] };

/** The history after another text was written in the place of `before`. */
export function written({ past }: TextHistory, before: string): TextHistory {
  return { past: [...past, before], future: [] };
}

/** One step back: the text to show and the history after it; null when there is nothing to take back. */
export function takenBack({ past, future }: TextHistory, now: string): { readonly text: string; readonly history: TextHistory } | null {
  const text = past.at(-1);
  return text === undefined ? null : { text, history: { past: past.slice(0, -1), future: [now, ...future] } };
}

/** One step on again. */
export function doneAgain({ past, future }: TextHistory, now: string): { readonly text: string; readonly history: TextHistory } | null {
  const [text, ...rest] = future;
  return text === undefined ? null : { text, history: { past: [...past, now], future: rest } };
}
