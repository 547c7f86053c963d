import type { TONE_KINDS } from '../../choices.ts';

/** What a note outside its chord is. */
export type ToneKind = (typeof TONE_KINDS)[number];
