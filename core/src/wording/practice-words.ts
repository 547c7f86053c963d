import type { Key } from '../key/key.ts';
import { DEFAULT_NAMING, type Naming, nameKey, nameNote } from '../naming/naming.ts';
import { withGlyphs } from '../pitch/note-text.ts';
import { type Item, keyOfItem } from '../practice/item.ts';
import type { Mark } from '../practice/mark.ts';
import { daysSince, type Memory } from '../practice/memory.ts';
import type { Outcome } from '../practice/pass.ts';
import type { PlannedItem, PlanReason } from '../practice/plan.ts';
import type { BlockKind } from '../practice/plan-minutes.ts';
import type { KeyOrder } from '../practice/programme.ts';
import type { AnswerForm, QuestionKind } from '../practice/question.ts';
import type { CellMark, WorksheetRow } from '../practice/worksheet.ts';
import { answerWords } from './question-words.ts';

/** Kinds of questions as players would call them. */
export const QUESTION_NAMES: Readonly<Record<QuestionKind, string>> = {
  'degree-to-chord': 'Number to chord',
  'chord-to-degree': 'Chord to number',
  'degree-quality': 'Quality of a degree',
  'quality-row': 'The row of qualities',
  'chord-tones': 'Tones of a chord',
  'scale-numbers': 'Scale numbers of a chord',
  'secondary-dominant': 'Dominant of a degree',
  'two-five-one': 'ii–V–I of a key',
  relative: 'Relative key',
  parallel: 'Parallel key',
  'tone-name': 'Name of a tone',
  'interval-or-degree': 'Interval or degree',
  'keys-with-chord': 'Keys that hold a chord',
  'note-on-fret': 'Note on a fret',
  'find-on-string': 'Find it on a string',
  'tone-on-fret': 'Chord tone on a fret',
  'what-changed': 'What changed?',
  'capo-sounds': 'Capo: shape to sound',
  'capo-shape': 'Capo: sound to shape',
  'capo-position': 'Capo: find three chords',
  'ear-quality': 'Hear the quality',
  'ear-degree': 'Hear the degree',
  'ear-tone': 'Hear which tone moved',
  'ear-bass': 'Hear the bass note',
  'ear-loop': 'Hear a loop as numbers',
  'ear-wrong': 'Hear the wrong one',
};

/** Blocks of a plan by name. */
export const BLOCK_NAMES: Readonly<Record<BlockKind, string>> = {
  'warm-up': 'Warm-up',
  recall: 'Recall',
  programme: 'A key a night',
  shapes: 'Shapes',
  runs: 'Runs',
  chain: 'ii–V–I chain',
  ear: 'By ear',
  song: 'A song of the set',
  break: 'Break',
};

export const ORDER_NAMES: Readonly<Record<KeyOrder, string>> = {
  fourths: 'up by fourths',
  fifths: 'up by fifths',
  'whole-steps': 'down by whole steps',
  easiest: 'easiest first',
  weakest: 'weakest first',
};

/** How something went, as said afterwards. */
const OUTCOME_NAMES: Readonly<Record<Outcome, string>> = {
  clean: 'held',
  shaky: 'wavered',
  stopped: 'broke off',
  right: 'right',
  wrong: 'wrong',
};

/** A whole key in words: `E♭ major`, `C minor`. */
export function wholeKeyWords(key: Key, naming: Naming = DEFAULT_NAMING): string {
  if (key.scale === 'major') return `${nameNote(key.tonic, naming.notes)} major`;
  return key.scale === 'natural minor' ? `${nameNote(key.tonic, naming.notes)} minor` : nameKey(key, naming);
}

/** An item in words, its key first: `E♭ major: the seven triads`. A song is named by whoever knows its title. */
export function itemWords(item: Item, naming: Naming = DEFAULT_NAMING, title = ''): string {
  const key = keyOfItem(item);
  const what = whatWords(item, title);
  return key === null ? what : `${wholeKeyWords(key, naming)}: ${what}`;
}

const STAGE_NAMES: Readonly<Record<string, string>> = {
  steps: 'along one string, saying the steps',
  numbers: 'along one string, saying the numbers',
  names: 'along one string, saying the names',
  'past twelve': 'folded back past the 12th fret',
  'lower string': 'from the lower string',
  'upper triads': 'the seven triads from the upper string',
  triads: 'the seven triads from the lower string',
  'crossing triads': 'the seven triads from string to string',
  'upper sevenths': 'the seven sevenths from the upper string',
  sevenths: 'the seven sevenths from the lower string',
  'crossing sevenths': 'the seven sevenths from string to string',
  'down again': 'down again',
  'slow scale': 'slowly, loose hands',
  'five notes': 'five slow notes on one string',
};

/** What of a study an item is, without its key. */
export function whatWords({ study, what }: Item, title = ''): string {
  if (study === 'song') return title === '' ? 'a song' : title;
  if (study === 'recall' || study === 'ear')
    return (QUESTION_NAMES[what as QuestionKind] ?? what).replace(/^[A-Z](?=[a-z])/, (first) => first.toLowerCase());
  if (study === 'aloud') return `its chords, saying the ${what}`;
  if (study === 'chain') return chainWords(what);
  return STAGE_NAMES[what] ?? what;
}

function chainWords(what: string): string {
  if (what === 'key') return 'ii–V–I';
  const seam = /^seam to (\S+)/.exec(what);
  return seam === null ? `ii–V–I through ${what}` : `the seam to ${answerWords(seam[1] ?? '')}`;
}

/** Why an item is in a plan: `9 days, wavered at 84`. */
export function planReasonWords(why: PlanReason): string {
  switch (why.kind) {
    case 'warm-up':
      return 'slow and loose first';
    case 'new':
      return 'new';
    case 'tonight':
      return `night ${why.night} of your programme`;
    case 'due':
    case 'weak':
      return `${daysWords(why.days)}, ${OUTCOME_NAMES[why.outcome]}${why.tempo === null ? '' : ` at ${why.tempo}`}`;
    case 'again':
      return 'once more, while it is fresh';
    case 'set':
      return 'in the next set';
  }
}

/** Why a whole block is in a plan, from its first items. */
export function blockReasonWords(kind: BlockKind, items: readonly PlannedItem[], naming: Naming = DEFAULT_NAMING): string {
  if (kind === 'break') return 'hands rest after 25 minutes of playing';
  const told = items.slice(0, 2).map(({ item, why }) => {
    const key = keyOfItem(item);
    if (why.kind === 'set') return `${why.title}: ${planReasonWords(why)}`;
    return key === null ? planReasonWords(why) : `${nameKey(key, naming)}: ${planReasonWords(why)}`;
  });
  return [...new Set(told)].join('; ');
}

function daysWords(days: number): string {
  if (days === 0) return 'today';
  return days === 1 ? '1 day' : `${days} days`;
}

/** How an item went the last time, and when that was: `last held at 84, 9 days ago`. `now` in milliseconds. */
export function lastWords({ last, lastAt }: Memory, now: number): string {
  const since = daysSince(lastAt, now);
  const tempo = last.tempo === null ? '' : ` at ${last.tempo}`;
  return `last ${OUTCOME_NAMES[last.outcome]}${tempo}${since === 0 ? ' today' : `, ${daysWords(since)} ago`}`;
}

const FORM_WORDS: Readonly<Record<AnswerForm, string>> = {
  chord: 'a chord, such as Gm7',
  chords: 'chords with spaces between them, such as Fm7 Bb7 Ebmaj7',
  degree: 'a number from 1 to 7, such as 3 or ♭7',
  degrees: 'numbers with spaces between them, such as 2 4 6 1',
  quality: 'a quality, such as m7, or major',
  qualities: 'seven qualities with spaces between them, - for a plain major chord',
  note: 'a note, such as Eb',
  notes: 'notes with spaces between them, such as Eb G Bb D',
  key: 'a key, such as C minor',
  keys: 'keys with spaces between them, such as C G F',
  frets: 'a fret, such as 3',
  tone: 'a tone by its number, such as ♭3',
};

/** How an answer was marked, for a person. `answer` is the right one as it is shown. */
export function markWords(mark: Mark, answer: string): string {
  switch (mark.kind) {
    case 'right':
      return 'Right.';
    case 'misspelled':
      return `It sounds right, but the key spells it ${answer}.`;
    case 'wrong':
      return `It is ${answer}.`;
    case 'as-triad':
      return 'Right as a triad; the seventh was asked for. Once more, with it.';
    case 'unread':
      return `That cannot be read. Say ${FORM_WORDS[mark.as]}.`;
  }
}

const ROW_WORDS: Readonly<Record<WorksheetRow, string>> = {
  notes: 'a note, such as Db',
  numbers: 'a number with its quality, such as 2-7',
  roman: 'a Roman numeral, such as ii7',
  tones: 'notes with spaces between them',
  stack: 'thirds from the root up, such as m3 M3',
  quality: 'a quality, such as m7',
};

/** What is wrong with a cell of a worksheet; empty for one that is right or still empty. */
export function cellWords(mark: CellMark, key: Key, naming: Naming = DEFAULT_NAMING): string {
  const name = nameKey(key, naming);
  switch (mark.kind) {
    case 'empty':
    case 'right':
      return '';
    case 'letter':
      return `It sounds the same, but the key of ${name} has it as ${nameNote(mark.wanted, naming.notes)}: every letter once.`;
    case 'accidental':
      return `The key of ${name} has ${nameNote(mark.wanted, naming.notes)}.`;
    case 'foreign':
      return `There is no ${nameNote(mark.said, naming.notes)} in it: the key of ${name} has ${nameNote(mark.has, naming.notes)}.`;
    case 'wrong':
      return `Here belongs ${withGlyphs(mark.wanted)}.`;
    case 'unread':
      return `That cannot be read: write ${ROW_WORDS[mark.row]}.`;
  }
}
