import { withGlyphs } from '../pitch/note-text.ts';
import type { Formula } from './formula.ts';
import { ALTERED_FORMULA, type Extension, type Quality, qualityOf } from './quality.ts';

const STACKED: Readonly<Record<Extension, string>> = {
  none: '',
  '6': 'sixth',
  '69': 'six-nine',
  '7': 'seventh',
  '9': 'ninth',
  '11': 'eleventh',
  '13': 'thirteenth',
};

/**
 * The quality in words: `minor seventh`, `half-diminished seventh`, `dominant ninth`,
 * `dominant seventh sus4`, with departures after it: `dominant seventh ♭9 ♯11`.
 */
export function qualityName(formula: Formula): string {
  if (formula === ALTERED_FORMULA) return 'altered dominant';
  const quality = qualityOf(formula);
  const halfDiminished = isHalfDiminished(quality);
  const words = [
    halfDiminished ? 'half-diminished' : familyWords(quality),
    STACKED[quality.extension],
    quality.suspension === 'none' ? '' : suspensionWord(quality),
    ...quality.alterations.filter((name) => !(halfDiminished && name === 'b5')).map(withGlyphs),
    ...quality.additions.map((name) => `add ${withGlyphs(name)}`),
    ...quality.omissions.map((number) => `no ${number}`),
  ];
  return words.filter((word) => word !== '').join(' ');
}

function isHalfDiminished({ family, extension, majorSeventh, alterations }: Quality): boolean {
  return family === 'minor' && !majorSeventh && isStacked(extension) && alterations.includes('b5');
}

function isStacked(extension: Extension): boolean {
  return extension !== 'none' && extension !== '6' && extension !== '69';
}

function familyWords({ family, extension, majorSeventh, suspension }: Quality): string {
  if (!isStacked(extension)) return suspension === 'none' ? family : extension === 'none' ? '' : 'major';
  if (family === 'major') return majorSeventh ? 'major' : 'dominant';
  return majorSeventh ? `${family}${family === 'augmented' ? ' major' : '-major'}` : family;
}

function suspensionWord({ suspension, extension }: Quality): string {
  const word = { sus2: 'second', sus4: 'fourth', sus2sus4: 'second and fourth', none: '' }[suspension];
  return extension === 'none' ? `suspended ${word}` : suspension;
}
