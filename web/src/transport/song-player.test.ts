import { parseChord, readChart, requireValue, timelineOf } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { bassMidi } from './player.ts';
import { beatSeconds, eventsOf } from './song-player.ts';

const timeline = (text: string) => timelineOf(readChart(text));
const chords = (text: string, bar = 0, isFirst = bar === 0) => {
  const bars = timeline(text);
  return eventsOf(bars[bar] as (typeof bars)[0], bars[bar + 1], isFirst)
    .filter(({ kind }) => kind === 'chord')
    .map(({ at, bar: written, place }) => `${at}:${written}.${place}`);
};

describe('what sounds in a bar', () => {
  test.each([
    ['1', 0, ['0:0.0', '2:0.0']],
    ['(1 4)', 0, ['0:0.0', '2:0.1']],
    ['(1.. 4. 5.)', 0, ['0:0.0', '2:0.1', '3:0.2']],
    ['<1>', 0, ['0:0.0']],
    ['1!', 0, ['0:0.0']],
    ['NC', 0, []],
    // the next bar's push sounds in this one, and not again in its own
    ['1! >4!', 0, ['0:0.0', '3.5:1.0']],
    ['1! >4!', 1, []],
    // the first chord of all has no bar to be pushed into
    ['>1!', 0, ['0:0.0']],
  ])('%j, bar %i: %j', (text, bar, expected) => expect(chords(text, bar)).toEqual(expected));

  test('clicks fall on the pulse of the meter', () => {
    const clicks = (text: string) => eventsOf(timeline(text)[0] as never, undefined, true).filter(({ kind }) => kind === 'click').length;
    expect([clicks('1'), clicks('time: 3/4\n1'), clicks('time: 6/8\n1'), clicks('{pickup: 1} 1')]).toEqual([4, 3, 2, 1]);
  });

  test('a beat lasts as the chart says, or as the player does', () => {
    const [four] = timeline('tempo: 120\n1');
    const [six] = timeline('time: 6/8\ntempo: 60\n1');
    expect(beatSeconds(four as never, { tempo: 90, pace: 1 })).toBe(0.5);
    expect(beatSeconds(four as never, { tempo: 90, pace: 0.5 })).toBe(1);
    expect(beatSeconds(six as never, { tempo: 90, pace: 1 })).toBeCloseTo(1 / 3);
    expect(beatSeconds(timeline('1')[0] as never, { tempo: 90, pace: 1 })).toBeCloseTo(2 / 3);
  });

  test.each([
    ['E', 28],
    ['D', 38],
    ['C/G', 31],
    ['Eb', 39],
  ])('the bass plays %s at %i', (symbol, midi) => expect(bassMidi(requireValue(parseChord(symbol)))).toBe(midi));
});
