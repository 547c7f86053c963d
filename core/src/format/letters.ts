import { strFromU8 } from 'fflate';

/** What windows-1252 has where ISO-8859-1 has control signs, from 0x80 on. */
const WINDOWS = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/**
 * Bytes as text: UTF-8, UTF-16 with or without its mark, or where they are neither, the letters of Western
 * Europe (ISO-8859-1, with the signs Windows adds). No byte is lost.
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return utf16(bytes.subarray(2), 1);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return utf16(bytes.subarray(2), 0);
  const high = highByte(bytes);
  if (high !== null) return utf16(bytes, high);
  return isUtf8(bytes) ? strFromU8(bytes).replace(/^\ufeff/, '') : western(bytes);
}

/** Text that a program read byte by byte, with its letters put together. */
export function lettersOf(byByte: string): string {
  const codes = Array.from(byByte, (letter) => letter.charCodeAt(0));
  const isBytes = codes.some((code) => code >= 0x80) && codes.every((code) => code <= 0xff);
  return isBytes ? textOf(Uint8Array.from(codes)) : byByte;
}

/** `high` is the place of the byte with the higher part in each pair. */
function utf16(bytes: Uint8Array, high: 0 | 1): string {
  let text = '';
  for (let at = 0; at + 1 < bytes.length; at += 2)
    text += String.fromCharCode(((bytes[at + high] as number) << 8) | (bytes[at + 1 - high] as number));
  return text;
}

/** So much of a text in UTF-16 are the empty halves of plain letters. */
const EMPTY_HALVES = 0.8;
const LOOKED_AT = 2000;

/** Which byte of each pair is empty nearly throughout, as in UTF-16 without its mark; null where none is. */
function highByte(bytes: Uint8Array): 0 | 1 | null {
  const pairs = Math.min(LOOKED_AT, bytes.length >> 1);
  const empty = [0, 0];
  for (let at = 0; at < 2 * pairs; at += 1) if (bytes[at] === 0) empty[at & 1] = (empty[at & 1] as number) + 1;
  if (pairs === 0) return null;
  if ((empty[0] as number) >= EMPTY_HALVES * pairs && empty[1] === 0) return 0;
  return (empty[1] as number) >= EMPTY_HALVES * pairs && empty[0] === 0 ? 1 : null;
}

/** Whether bytes are UTF-8 throughout, as RFC 3629 defines it. */
function isUtf8(bytes: Uint8Array): boolean {
  let at = 0;
  while (at < bytes.length) {
    const more = followers(bytes[at] as number);
    if (more < 0 || at + more >= bytes.length) return false;
    for (let next = 1; next <= more; next += 1) if (((bytes[at + next] as number) & 0xc0) !== 0x80) return false;
    at += more + 1;
  }
  return true;
}

/** How many bytes follow the first one of a letter; less than 0 for one that begins none. */
function followers(first: number): number {
  if (first < 0x80) return 0;
  if (first >= 0xc2 && first <= 0xdf) return 1;
  if (first >= 0xe0 && first <= 0xef) return 2;
  return first >= 0xf0 && first <= 0xf4 ? 3 : -1;
}

function western(bytes: Uint8Array): string {
  let text = '';
  for (const byte of bytes) text += byte >= 0x80 && byte < 0xa0 ? WINDOWS[byte - 0x80] : String.fromCharCode(byte);
  return text;
}
