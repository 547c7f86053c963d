import { describe, expect, test } from '@jest/globals';
import { ApiFault } from '../api/client.ts';
import { verdictOn } from './answers.ts';

const AWAY = 'The server does not answer; not saved yet.';

describe('what an answer means for what was sent', () => {
  test.each([
    ['no answer', 0, false, AWAY],
    ['bad request', 400, true, 'said by the house'],
    ['signed out', 401, false, 'You are signed out. What you wrote is kept on this device and sent when you sign in.'],
    ['not allowed', 403, true, 'said by the house'],
    ['gone', 404, true, 'said by the house'],
    ['asked too slowly', 408, false, AWAY],
    ['changed meanwhile', 409, true, 'said by the house'],
    ['too large', 413, true, 'This is more than the server takes. Make it shorter, or two of it.'],
    ['not understood', 422, true, 'said by the house'],
    ['some other refusal', 418, true, 'said by the house'],
    ['too many', 429, false, 'The server asks for a moment; it is saved in a little while.'],
    ['next to too many', 430, true, 'said by the house'],
    ['something broke', 500, false, AWAY],
    ['between here and there', 502, false, AWAY],
    ['starting', 503, false, AWAY],
    ['slow between here and there', 504, false, AWAY],
    ['disk full', 507, false, 'said by the house'],
  ])('%s (%i)', (_, status, isFinal, why) => {
    expect(verdictOn(new ApiFault(status, 'said by the house'))).toEqual({ isFinal, why, againMs: null });
  });

  test('a refusal in the server’s own words is said in those', () => {
    const problem = { type: '', title: '', status: 413, detail: 'A chart can be 240 KB.' };
    expect(verdictOn(new ApiFault(413, problem.detail, problem))).toMatchObject({ isFinal: true, why: 'A chart can be 240 KB.' });
    expect(verdictOn(new ApiFault(503, problem.detail, problem))).toMatchObject({ isFinal: false, why: AWAY });
  });

  test('a time-out, and anything else that is thrown, is no answer', () => {
    expect(verdictOn(new DOMException('took too long', 'TimeoutError'))).toEqual({ isFinal: false, why: AWAY, againMs: null });
    expect(verdictOn(new Error('what came was no answer'))).toMatchObject({ isFinal: false, why: AWAY });
  });

  test('when the server says after how long, that is kept to', () => {
    expect(verdictOn(new ApiFault(429, 'slow down', null, 30_000)).againMs).toBe(30_000);
  });
});
