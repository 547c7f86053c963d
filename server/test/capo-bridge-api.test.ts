import { describe, expect, test } from '@jest/globals';
import { computeApi } from './harness.ts';

const post = computeApi();

interface Option {
  readonly fret: number;
  readonly shapeKey: string;
  readonly soundingKey: string;
  readonly score: number;
  readonly shapes: readonly { sounding: string; shape: string; open: boolean }[];
}

describe('/capo', () => {
  const plan = async (body: object) => {
    const answer = await post('/capo', body);
    expect(answer.status).toBe(200);
    return answer.body.options as readonly Option[];
  };
  const at = (options: readonly Option[], fret: number) => options.find((option) => option.fret === fret);

  test('every fret, the kindest first, shape and sound together', async () => {
    const options = await plan({ source: 'key: Bb\n1 4 5 6-\n' });
    expect(options.map(({ fret }) => fret).sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
    expect(options[0]).toMatchObject({
      fret: 3,
      shapeKey: 'G',
      soundingKey: 'Bb',
      openShare: 1,
      shapes: [
        { sounding: 'Bb', shape: 'G', open: true },
        { sounding: 'Eb', shape: 'C', open: true },
        { sounding: 'F', shape: 'D', open: true },
        { sounding: 'Gm', shape: 'Em', open: true },
      ],
    });
    const scores = options.map(({ score }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });

  test('in another key, with tuned-down strings, up to a fret', async () => {
    const options = await plan({ source: 'key: D\n1 5\n', key: 'Eb', maxFret: 4, tuning: -1 });
    expect(options).toHaveLength(5);
    // strings a half step down and the capo at 2 lift shapes by one half step
    expect(at(options, 2)).toMatchObject({ shapeKey: 'D', soundingKey: 'Eb' });
  });

  test('chords without a key are in the one they are heard in', async () => {
    const options = await plan({ source: 'Ab Fm | Db Eb | Ab' });
    expect(at(options, 1)).toMatchObject({ soundingKey: 'Ab', shapeKey: 'G' });
    expect(at(options, 1)?.shapes.map(({ sounding, shape }) => `${sounding}=${shape}`)).toEqual(['Ab=G', 'Fm=Em', 'Db=C', 'Eb=D']);
  });

  test('chords with commas, dashes and arrows between them are read as the analysis reads them', async () => {
    for (const source of ['Ab, Fm, Db, Eb, Ab', 'Ab - Fm - Db - Eb - Ab', 'Ab → Fm → Db → Eb → Ab']) {
      const option = at(await plan({ source }), 1);
      expect(option?.shapes.map(({ sounding, shape }) => `${sounding}=${shape}`)).toEqual(['Ab=G', 'Fm=Em', 'Db=C', 'Eb=D']);
    }
  });

  test('a player without barres is led to open shapes', async () => {
    const options = await plan({ source: 'key: C\n1 6- 4 5\n', barres: 'none' });
    expect(options[0]).toMatchObject({ fret: 5, shapeKey: 'G', openShare: 1 });
  });

  test('the one barre of a song is its hardest chord, and the words say so', async () => {
    const option = at(await plan({ source: 'key: G\n1 3- 4 5\n' }), 0);
    expect(option).toMatchObject({
      hardest: 'Bm',
      openShare: 0.75,
      why: 'No capo; 3 of 4 chords are open; hardest is Bm, barre or closed.',
    });
  });

  test('nothing to play is no fault', async () => {
    expect(at(await plan({ source: '' }), 0)).toMatchObject({ shapes: [], hardest: null });
  });

  test('the relative key names the same chords; another key moves them', async () => {
    const soundingIn = async (key: string) => {
      const { body } = await post('/capo', { source: 'Am F C G', key });
      return body.options[0].shapes.map(({ sounding }: { sounding: string }) => sounding);
    };
    expect(await soundingIn('C')).toEqual(['Am', 'F', 'C', 'G']);
    expect(await soundingIn('Am')).toEqual(['Am', 'F', 'C', 'G']);
    expect(await soundingIn('D')).toEqual(['Bm', 'G', 'D', 'A']);
  });

  test('what cannot be read is told with its place, and the rest is planned', async () => {
    const { status, body } = await post('/capo', { source: 'key: Bb\n1 4\n5 hello 6-\n' });
    expect(status).toBe(200);
    expect(body.options[0].shapes.map(({ shape }: { shape: string }) => shape)).toEqual(['G', 'C', 'D', 'Em']);
    expect(body.unread).toEqual([expect.objectContaining({ text: 'hello', line: 3, column: 3 })]);
  });

  test('where nothing can be read it is refused, with every place', async () => {
    const { status, body } = await post('/capo', { source: 'la la\nhello' });
    expect(status).toBe(422);
    expect(body.errors.map(({ path, line }: { path: string; line: number }) => [path, line])).toEqual([
      ['source', 1],
      ['source', 1],
      ['source', 2],
    ]);
  });

  test.each([
    [{ source: '1', key: 'H' }, 'key'],
    [{ source: '1', maxFret: 12 }, 'maxFret'],
    [{ source: '1', maxFret: -1 }, 'maxFret'],
    [{ source: '1', barres: 'few' }, 'barres'],
    [{ source: '1', tuning: 40 }, 'tuning'],
    [{}, 'source'],
  ])('%j is refused about %s', async (body, path) => {
    const answer = await post('/capo', body);
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].path).toBe(path);
  });

  test('a text of very many chords is refused, with how many there are', async () => {
    const { status, body } = await post('/capo', { source: 'C G '.repeat(5001) });
    expect(status).toBe(422);
    expect(body.detail).toMatch(/^That is 10002 chords/);
  });

  test('a text of very many different chords is refused, in words', async () => {
    const notes = 'C C# D Eb E F F# G Ab A Bb B'.split(' ');
    const source = `key: C\n${notes.flatMap((root) => ['', 'm', '7', 'm7', 'maj7', '6', '9', 'sus4'].map((quality) => root + quality)).join(' ')}\n`;
    const { status, body } = await post('/capo', { source });
    expect(status).toBe(422);
    expect(body.detail).toMatch(/different chords/);
  });
});

describe('/bridges', () => {
  test('from a last chord to a first one, the smoothest first', async () => {
    const { status, body } = await post('/bridges', { from: { chord: 'Eb' }, to: { chord: 'Em' } });
    expect(status).toBe(200);
    expect(body.bridges[0]).toMatchObject({ kind: 'dominant', chords: ['B7'], beats: 2 });
    expect(body.bridges[0].why).toMatch(/dominant of Em/);
    const smoothness = body.bridges.map((bridge: { smoothness: number }) => bridge.smoothness);
    expect(smoothness).toEqual([...smoothness].sort((a, b) => b - a));
    expect(body.bridges.map(({ kind }: { kind: string }) => kind).sort()).toEqual([
      'diminished-approach',
      'direct',
      'dominant',
      'tritone-substitute',
      'two-five',
    ]);
  });

  test('the keys tell which chord is shared', async () => {
    const { body } = await post('/bridges', {
      from: { chord: 'C', key: { tonic: 'G', scale: 'major' } },
      to: { chord: 'A', key: { tonic: 'D', scale: 'major' } },
    });
    const pivot = body.bridges.find(({ kind }: { kind: string }) => kind === 'pivot');
    expect(['G', 'Em', 'Bm', 'D']).toContain(pivot.chords[0]);
  });

  test.each([
    [{ from: { chord: 'X' }, to: { chord: 'C' } }, 'from.chord'],
    [{ from: { chord: 'C' }, to: { chord: 'C', key: 'G' } }, 'to.key'],
    [{ from: { chord: 'C' }, to: { chord: 'C', key: { tonic: 'Q', scale: 'major' } } }, 'to.key.tonic'],
    [{ from: { chord: 'C' }, to: { chord: 'C', key: { tonic: 'C', scale: 'sideways' } } }, 'to.key.scale'],
    [{ from: { chord: 'C', key: { tonic: 'Fbb', scale: 'locrian' } }, to: { chord: 'C' } }, 'from.key'],
    [{ from: { chord: 'C' }, to: {} }, 'to.chord'],
    [{ from: 'C', to: { chord: 'C' } }, 'from'],
  ])('%j is refused about %s', async (body, path) => {
    const answer = await post('/bridges', body);
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].path).toBe(path);
  });
});
