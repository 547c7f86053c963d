import { describe, expect, test } from '@jest/globals';
import { z } from 'zod';
import { shelfOf } from '../../test/shelf.ts';
import { printRecord, type RecordForm, readRecord } from './record-form.ts';
import { Records } from './records.ts';

interface Amp {
  readonly volume: number;
  readonly reverb: boolean;
}

/** Kept at first as a bare number, then as an object, now with a reverb. */
const AMP: RecordForm<Amp> = {
  name: 'amp',
  schema: z.object({ volume: z.number().min(0).max(10), reverb: z.boolean() }),
  upgrades: [(text) => ({ volume: Number(text) }), (older) => ({ ...(older as object), reverb: false })],
};
const NOW: Amp = { volume: 3, reverb: true };

describe('a record', () => {
  test('comes back as it was kept', () => expect(readRecord(AMP, printRecord(AMP, NOW))).toEqual({ kind: 'value', value: NOW }));

  test.each([
    ['before forms were counted', '3', { volume: 3, reverb: false }],
    ['of the first form', '{"aurora":1,"value":{"volume":4}}', { volume: 4, reverb: false }],
    ['of the form of now', '{"aurora":2,"value":{"volume":5,"reverb":true}}', { volume: 5, reverb: true }],
  ])('%s is read', (_, text, value) => expect(readRecord(AMP, text)).toEqual({ kind: 'value', value }));

  test.each([
    ['of a newer application', '{"aurora":3,"value":{"volume":5,"reverb":true}}'],
    ['out of its range', '{"aurora":2,"value":{"volume":11,"reverb":true}}'],
    ['cut off', '{"aurora":2,"value":{"vol'],
    ['without its value', '{"aurora":2}'],
    ['of something else', 'null'],
    ['of a form that is no number', '{"aurora":"2","value":{"volume":5,"reverb":true}}'],
  ])('%s is unreadable', (_, text) => expect(readRecord(AMP, text)).toEqual({ kind: 'unreadable' }));

  test('whose upgrade throws is unreadable', () => {
    const broken: RecordForm<Amp> = { ...AMP, upgrades: [(text) => JSON.parse(text)] };
    expect(readRecord(broken, 'no json')).toEqual({ kind: 'unreadable' });
  });
});

describe('records of a browser', () => {
  test('are kept each under its name, and dropped', () => {
    const storage = new Map<string, string>();
    const records = new Records(() => shelfOf(storage));
    expect([records.put(AMP, NOW), records.put(AMP, { ...NOW, volume: 7 }, 'amp two')]).toEqual([true, true]);
    expect([records.get(AMP), records.get(AMP, 'amp two')?.volume]).toEqual([NOW, 7]);
    expect([records.names('amp '), records.names('amp').length]).toEqual([['amp two'], 2]);
    records.drop('amp');
    expect([records.get(AMP), records.get(AMP, 'amp two')?.volume]).toEqual([null, 7]);
  });

  test('what cannot be read stays where it lies', () => {
    const storage = new Map([['amp', '{"aurora":3,"value":1}']]);
    const records = new Records(() => shelfOf(storage));
    expect([records.get(AMP), storage.get('amp')]).toEqual([null, '{"aurora":3,"value":1}']);
  });

  test('a full browser says so; one that keeps nothing has nothing', () => {
    expect(new Records(() => shelfOf(new Map(), () => 3)).put(AMP, NOW)).toBe(false);
    const shut = new Records(() => {
      throw new DOMException('shut', 'SecurityError');
    });
    expect([shut.get(AMP), shut.put(AMP, NOW), shut.names(''), shut.drop('amp')]).toEqual([null, false, [], undefined]);
  });
});
