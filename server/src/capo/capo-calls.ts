import {
  analyze,
  type CapoOption,
  type ChartReading,
  capoWords,
  DEFAULT_NAMING,
  isMinorScale,
  type Key,
  type Progression,
  parseKey,
  planCapo,
  printChord,
  printKey,
  printNumber,
  readProgression,
} from '@aurora/core';
import { type CapoAnswer, type CapoRequest, capoAnswer, capoRequest, type UnreadChord } from '@aurora/wire';
import { readSong, unreadOf } from '../analysis/read-song.ts';
import { type Call, openCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { required } from '../validate.ts';

/** Far more different chords than any song has; each is looked for at every fret. */
const MOST_DIFFERENT = 80;

/** `/capo`: a thin handler over the core's planner. */
export const CAPO_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'planCapo',
      method: 'post',
      path: '/capo',
      tag: 'neck',
      summary: 'Every fret for a capo, the kindest first',
      body: capoRequest,
      answer: capoAnswer,
      isLimited: true,
      isHeavy: true,
    },
    ({ body }) => planFor(body),
  ),
];

function planFor({ source, key, maxFret, tuning, barres }: CapoRequest): CapoAnswer {
  const sounding = key === undefined ? undefined : required(parseKey(key), 'key');
  const progression = readSong(source);
  const unread = unreadOf(progression);
  if (progression.chords.length === 0 && unread.length > 0) throw nothingRead(unread);
  const chart = chartWithKey(progression, source, sounding);
  const different = new Set(chart.bars.flatMap(({ chords }) => chords.map(({ chord }) => (chord === null ? 'NC' : printNumber(chord)))));
  if (different.size > MOST_DIFFERENT) {
    throw new HttpFault('invalid', `source: ${different.size} different chords; ${MOST_DIFFERENT} are looked at in one song.`);
  }
  const options = planCapo(chart, {
    ...(sounding === undefined ? {} : { tonic: sounding.tonic }),
    ...(maxFret === undefined ? {} : { maxFret }),
    ...(tuning === undefined ? {} : { tuning }),
    ...(barres === undefined ? {} : { level: barres }),
  });
  return { options: options.map(describe), unread };
}

/** Where no chord could be read at all there is nothing to rank. */
function nothingRead(unread: readonly UnreadChord[]): HttpFault {
  const errors = unread.map(({ message, line, column, length }) => ({ message, line, column, length, path: 'source' }));
  return new HttpFault('invalid', `source: ${errors[0]?.message}`, { errors });
}

/**
 * Chords without a key are in the one the analysis finds, or in the relative of it where the key that is
 * asked for is of that mode: `Am F C G` asked for in C sounds as it is written.
 */
function chartWithKey(progression: Progression, source: string, sounding: Key | undefined): ChartReading {
  const found: Key | undefined = progression.keyGiven ? undefined : analyze(progression).keys[0]?.key;
  if (found === undefined) return progression.chart;
  const key = sounding === undefined || isMinorScale(sounding.scale) === isMinorScale(found.scale) ? found : relativeKey(found);
  return readProgression(`key: ${printKey(key)}\n${source}`).chart;
}

function relativeKey({ tonic, scale }: Key): Key {
  return isMinorScale(scale) ? { tonic: tonic - 3, scale: 'major' } : { tonic: tonic + 3, scale: 'natural minor' };
}

function describe(option: CapoOption): CapoAnswer['options'][number] {
  const { fret, shapeKey, soundingKey, shapes, openShare, hardest, score } = option;
  return {
    fret,
    shapeKey: printKey(shapeKey),
    soundingKey: printKey(soundingKey),
    shapes: shapes.map(({ sounding, shape, hold, beats }) => ({
      sounding: printChord(sounding),
      shape: printChord(shape),
      open: hold.open,
      frets: hold.frets === null ? null : [...hold.frets],
      beats,
    })),
    openShare,
    hardest: hardest === null ? null : printChord(hardest.shape),
    score,
    why: capoWords(option, DEFAULT_NAMING),
  };
}
