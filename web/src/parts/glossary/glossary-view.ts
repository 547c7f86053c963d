import type { Term } from '@aurora/core';

/** Terms by any of their names; those whose own name begins so come first. */
export function findTerms(terms: readonly Term[], text: string): readonly Term[] {
  const wanted = text.trim().toLowerCase();
  const names = (entry: Term) => [entry.term, ...entry.also].map((name) => name.toLowerCase());
  const found = terms.filter((entry) => names(entry).some((name) => name.includes(wanted)));
  const first = found.filter(({ term }) => term.toLowerCase().startsWith(wanted));
  return [...first, ...found.filter((entry) => !first.includes(entry))];
}
