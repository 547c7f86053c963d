import type { SetListHead } from '@aurora/wire';
import { differenceInHours, parseISO } from 'date-fns';

/** A set whose time of day nobody has said is taken to begin in the evening. */
const EVENING = '20:00';
/** From a day before until the morning after. */
const BEFORE_HOURS = 24;
const AFTER_HOURS = 12;

/** The set that is played within a day of now, the nearest first; undefined where none is, or nobody has said when. */
export function setSoonOn(sets: readonly SetListHead[], now: Date): SetListHead | undefined {
  const hoursTo = ({ date, startsAt }: SetListHead) =>
    differenceInHours(parseISO(`${date}T${(startsAt || EVENING).padStart(5, '0')}`), now);
  return sets
    .filter((set) => set.date !== '' && hoursTo(set) < BEFORE_HOURS && hoursTo(set) > -AFTER_HOURS)
    .sort((a, b) => Math.abs(hoursTo(a)) - Math.abs(hoursTo(b)))[0];
}
