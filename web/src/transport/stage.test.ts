import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { Session, stage } from './stage.ts';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  stage.end();
  jest.useRealTimers();
});

test('whatever begins ends what was there, with everything it had started', () => {
  const heard: string[] = [];
  const first = stage.begin();
  first.every(10, () => heard.push('first'));
  first.after(25, () => heard.push('late'));
  first.onEnd(() => heard.push('ended'));
  jest.advanceTimersByTime(20);
  const second = stage.begin();
  second.every(10, () => heard.push('second'));
  jest.advanceTimersByTime(20);
  expect(heard).toEqual(['first', 'first', 'ended', 'second', 'second']);
  expect([first.isOver, second.isOver]).toEqual([true, false]);
  expect(jest.getTimerCount()).toBe(1);
});

test('what is started after the end starts nothing', () => {
  const session = new Session();
  session.end();
  session.end();
  let ended = 0;
  session.every(10, () => expect(true).toBe(false));
  session.after(10, () => expect(true).toBe(false));
  session.onEnd(() => {
    ended += 1;
  });
  jest.advanceTimersByTime(100);
  expect([ended, jest.getTimerCount()]).toEqual([1, 0]);
});

test('playing, stopping and playing again while the sound is still being fetched leaves one clock', async () => {
  let fetched: () => void = () => undefined;
  const loading = new Promise<void>((resolve) => {
    fetched = resolve;
  });
  let ticks = 0;
  const play = async () => {
    const session = stage.begin();
    await loading;
    session.every(40, () => {
      ticks += 1;
    });
  };
  const plays = [play(), stage.end(), play(), stage.end(), play()];
  fetched();
  await Promise.all(plays);
  jest.advanceTimersByTime(400);
  expect([ticks, jest.getTimerCount()]).toEqual([10, 1]);
  stage.end();
  expect(jest.getTimerCount()).toBe(0);
});
