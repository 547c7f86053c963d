import { type Failure, type Reduction, type RememberedJson, type Rhythm, readSaid, reduce } from '@aurora/core';
import { lossWords, readMxl, readScore, type ScoreFormat, scoreXml, textOf, withNoteIds, withReduction } from '@aurora/core/format';
import { expose } from 'comlink';

/** A file of notes, and what is said of it. */
export interface ScoreQuestion {
  readonly format: ScoreFormat;
  readonly bytes: Uint8Array;
  readonly rhythm: Rhythm;
  readonly said: readonly RememberedJson[];
}

/** What became of it: its harmony, MusicXML with the reduction under it, and what was passed over. */
export interface ScoreAnswer {
  readonly reduction: Reduction;
  readonly xml: string;
  readonly losses: readonly string[];
}

/** Written-out pieces, away from the page. */
const worker = {
  reduce({ format, bytes, rhythm, said }: ScoreQuestion): ScoreAnswer | Failure {
    const read = readScore(format, bytes);
    if (!read.ok) return read;
    const { score, losses } = read.value;
    const remembered = said.flatMap((one) => readSaid(one) ?? []);
    const reduction = reduce(score, { rhythm, remembered });
    const own = sourceXml(format, bytes);
    const xml = withReduction(own === null ? scoreXml(score) : withNoteIds(own), reduction);
    return { reduction, xml, losses: losses.map(lossWords) };
  },
};

/** MusicXML as it came; null for formats that are no notation. */
function sourceXml(format: ScoreFormat, bytes: Uint8Array): string | null {
  if (format === 'musicxml') return textOf(bytes);
  if (format !== 'mxl') return null;
  const inside = readMxl(bytes);
  return inside.ok ? inside.value : null;
}

export type ScoreWorker = typeof worker;

expose(worker);
