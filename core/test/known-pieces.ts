import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { printChord } from '../src/chord/chord-text.ts';
import { requireValue } from '../src/fault.ts';
import { LossList } from '../src/format/loss.ts';
import { scoreOfMusicXml } from '../src/format/musicxml/score-musicxml.ts';
import type { Key } from '../src/key/key.ts';
import { parseNote } from '../src/pitch/note-text.ts';
import { parsePitch } from '../src/pitch/pitch-text.ts';
import { harmonizeScore } from '../src/reduce/harmonize-score.ts';
import { inversionOf } from '../src/reduce/inversion.ts';
import { strangeTones } from '../src/reduce/tones/tones.ts';
import { type ScorePlace, timeOf } from '../src/score/place.ts';
import { type Score, TICKS } from '../src/score/score.ts';
import { type Judged, judge, NOTHING_JUDGED, type Truth } from './judge-reduction.ts';
import type { Style } from './planned-piece.ts';
import { plannedPiece } from './planned-pieces.ts';

export interface KnownPiece {
  readonly score: Score;
  readonly truth: Truth;
}

interface GivenKey {
  readonly tonic: string;
  readonly scale: Key['scale'];
}

interface Given {
  readonly meter: readonly [number, number];
  readonly keys: readonly (GivenKey & { readonly from: ScorePlace; readonly to: ScorePlace })[];
  readonly keySlack: readonly { readonly from: ScorePlace; readonly to: ScorePlace; readonly accept: readonly GivenKey[] }[];
  readonly columns: readonly (ScorePlace & { readonly beats: number; readonly accept: Truth['columns'][number]['accept'] })[];
  readonly tones: readonly (ScorePlace & { readonly part: string; readonly note: string; readonly accept: readonly string[] })[];
}

const FOLDER = join(import.meta.dirname, 'golden', 'pieces');
const STEP = TICKS / 4;

/** A sample piece with its truth. */
export function samplePiece(name: string): KnownPiece {
  const score = requireValue(scoreOfMusicXml(readFileSync(join(FOLDER, `${name}.musicxml`), 'utf8'), new LossList()));
  const given = JSON.parse(readFileSync(join(FOLDER, `${name}.json`), 'utf8')) as Given;
  const unit = (TICKS * 4) / given.meter[1];
  const end = score.measures.at(-1)?.to ?? 0;
  const at = (place: ScorePlace) => timeOf(score, place) ?? end;
  const keyOf = ({ tonic, scale }: GivenKey): Key => ({ tonic: requireValue(parseNote(tonic)), scale });
  const keys = given.keys.flatMap((key) =>
    Array.from({ length: Math.round((at(key.to) - at(key.from)) / STEP) }, (_, place) => {
      const from = at(key.from) + place * STEP;
      const slack = given.keySlack.filter((one) => at(one.from) <= from && from < at(one.to)).flatMap(({ accept }) => accept.map(keyOf));
      return { from, to: from + STEP, accept: [keyOf(key), ...slack] };
    }),
  );
  return {
    score,
    truth: {
      columns: given.columns.map((column) => ({ from: at(column), to: at(column) + column.beats * unit, accept: column.accept })),
      tones: given.tones.map(({ part, note, accept, ...place }) => ({ part, at: at(place), midi: requireValue(parsePitch(note)), accept })),
      keys,
    },
  };
}

/** A planned piece with what its plan says. */
export function planned(style: Style, seed: number): KnownPiece {
  const { score, harmonies, tones } = plannedPiece(style, seed);
  return {
    score,
    truth: {
      columns: harmonies.map(({ from, to, accept }) => ({
        from,
        to,
        accept: accept.map((chord) => ({ chord: printChord(chord), inversion: inversionOf(chord) })),
      })),
      // off the beat some say appoggiatura as well
      tones: tones.map((tone) => ({ ...tone, accept: tone.kind === 'incomplete-neighbour' ? [tone.kind, 'appoggiatura'] : [tone.kind] })),
      keys: harmonies.map(({ from, to, keys }) => ({ from, to, accept: keys })),
    },
  };
}

/** How well pieces are reduced, taken together. */
export function judged(pieces: readonly KnownPiece[]): Judged {
  const all = NOTHING_JUDGED();
  for (const { score, truth } of pieces) {
    const { grid, harmonies, keys } = harmonizeScore(score);
    judge(score, truth, { harmonies, keys, tones: strangeTones(grid, harmonies) }, all);
  }
  return all;
}

/** Shares of what was judged, in percent. */
export function sharesOf({ time, chords, inversions, tones, named, keyTime, keys }: Judged) {
  return {
    chords: (100 * chords) / time,
    inversions: (100 * inversions) / time,
    tones: tones === 0 ? 100 : (100 * named) / tones,
    keys: (100 * keys) / keyTime,
  };
}
