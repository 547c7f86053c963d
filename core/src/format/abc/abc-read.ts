import { failure, type Result, success } from '../../fault.ts';
import { type KeyGiven, withFoundChords } from '../found-harmony.ts';
import type { LeadSheet, SheetBar } from '../lead-sheet.ts';
import { LossList } from '../loss.ts';
import { withMelody } from '../melody.ts';
import { withPaperEndings } from '../paper-endings.ts';
import { plain, TuneReader } from './abc-bars.ts';
import { boundedAbc } from './abc-bounds.ts';
import { type AbcTune, melodyOf, tunesOf } from './abc-tune.ts';
import { abcTunes, voicesOf } from './abc-voices.ts';

const MOST_LETTERS = 400_000;
const MOST_BARS = 5000;

/** The voices of the first tune of a text, and the one of them that names chords, or the first. */
interface ReadTunes {
  readonly voices: readonly AbcTune[];
  readonly tune: AbcTune;
}

/** Takes the first tune of an ABC text apart into its voices. */
export function readTunes(text: string, losses: LossList): Result<ReadTunes> {
  if (text.length > MOST_LETTERS) return failure({ code: 'format-large', format: 'ABC' }, 0, 0);
  if (!/^\s*X:/m.test(text) && !/^\s*K:/m.test(text))
    return failure({ code: 'format-other', format: 'ABC', found: text.trim().slice(0, 24) || 'nothing' }, 0, 0);
  const bounded = boundedAbc(text);
  if (!bounded.ok) return bounded;
  const [first = '', ...more] = abcTunes(bounded.value);
  const sources = voicesOf(first);
  let voices: readonly AbcTune[];
  try {
    voices = sources.flatMap((voice) => tunesOf(voice).slice(0, 1));
  } catch {
    return failure({ code: 'format-broken', format: 'ABC', detail: 'there is something in it that is no ABC' }, 0, 0);
  }
  const tune =
    voices[
      Math.max(
        0,
        sources.findIndex((voice) => NAMES.test(voice)),
      )
    ];
  if (tune === undefined) return failure({ code: 'format-empty', format: 'ABC' }, 0, 0);
  if (more.length > 0) losses.add('tunes', null, String(more.length + 1));
  return success({ voices, tune });
}

/** Reads the first tune of an ABC text through abcjs: its chord names in time. Of a melody its range is kept. */
export function readAbc(text: string, losses: LossList): Result<LeadSheet> {
  const tunes = readTunes(text, losses);
  if (!tunes.ok) return tunes;
  const { voices: read, tune } = tunes.value;
  const reader = new TuneReader(losses);
  for (const line of tune.lines) reader.line(line);
  const written = reader.end(tune.metaText.tempo);
  if (written.length === 0) return failure({ code: 'format-empty', format: 'ABC' }, 0, 0);
  if (written.length > MOST_BARS) return failure({ code: 'format-large', format: 'ABC' }, 0, 0);
  const bars = withChords(written, [reader, ...read.filter((other) => other !== tune).map(notesOf)], text, losses);
  const fields = [...text.matchAll(/^%%aurora-(range|note|numbering) (.*)$/gm)].map(
    ([, name = '', value = '']) => [name, value.replace(/\\%/g, '%').trim()] as const,
  );
  const { title = '', composer = '', rhythm = '' } = tune.metaText;
  const score = { title: plain(title), by: plain(composer), feel: plain(rhythm), fields, bars: withPaperEndings(bars) };
  return success(reader.hasNotes ? withMelody(score, melodyOf(tune), losses) : score);
}

/** A name in quotes over a note; what stands above, below or beside it is said, not played. */
const NAMES = /"\s*[A-G(][^"]*"/;

/** The bars with the chords that are named in them; without a name, those that the notes of all voices make. */
function withChords(bars: readonly SheetBar[], voices: readonly TuneReader[], text: string, losses: LossList): readonly SheetBar[] {
  if (voices.some(({ isNamed }) => isNamed)) {
    if (voices.length > 1 || voices.some(({ isDivided }) => isDivided)) losses.add('voices');
    return bars;
  }
  const key = bars[0]?.key;
  const given: KeyGiven = key === undefined || /^K:\s*(none)?\s*(%.*)?$/m.test(text) ? { kind: 'none' } : { kind: 'named', key };
  const notes = voices.flatMap((voice, index) => voice.notes.map((note) => ({ ...note, voice: `${index} ${note.voice}` })));
  return withFoundChords(bars, notes, given, losses);
}

/** A voice that is only listened to. */
function notesOf(tune: AbcTune): TuneReader {
  const reader = new TuneReader(new LossList());
  for (const line of tune.lines) reader.line(line);
  return reader;
}
