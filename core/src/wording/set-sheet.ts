import { type Naming, nameKey } from '../naming/naming.ts';
import type { SetSheetContent, SetSheetLine } from '../notation/set-sheet.ts';
import type { Evening, EveningEntry } from '../setlist/evening.ts';
import { clockAfter, type SetTime, setTimes } from '../setlist/set-list.ts';

/** A set as it is printed: titles, keys, when each begins, capos and what else was said. */
export function setSheet(evening: Evening, nameOf: (player: string) => string, naming: Naming): SetSheetContent {
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

function lineOf(
  { entry, name, tempo, starts, notes }: EveningEntry,
  time: SetTime,
  startsAt: string,
  number: number,
  nameOf: (player: string) => string,
  naming: Naming,
): SetSheetLine {
  const clock = clockAfter(startsAt, time.at) ?? '';
  const about = clock === '' || time.known ? clock : `after ${clock}`;
  if (entry.kind === 'break') {
    const title = `${name === '' ? 'Break' : name}, ${Math.round(entry.seconds / SECONDS_A_MINUTE)} min`;
    return { kind: 'break', number: '', title, key: '', time: about, details: [], joins: false };
  }
  const capos = Object.entries(entry.capos)
    .filter(([, fret]) => fret > 0)
    .map(([player, fret]) => `${nameOf(player)} capo ${fret}`);
  const facts = [...capos, tempo === null ? '' : `tempo ${tempo}`, starts === '' ? '' : `${starts} counts in`].filter(
    (words) => words !== '',
  );
  return {
    kind: 'song',
    number: String(number),
    title: entry.title,
    key: nameKey(entry.key, naming),
    time: about,
    details: [facts.join('  ·  '), notes].filter((words) => words !== ''),
    joins: entry.join.kind === 'bridge',
  };
}
