import type { ShelfWish } from '../../api/songs.ts';

const NUMBER = /^[b#♭♯]{0,2}[1-7](?![\d/]*th\b)\S*$/;
const LETTERS = /^[A-G][b#♭♯]?(m|min|maj|dim|aug|sus|add|\+|°|ø|\d|\/)*\S*$/;
/** Two numbers are chords; two capitals may be words as well, three are not. */
const LEAST_NUMBERS = 2;
const LEAST_LETTERS = 3;

/** What is sought by what is typed: songs through chords where all of it is chords, else by title, writer or key. */
export function soughtBy(typed: string): Pick<ShelfWish, 'find' | 'pattern'> {
  const tokens = typed.trim().split(/\s+/);
  const areNumbers = tokens.length >= LEAST_NUMBERS && tokens.every((token) => NUMBER.test(token));
  const areLetters = tokens.length >= LEAST_LETTERS && tokens.every((token) => LETTERS.test(token) && token.length <= MOST_LETTERS);
  return areNumbers || areLetters ? { find: '', pattern: typed } : { find: typed, pattern: '' };
}

const MOST_LETTERS = 8;
