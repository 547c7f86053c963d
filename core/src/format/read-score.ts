import { SCORE_FORMATS } from '../choices.ts';
import { type Failure, failure, type Result, success } from '../fault.ts';
import { type Score, TICKS } from '../score/score.ts';
import { scoreOfAbc } from './abc/score-abc.ts';
import { FORMAT_FILES } from './convert.ts';
import { textOf } from './letters.ts';
import { type Loss, LossList } from './loss.ts';
import { scoreOfMidi } from './midi/score-midi.ts';
import { readMxl } from './musicxml/mxl.ts';
import { scoreOfMusicXml } from './musicxml/score-musicxml.ts';

/** A format that holds notes. */
export type ScoreFormat = (typeof SCORE_FORMATS)[number];

/** A written-out piece from a file, and what of the file was passed over or guessed. */
export interface ReadScore {
  readonly score: Score;
  readonly losses: readonly Loss[];
}

/** Every note of a file of some format, or why it cannot be read. */
export function readScore(format: ScoreFormat, bytes: Uint8Array): Result<ReadScore> {
  const losses = new LossList();
  const read = readNotes(format, bytes, losses);
  if (!read.ok) return read;
  return endless(format, read.value) ?? success({ score: read.value, losses: losses.all });
}

function readNotes(format: ScoreFormat, bytes: Uint8Array, losses: LossList): Result<Score> {
  switch (format) {
    case 'musicxml':
      return scoreOfMusicXml(textOf(bytes), losses);
    case 'mxl': {
      const xml = readMxl(bytes);
      return xml.ok ? scoreOfMusicXml(xml.value, losses) : xml;
    }
    case 'midi':
      return scoreOfMidi(bytes, losses);
    case 'abc':
      return scoreOfAbc(textOf(bytes), losses);
  }
}

/** No bar that is played is longer; one that is has a damaged length in it. */
const MOST_QUARTERS_A_BAR = 192;
const MOST_QUARTERS = 20_000;

/** Why a piece goes on beyond what anybody plays; null for one that does not. */
function endless(format: ScoreFormat, { measures }: Score): Failure | null {
  const { label } = FORMAT_FILES[format];
  const long = measures.find(({ from, to }) => to - from > MOST_QUARTERS_A_BAR * TICKS);
  if (long !== undefined) {
    const detail = `bar ${long.number} is ${Math.round((long.to - long.from) / TICKS)} quarters long`;
    return failure({ code: 'format-broken', format: label, detail }, 0, 0);
  }
  return (measures.at(-1)?.to ?? 0) > MOST_QUARTERS * TICKS ? failure({ code: 'format-large', format: label }, 0, 0) : null;
}

/** Whether a format can hold written-out notes. */
export function isScoreFormat(format: string): format is ScoreFormat {
  return (SCORE_FORMATS as readonly string[]).includes(format);
}
