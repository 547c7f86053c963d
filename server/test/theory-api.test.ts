import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { computeApi } from './harness.ts';

const GOLDEN = new URL('../../core/test/golden/', import.meta.url);
const ROWS: readonly { tonic: string; scale: string; depth: string; notes: string[]; steps: string[]; chords: object[] }[] = JSON.parse(
  readFileSync(new URL('harmonize.json', GOLDEN), 'utf8'),
);

const post = computeApi();

describe('/harmonize', () => {
  test.each(ROWS.map((row) => [`${row.tonic} ${row.scale}, ${row.depth}`, row] as const))(
    '%s',
    async (_, { tonic, scale, depth, notes, steps, chords }) => {
      const { status, body } = await post('/harmonize', { tonic, scale, depth });
      expect(status).toBe(200);
      expect(body).toMatchObject({ key: { tonic, scale }, notes, steps, chords });
    },
  );

  test('number and Roman numeral of each chord', async () => {
    const { body } = await post('/harmonize', { tonic: 'A', scale: 'harmonic minor', depth: 'seventh' });
    const names = body.chords.map(({ number, roman }: { number: string; roman: string }) => `${number} ${roman}`);
    expect(names).toEqual(['1-maj7 imaj7', '2-7b5 iiø7', 'b3+maj7 bIII+maj7', '4-7 iv7', '57 V7', 'b6maj7 bVImaj7', '7o7 vii°7']);
  });

  test('aliases are read and answered by their own name', async () => {
    expect((await post('/harmonize', { tonic: 'A', scale: 'Aeolian', depth: 'triad' })).body.key).toEqual({
      tonic: 'A',
      scale: 'natural minor',
    });
  });

  test.each([
    [{ tonic: 'H', scale: 'major', depth: 'triad' }, 'tonic', 'write B'],
    [{ tonic: 'E###', scale: 'major', depth: 'triad' }, 'tonic', 'written G'],
    [{ tonic: 'B##', scale: 'major', depth: 'triad' }, 'tonic', 'Write D♭'],
    [{ tonic: 'C', scale: 'dorain', depth: 'triad' }, 'scale', 'Did you mean dorian?'],
    [{ tonic: 'C', scale: 'major', depth: 'fifteenth' }, 'depth', 'triad'],
    [{ tonic: 7, scale: 'major', depth: 'triad' }, 'tonic', ''],
    [{}, 'tonic', ''],
    [[], '', ''],
  ])('%j is refused about %s', async (request, path, words) => {
    const { status, type, body } = await post('/harmonize', request);
    expect(status).toBe(422);
    expect(type).toContain('application/problem+json');
    expect(body.errors[0].path).toBe(path);
    expect(body.detail).toContain(words);
  });
});

describe('/chords/parse', () => {
  test.each([
    [
      'Ebm7b5',
      {
        symbol: 'Ebm7b5',
        root: 'Eb',
        bass: null,
        quality: 'half-diminished seventh',
        notes: ['Eb', 'Gb', 'Bbb', 'Db'],
        formula: ['1', 'b3', 'b5', 'b7'],
      },
    ],
    ['D/F♯', { symbol: 'D/F#', root: 'D', bass: 'F#', notes: ['D', 'F#', 'A'] }],
    ['C△7', { symbol: 'Cmaj7' }],
    ['G7(b9, #11)', { symbol: 'G7b9#11' }],
    [' Bb ', { symbol: 'Bb' }],
  ])('%s', async (symbol, expected) => expect((await post('/chords/parse', { symbol })).body).toMatchObject(expected));

  test.each([
    ['', undefined],
    ['em', { line: 1, column: 1, length: 2 }],
    ['C7#5b5', { line: 1, column: 5, length: 2 }],
    ['Cmaj7x', { line: 1, column: 6, length: 1 }],
    ['x'.repeat(5000), undefined],
  ])('%#: refused, where it is wrong', async (symbol, place) => {
    const { status, body } = await post('/chords/parse', { symbol });
    expect(status).toBe(422);
    if (place !== undefined) expect(body.errors[0]).toMatchObject(place);
  });
});

describe('/chords/identify', () => {
  const ask = (notes: readonly string[], key?: object) => post('/chords/identify', { notes, ...(key === undefined ? {} : { key }) });

  test('names twins with inversions, best first', async () => {
    const { body } = await ask(['C', 'E', 'G', 'A']);
    expect(body.candidates.slice(0, 2)).toMatchObject([
      { symbol: 'C6', root: 'C', bass: null, inversion: 0, missing: [], rank: 1, common: true },
      { symbol: 'Am7/C', root: 'A', bass: 'C', inversion: 1, missing: [], rank: 2 },
    ]);
  });

  test('a key may be given', async () => {
    expect((await ask(['B', 'D', 'F', 'A'], { tonic: 'C', scale: 'major' })).body.candidates[0].symbol).toBe('Bm7b5');
  });

  test.each([
    [[], 'notes'],
    [Array.from({ length: 200 }, () => 'C'), 'notes'],
    [['C', 'H'], 'notes.1'],
    [['C', 'e'], 'notes.1'],
  ])('%#: refused about %s', async (notes, path) => {
    const { status, body } = await ask(notes);
    expect(status).toBe(422);
    expect(body.errors[0].path).toBe(path);
  });

  test('says when nothing common fits', async () => {
    const { body } = await ask(['C', 'Db', 'D', 'Eb', 'E', 'F']);
    expect(body.candidates[0].common).toBe(false);
  });
});

describe('/charts', () => {
  const chart = (name: string) => readFileSync(new URL(`charts/${name}.txt`, GOLDEN), 'utf8');
  const expected = JSON.parse(readFileSync(new URL('charts/expected.json', GOLDEN), 'utf8'));

  test.each(Object.keys(expected))('parse %s', async (name) => {
    const { status, body } = await post('/charts/parse', { source: chart(name) });
    expect(status).toBe(200);
    expect(body.writtenBars).toBe(expected[name].writtenBars);
    const key = body.key as string;
    const letters = body.bars.map((bar: { chords: { letters: string }[] }) => bar.chords.map((chord) => chord.letters).join(' '));
    expect(letters).toEqual(expected[name].letters[key]);
    expect(body.performedBars).toBe(expected[name].performedBars);
    for (const [bar, beats] of Object.entries(expected[name].beats ?? {})) {
      expect(body.bars[Number(bar) - 1].chords.map((chord: { beats: number }) => chord.beats)).toEqual(beats);
    }
  });

  test.each(Object.keys(expected))('render %s in every key', async (name) => {
    for (const [key, letters] of Object.entries(expected[name].letters)) {
      const { body } = await post('/charts/render', { source: chart(name), key, as: 'letters' });
      expect(body).toMatchObject({ key, bars: letters });
      expect(body.performed).toHaveLength(expected[name].performedBars);
      const performed = expected[name].performedLetters?.[key];
      if (performed !== undefined) expect(body.performed).toEqual(performed);
    }
    const { numbers } = expected[name];
    const { body } = await post('/charts/render', { source: chart(name), as: 'numbers' });
    if (numbers !== undefined) expect(body.bars).toEqual(numbers);
  });

  test.each([
    [{ reader: { transpose: 'Bb' } }, 'E', 'D', ['E', 'A', 'F#m', 'B']],
    [{ reader: { transpose: 'Eb' } }, 'B', 'D', ['B', 'E', 'C#m', 'F#']],
    [{ reader: { capo: 2 } }, 'C', 'D', ['C', 'F', 'Dm', 'G']],
    [{ reader: { tuning: -1, capo: 3 } }, 'C', 'D', ['C', 'F', 'Dm', 'G']],
    [{ key: 'Eb', reader: { capo: 3 } }, 'C', 'Eb', ['C', 'F', 'Dm', 'G']],
  ])('render for %j', async (more, key, soundingKey, bars) => {
    const { body } = await post('/charts/render', { source: 'key: D\n1 4 2- 5', as: 'letters', ...more });
    expect(body).toMatchObject({ key, soundingKey, bars, performed: bars });
  });

  test('numbers, Roman numerals, and the text with its key', async () => {
    const source = 'key: D\n[A] x2\n1 2-7 | 57/7 |\n';
    expect((await post('/charts/render', { source, as: 'roman' })).body.bars).toEqual(['I ii7', 'V65']);
    const { body } = await post('/charts/render', { source, key: 'F', as: 'letters' });
    expect(body.text).toBe('key: F\n\n[A] x2\n(F Gm7) C7/E\n');
    expect(body.performed).toEqual(['F Gm7', 'C7/E', 'F Gm7', 'C7/E']);
  });

  test('any text is read; problems are in the answer with their place', async () => {
    const { status, body } = await post('/charts/parse', { source: '1 8 🎸\n\u0000' });
    expect(status).toBe(200);
    expect(body.problems[0]).toMatchObject({ line: 1, column: 3, length: 1, severity: 'error', code: 'degree-range' });
    expect(body.bars).toHaveLength(1);
  });

  test('a key nobody can read is refused', async () => {
    const { status, body } = await post('/charts/render', { source: '1', key: 'Q', as: 'letters' });
    expect(status).toBe(422);
    expect(body.errors[0].path).toBe('key');
  });
});
