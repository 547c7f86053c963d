import { type Naming, nameKey } from '../naming/naming.ts';
import type { SetSheetContent, SetSheetLine } from '../notation/set-sheet.ts';
import type { Evening, EveningEntry } from '../setlist/evening.ts';
import { clockAfter, type SetTime, setTimes } from '../setlist/set-list.ts';

/** A set as it is printed: titles, keys, when each begins, capos and what else was said. */
export function setSheet(evening: Evening, nameOf: NameOf, naming: Naming): SetSheetContent {
  const { name, place, startsAt, gapSeconds, entries } = evening;
  const times = setTimes(
    entries.map(({ entry }) => entry),
    gapSeconds,
  );
  let number = 0;
  const lines = entries.map((one, index): SetSheetLine => {
    if (one.entry.kind === 'song') number += 1;
    return lineOf(one, times[index] as SetTime, startsAt, number, nameOf, naming);
  });
  const length = lengthWords(times);
  return {
    title: name,
    facts: [place, startsAt === '' ? '' : `begins ${startsAt}`, length].filter((words) => words !== '').join('  ·  '),
    lines,
  };
}

/** How long a set lasts, in words; empty for an empty one. */
export function lengthWords(times: readonly SetTime[]): string {
  const last = times.at(-1);
  if (last === undefined) return '';
  const minutes = Math.round((last.at + last.seconds) / SECONDS_A_MINUTE);
  return `${last.known ? '' : 'at least '}${minutes === 1 ? '1 minute' : `${minutes} minutes`}`;
}

const SECONDS_A_MINUTE = 60;

/** What a player is called; undefined for somebody who has left. */
type NameOf = (player: string) => string | undefined;

/** A song's facts tonight: who has a capo where, its tempo, who counts in. */
export function songFacts({ entry, tempo, starts }: EveningEntry, nameOf: NameOf): readonly string[] {
  const capos = entry.kind === 'break' ? [] : Object.entries(entry.capos);
  return [
    ...capos.map(([player, fret]) => (fret === 0 || nameOf(player) === undefined ? '' : `${nameOf(player)} capo ${fret}`)),
    tempo === null ? '' : `${tempo} bpm`,
    countInWords(starts),
  ].filter((words) => words !== '');
}

/** What is said tonight beside the chart: who counts in, and notes. */
export function tonightWords({ starts, notes }: Pick<EveningEntry, 'starts' | 'notes'>): readonly string[] {
  return [countInWords(starts), notes].filter((words) => words !== '');
}

function countInWords(starts: string): string {
  return starts === '' ? '' : `${starts} counts in`;
}

function lineOf(one: EveningEntry, time: SetTime, startsAt: string, number: number, nameOf: NameOf, naming: Naming): SetSheetLine {
  const { entry, name, notes } = one;
  const clock = clockAfter(startsAt, time.at) ?? '';
  const about = clock === '' || time.known ? clock : `after ${clock}`;
  if (entry.kind === 'break') {
    const title = `${name === '' ? 'Break' : name}, ${Math.round(entry.seconds / SECONDS_A_MINUTE)} min`;
    return { kind: 'break', number: '', title, key: '', time: about, details: [], joins: false };
  }
  return {
    kind: 'song',
    number: String(number),
    title: entry.title,
    key: nameKey(entry.key, naming),
    time: about,
    details: [songFacts(one, nameOf).join('  ·  '), notes].filter((words) => words !== ''),
    joins: entry.join.kind === 'bridge',
  };
}
