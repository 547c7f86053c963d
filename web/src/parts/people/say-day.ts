import { format } from 'date-fns';

/** A moment as a band says it: `Fri 27 Nov, 12:00`. */
export function sayDay(iso: string): string {
  return format(new Date(iso), 'EEE d MMM, HH:mm');
}
