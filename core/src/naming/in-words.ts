import type { NumberChord } from '../degree/degree.ts';
import { DEFAULT_NAMING, type Naming } from './naming.ts';
import { numberParts } from './symbol-parts.ts';

const PLAIN = '0123456789abdegijklmnoprstuvwx+−()';
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹ᵃᵇᵈᵉᵍⁱʲᵏˡᵐⁿᵒᵖʳˢᵗᵘᵛʷˣ⁺⁻⁽⁾';
const RAISED_OF = new Map([...PLAIN].map((plain, place) => [plain, [...RAISED][place] as string]));
const PLAIN_OF = new Map([...RAISED].map((raised, place) => [raised, [...PLAIN][place] as string]));

/** A number chord within a sentence, its quality raised as on a chart: `5⁷`, `2–⁷`, `♭7ᵐᵃʲ⁷`. */
export function numberInWords(chord: NumberChord, naming: Naming = DEFAULT_NAMING): string {
  const { prefix, main, sign, raised, bass } = numberParts(chord, { ...naming, degrees: 'numbers' });
  return `${prefix}${main}${sign}${raisedText(raised)}${bass === null ? '' : `/${bass}`}`;
}

function raisedText(text: string): string {
  return [...text].map((letter) => RAISED_OF.get(letter) ?? letter).join('');
}

/** A piece of a sentence, plain or raised. */
export interface SetText {
  readonly text: string;
  readonly raised: boolean;
}

// an accidental behind something raised is raised with it: 7–⁷♭⁵
const RAISED_RUN = new RegExp(`([${RAISED}](?:[${RAISED}♭♯△ø]*[${RAISED}])?)`, 'u');

/** A sentence cut where raised letters begin and end, so that they can be set from the letters of the face around them. */
export function setText(text: string): readonly SetText[] {
  return text
    .split(RAISED_RUN)
    .map((part, place) => (place % 2 === 0 ? { text: part, raised: false } : { text: plainText(part), raised: true }))
    .filter((part) => part.text !== '');
}

function plainText(text: string): string {
  return [...text].map((letter) => PLAIN_OF.get(letter) ?? letter).join('');
}
