/** How well what is sought fits an entry, from 0 for not at all to 1. `names` are what it is called, the first one first. */
export function matchScore(sought: string, names: readonly string[]): number {
  const wanted = plain(sought);
  if (wanted === '') return 1;
  return Math.max(0, ...names.map((name, place) => scoreOf(wanted, plain(name)) * (place === 0 ? 1 : LESSER)));
}

/** A name that is not the first one counts a little less. */
const LESSER = 0.8;

function scoreOf(wanted: string, name: string): number {
  if (name === wanted) return 1;
  // of two names that begin alike the shorter one has more of it
  if (name.startsWith(wanted)) return 0.9 - 0.1 * (1 - wanted.length / name.length);
  if (name.includes(` ${wanted}`)) return 0.7;
  if (name.includes(wanted)) return 0.5;
  return wanted.split(' ').every((word) => name.includes(word)) ? 0.4 : 0;
}

function plain(text: string): string {
  return text.toLowerCase().replaceAll('♭', 'b').replaceAll('♯', '#').replace(/\s+/g, ' ').trim();
}
