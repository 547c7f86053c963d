import type { Progression } from '../progression/progression.ts';
import { type ChordFacts, factsOfAll } from './facts.ts';
import { findLoops, roundName } from './loops.ts';

const FEWEST = 3;
const LONGEST = 16;

/**
 * The rounds of chords a song is made of, under names that are the same in every key and from
 * whichever chord a round begins: its loops, and every phrase taken as a round of its own.
 * Two songs with a name in common use the same number pattern.
 */
export function roundsOf({ chords }: Progression): readonly string[] {
  const facts = factsOfAll(chords.map(({ chord }) => chord));
  const loops = findLoops(facts).map(({ from, period }) => facts.slice(from, from + period));
  const phrases: ChordFacts[][] = [[]];
  chords.forEach(({ endsPhrase }, index) => {
    phrases.at(-1)?.push(facts[index] as ChordFacts);
    if (endsPhrase) phrases.push([]);
  });
  const rounds = [...loops, ...phrases.map(withoutRepeats)].filter((round) => round.length >= FEWEST && round.length <= LONGEST);
  return [...new Set(rounds.map(roundName))];
}

/** A chord held over several bars counts once, and a phrase of several equal rounds is one round. */
function withoutRepeats(phrase: readonly ChordFacts[]): readonly ChordFacts[] {
  const changes = phrase.filter((facts, index) => index === 0 || facts !== phrase[index - 1]);
  const period = changes.findIndex(
    (_, by) => by > 0 && changes.length % by === 0 && changes.every((facts, index) => facts === changes[index % by]),
  );
  const round = period < 0 ? changes : changes.slice(0, period);
  return round.length > 1 && round[0] === round.at(-1) ? round.slice(0, -1) : round;
}
