import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';

const HEAD: readonly (readonly [string, string])[] = [
  ['title: ', 'the song’s name'],
  ['by: ', 'who wrote it'],
  ['key: ', 'G, Em, F# harmonic minor, D dorian'],
  ['numbering: ', 'tonic, or relative to the major'],
  ['time: ', '4/4'],
  ['tempo: ', 'beats a minute'],
  ['feel: ', 'swing, straight'],
  ['form: ', 'Intro, Verse x2, Chorus'],
  ['range: ', 'the melody’s lowest and highest note: B3 D5'],
  ['note: ', 'anything the band should know'],
];
const BRACES: readonly (readonly [string, string])[] = [
  ['segno}', 'D.S. goes back to here'],
  ['coda}', 'To Coda goes on here'],
  ['fine}', 'the end, after a jump al Fine'],
  ['to coda}', 'after a jump: on to the coda'],
  ['dc}', 'from the start'],
  ['ds}', 'from the segno'],
  ['dc al coda}', 'from the start, then to the coda'],
  ['ds al coda}', 'from the segno, then to the coda'],
  ['dc al fine}', 'from the start, until Fine'],
  ['ds al fine}', 'from the segno, until Fine'],
  ['key: ', 'a new key: A, or +2 half steps'],
  ['tempo: ', 'a new tempo'],
  ['3/4}', 'a new meter'],
  ['pickup: 1}', 'the next bar is a pickup'],
];
const PLAYERS = ['bass', 'drums', 'guitar', 'keys', 'horns', 'singer'];
const SECTIONS = ['Intro', 'Verse', 'Chorus', 'Bridge', 'Solo', 'Tag', 'Outro'];

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
