import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { openServer, send, type TestServer } from './harness.ts';

let server: TestServer;
beforeAll(async () => {
  server = await openServer(null);
});
afterAll(() => server.close());
const voicings = (body: unknown) => send(`${server.url}/api/v1/voicings`, 'POST', body);

interface Shape {
  readonly frets: (number | null)[];
  readonly fromCapo: (number | null)[];
  readonly notes: string[];
  readonly family: string;
}
const at = (shapes: Shape[], frets: string) => shapes.find((shape) => shape.frets.map((fret) => fret ?? 'x').join('') === frets);

describe('/voicings', () => {
  test.each([
    ['C', 'x32010', 'open', 0, 'C E G C E'],
    ['F', '133211', 'barre-6', 0, 'F C F A C F'],
    ['Cm7', 'x35343', 'barre-5', 0, 'C G Bb Eb G'],
    ['D/F#', '200232', 'open', 1, 'F# A D A D F#'],
    ['Gmaj7', '3x443x', 'drop-3', 0, 'G F# B D'],
  ])('%s has %s: %s, inversion %i, sounding %s', async (symbol, frets, family, inversion, notes) => {
    const { status, body } = await voicings({ symbol });
    expect(status).toBe(200);
    expect(at(body.voicings, frets)).toMatchObject({ family, inversion, notes: notes.split(' ') });
  });

  test('with a capo frets count from the nut, and from the capo beside it', async () => {
    const { body } = await voicings({ symbol: 'F', capo: 1, families: ['open'] });
    const shape = (body.voicings as Shape[]).find(({ fromCapo }) => fromCapo.join('') === '022100');
    expect(shape?.frets).toEqual([1, 3, 3, 2, 1, 1]);
    expect(shape?.notes).toEqual(['F', 'C', 'F', 'A', 'C', 'F']);
  });

  test('families by any way of writing them, and only those', async () => {
    const { body } = await voicings({ symbol: 'Cmaj7', families: ['drop 2', 'Shells'], maxFret: 12 });
    expect(new Set((body.voicings as Shape[]).map(({ family }) => family))).toEqual(new Set(['drop-2', 'shell']));
    const barres = await voicings({ symbol: 'Am', families: ['barre'], limit: 3 });
    expect(barres.body.voicings.length).toBeLessThanOrEqual(3);
    expect(barres.body.total).toBeGreaterThanOrEqual(barres.body.voicings.length);
  });

  test('tunings as notes or as numbers; what does not fit on the strings is said', async () => {
    const named = await voicings({ symbol: 'D', tuning: ['D2', 'A2', 'D3', 'G3', 'A3', 'D4'] });
    const numbered = await voicings({ symbol: 'D', tuning: [38, 45, 50, 55, 57, 62] });
    expect(named.body).toEqual(numbered.body);
    expect((await voicings({ symbol: 'C13', tuning: ['E1', 'A1', 'D2', 'G2'] })).status).toBe(200);
    expect((await voicings({ symbol: 'Cm13', tuning: ['A2', 'D3', 'G3'] })).body.leftOut).toEqual(expect.arrayContaining(['5']));
    expect((await voicings({ symbol: 'C', tuning: ['G4', 'C4', 'E4', 'A4'] })).body.voicings.length).toBeGreaterThan(0);
  });

  test.each<[object, string]>([
    [{ symbol: 'Hm' }, 'write B'],
    [{ symbol: 'C', tuning: ['E2'] }, 'one string'],
    [{ symbol: 'C', tuning: ['E', 'X'] }, 'no note'],
    [{ symbol: 'C', tuning: ['E', 45] }, 'all strings as notes or all as numbers'],
    [{ symbol: 'C', tuning: [40, 300] }, 'no string is wound for'],
    [{ symbol: 'C', maxFret: 40 }, 'between 1 and 24'],
    [{ symbol: 'C', capo: 20 }, '0 to 11'],
    [{ symbol: 'C', families: ['cowboy'] }, 'The families are'],
    [{ symbol: 'C', limit: 0 }, 'at least one'],
    [{ symbol: 'C', without: ['third'] }, 'root or fifth'],
    [{}, ''],
  ])('%j is refused: %s', async (body, words) => {
    const answer = await voicings(body);
    expect(answer.status).toBe(422);
    expect(answer.type).toContain('application/problem+json');
    expect(JSON.stringify(answer.body)).toContain(words);
  });

  test('eight strings alike and every tone wanted: bounded, and answered', async () => {
    const { status, body } = await voicings({ symbol: 'C13', tuning: Array(8).fill(40), maxFret: 24 });
    expect(status).toBe(200);
    expect(typeof body.partial).toBe('boolean');
  });
});

describe('/sheets/pdf', () => {
  const text = { kind: 'text', x: 40, y: 60, text: 'B♭△7 F𝄪', size: 20, anchor: 'start', face: 'bold', ink: 'ink' };
  const page = (shapes: object[]) => ({ title: 'Study', pages: [{ width: 595, height: 842, label: 'Study', shapes }] });
  const post = (body: unknown) =>
    fetch(`${server.url}/api/v1/sheets/pdf`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    });

  test('is a PDF of that many pages with its fonts inside', async () => {
    const circle = { kind: 'circle', x: 9, y: 9, radius: 4, fill: null, stroke: 'ink', width: 1 };
    const path = { kind: 'path', d: 'M 1 1 C 2 2 3 3 4 4 Z', fill: 'ink', stroke: null, width: 1 };
    const rect = { kind: 'rect', x: 1, y: 1, width: 5, height: 5, radius: 1, fill: 'paper' };
    const answer = await post(page([text, circle, path, rect, { kind: 'line', x1: 0, y1: 0, x2: 9, y2: 9, width: 1, ink: 'line' }]));
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    const pdf = Buffer.from(await answer.arrayBuffer()).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(pdf.match(/\/FontFile[23]/g)?.length).toBeGreaterThanOrEqual(2);
  });

  test('is tagged, and says its title, author and language', async () => {
    const answer = await post({ ...page([text]), title: 'Tide – D♭', author: 'The Weirlamp Seven' });
    const file = join(mkdtempSync(join(tmpdir(), 'aurora-pdf-')), 'study.pdf');
    writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
    const facts = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    expect(facts).toMatch(/^Title:\s+Tide – D♭$/m);
    expect(facts).toMatch(/^Author:\s+The Weirlamp Seven$/m);
    expect(facts).toMatch(/^Tagged:\s+yes$/m);
    expect(execFileSync('pdfinfo', ['-struct-text', file], { encoding: 'utf8' })).toContain('B♭△7');
    expect(readFileSync(file).toString('latin1')).toMatch(/\/Lang \(en/);
    rmSync(dirname(file), { recursive: true });
  });

  test.each([
    [page([{ ...text, size: 0 }])],
    [page([{ kind: 'path', d: 'M 1 1 url(x)', fill: null, stroke: null, width: 1 }])],
    [{ title: 'None', pages: [] }],
    [{ title: 'Many', pages: Array(41).fill(page([]).pages[0]) }],
  ])('refuses what cannot be drawn', async (body) => expect((await post(body)).status).toBe(422));
});
