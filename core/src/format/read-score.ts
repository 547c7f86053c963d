import { SCORE_FORMATS } from '../choices.ts';
import { type Result, success } from '../fault.ts';
import type { Score } from '../score/score.ts';
import { textOf } from './letters.ts';
import { type Loss, LossList } from './loss.ts';
import { readMxl } from './mxl.ts';
import { scoreOfAbc } from './score-abc.ts';
import { scoreOfMidi } from './score-midi.ts';
import { scoreOfMusicXml } from './score-musicxml.ts';

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
  return read.ok ? success({ score: read.value, losses: losses.all }) : read;
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

/** Whether a format can hold written-out notes. */
export function isScoreFormat(format: string): format is ScoreFormat {
  return (SCORE_FORMATS as readonly string[]).includes(format);
}
