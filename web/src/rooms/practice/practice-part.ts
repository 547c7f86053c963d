import { PRACTICE_WORDS } from '../../wording/practice.ts';

/** The parts of the practice room, by the name they have in an address. */
export const PRACTICE_PARTS = [
  ['plan', PRACTICE_WORDS.plan],
  ['studies', PRACTICE_WORDS.studies],
  ['programme', PRACTICE_WORDS.programme],
  ['worksheet', PRACTICE_WORDS.worksheet],
  ['log', PRACTICE_WORDS.log],
] as const;

export type PracticePartName = (typeof PRACTICE_PARTS)[number][0];

/** The part an address names; the first one for anything else. */
export function practicePart(name: string | undefined): PracticePartName {
  return PRACTICE_PARTS.find(([part]) => part === name)?.[0] ?? 'plan';
}
