import { lettersFrom, parseNote, readChart, requireValue, soundingChords, timelineOf } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { beatSeconds, clicksOf, hitsOf, type SongSound } from './song-player.ts';

const timeline = (text: string) => timelineOf(readChart(text));

function soundOf(text: string, wish: Partial<SongSound>): SongSound {
  const reading = readChart(text);
  const chordAt = soundingChords(reading, lettersFrom(reading, requireValue(parseNote('C'))));
  const parts = { guitar: true, bass: true, drums: true };
  const how = { tempo: 100, pace: 1, click: false, parts, loop: null, groove: 'plain' as const };
  return { timeline: timelineOf(reading), chordAt, scaleAt: () => null, ...how, ...wish };
}

function heard(text: string, wish: Partial<SongSound>, order = 0): readonly string[] {
  const sound = soundOf(text, wish);
  const bar = sound.timeline[order] as (typeof sound.timeline)[0];
  const [before = null, next = null] = [sound.timeline[order - 1], sound.timeline[order + 1]];
  return hitsOf({ bar, before, next, order }, sound).map(({ part, at }) => `${part} ${at.toFixed(2)}`);
}

describe('what sounds in a bar', () => {
  test('chords of guitar and bass where they enter, and the push of the next bar', () =>
    expect(heard('1! >4!', {})).toEqual(['guitar 0.00', 'bass 0.00', 'guitar 3.50', 'bass 3.50']));

  test('who is muted does not play', () => {
    const only = (parts: SongSound['parts']) => new Set(heard('1 4 5 1', { groove: 'rock', parts }).map((hit) => hit.split(' ')[0]));
    expect(only({ guitar: false, bass: true, drums: true })).toEqual(new Set(['bass', 'drums']));
    expect(only({ guitar: true, bass: false, drums: false })).toEqual(new Set(['guitar']));
  });

  test('it swings as fast as it is played, not as it is written', () => {
    const second = (pace: number) => heard('1 4 5 1', { groove: 'shuffle', tempo: 120, pace }).find((hit) => /drums 0\.[1-9]/.test(hit));
    expect([second(1), second(2.5)]).toEqual(['drums 0.67', 'drums 0.55']);
  });

  test('clicks fall on the pulse of the meter', () => {
    const clicks = (text: string) => clicksOf(timeline(text)[0] as never).map(({ at }) => at);
    expect([clicks('1'), clicks('time: 3/4\n1'), clicks('time: 6/8\n1'), clicks('{pickup: 1} 1')]).toEqual([
      [0, 1, 2, 3],
      [0, 1, 2],
      [0, 3],
      [0],
    ]);
  });

  test('a beat lasts as the chart says, or as the player does', () => {
    const [four] = timeline('tempo: 120\n1');
    const [six] = timeline('time: 6/8\ntempo: 60\n1');
    expect(beatSeconds(four as never, { tempo: 90, pace: 1 })).toBe(0.5);
    expect(beatSeconds(four as never, { tempo: 90, pace: 0.5 })).toBe(1);
    expect(beatSeconds(six as never, { tempo: 90, pace: 1 })).toBeCloseTo(1 / 3);
    expect(beatSeconds(timeline('1')[0] as never, { tempo: 90, pace: 1 })).toBeCloseTo(2 / 3);
  });
});
