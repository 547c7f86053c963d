/** What a format cannot hold, or what had to be guessed when it was read. */
export type LossCode =
  | 'form-written-out'
  | 'repeat-split'
  | 'section-remark'
  | 'section-name'
  | 'push'
  | 'ring'
  | 'stop'
  | 'optional'
  | 'lyrics'
  | 'remark'
  | 'cue'
  | 'mode'
  | 'tempo'
  | 'feel'
  | 'head'
  | 'numbering'
  | 'split-rounded'
  | 'no-chord'
  | 'respelled'
  | 'chart-problem'
  | 'notes'
  | 'voices'
  | 'chord-unknown'
  | 'chords-guessed'
  | 'chords-suggested'
  | 'chords-unsure'
  | 'key-heard'
  | 'tunes'
  | 'key-guessed'
  | 'no-chords'
  | 'too-long'
  | 'repeats-once'
  | 'grace'
  | 'cue-notes'
  | 'drums'
  | 'quantized'
  | 'spelled';

/** One kind of loss, with the bars it concerns, counted from 1; none where it concerns the whole song. */
export interface Loss {
  readonly code: LossCode;
  readonly bars: readonly number[];
  /** What exactly, in the song's own words; empty where there is nothing to add. */
  readonly what: string;
}

/** Gathers losses while a song is turned over, each kind once. */
export class LossList {
  readonly #found = new Map<string, { code: LossCode; bars: Set<number>; what: string }>();

  /** `bar` counts from 1; null for the whole song. */
  add(code: LossCode, bar: number | null = null, what = ''): void {
    const name = `${code} ${what}`;
    const known = this.#found.get(name) ?? { code, bars: new Set<number>(), what };
    if (bar !== null) known.bars.add(bar);
    this.#found.set(name, known);
  }

  get all(): readonly Loss[] {
    return [...this.#found.values()].map(({ code, bars, what }) => ({ code, bars: [...bars].sort((a, b) => a - b), what }));
  }
}

/** A loss in a sentence for a musician. */
export function lossWords({ code, bars, what }: Loss): string {
  const where = bars.length === 0 ? '' : ` (${placeWords(bars)})`;
  return `${sentence(code, what)}${where}`;
}

const MOST_NAMED = 6;

function placeWords(bars: readonly number[]): string {
  const named = bars.slice(0, MOST_NAMED).join(', ');
  const more = bars.length > MOST_NAMED ? ` and ${bars.length - MOST_NAMED} more` : '';
  return bars.length === 1 ? `bar ${named}` : `bars ${named}${more}`;
}

function sentence(code: LossCode, what: string): string {
  switch (code) {
    case 'form-written-out':
      return `The play order is written out bar by bar: ${what} cannot be held`;
    case 'repeat-split':
      return `What is played ${what} times is written as several repeats, one after the other`;
    case 'section-remark':
      return 'What is said beside a section’s name is written as a remark';
    case 'section-name':
      return 'Section names are not kept';
    case 'push':
      return 'Pushes are not marked';
    case 'ring':
      return 'Let-ring diamonds are not marked';
    case 'stop':
      return 'Stops are not marked';
    case 'optional':
      return 'Optional chords stand as ordinary ones';
    case 'lyrics':
      return 'Lyrics and cue lines are left out';
    case 'remark':
      return 'Remarks are left out';
    case 'cue':
      return 'Cues for one player are written as remarks for everyone';
    case 'mode':
      return `The key is written as ${what}`;
    case 'tempo':
      return 'Tempos are left out';
    case 'feel':
      return `The feel, ${what}, is left out`;
    case 'head':
      return `The line “${what}” is left out`;
    case 'numbering':
      return 'Numbers are written as letters; the numbering is left out';
    case 'split-rounded':
      return 'Chords that share a bar were set to the nearest half beat';
    case 'no-chord':
      return 'Bars without a chord stand as rests';
    case 'respelled':
      return `Chords are written with simpler letters: ${what}`;
    case 'chart-problem':
      return `The chart itself is not right: ${what}`;
    case 'notes':
      return what === ''
        ? 'Notes are not kept: a chart holds chords, words and form'
        : `The melody is not kept, only its range, ${what}: a chart holds chords, words and form`;
    case 'voices':
      return 'Only the first part that has chords is read';
    case 'chord-unknown':
      return `The chord ${what} is not known and was left out`;
    case 'chords-guessed':
      return 'Chords were found from the notes: check them by ear';
    case 'chords-suggested':
      return 'It is one melody alone: the chords under it are suggestions, and yours may be better';
    case 'chords-unsure':
      return 'Less clear from the notes than the others: listen to these first';
    case 'key-heard':
      return `The key, ${what}, was found from the notes`;
    case 'tunes':
      return `There are ${what} tunes in it: the first one is read`;
    case 'key-guessed':
      return `No key is named; ${what} was found from the chords`;
    case 'no-chords':
      return 'There are no chords in it: the bars are empty';
    case 'too-long':
      return `The song is longer: its first ${what} bars are written`;
    case 'repeats-once':
      return 'Repeats are read once, as they are written';
    case 'grace':
      return 'Grace notes are no part of the harmony and are passed over';
    case 'cue-notes':
      return 'Cue notes are passed over: another part plays them';
    case 'drums':
      return what === '' ? 'Drums have no part in the harmony' : `Drums have no part in the harmony: ${what} is passed over`;
    case 'quantized':
      return `Times were set to the nearest ${what}`;
    case 'spelled':
      return `The file says no note names: they were spelled in ${what}`;
  }
}
