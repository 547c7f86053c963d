/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { type Item, itemIn, type Outcome, STANDARD_GUITAR } from '@aurora/core';
import { DEFAULT_PRACTICE } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import type { Played, Practice } from '../use-practice.ts';
import { useGivenMarks } from './given-marks.ts';
import { PlayItem } from './PlayItem.tsx';
import { useRun } from './run-store.ts';
import { beginRun, blockOf } from './session-run.ts';

const C = { tonic: 0, scale: 'major' } as const;
const CHAIN = itemIn('chain', 'key', C);
let kept: Map<string, Played>;
let released: string[];

beforeEach(() => {
  localStorage.clear();
  kept = new Map();
  released = [];
  useGivenMarks.setState([], true);
});
afterEach(() => {
  cleanup();
  jest.restoreAllMocks();
});

const practice = (passes: Practice['passes']): Practice => ({
  player: { bandId: 'band', memberId: 'me' },
  playerName: 'Tam',
  instrument: STANDARD_GUITAR,
  passes,
  memories: new Map(),
  isKnown: true,
  settings: DEFAULT_PRACTICE,
  change: () => undefined,
  programme: null,
  depth: 'seventh',
  waiting: 0,
  notes: [],
  refused: { passes: [], sessions: [], sendAgain: () => undefined, letGo: () => undefined },
  record: (_, played) => {
    const id = `pass ${kept.size + 1}`;
    kept.set(id, played);
    return id;
  },
  release: (id = 'all') => void released.push(id),
  takeBack: (id) => !released.includes(id) && kept.delete(id),
});

const passOf = (item: Item, outcome: Outcome, said: string): Practice['passes'][number] => ({
  id: 'before',
  at: Date.now() - 60_000,
  item: `${item.study}/${item.what}/${item.key}`,
  stage: 'reading',
  tempo: 60,
  answeredIn: null,
  outcome,
  said,
  hidden: false,
  seconds: 20,
  night: null,
});

/** A session with one thing to play for a quarter of an hour. */
function open(item = CHAIN, passes: Practice['passes'] = []): void {
  useRun.setState({ run: beginRun('s', [blockOf(item.study === 'chain' ? 'chain' : 'shapes', item, 15)], Date.now()) });
  const Open = () => {
    const run = useRun((state) => state.run);
    const here = [...kept.values()].map((one, place) => ({ ...passOf(item, one.outcome, one.said ?? ''), ...one, at: Date.now() + place }));
    return run === null ? null : <PlayItem practice={practice([...passes, ...here])} run={run} item={run.blocks[0]?.items[0] as never} />;
  };
  renderInBand(<Open />);
}

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const key = (name: string) => fireEvent.keyDown(window, { key: name });
/** Plays, and lets so much time go by. */
function playFor(ms: number): void {
  press('Play');
  const now = performance.now();
  jest.spyOn(performance, 'now').mockImplementation(() => now + ms);
}
const outcomes = () => [...kept.values()].map(({ outcome }) => outcome);

describe('a mark', () => {
  test('is given at the double bar once the music was played, and its tempo counts', () => {
    open();
    playFor(120_000);
    press('It held');
    expect([...kept.values()]).toEqual([expect.objectContaining({ outcome: 'clean', said: '', tempo: expect.any(Number) })]);
  });

  test('is given on the chord where it broke', () => {
    open();
    playFor(9000);
    press('It broke at 2: G7');
    expect([...kept.values()]).toEqual([expect.objectContaining({ outcome: 'stopped', said: '2' })]);
  });

  test.each([
    ['h', 'clean'],
    ['w', 'shaky'],
    ['b', 'stopped'],
  ])('by the key %s', (name, outcome) => {
    open();
    playFor(120_000);
    key(name);
    expect(outcomes()).toEqual([outcome]);
  });

  test.each(['It held', 'It wavered'])('%s: sooner than the music lasts it is asked about, and raises no tempo', (name) => {
    open();
    press(name);
    expect(outcomes()).toEqual([]);
    press('Not yet');
    press(name);
    press('Played it');
    expect([...kept.values()].map(({ tempo }) => tempo)).toEqual([null]);
  });

  test('three that held raise the tempo; three that are only said to have do not', () => {
    open();
    const tempo = () => Number(/(\d+) bpm/.exec(document.body.textContent ?? '')?.[1]);
    const first = tempo();
    for (let time = 0; time < 3; time += 1) {
      key('h');
      press('Played it');
    }
    expect(tempo()).toBe(first);
    for (let time = 0; time < 3; time += 1) {
      playFor(120_000);
      key('h');
      jest.restoreAllMocks();
    }
    expect([kept.size, tempo()]).toEqual([6, first + 4]);
  });

  test('by the pedal: asked about, it is pressed once more for yes, back for no', () => {
    open();
    press('Play');
    for (const name of ['PageDown', 'PageUp', 'PageDown', 'PageDown']) key(name);
    expect(outcomes()).toEqual(['clean']);
  });

  test('six quick presses are no six passes', () => {
    open();
    for (let time = 0; time < 6; time += 1) key('h');
    expect(kept.size).toBe(0);
  });

  test('the music that was stopped early is short, whatever time goes by after it', () => {
    open();
    playFor(2000);
    press('Stop');
    jest.spyOn(performance, 'now').mockReturnValue(performance.now() + 600_000);
    press('It held');
    expect(kept.size).toBe(0);
  });
});

describe('the way back', () => {
  test('a mark is taken back, three of them, and the session stands where it stood', () => {
    open();
    for (const name of ['b', 'b', 'b', 'b']) {
      playFor(9000);
      key(name);
      jest.restoreAllMocks();
    }
    expect(released).toEqual(['pass 1']);
    expect(useRun.getState().run?.passes).toBe(4);
    press(/^Take back: it broke/);
    key('z');
    key('z');
    expect([...kept.keys()]).toEqual(['pass 1']);
    expect(useRun.getState().run?.passes).toBe(1);
    expect(screen.queryByRole('button', { name: /^Take back/ })).toBeNull();
  });
});

describe('where it broke the last time', () => {
  const SHAPES = itemIn('aloud', 'names', C);
  const broken = passOf(SHAPES, 'stopped', '5');

  test('it begins a chord before, and from the top when asked', () => {
    open(SHAPES, [broken]);
    const line = screen.getByRole('group', { name: 'How did it go?' });
    expect(line.querySelectorAll('button').length).toBeGreaterThan(7);
    press('From the top');
    expect(screen.getByRole('button', { name: /^From / })).toBeTruthy();
  });

  test('what holds from there on is kept without a tempo: it was not all of it', () => {
    open(SHAPES, [broken]);
    playFor(600_000);
    act(() => void key('h'));
    expect([...kept.values()]).toEqual([expect.objectContaining({ outcome: 'clean', tempo: null })]);
  });

  test('a run begins with the first note of the chord before', () => {
    const SCALES = itemIn('runs', 'scale over each chord', C);
    open(SCALES, [passOf(SCALES, 'stopped', '5')]);
    press('From the top');
    // the fifth chord of C is G7, and F comes before it
    expect(screen.getByRole('button', { name: 'From Fmaj7' })).toBeTruthy();
  });

  test('a run broken at its first or second chord begins at the top', () => {
    const SCALES = itemIn('runs', 'scale over each chord', C);
    open(SCALES, [passOf(SCALES, 'stopped', '2')]);
    expect(screen.queryByRole('button', { name: 'From the top' })).toBeNull();
  });

  test('after one that held it begins at the top', () => {
    open(SHAPES, [passOf(SHAPES, 'clean', '')]);
    expect(screen.queryByRole('button', { name: 'From the top' })).toBeNull();
  });
});
