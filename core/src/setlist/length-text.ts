const LENGTH = /^(\d{1,3})(?::([0-5]\d))?$/;
const LONGEST = 4 * 60 * 60;

/** Reads a length of time, `3:30` or `4` for whole minutes, in seconds; undefined for nothing or more than four hours. */
export function parseLength(text: string): number | undefined {
  const [, minutes, seconds = '0'] = LENGTH.exec(text.trim()) ?? [];
  const total = Number(minutes) * 60 + Number(seconds);
  return total > 0 && total <= LONGEST ? total : undefined;
}

/** Seconds as players say a length: 187 is `3:07`. */
export function printLength(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
