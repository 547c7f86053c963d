import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { type MidiEvent, writeMidi } from 'midi-file';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { requireValue } from '../fault.ts';
import { faultWords } from '../wording/fault-words.ts';
import { readFormat, writeFormat } from './convert.ts';

const folder = mkdtempSync(join(tmpdir(), 'midi-'));

/** What Debian's mftext, a reader that is not ours, finds in a file. */
function dump(bytes: Uint8Array): string {
  const file = join(folder, 'song.mid');
  writeFileSync(file, bytes);
  return execFileSync('mftext', [file], { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 });
}

interface Heard {
  readonly time: number;
  readonly channel: number;
  readonly pitch: number;
}

function notesIn(text: string): readonly Heard[] {
  return [...text.matchAll(/^Time=(\d+)\s+Note on, chan=(\d+) pitch=(\d+) vol=[1-9]/gm)].map(([, time, channel, pitch]) => ({
    time: Number(time),
    channel: Number(channel),
    pitch: Number(pitch),
  }));
}

describe('a chart as MIDI, read by another program', () => {
  const text = dump(writeFormat('midi', 'title: Rope\nkey: Eb\ntime: 4/4\ntempo: 120\n\n[Verse] x2\n1 (4 5/7) 6-7 57!\n', null).content);
  const notes = notesIn(text);
  const at = (time: number, channel: number) =>
    notes.filter((note) => note.time === time && note.channel === channel).map(({ pitch }) => pitch % 12);

  test('has tempo, meter, key and sections', () => {
    expect(text).toContain('Tempo, microseconds-per-MIDI-quarter-note=500000');
    expect(text).toContain('Time signature=4/4');
    expect(text).toMatch(/Key signature, sharp\/flats=-3\s+minor=0/);
    expect([...text.matchAll(/Marker\)[^\n]*\n\s*Text = <(\w+)>/g)].map(([, name]) => name)).toEqual(['Verse', 'Verse']);
  });

  // pitches counted on the keyboard, times in 480ths of a quarter
  test.each([
    [0, [3, 7, 10], 3],
    [1920, [8, 0, 3], 8],
    [2880, [10, 2, 5], 2],
    [3840, [0, 3, 7, 10], 0],
    [5760, [10, 2, 5, 8], 10],
    [7680, [3, 7, 10], 3],
  ])('at %i sound %j over %i', (time, chord, bass) => {
    expect([...at(time, 1)].sort((a, b) => a - b)).toEqual([...chord].sort((a, b) => a - b));
    expect(at(time, 2)).toEqual([bass]);
  });

  test('clicks on every beat of every bar', () => {
    expect(notes.filter(({ channel }) => channel === 10).map(({ time }) => time)).toEqual(
      Array.from({ length: 32 }, (_, beat) => 480 * beat),
    );
  });

  test('a stop is short, another chord lasts', () => {
    const ends = [...text.matchAll(/^Time=(\d+)\s+Note off, chan=2/gm)].map(([, time]) => Number(time));
    expect(ends.slice(0, 5)).toEqual([1920, 2880, 3840, 5760, 5760 + 120]);
  });

  test.each([
    ['key: Am\n1-\n', 0, 1],
    ['key: F#\n1\n', 6, 0],
    ['key: C#m\n1-\n', 4, 1],
    ['key: Gb\n1\n', -6, 0],
  ])('%j has %i sharps', (chart, sharps, minor) =>
    expect(dump(writeFormat('midi', chart, null).content)).toMatch(new RegExp(`sharp/flats=${sharps}\\s+minor=${minor}`)),
  );

  test('six eight counts dotted quarters, a push comes an eighth early, a pickup is a short bar', () => {
    const six = dump(writeFormat('midi', 'key: C\ntime: 6/8\ntempo: 60\n1 >4\n', null).content);
    // 60 dotted quarters a minute are 90 quarters
    expect(six).toContain('microseconds-per-MIDI-quarter-note=666667');
    expect(
      notesIn(six)
        .filter(({ channel }) => channel === 2)
        .map(({ time }) => time),
    ).toEqual([0, 1440 - 240]);
    const pickup = dump(writeFormat('midi', 'key: C\ntime: 3/4\n{pickup: 1} 5 1 4\n', null).content);
    expect(pickup).toMatch(/Time=0\s+Time signature=1\/4/);
    expect(pickup).toMatch(/Time=480\s+Time signature=3\/4/);
  });
});

/** A file as a keyboard player might have recorded it: notes alone. */
function played(chords: readonly (readonly number[])[], beats: number, more: readonly MidiEvent[] = []): Uint8Array {
  const events: MidiEvent[] = [...more];
  for (const chord of chords) {
    chord.forEach((noteNumber, index) => {
      events.push({ type: 'noteOn', deltaTime: index === 0 ? 0 : 0, channel: 0, noteNumber, velocity: 80 });
    });
    chord.forEach((noteNumber, index) => {
      events.push({ type: 'noteOff', deltaTime: index === 0 ? 480 * beats : 0, channel: 0, noteNumber, velocity: 0 });
    });
  }
  events.push({ type: 'endOfTrack', deltaTime: 0, meta: true });
  return Uint8Array.from(writeMidi({ header: { format: 0, numTracks: 1, ticksPerBeat: 480 }, tracks: [events] }));
}

const read = (bytes: Uint8Array) => requireValue(readFormat('midi', bytes));
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;
const META = { deltaTime: 0, meta: true } as const;

describe('MIDI of other programs', () => {
  test('chords are found from what sounds, and it is said that they were guessed', () => {
    const { content, losses } = read(
      played(
        [
          [48, 60, 64, 67],
          [45, 60, 64, 69],
          [50, 57, 60, 65],
          [43, 59, 62, 65],
        ],
        4,
      ),
    );
    expect(letters(content)).toEqual(['C', 'Am', 'Dm7', 'G7']);
    expect(losses.map(({ code }) => code)).toEqual(['key-heard', 'chords-guessed']);
  });

  test('twice in a bar', () => {
    expect(
      letters(
        read(
          played(
            [
              [48, 64, 67],
              [53, 65, 69, 72],
              [55, 62, 71],
              [48, 64, 67],
            ],
            2,
          ),
        ).content,
      ),
    ).toEqual(['C F', 'G C']);
  });

  test('names follow the key that is given', () => {
    const inAb = { type: 'keySignature', key: -4, scale: 0, ...META } as const;
    const { content } = read(
      played(
        [
          [56, 60, 63],
          [61, 65, 68],
          [58, 61, 65],
          [63, 67, 70],
        ],
        4,
        [inAb],
      ),
    );
    expect(content).toMatch(/^key: Ab$/m);
    expect(letters(content)).toEqual(['Ab', 'Db', 'Bbm', 'Eb']);
  });

  test('meters and tempos are kept', () => {
    const more = [
      { type: 'timeSignature', numerator: 3, denominator: 4, metronome: 24, thirtyseconds: 8, ...META } as const,
      { type: 'setTempo', microsecondsPerBeat: 500_000, ...META } as const,
    ];
    const { content } = read(
      played(
        [
          [48, 64, 67],
          [53, 65, 69, 72],
        ],
        3,
        more,
      ),
    );
    expect(content).toMatch(/^time: 3\/4$/m);
    expect(content).toMatch(/^tempo: 120$/m);
    expect(letters(content)).toEqual(['C', 'F']);
  });
});

test('a long song is written and read, and a file far too large refused', () => {
  const long = `key: C\n\n[A] x99\n${'1 4 5 1\n'.repeat(20)}`;
  const bytes = writeFormat('midi', long, null).content;
  expect(notesIn(dump(bytes)).filter(({ channel }) => channel === 2)).toHaveLength(99 * 80);
  expect(readFormat('midi', bytes)).toMatchObject({ ok: false, fault: { code: 'format-large' } });
  const large = new Uint8Array(8_000_001);
  large.set(new TextEncoder().encode('MThd'));
  expect(readFormat('midi', large)).toMatchObject({ ok: false, fault: { code: 'format-large' } });
});

test('bytes behind the last track do not matter', () => {
  const bytes = writeFormat('midi', 'key: C\n1 4\n', null).content;
  expect(letters(read(new Uint8Array([...bytes, 0, 0, 0])).content)).toEqual(['C', 'F']);
});

test('notes that are never ended, struck twice, or end at once are read', () => {
  const events: MidiEvent[] = [
    { type: 'noteOn', deltaTime: 0, channel: 0, noteNumber: 48, velocity: 80 },
    { type: 'noteOn', deltaTime: 0, channel: 0, noteNumber: 64, velocity: 80 },
    { type: 'noteOn', deltaTime: 0, channel: 0, noteNumber: 67, velocity: 80 },
    { type: 'noteOn', deltaTime: 960, channel: 0, noteNumber: 67, velocity: 80 },
    { type: 'noteOn', deltaTime: 0, channel: 0, noteNumber: 67, velocity: 0 },
    { type: 'noteOff', deltaTime: 960, channel: 0, noteNumber: 67, velocity: 0 },
    { type: 'endOfTrack', deltaTime: 0, meta: true },
  ];
  const bytes = Uint8Array.from(writeMidi({ header: { format: 0, numTracks: 1, ticksPerBeat: 480 }, tracks: [events] }));
  expect(letters(read(bytes).content)).toEqual(['C']);
});

describe('what is no song is refused in words', () => {
  const empty = played([], 4);
  const whole = writeFormat('midi', 'key: C\n1 4 5 1\n', null).content;
  test.each([
    ['nothing', new Uint8Array(), 'format-other'],
    ['something else', new TextEncoder().encode('RIFF....'), 'format-other'],
    ['a file with nothing in it', empty, 'format-empty'],
    ['a torn one', whole.slice(0, 60), 'format-broken'],
    ['one that ends a byte too early', whole.slice(0, -1), 'format-broken'],
    ['a head alone, and damaged', new TextEncoder().encode('MThd torn'), 'format-broken'],
    [
      'only drums',
      Uint8Array.from(
        writeMidi({
          header: { format: 0, numTracks: 1, ticksPerBeat: 480 },
          tracks: [
            [
              { type: 'noteOn', deltaTime: 0, channel: 9, noteNumber: 40, velocity: 80 },
              { type: 'noteOff', deltaTime: 480, channel: 9, noteNumber: 40, velocity: 0 },
              { type: 'endOfTrack', deltaTime: 0, meta: true },
            ],
          ],
        }),
      ),
      'format-empty',
    ],
  ])('%s', (_, bytes, code) => {
    const result = readFormat('midi', bytes);
    expect(result.ok ? null : result.fault.code).toBe(code);
    if (!result.ok) expect(faultWords(result.fault)).toMatch(/\.$/);
  });
});

describe('a chart with a feel as MIDI, read by another program', () => {
  const SONG = 'title: Rope\nkey: C\ntempo: 120\nfeel: shuffle\n\n[Verse]\n1 >4 5! 1\n\n[Chorus]\n4 1\n';
  const { content, losses } = writeFormat('midi', SONG, null);
  const notes = notesIn(dump(content));
  const times = (channel: number, pitch: number) =>
    notes.filter((note) => note.channel === channel && note.pitch === pitch).map(({ time }) => time);

  // 480ths of a quarter: a bar is 1920, the second eighth of a shuffled beat 320
  test('the snare falls on two and four, and on the stop, and fills where the section ends', () =>
    expect(times(10, 38).filter((time) => time < 4 * 1920)).toEqual([480, 1440, 2400, 3360, 3840, 6240, 7040, 7200, 7520]));

  test('the hat swings', () => expect(times(10, 42).slice(0, 6)).toEqual([0, 320, 480, 800, 960, 1280]));

  test('the push comes early with all of them', () => {
    const push = 1440 + 320;
    expect(times(10, 36)).toContain(push);
    expect(notes.filter(({ time, channel }) => time === push && channel === 1).map(({ pitch }) => pitch % 12)).toEqual([5, 9, 0]);
    expect(notes.filter(({ time, channel }) => time === push && channel === 2).map(({ pitch }) => pitch % 12)).toEqual([5]);
    expect(notes.some(({ time, channel }) => time === 1920 && channel < 10)).toBe(false);
  });

  test('nothing sounds between the stop and the next chord', () =>
    expect(notes.filter(({ time }) => time > 3840 && time < 5760)).toEqual([]));

  test('the feel itself is told and comes back', () => {
    expect(losses.map(({ code }) => code)).not.toContain('feel');
    const back = requireValue(readFormat('midi', content)).content;
    expect(back).toContain('feel: shuffle');
    expect(renderChart(readChart(back), 0, 'letters').performed.slice(0, 2)).toEqual(['C', 'F']);
  });
});
