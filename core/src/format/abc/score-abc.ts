import { failure, type Result, success } from '../../fault.ts';
import { beatTicks } from '../../score/place.ts';
import { inOrder, type Measure, type Score, TICKS, type WrittenName } from '../../score/score.ts';
import { joinTies, type TiedNote } from '../../score/ties.ts';
import { beatsOf, type SheetBar, startsOf } from '../lead-sheet.ts';
import { LossList } from '../loss.ts';
import { signatureOfKey } from '../signature.ts';
import { plain, TuneReader } from './abc-bars.ts';
import { readTunes } from './abc-read.ts';
import type { AbcTune } from './abc-tune.ts';

/** Reads every note of the first tune of an ABC text, voice by voice. */
export function scoreOfAbc(text: string, losses: LossList): Result<Score> {
  const read = readTunes(text, losses);
  if (!read.ok) return read;
  const { voices, tune } = read.value;
  const readers = voices.map((voice) => readerOf(voice, voice === tune ? losses : new LossList()));
  const lead = readers[voices.indexOf(tune)] as Voice;
  const longest = readers.reduce((most, voice) => (voice.bars.length > most.bars.length ? voice : most), lead);
  const measures = measuresOf(longest.bars);
  const notes = readers.flatMap((voice, index) => notesOf(voice, `V${index + 1}`, measures));
  if (notes.length === 0) return failure({ code: 'format-empty', format: 'ABC' }, 0, 0);
  if (longest.bars.some(({ form }) => form.closesRepeat !== null)) losses.add('repeats-once');
  const { title = '', composer = '' } = tune.metaText;
  const sounding = new Set(notes.map(({ part }) => part));
  return success({
    title: plain(title),
    by: plain(composer),
    parts: readers.map((_, index) => ({ id: `V${index + 1}`, name: `Voice ${index + 1}` })).filter(({ id }) => sounding.has(id)),
    measures,
    notes: inOrder(notes),
    names: lead.reader.isNamed ? namesOf(lead.bars, measures) : [],
    tempo: longest.bars[0]?.tempo ?? null,
  });
}

interface Voice {
  readonly reader: TuneReader;
  readonly bars: readonly SheetBar[];
}

function readerOf(tune: AbcTune, losses: LossList): Voice {
  const reader = new TuneReader(losses);
  for (const line of tune.lines) reader.line(line);
  return { reader, bars: reader.end(tune.metaText.tempo) };
}

function measuresOf(bars: readonly SheetBar[]): readonly Measure[] {
  const hasPickup = bars[0]?.pickup !== null && bars.length > 1;
  let from = 0;
  return bars.map((bar, index): Measure => {
    const { meter, key } = bar;
    const length = Math.round(beatsOf(bar) * beatTicks({ meter }));
    const measure = { number: hasPickup ? index : index + 1, from, to: from + length, meter, ...signatureOfKey(key) };
    from += length;
    return measure;
  });
}

function notesOf({ reader }: Voice, part: string, measures: readonly Measure[]) {
  const placed = reader.notes.flatMap(({ bar, at, quarters, voice, ...note }): readonly TiedNote[] => {
    const measure = measures[bar];
    if (measure === undefined) return [];
    const from = measure.from + Math.round(at * TICKS);
    return from >= measure.to ? [] : [{ ...note, part, voice: voice || '1', staff: 1, from, to: from + Math.round(quarters * TICKS) }];
  });
  return joinTies(placed.sort((a, b) => a.from - b.from));
}

function namesOf(bars: readonly SheetBar[], measures: readonly Measure[]): readonly WrittenName[] {
  return bars.flatMap(({ chords, meter }, index) => {
    const starts = startsOf(chords);
    return chords.map(({ chord }, place) => ({
      at: (measures[index] as Measure).from + Math.round((starts[place] as number) * beatTicks({ meter })),
      chord,
    }));
  });
}
