import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, test } from '@jest/globals';
import { writeFormat } from '../src/format/convert.ts';
import { grooveBar, swung } from '../src/groove/groove.ts';
import { GROOVE_NAMES, type GrooveName } from '../src/groove/groove-table.ts';

// Grooves as they are heard: their MIDI rendered by Debian's fluidsynth, which is not ours, and the
// strokes found again in the sound.

const folder = mkdtempSync(join(tmpdir(), 'groove-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const RATE = 22_050;
const HOP = 110;
const TEMPO = 90;

/** A chart of four bars as sound, mono. */
function rendered(feel: string, time: string): Float32Array {
  const midi = join(folder, 'song.mid');
  const wav = join(folder, 'song.wav');
  writeFileSync(midi, writeFormat('midi', `key: C\ntime: ${time}\ntempo: ${TEMPO}\nfeel: ${feel}\n\n[A]\nNC NC NC NC 1\n`, null).content);
  execFileSync('fluidsynth', [
    '-ni',
    '-q',
    '-R',
    '0',
    '-C',
    '0',
    '-g',
    '0.8',
    '-r',
    `${RATE}`,
    '-F',
    wav,
    '/usr/share/sounds/sf2/TimGM6mb.sf2',
    midi,
  ]);
  const bytes = readFileSync(wav);
  const data = bytes.subarray(44);
  return Float32Array.from(
    { length: Math.floor(data.length / 4) },
    (_, index) => (data.readInt16LE(index * 4) + data.readInt16LE(index * 4 + 2)) / 65_536,
  );
}

/** How much louder the sound is within 25 ms after a time than within the 25 ms before it, in decibels. */
function rise(samples: Float32Array, seconds: number): number {
  const energy = (from: number) => {
    let sum = 1e-7;
    for (let index = 1; index < HOP * 5; index += 1) sum += ((samples[from + index] ?? 0) - (samples[from + index - 1] ?? 0)) ** 2;
    return sum;
  };
  const at = Math.round(seconds * RATE);
  return 10 * Math.log10(energy(at) / energy(at - HOP * 5));
}

const CASES: readonly (readonly [GrooveName, number, number, number])[] = [
  ...GROOVE_NAMES.filter((name) => name !== 'plain' && name !== 'waltz').map((name) => [name, 4, 4, 60 / TEMPO] as const),
  ['waltz', 3, 4, 60 / TEMPO],
  // a beat of the tempo is three eighths
  ['gospel', 6, 8, 60 / TEMPO / 3],
];
/** A stroke is a sudden rise of so many decibels; among others that ring on a little is enough. */
const STROKE = 1.5;

describe('a groove as it sounds', () => {
  test.each(CASES)(
    '%s in %i/%i: every stroke of the drums sets in where it is meant, and the loud ones exactly there',
    (name, count, unit, second) => {
      const samples = rendered(name, `${count}/${unit}`);
      const drums = grooveBar(name, { beats: count, unit }, 1).cells.filter(({ row }) => row !== 'guitar' && row !== 'bass');
      const times = (signs: RegExp) => {
        const places = drums.filter(({ sign }) => signs.test(sign)).map(({ at }) => swung(name, { beats: count, unit }, at, TEMPO));
        return [...new Set(places)].map((at) => (count + at) * second);
      };
      expect(times(/./).length).toBeGreaterThan(2);
      expect(times(/./).filter((seconds) => rise(samples, seconds) < STROKE)).toEqual([]);
      const offs = [-0.04, -0.02, 0, 0.02, 0.04];
      const sharpest = times(/X/).map((seconds) => {
        const rises = offs.map((off) => rise(samples, seconds + off));
        return offs[rises.indexOf(Math.max(...rises))];
      });
      expect(sharpest.filter((off) => off !== 0)).toEqual([]);
    },
  );
});
