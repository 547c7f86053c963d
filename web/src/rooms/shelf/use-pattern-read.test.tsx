/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { expect, test } from '@jest/globals';
import { renderHook, waitFor } from '@testing-library/react';
import { usePatternRead } from './use-pattern-read.ts';

test('nothing may be asked by chords before they have been read, however long their reader takes to come', async () => {
  const { result, rerender } = renderHook(({ pattern }) => usePatternRead(pattern), { initialProps: { pattern: '' } });
  expect(result.current).toEqual({ fault: null, mayAsk: true });
  rerender({ pattern: '1 1' });
  expect(result.current.mayAsk).toBe(false);
  await waitFor(() => expect(result.current.fault).toContain('two chords or more'));
  expect(result.current.mayAsk).toBe(false);
  rerender({ pattern: '1 b7 4' });
  expect(result.current.mayAsk).toBe(false);
  await waitFor(() => expect(result.current).toEqual({ fault: null, mayAsk: true }));
});
