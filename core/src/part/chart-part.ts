import type { BarChord, BarForm, BarRemark, WrittenBar } from '../chart/bars.ts';
import { headValue } from '../chart/head.ts';
import { type ChartReading, type Letters, lettersFrom } from '../chart/reading.ts';
import { formulaOf } from '../chord/formula.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { Key } from '../key/key.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameKey } from '../naming/naming.ts';
import { letterParts, numberParts } from '../naming/symbol-parts.ts';
import type { ChartPagesContent, PageBar, PageChord, PageRow, PageSection } from '../notation/chart-pages.ts';
import type { Note } from '../pitch/note.ts';

/** What of the chart a player reads: all of it, the bass line, or the form with its hits and stops. */
export type PartKind = 'chart' | 'bass' | 'form';
export const PART_KINDS: readonly PartKind[] = ['chart', 'bass', 'form'];

/** What a part shows of each chord. */
export type ChordShow = 'numbers' | 'letters' | 'both' | 'roman';

/** How a part is written for its reader. */
export interface PartLook {
  readonly naming: Naming;
  /** The home tonic that sounds. */
  readonly sounding: Note;
  /** The home tonic the reader reads: another one for horns and capo players. */
  readonly written: Note;
  /** Fret of the reader's capo, 0 for none. */
  readonly capo: number;
  readonly show: ChordShow;
  readonly kind: PartKind;
  /** Lyrics and cue lines under the bars. */
  readonly words: boolean;
  /** Remarks for everyone, and cues for whoever goes by one of these names; null for every cue. */
  readonly cuesFor: readonly string[] | null;
  /** What is said about the song tonight, for its head; empty for nothing. */
  readonly tonight: string;
  /** Whose part it is, for the foot of the page. */
  readonly foot: string;
}

const BARS_A_ROW = 4;

/** A chart as one reader reads it, ready for paper: rows of four bars that begin anew with every line of the text. */
export function chartPart(reading: ChartReading, look: PartLook): ChartPagesContent {
  const part: Part = {
    reading,
    look: {
      ...look,
      naming: look.show === 'roman' && look.naming.degrees === 'numbers' ? { ...look.naming, degrees: 'roman' } : look.naming,
    },
    sounding: lettersFrom(reading, look.sounding),
    written: lettersFrom(reading, look.written),
  };
  const indexed = reading.bars.map((bar, index) => ({ bar, index }));
  const lead = indexed.filter(({ bar }) => bar.section === null);
  const sections = reading.sections.map(
    ({ name, times, remark, count }, section): PageSection => ({
      name,
      beside: [times > 1 ? `×${times}` : '', look.kind === 'form' ? barCount(count) : '', remark ?? '']
        .filter((words) => words !== '')
        .join('  '),
      rows: rowsOf(
        indexed.filter(({ bar }) => bar.section === section),
        part,
      ),
    }),
  );
  return {
    title: reading.head.title || 'Song without a title',
    facts: factsOf(part),
    sections: lead.length === 0 ? sections : [{ name: '', beside: '', rows: rowsOf(lead, part) }, ...sections],
    foot: look.foot,
  };
}

function barCount(count: number): string {
  return count === 1 ? '1 bar' : `${count} bars`;
}

interface Part {
  readonly reading: ChartReading;
  readonly look: PartLook;
  readonly sounding: Letters;
  readonly written: Letters;
}

function factsOf({ reading: { head, chart }, look, sounding, written }: Part): string {
  return [
    `${nameKey(sounding.keys[0] as Key, look.naming)}${readsIn(look, written)}`,
    `${head.meter.beats}/${head.meter.unit}`,
    head.tempo === null ? '' : `tempo ${head.tempo}`,
    head.feel,
    head.numbering === 'relative' ? 'numbered from the relative major' : '',
    head.by,
    look.tonight,
    head.form === null ? '' : `Form: ${headValue(chart.head, 'form')}`,
  ]
    .filter((fact) => fact !== '')
    .join('  ·  ');
}

/** `, capo 3: G shapes`, `, written in F`: what the reader reads where it is not what sounds. */
function readsIn({ sounding, written: tonic, capo, naming }: PartLook, written: Letters): string {
  const key = nameKey(written.keys[0] as Key, naming);
  if (capo > 0) return `, capo ${capo}: ${key} shapes`;
  return sounding === tonic ? '' : `, written in ${key}`;
}

interface IndexedBar {
  readonly bar: WrittenBar;
  readonly index: number;
}

function rowsOf(bars: readonly IndexedBar[], part: Part): readonly PageRow[] {
  const rows: { bars: PageBar[]; line: number; words: readonly string[]; pickup: boolean }[] = [];
  for (const { bar, index } of bars) {
    const row = rows.at(-1);
    const full = row === undefined || row.line !== bar.line || row.bars.length - (row.pickup ? 1 : 0) >= BARS_A_ROW;
    if (full) rows.push({ bars: [pageBar(bar, index, part)], line: bar.line, words: [], pickup: bar.pickup !== null });
    else row.bars.push(pageBar(bar, index, part));
  }
  rows.forEach((row, index) => {
    if (part.look.words && rows[index + 1]?.line !== row.line) row.words = wordsUnder(row.line, part.reading);
  });
  return rows;
}

/** The lyric lines that follow a line of music directly. */
export function wordsUnder(line: number, { chart }: Pick<ChartReading, 'chart'>): readonly string[] {
  const words: string[] = [];
  for (let index = line + 1; chart.body[index]?.kind === 'words'; index += 1) {
    const under = chart.body[index];
    if (under?.kind === 'words') words.push(under.text);
  }
  return words;
}

function pageBar(bar: WrittenBar, index: number, part: Part): PageBar {
  const unequal = bar.chords.some(({ beats }) => beats !== bar.chords[0]?.beats);
  const { form } = bar;
  const isForm = part.look.kind === 'form';
  return {
    chords: isForm ? formChords(bar) : bar.chords.map((chord) => pageChord(chord, bar, part, unequal)),
    sign: isForm ? 'chords' : bar.sign,
    heading: barHeading(bar, part.reading.bars[index - 1], part.written.keys, part.look.naming),
    opensRepeat: form.opensRepeat,
    closesRepeat: form.closesRepeat,
    ending: form.ending === null ? null : { ...form.ending, label: endingLabel(form.ending.passes) },
    signs: form.signs,
    after: afterWords(form).join('  '),
    remarks: bar.remarks
      .filter((remark) => isFor(remark, part.look.cuesFor))
      .map(({ to, text }) => (to === null ? text : `${to}: ${text}`)),
  };
}

/** Whether a remark is for everyone, or a cue for one of these names: `@bass` reaches who plays the bass guitar. */
export function isFor({ to }: BarRemark, names: readonly string[] | null): boolean {
  if (to === null) return true;
  const wanted = to.toLowerCase().replace(/s$/, '');
  return (
    names === null ||
    names.some((name) =>
      name
        .toLowerCase()
        .split(/\s+/)
        .some((word) => word.replace(/s$/, '') === wanted),
    )
  );
}

/** `1.`, `1. 2.`: the passes of an ending as they stand under its bracket. */
export function endingLabel(passes: readonly number[]): string {
  return passes.map((pass) => `${pass}.`).join(' ');
}

/** What stands at the end of a bar: `Fine`, `To Coda`, `D.S. al Coda`. */
export function afterWords({ after }: Pick<BarForm, 'after'>): readonly string[] {
  return after.map((mark) => {
    if (mark === 'fine') return 'Fine';
    if (mark === 'to-coda') return 'To Coda';
    const until = { coda: ' al Coda', fine: ' al Fine', either: '' }[mark.until];
    return `${mark.to === 'start' ? 'D.C.' : 'D.S.'}${until}${mark.keepRepeats ? ' with repeats' : ''}`;
  });
}

/** What is new with a bar: key, meter, tempo, a pickup. Keys are those the reader reads. */
export function barHeading(bar: WrittenBar, before: WrittenBar | undefined, keys: readonly Key[], naming: Naming): string {
  const key = keys[bar.stretch];
  const meter = `${bar.meter.beats}/${bar.meter.unit}`;
  return [
    key !== undefined && bar.stretch !== (before?.stretch ?? 0) ? `key ${nameKey(key, naming)}` : '',
    before !== undefined && meter !== `${before.meter.beats}/${before.meter.unit}` ? meter : '',
    before !== undefined && bar.tempo !== null && bar.tempo !== before.tempo ? `tempo ${bar.tempo}` : '',
    bar.pickup === null ? '' : 'pickup',
  ]
    .filter((word) => word !== '')
    .join(' · ');
}

function pageChord(slot: BarChord, bar: WrittenBar, { look, written, sounding }: Part, unequal: boolean): PageChord {
  const { chord, push, ring, stop, optional, beats } = slot;
  const marks = { push, ring, stop, optional, share: beats ?? 1, beats: unequal ? beats : null };
  if (chord === null) return { symbol: null, under: '', ...marks };
  if (look.kind === 'bass') return { ...bassChord(chord, bar, { look, written }), ...marks };
  const read = written.chordIn(chord, bar.stretch);
  const heard = sounding.chordIn(chord, bar.stretch);
  const sounds = look.sounding === look.written ? '' : ` = ${nameChord(heard, look.naming)}`;
  switch (look.show) {
    case 'letters':
      return { symbol: letterParts(read, look.naming), under: sounds.trim(), ...marks };
    case 'both':
      return { symbol: numberParts(chord, look.naming), under: `${nameChord(read, look.naming)}${sounds}`, ...marks };
    case 'numbers':
    case 'roman':
      return { symbol: numberParts(chord, look.naming), under: '', ...marks };
  }
}

const MAJOR = formulaOf('1', '3', '5');

/** What the bass plays of a chord, as a plain number: its root, or the note under the slash. */
export function bassOf({ degree, bass }: NumberChord): NumberChord {
  return { degree: bass ?? degree, formula: MAJOR, bass: null };
}

/** The bass of a chord as a number, a letter or both. */
function bassChord(
  chord: NumberChord,
  bar: WrittenBar,
  { look, written }: Pick<Part, 'look' | 'written'>,
): Pick<PageChord, 'symbol' | 'under'> {
  const number = bassOf(chord);
  const letter = letterParts(written.chordIn(number, bar.stretch), look.naming);
  if (look.show === 'letters') return { symbol: letter, under: '' };
  return { symbol: numberParts(number, PLAIN_NUMBERS), under: look.show === 'both' ? letter.main : '' };
}

/** The bass reads numbers, whatever numerals the chords are called by. */
const PLAIN_NUMBERS: Naming = DEFAULT_NAMING;

/** A chord as a drummer reads it: something that falls with a mark, or time that is kept. */
export function beatSign({ push, ring, stop }: Pick<BarChord, 'push' | 'ring' | 'stop'>): string {
  return push || ring || stop ? '×' : '–';
}

/** The chords of a bar a drummer has to know of: all where something falls, else one for the bar. */
export function drummedChords({ chords }: Pick<WrittenBar, 'chords'>): readonly BarChord[] {
  const told = chords.some(({ chord, push, ring, stop }) => chord === null || push || ring || stop);
  return told ? chords : chords.slice(0, 1).map((chord) => ({ ...chord, beats: null }));
}

/** What a drummer needs of a bar: hits, stops, pushes and silence where they fall; a line for time that is kept. */
function formChords(bar: WrittenBar): readonly PageChord[] {
  const shown = drummedChords(bar);
  const unequal = shown.some(({ beats }) => beats !== shown[0]?.beats);
  return shown.map((slot): PageChord => {
    const { chord, push, ring, stop, beats } = slot;
    const symbol = chord === null ? null : { prefix: '', main: beatSign(slot), sign: '', raised: '', bass: null };
    return { symbol, under: '', beats: unequal ? beats : null, share: beats ?? 1, push, ring, stop, optional: false };
  });
}
