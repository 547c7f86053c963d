import { format, parseISO } from 'date-fns';

/** A moment as a band says it: `Fri 27 Nov, 12:00`. */
export function sayDay(iso: string): string {
  return format(new Date(iso), 'EEE d MMM, HH:mm');
}

/** A day as a band says it: `Fri 27 Nov`; `iso` is `2026-11-27`. */
export function sayDate(iso: string): string {
  return format(parseISO(iso), 'EEE d MMM');
}
