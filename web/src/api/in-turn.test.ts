/** @jest-environment jsdom */
import '../../test/dom.ts';
import { expect, test } from '@jest/globals';
import { inTurn } from './in-turn.ts';

/** A sending that is answered when the test says so. */
function sending(log: string[], name: string) {
  let answer: (value: string) => void = () => undefined;
  let refuse: (why: Error) => void = () => undefined;
  const send = () => {
    log.push(name);
    return new Promise<string>((resolve, reject) => {
      [answer, refuse] = [resolve, reject];
    });
  };
  return { send, answer: () => answer(name), refuse: () => refuse(new Error(name)) };
}
const soon = () => new Promise((resolve) => setTimeout(resolve));

test('what changes one place arrives in the order it was pressed, whatever takes how long', async () => {
  const log: string[] = [];
  const [frets, hands, last] = [sending(log, 'frets'), sending(log, 'hands'), sending(log, 'last')];
  const all = [inTurn('a', frets.send), inTurn('a', hands.send), inTurn('a', last.send)];
  await soon();
  expect(log).toEqual(['frets']);
  frets.answer();
  await soon();
  expect(log).toEqual(['frets', 'hands']);
  hands.answer();
  await soon();
  last.answer();
  expect(await Promise.all(all)).toEqual(['frets', 'hands', 'last']);
});

test('a refusal holds up nothing behind it, and is told to its own caller only', async () => {
  const log: string[] = [];
  const [bad, good] = [sending(log, 'bad'), sending(log, 'good')];
  const refused = inTurn('b', bad.send);
  const kept = inTurn('b', good.send);
  bad.refuse();
  await expect(refused).rejects.toThrow('bad');
  await soon();
  good.answer();
  expect(await kept).toBe('good');
});

test('other places wait for nothing', async () => {
  const log: string[] = [];
  void inTurn('c', sending(log, 'here').send);
  void inTurn('d', sending(log, 'there').send);
  await soon();
  expect(log).toEqual(['here', 'there']);
});

test('what waits is sent at once when the page is left', async () => {
  const log: string[] = [];
  void inTurn('e', sending(log, 'first').send);
  void inTurn('e', sending(log, 'second').send);
  await soon();
  expect(log).toEqual(['first']);
  window.dispatchEvent(new Event('pagehide'));
  await soon();
  expect(log).toEqual(['first', 'second']);
});
