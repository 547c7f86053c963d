import type { AnswerForm } from '@aurora/core';

/** What a press of the pad adds. */
export type PadPress =
  | { readonly kind: 'digit'; readonly sign: string }
  | { readonly kind: 'letter'; readonly sign: string }
  | { readonly kind: 'accidental'; readonly sign: 'b' | '#' }
  | { readonly kind: 'quality'; readonly sign: string }
  | { readonly kind: 'key'; readonly sign: string }
  | { readonly kind: 'fret'; readonly sign: string };

/** Answers of one thing, which a press may complete. */
const SINGLE: readonly AnswerForm[] = ['degree', 'tone', 'quality', 'key', 'frets', 'chord', 'note'];

/** The text after a press. A new letter or number begins a new thing where several are asked for, and takes the place of the old one where one is. */
export function pressed(as: AnswerForm, text: string, press: PadPress): string {
  const isSingle = SINGLE.includes(as);
  switch (press.kind) {
    case 'accidental':
      return accidentalAdded(as, text, press.sign);
    case 'quality':
      return qualityAdded(as, text, press.sign);
    case 'digit': {
      // an accidental pressed before waits for its number
      const open = /[b#]+$/.exec(text)?.[0] ?? '';
      const kept = text.slice(0, text.length - open.length).trimEnd();
      return isSingle ? `${open}${press.sign}` : `${kept === '' ? '' : `${kept} `}${open}${press.sign}`;
    }
    default:
      return isSingle || text === '' ? press.sign : `${text.trimEnd()} ${press.sign}`;
  }
}

function accidentalAdded(as: AnswerForm, text: string, sign: 'b' | '#'): string {
  if (as === 'degree' || as === 'tone') return sign === text ? '' : sign;
  if (as === 'degrees') return `${text === '' ? '' : `${text.trimEnd()} `}${sign}`;
  // after a letter; pressed again the other way it is taken back
  const [, before = '', signs = ''] = /^(.*?)([b#]*)$/s.exec(text) ?? [];
  if (!/[A-G]$/.test(before)) return text;
  return signs !== '' && signs[0] !== sign ? before : `${before}${signs.length < 2 ? `${signs}${sign}` : signs}`;
}

function qualityAdded(as: AnswerForm, text: string, sign: string): string {
  if (as === 'quality') return sign === '' ? 'major' : sign;
  if (as === 'qualities') return `${text === '' ? '' : `${text} `}${sign === '' ? '-' : sign}`;
  // the quality of the chord named last; another press takes its place
  return text.replace(/(^|\s)([A-G](?:bb|b|##|#)?)\S*$/, (_, space: string, root: string) => `${space}${root}${sign}`);
}

/** Whether an answer is all there, so that nobody need press anything more. */
export function isWhole(as: AnswerForm, press: PadPress): boolean {
  if (as === 'degree' || as === 'tone') return press.kind === 'digit';
  if (as === 'quality') return press.kind === 'quality';
  if (as === 'chord') return press.kind === 'quality';
  return (as === 'key' && press.kind === 'key') || (as === 'frets' && press.kind === 'fret');
}

/** The text without what was pressed last. */
export function takenBack(text: string): string {
  return text.trimEnd().replace(/\S+$/, '').trimEnd();
}

/** An answer typed as one number is whole with its digit. */
export function isTypedWhole(as: AnswerForm, text: string): boolean {
  return (as === 'degree' || as === 'tone') && /^[b#♭♯]*[1-7]$/.test(text);
}
