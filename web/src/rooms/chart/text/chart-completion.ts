import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';
import { CHART_WORDS } from '../../../wording/chart.ts';

const HEAD: readonly (readonly [string, string])[] = [
  ['title: ', CHART_WORDS.theSongsName],
  ['by: ', CHART_WORDS.whoWroteIt],
  ['key: ', CHART_WORDS.gEmFHarmonicMinorD],
  ['numbering: ', CHART_WORDS.tonicOrRelativeToTheMajor],
  ['time: ', '4/4'],
  ['tempo: ', CHART_WORDS.beatsAMinute],
  ['feel: ', 'swing, straight'],
  ['form: ', CHART_WORDS.introVerseX2Chorus],
  ['range: ', CHART_WORDS.theMelodysLowestAndHighestNote],
  ['note: ', CHART_WORDS.anythingTheBandShouldKnow],
];
const BRACES: readonly (readonly [string, string])[] = [
  ['segno}', CHART_WORDS.dSGoesBackToHere],
  ['coda}', CHART_WORDS.toCodaGoesOnHere],
  ['fine}', CHART_WORDS.theEndAfterAJumpAl],
  ['to coda}', CHART_WORDS.afterAJumpOnToThe],
  ['dc}', CHART_WORDS.fromTheStart],
  ['ds}', CHART_WORDS.fromTheSegno],
  ['dc al coda}', CHART_WORDS.fromTheStartThenToThe],
  ['ds al coda}', CHART_WORDS.fromTheSegnoThenToThe],
  ['dc al fine}', CHART_WORDS.fromTheStartUntilFine],
  ['ds al fine}', CHART_WORDS.fromTheSegnoUntilFine],
  ['key: ', CHART_WORDS.newKeyCompletion],
  ['tempo: ', CHART_WORDS.aNewTempo],
  ['3/4}', CHART_WORDS.aNewMeter],
  ['pickup: 1}', CHART_WORDS.theNextBarIsAPickup],
];
const PLAYERS = ['bass', 'drums', 'guitar', 'keys', 'horns', 'singer'];
const SECTIONS = [
  CHART_WORDS.intro,
  CHART_WORDS.verse,
  CHART_WORDS.chorus,
  CHART_WORDS.bridge,
  CHART_WORDS.solo,
  CHART_WORDS.tag,
  CHART_WORDS.outro,
];

/** What may be meant to come next: head lines, form marks, players, section names. */
export function chartCompletions(context: Pick<CompletionContext, 'matchBefore' | 'state' | 'pos' | 'explicit'>): CompletionResult | null {
  const line = context.state.doc.lineAt(context.pos);
  const before = line.text.slice(0, context.pos - line.from);
  const brace = /\{[a-z0-9/ ]*$/i.exec(before);
  if (brace !== null) return from(context.pos - brace[0].length + 1, BRACES.map(described));
  const cue = /@\w*$/.exec(before);
  if (cue !== null)
    return from(
      context.pos - cue[0].length + 1,
      PLAYERS.map((label) => ({ label, apply: `${label} "` })),
    );
  const section = /^\s*\[[^\]]*$/.exec(before);
  if (section !== null)
    return from(
      line.from + before.indexOf('[') + 1,
      SECTIONS.map((label) => ({ label, apply: `${label}]` })),
    );
  const form = /^form:.*?([^,]*)$/i.exec(before);
  if (form !== null)
    return from(
      context.pos - (form[1] as string).trimStart().length,
      namesIn(context.state.doc.toString()).map((label) => ({ label })),
    );
  const word = /^[a-z]*$/i.exec(before);
  const isHead = !context.state.doc.sliceString(0, line.from).includes('[');
  if (word !== null && isHead && (before !== '' || context.explicit)) return from(line.from, HEAD.map(described));
  return null;
}

function from(position: number, options: readonly Completion[]): CompletionResult {
  return { from: position, options, validFor: /^[\w :/-]*$/ };
}

function described([label, info]: readonly [string, string]): Completion {
  return { label: label.replace(/[}:]?\s*$/, ''), detail: info, apply: label };
}

function namesIn(text: string): readonly string[] {
  return [...new Set([...text.matchAll(/^\[([^\]]+)\]/gm)].map((match) => match[1] as string))];
}
