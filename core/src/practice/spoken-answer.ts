import type { AnswerForm } from './question.ts';

/** Letters as they are spelled out when they are said. */
const LETTERS: Readonly<Record<string, string>> = { ay: 'A', bee: 'B', cee: 'C', see: 'C', dee: 'D', ee: 'E', eff: 'F', gee: 'G' };

const NUMBERS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:one|first|root|unison)\b/gi, '1'],
  [/\b(?:two|second)\b/gi, '2'],
  [/\b(?:three|third)\b/gi, '3'],
  [/\b(?:four|fourth)\b/gi, '4'],
  [/\b(?:five|fifth)\b/gi, '5'],
  [/\b(?:six|sixth)\b/gi, '6'],
  [/\b(?:seven|seventh)\b/gi, '7'],
  [/\b(?:eight|eighth)\b/gi, '8'],
  [/\b(?:nine|ninth)\b/gi, '9'],
  [/\b(?:ten|tenth)\b/gi, '10'],
  [/\b(?:eleven|eleventh)\b/gi, '11'],
  [/\b(?:twelve|twelfth)\b/gi, '12'],
  [/\b(?:thirteen|thirteenth)\b/gi, '13'],
];

/** Qualities in words, the longest first; what stands between their words does not matter. */
const QUALITIES: readonly (readonly [RegExp, string])[] = [
  [/\bhalf[\s-]*dim(?:inished)?(?:[\s-]*7)?(?![a-z])/gi, 'm7b5'],
  [/\bmin(?:or)?[\s-]*maj(?:or)?[\s-]*7(?!\d)/gi, 'm(maj7)'],
  [/\bmin(?:or)?[\s-]*7[\s-]*b5(?!\d)/gi, 'm7b5'],
  [/\bmaj(?:or)?[\s-]*7[\s-]*#5(?!\d)/gi, 'maj7#5'],
  [/\bdim(?:inished)?[\s-]*7(?!\d)/gi, 'dim7'],
  [/\bdim(?:inished)?\b/gi, 'dim'],
  [/\baug(?:mented)?[\s-]*7(?!\d)/gi, 'aug7'],
  [/\baug(?:mented)?\b/gi, 'aug'],
  [/\bdom(?:inant)?(?:[\s-]*7)?(?![a-z\d])/gi, '7'],
  [/\bmaj(?:or)?[\s-]*7(?!\d)/gi, 'maj7'],
  [/\bmin(?:or)?[\s-]*7(?!\d)/gi, 'm7'],
  [/\bmaj(?:or)?\b/gi, 'maj'],
  [/\bmin(?:or)?\b/gi, 'm'],
];

/** What is said around an answer and is none of it. */
const AROUND = /\b(?:triads?|chords?|it is|it's|an|the|fret|string|of|and|then|degree|number|note|key)\b/gi;

/** Forms whose things are chords or their qualities. */
const CHORDAL: readonly AnswerForm[] = ['chord', 'chords', 'quality', 'qualities'];

/**
 * An answer as a musician says it, in the signs that are read: `dee flat seven` is `Db7`, `half diminished` is `m7b5`,
 * `flat three` is `b3`. What is in signs already stays as it is.
 */
export function signsOf(as: AnswerForm, given: string): string {
  let text = given.replaceAll('♭', 'b').replaceAll('♯', '#').replace(/[–−]/g, '-').replace(/[∆Δ]/g, '△').replaceAll('º', '°');
  text = text.replace(/\b(ay|bee|cee|see|dee|ee|eff|gee)\b/gi, (word) => LETTERS[word.toLowerCase()] as string);
  text = text.replace(
    /(?<![a-z])([a-g])[\s-]*(flat|sharp)\b/gi,
    (_, letter: string, sign: string) => `${letter.toUpperCase()}${signOf(sign)}`,
  );
  if (as === 'key' || as === 'keys') return asKeys(as, text);
  for (const [words, sign] of NUMBERS) text = text.replace(words, sign);
  text = text.replace(
    /\b(flat|flatted|lowered|sharp|raised)[\s-]*(\d+)/gi,
    (_, sign: string, number: string) => `${signOf(sign)}${number}`,
  );
  if (as === 'frets') text = text.replace(/\bopen\b/gi, '0');
  if (CHORDAL.includes(as)) for (const [words, sign] of QUALITIES) text = text.replace(words, sign);
  text = text.replace(AROUND, ' ');
  if (as === 'degree' || as === 'tone' || as === 'degrees') return asDegrees(text);
  return as === 'chord' || as === 'chords' ? joined(text) : text.trim();
}

function signOf(word: string): string {
  return /^(?:flat|flatted|lowered)$/i.test(word) ? 'b' : '#';
}

/** `c min` as `C minor`; what stands between several keys parts them only behind their kind. */
function asKeys(as: AnswerForm, text: string): string {
  const plain = text
    .replace(AROUND, ' ')
    .replace(/\bmin\b/gi, 'minor')
    .replace(/\bmaj\b/gi, 'major')
    .trim();
  return as === 'key'
    ? plain.replace(/\s+/g, ' ')
    : plain.replace(/\s+(major|minor)\b/gi, (_, kind: string) => (kind.toLowerCase() === 'minor' ? 'm' : ''));
}

const ROMAN = ['i', 'ii', 'iii', 'iv', 'v', 'vi', 'vii'];

/** Degrees by number alone: in Roman numerals, and with the quality that belongs to them, they are the same degrees. */
function asDegrees(text: string): string {
  return text
    .trim()
    .replace(
      /(?<![a-z])(b|#)?(vii|vi|v|iv|iii|ii|i)(?:°|ø|o|\+)?7?(?![a-z])/gi,
      (_, sign = '', numeral: string) => `${sign}${ROMAN.indexOf(numeral.toLowerCase()) + 1}`,
    )
    .replace(/((?:b|#)?[1-7])\s*(?:minor|major|min|maj|dim(?:inished)?|m|-|°|ø|o)7?(?=[\s,;]|$)/gi, '$1')
    .trim();
}

/** Chords whose quality stands apart from their root, in one word each: `F m7 Bb 7`. */
function joined(text: string): string {
  return text
    .trim()
    .replace(/([A-Ga-g](?:bb|b|##|#)?)\s+(m7b5|m\(maj7\)|maj7#5|maj7|dim7|aug7|m7|maj|dim|aug|m|7|△7?|ø7?|°7?)(?=[\s,;]|$)/g, '$1$2');
}

/** A lone dash: a plain major quality where nothing else stands for it, and a minor one by another school. */
const DASH_MEANINGS: readonly string[] = ['-', 'm', 'm7'];

/** Every way an answer of qualities may be meant, a dash standing for one thing throughout. */
export function dashReadings(as: AnswerForm, text: string): readonly string[] {
  if ((as !== 'qualities' && as !== 'quality') || !/(?:^|[\s,;])-(?=[\s,;]|$)/.test(text)) return [text];
  return DASH_MEANINGS.map((meaning) => text.replace(/(^|[\s,;])-(?=[\s,;]|$)/g, (_, before: string) => `${before}${meaning}`));
}
