import type { MemberReads } from '@aurora/wire';

/** How players of an instrument usually read, by its name; octaves are those written above what sounds. */
export const PLAYER_TABLE: readonly (readonly [plays: string, reads: Partial<MemberReads>])[] = [
  ['voice', { show: 'letters', cues: 'own' }],
  ['guitar', { octave: 1 }],
  ['second guitar', { octave: 1 }],
  ['bass', { octave: 1, part: 'bass', words: false, cues: 'own' }],
  ['drums', { part: 'form', cues: 'own' }],
  ['keys', {}],
  ['violin', { show: 'letters', words: false, cues: 'own' }],
  ['flute', { show: 'letters', words: false, cues: 'own' }],
  ['clarinet', { transpose: 2, show: 'letters', words: false, cues: 'own' }],
  ['soprano saxophone', { transpose: 2, show: 'letters', words: false, cues: 'own' }],
  ['alto saxophone', { transpose: 9, show: 'letters', words: false, cues: 'own' }],
  ['tenor saxophone', { transpose: 2, octave: 1, show: 'letters', words: false, cues: 'own' }],
  ['baritone saxophone', { transpose: 9, octave: 1, show: 'letters', words: false, cues: 'own' }],
  ['trumpet', { transpose: 2, show: 'letters', words: false, cues: 'own' }],
  ['horn in F', { transpose: 7, show: 'letters', words: false, cues: 'own' }],
  ['trombone', { show: 'letters', words: false, cues: 'own' }],
];

/** How somebody who plays this usually reads; nothing special for an instrument nobody listed. */
export function usualReads(plays: string): Partial<MemberReads> {
  return PLAYER_TABLE.find(([name]) => name.toLowerCase() === plays.trim().toLowerCase())?.[1] ?? {};
}
