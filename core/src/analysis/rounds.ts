import { mod } from '../fault.ts';
import type { Progression } from '../progression/progression.ts';
import { findLoops, plainClass, roundName } from './home/loops.ts';
import { type ChordFacts, factsOfAll } from './rules/facts.ts';

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

/** Class of a chord and half steps to the next root, a letter each: what a search for patterns compares. */
const CLASS_SIGNS: Readonly<Record<string, string>> = { M: 'x', m: 'y', o: 'z', '+': 'w' };

/**
 * The song's chord changes as one word that is the same in every key: for each chord its class, then
 * the half steps to the next root. A song goes through a pattern where its word holds the pattern's.
 */
export function changesOf({ chords }: Progression): string {
  return wordOf(factsOfAll(chords.map(({ chord }) => chord)));
}

/** The words of a pattern of chords, begun at each of its chords in turn; none for fewer than two changes. */
export function changesSought({ chords }: Progression): readonly string[] {
  const round = withoutRepeats(factsOfAll(chords.map(({ chord }) => chord)));
  if (round.length < 2) return [];
  return [...new Set(round.map((_, by) => wordOf([...round.slice(by), ...round.slice(0, by)])))];
}

function wordOf(facts: readonly ChordFacts[]): string {
  const isNew = (here: ChordFacts, before: ChordFacts | undefined) =>
    before === undefined || before.root !== here.root || plainClass(before) !== plainClass(here);
  const changes = facts.filter((here, index) => isNew(here, facts[index - 1]));
  return changes
    .map((here, index) => {
      const next = changes[index + 1];
      return `${CLASS_SIGNS[plainClass(here)]}${next === undefined ? '' : mod(next.root - here.root, 12).toString(12)}`;
    })
    .join('');
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
