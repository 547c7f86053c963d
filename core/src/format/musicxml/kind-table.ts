import { type Formula, formulaOf } from '../../chord/formula.ts';

/** Kinds of chord as MusicXML 4.0 names them (kind-value), with the tones each stands for. Those earlier in the list are preferred. */
export const KIND_TABLE: readonly (readonly [kind: string, formula: Formula])[] = [
  ['major', formulaOf('1', '3', '5')],
  ['minor', formulaOf('1', 'b3', '5')],
  ['augmented', formulaOf('1', '3', '#5')],
  ['diminished', formulaOf('1', 'b3', 'b5')],
  ['dominant', formulaOf('1', '3', '5', 'b7')],
  ['major-seventh', formulaOf('1', '3', '5', '7')],
  ['minor-seventh', formulaOf('1', 'b3', '5', 'b7')],
  ['diminished-seventh', formulaOf('1', 'b3', 'b5', 'bb7')],
  ['augmented-seventh', formulaOf('1', '3', '#5', 'b7')],
  ['half-diminished', formulaOf('1', 'b3', 'b5', 'b7')],
  ['major-minor', formulaOf('1', 'b3', '5', '7')],
  ['major-sixth', formulaOf('1', '3', '5', '6')],
  ['minor-sixth', formulaOf('1', 'b3', '5', '6')],
  ['dominant-ninth', formulaOf('1', '3', '5', 'b7', '9')],
  ['major-ninth', formulaOf('1', '3', '5', '7', '9')],
  ['minor-ninth', formulaOf('1', 'b3', '5', 'b7', '9')],
  ['dominant-11th', formulaOf('1', '3', '5', 'b7', '9', '11')],
  ['major-11th', formulaOf('1', '3', '5', '7', '9', '11')],
  ['minor-11th', formulaOf('1', 'b3', '5', 'b7', '9', '11')],
  ['dominant-13th', formulaOf('1', '3', '5', 'b7', '9', '11', '13')],
  ['major-13th', formulaOf('1', '3', '5', '7', '9', '11', '13')],
  ['minor-13th', formulaOf('1', 'b3', '5', 'b7', '9', '11', '13')],
  ['suspended-second', formulaOf('1', '2', '5')],
  ['suspended-fourth', formulaOf('1', '4', '5')],
  ['power', formulaOf('1', '5')],
];

/** Kinds that are read and never written. */
export const READ_KINDS: readonly (readonly [kind: string, formula: Formula])[] = [
  ['pedal', formulaOf('1')],
  ['Neapolitan', formulaOf('1', '3', '5')],
  ['Italian', formulaOf('1', '3', 'b7')],
  ['French', formulaOf('1', '3', 'b5', 'b7')],
  ['German', formulaOf('1', '3', '5', 'b7')],
];
