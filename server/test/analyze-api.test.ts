import { readFileSync } from 'node:fs';
import { analyzeText, printNumber } from '@aurora/core';
import { analyzeAnswer } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { computeApi } from './harness.ts';

interface Row {
  readonly source: string;
  readonly pin?: boolean;
  readonly reading?: string;
  readonly key?: object;
  readonly numbers?: readonly string[];
}

const ROWS: readonly Row[] = JSON.parse(readFileSync(new URL('../../core/test/golden/analysis.json', import.meta.url), 'utf8'));

const post = computeApi();
const analyze = (body: unknown) => post('/analyze', body);

describe('/analyze', () => {
  test.each(ROWS)('$source, heard $reading', async ({ source, pin, key, reading, numbers }) => {
    const { status, body } = await analyze({ source, ...(pin === true ? { key } : {}), ...(reading === undefined ? {} : { reading }) });
    expect(status).toBe(200);
    expect(analyzeAnswer.parse(body)).toEqual(body);
    if (key !== undefined) expect(body.keys[0]).toMatchObject(key);
    if (numbers !== undefined) expect(body.chords.map(({ number }: { number: string }) => number)).toEqual(numbers);
  });

  test('says everything about a chord', async () => {
    const { body } = await analyze({ source: 'key: F\n\n1 5-7 17 4maj7' });
    expect(body.lead).toBe('given');
    expect(body.regions).toEqual([{ tonic: 'F', scale: 'major', from: 0, to: 3, why: 'At home in F major.' }]);
    expect(body.chords[1]).toMatchObject({ symbol: 'Cm7', number: '5-7', roman: 'ii7/IV', function: 'subdominant', bar: 1 });
    expect(body.chords[2]).toMatchObject({
      symbol: 'F7',
      roman: 'V7/IV',
      reading: { kind: 'secondary-dominant', target: '4', resolution: 'resolves' },
      height: 2.5,
    });
    expect(body.chords[3].scales[0]).toMatchObject({ tonic: 'Bb', name: 'ionian' });
    expect(body.chords[2].why).toContain('dominant of B♭');
    expect(body.patterns).toContainEqual({ kind: 'two-five-one', tonic: 'Bb', from: 1, to: 3, minor: false });
  });

  test('tells a pivot with its number before', async () => {
    const { body } = await analyze({ source: 'C F G7 C Am D7 G Em Am D7 G C D7 G' });
    expect(body.regions[1]).toMatchObject({ tonic: 'G', from: 4, pivot: { index: 4, numberBefore: '6-' } });
  });

  test('keeps what it cannot read, with its place, and reads the rest', async () => {
    const { status, body } = await analyze({ source: 'C Xyz7 F | NC G7 C' });
    expect(status).toBe(200);
    expect(body.chords.map(({ symbol }: { symbol: string }) => symbol)).toEqual(['C', 'F', 'G7', 'C']);
    expect(body.unread).toEqual([expect.objectContaining({ text: 'Xyz7', before: 1, line: 1, column: 3 })]);
  });

  test.each(['', 'NC', '???', 'Fb7 B# E##', '\u0000', '🎸', '[['])('%j is answered', async (source) => {
    expect((await analyze({ source })).status).toBe(200);
  });

  test('two thousand chords are answered; more than any song has is refused in words', async () => {
    expect((await analyze({ source: 'C Am Dm G7 '.repeat(500) })).body.chords).toHaveLength(2000);
    const refused = await analyze({ source: 'C '.repeat(10_001) });
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toContain('10001 chords');
  });

  test.each([
    [{}, 'source'],
    [{ source: 5 }, 'source'],
    [{ source: 'C', reading: 'both' }, 'reading'],
    [{ source: 'C', key: { tonic: 'Q', scale: 'major' } }, 'key.tonic'],
    [{ source: 'C', key: { tonic: 'C', scale: 'majorish' } }, 'key.scale'],
    [{ source: 'C', key: { tonic: 'Fbb', scale: 'locrian' } }, 'key'],
    [{ source: 'C', key: 'C' }, 'key'],
  ])('%j is refused at %s', async (body, path) => {
    const answer = await analyze(body);
    expect([400, 422]).toContain(answer.status);
    expect(answer.body.errors[0].path).toBe(path);
  });

  test('the server answers what the core works out anywhere', async () => {
    const source = 'Eb Cm F7 Bb7 Ebm Ab7 Eb';
    const { body } = await analyze({ source });
    const { chords } = analyzeText(source);
    expect(body.chords.map(({ number }: { number: string }) => number)).toEqual(chords.map(({ number }) => printNumber(number)));
    expect(body).toEqual((await analyze({ source })).body);
  });
});
