import type { FormJump } from '../chart/chart.ts';

/** A jump as it is when its words do not say how far it goes. */
export const PLAIN_JUMP = { kind: 'jump', until: 'either', keepRepeats: false } as const;

/** Words that say how to go on, as a mark behind a bar; null for any other words. */
export function formWord(words: string): FormJump | 'fine' | 'to-coda' | null {
  const text = words.trim();
  if (/^fine$/i.test(text)) return 'fine';
  if (/^to coda\b/i.test(text)) return 'to-coda';
  return jumpOf(text);
}

/** `D.C. al Fine`, `D.S. al Coda`, `da capo` as a jump; null for any other words. */
export function jumpOf(words: string): FormJump | null {
  const [, to, rest = ''] = /\b(d\.?\s?[cs]\b\.?|da capo|dal segno)(.*)$/i.exec(words.trim()) ?? [];
  if (to === undefined) return null;
  const until = /al coda/i.test(rest) ? 'coda' : /al fine/i.test(rest) ? 'fine' : 'either';
  return {
    kind: 'jump',
    to: /^d\.?\s?c|^da capo/i.test(to) ? 'start' : 'segno',
    until,
    keepRepeats: /with repeats|senza\s+omissioni/i.test(rest),
  };
}
