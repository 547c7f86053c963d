/** Scores run from 0 to 100. */
const HIGH = 75;
const FAIR = 50;
const LOW = 25;

/** How easily something is played, from 100 for open chords alone down to 0. */
export function easeWord(score: number): string {
  if (score >= HIGH) return 'easy';
  if (score >= FAIR) return 'fine';
  return score >= LOW ? 'a stretch' : 'hard';
}

/** How one song leads into the next, from 100 for not noticing it down to 0. */
export function smoothnessWord(score: number): string {
  if (score >= HIGH) return 'smooth';
  if (score >= FAIR) return 'clear';
  return score >= LOW ? 'bumpy' : 'a jolt';
}
