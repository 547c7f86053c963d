/** What a format cannot hold, or what had to be guessed when it was read: a sentence for each, from what exactly it is. */
const WORDS = {
  'form-written-out': (what: string) => `The play order is written out bar by bar: ${what} cannot be held`,
  'repeat-split': (what: string) => `What is played ${what} times is written as several repeats, one after the other`,
  'section-remark': (_what: string) => 'What is said beside a section’s name is written as a remark',
  'section-name': (_what: string) => 'Section names are not kept',
  push: (_what: string) => 'Pushes are not marked',
  ring: (_what: string) => 'Let-ring diamonds are not marked',
  stop: (_what: string) => 'Stops are not marked',
  optional: (_what: string) => 'Optional chords stand as ordinary ones',
  lyrics: (_what: string) => 'Lyrics and cue lines are left out',
  remark: (_what: string) => 'Remarks are left out',
  cue: (_what: string) => 'Cues for one player are written as remarks for everyone',
  mode: (what: string) => `The key is written as ${what}`,
  tempo: (_what: string) => 'Tempos are left out',
  head: (what: string) => `The line “${what}” is left out`,
  numbering: (_what: string) => 'Numbers are written as letters; the numbering is left out',
  'split-rounded': (_what: string) => 'Chords that share a bar were set to the nearest half beat',
  'no-chord': (_what: string) => 'Bars without a chord stand as rests',
  respelled: (what: string) => `Chords are written with simpler letters: ${what}`,
  'chart-problem': (what: string) => `The chart itself is not right: ${what}`,
  notes: (what: string) =>
    what === ''
      ? 'Notes are not kept: a chart holds chords, words and form'
      : `The melody is not kept, only its range, ${what}: a chart holds chords, words and form`,
  voices: (_what: string) => 'Only the first part that has chords is read',
  'chord-unknown': (what: string) => `The chord ${what} is not known and was left out`,
  'chords-guessed': (_what: string) => 'Chords were found from the notes: check them by ear',
  'chords-suggested': (_what: string) => 'It is one melody alone: the chords under it are suggestions, and yours may be better',
  'chords-unsure': (_what: string) => 'Less clear from the notes than the others: listen to these first',
  'key-heard': (what: string) => `The key, ${what}, was found from the notes`,
  tunes: (what: string) => `There are ${what} tunes in it: the first one is read`,
  'key-guessed': (what: string) => `No key is named; ${what} was found from the chords`,
  'no-chords': (_what: string) => 'There are no chords in it: the bars are empty',
  'too-long': (what: string) => `The song is longer: its first ${what} bars are written`,
  'repeats-once': (_what: string) => 'Repeats are read once, as they are written',
  grace: (_what: string) => 'Grace notes are no part of the harmony and are passed over',
  'cue-notes': (_what: string) => 'Cue notes are passed over: another part plays them',
  drums: (what: string) =>
    what === '' ? 'Drums have no part in the harmony' : `Drums have no part in the harmony: ${what} is passed over`,
  quantized: (what: string) => `Times were set to the nearest ${what}`,
  spelled: (what: string) => `The file says no note names: they were spelled in ${what}`,
} as const satisfies Readonly<Record<string, (what: string) => string>>;

export type LossCode = keyof typeof WORDS;

interface LossFound {
  readonly code: LossCode;
  readonly bars: readonly number[];
  readonly what: string;
}

/** A loss in a sentence for a musician. */
export function lossWords({ code, bars, what }: LossFound): string {
  const where = bars.length === 0 ? '' : ` (${placeWords(bars)})`;
  return `${WORDS[code](what)}${where}`;
}

const MOST_NAMED = 6;

function placeWords(bars: readonly number[]): string {
  const named = bars.slice(0, MOST_NAMED).join(', ');
  const more = bars.length > MOST_NAMED ? ` and ${bars.length - MOST_NAMED} more` : '';
  return bars.length === 1 ? `bar ${named}` : `bars ${named}${more}`;
}
