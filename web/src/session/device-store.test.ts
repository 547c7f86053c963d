import { beforeEach, describe, expect, test } from '@jest/globals';
import { foldsOf, readHint, setDevice, setFolds, useDevice } from './device-store.ts';

const first = useDevice.getState();
beforeEach(() => void useDevice.setState(first, true));

describe('what a device remembers', () => {
  test('sound starts low, the theme is the system’s, and the why stands beside every room', () => {
    expect(first.volume).toBeLessThan(0.5);
    expect(first.theme).toBeNull();
    expect(foldsOf(first, 'chart')).toEqual({ side: 'why', neck: false });
  });

  test('folds are each room’s own', () => {
    setFolds('chart', { side: 'text' });
    setFolds('chart', { neck: true });
    setFolds('analyze', { side: null });
    const now = useDevice.getState();
    expect(foldsOf(now, 'chart')).toEqual({ side: 'text', neck: true });
    expect(foldsOf(now, 'analyze')).toEqual({ side: null, neck: false });
    expect(foldsOf(now, 'harmonize')).toEqual({ side: 'why', neck: false });
  });

  test('a hint that was read stays read, and nothing else changes', () => {
    readHint('chart');
    setDevice({ volume: 0.6 });
    expect(useDevice.getState()).toMatchObject({ hintsRead: ['chart'], volume: 0.6, strum: 'strum' });
  });
});
