import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { addMember } from '../src/member/member-store.ts';
import { addSet } from '../src/set/set-store.ts';
import { addSong } from '../src/song/song-store.ts';
import { openDatabase, openServer, send, setSong, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let setId: string;
let songId: string;
const folder = mkdtempSync(join(tmpdir(), 'packs-'));
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
  const players = [
    { name: 'Wren', plays: 'guitar', reads: { show: 'letters' as const } },
    { name: 'Odo', plays: 'alto saxophone', reads: { transpose: 9, show: 'letters' as const, words: false } },
    { name: 'Rook', plays: 'drums', reads: { part: 'form' as const } },
    { name: 'Bas', plays: 'bass', reads: { part: 'bass' as const, show: 'letters' as const, cues: 'own' as const } },
  ];
  const ids: string[] = [];
  for (const player of players) ids.push((await addMember(db.pool, db.bandId, player))?.id ?? '');
  const song = async (text: string) => (await addSong(db.pool, db.bandId, { source: text }))?.id ?? '';
  songId = await song('title: Slack Tide\nkey: Eb\n\n[Verse]\n1 4 5/7 1! @bass "walk up" @drums "brushes"\n~ tide is turning\n');
  const second = await song('title: Rope Walk\nkey: Em\n\n[Verse]\n1- 4- 57 1-\n');
  const outcome = await addSet(db.pool, db.bandId, {
    name: 'Friday',
    place: '',
    startsAt: '20:30',
    date: '',
    gapSeconds: 0,
    entries: [
      setSong('a', songId, { capos: { [ids[0] as string]: 1 }, starts: 'Rook', join: { kind: 'bridge', bridge: 'dominant' } }),
      setSong('b', second),
    ],
  });
  setId = outcome.kind === 'saved' ? outcome.set.id : '';
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const base = () => `${server.url}/api/v1/bands/${db.bandId}`;

async function finished(jobId: string): Promise<{ state: string; done: number; total: number; says: string }> {
  for (let turn = 0; turn < 400; turn += 1) {
    const { body } = await send(`${base()}/jobs/${jobId}`);
    if (body.state !== 'working') return body;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('the work did not end');
}

async function packOf(wish: object): Promise<Record<string, string>> {
  const started = await send(`${base()}/packs`, 'POST', wish);
  expect(started.status).toBe(202);
  expect(await finished(started.body.id)).toMatchObject({ state: 'done' });
  const response = await fetch(`${base()}/jobs/${started.body.id}/file`);
  expect(response.headers.get('content-type')).toBe('application/zip');
  const files = unzipSync(new Uint8Array(await response.arrayBuffer()));
  return Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, textOf(bytes)]));
}

/** What poppler reads in a PDF. */
function textOf(bytes: Uint8Array): string {
  const file = join(folder, 'part.pdf');
  writeFileSync(file, bytes);
  return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
}

describe('a parts pack', () => {
  test('of a set: a PDF for everyone, in their key, with what is theirs; the bridge is written in', async () => {
    const files = await packOf({ of: 'set', setId, paper: 'A4' });
    expect(Object.keys(files).sort()).toEqual([
      'Bas, bass.pdf',
      'Odo, alto saxophone.pdf',
      'Rook, drums.pdf',
      'Set list for the floor.pdf',
      'Set list.pdf',
      'Wren, guitar.pdf',
    ]);
    const guitar = files['Wren, guitar.pdf'] ?? '';
    expect(guitar).toContain('E♭, capo 1: D shapes');
    expect(guitar).toContain('Rook counts in');
    expect(guitar).toContain('tide is turning');
    expect(guitar).toMatch(/To Rope Walk/);
    // an alto reads a major sixth higher: E♭ sounds, C is written; E minor sounds, C♯ minor is written
    const alto = files['Odo, alto saxophone.pdf'] ?? '';
    expect(alto).toContain('E♭, written in C');
    expect(alto).toMatch(/Em, written in C♯m/);
    expect(alto).not.toContain('tide is turning');
    const drums = files['Rook, drums.pdf'] ?? '';
    expect(drums).toContain('4 bars');
    expect(drums).toContain('brushes');
    const bass = files['Bas, bass.pdf'] ?? '';
    expect(bass).toContain('walk up');
    expect(bass).not.toContain('brushes');
    // E♭ A♭ and the D under the slash
    expect(bass).toMatch(/E♭\s+A♭\s+D\s+E♭/);
    expect(files['Set list.pdf']).toMatch(/20:30/);
    expect(files['Set list for the floor.pdf']).toMatch(/Rope Walk\s+Em/);
  });

  test('of one song, in another key', async () => {
    const files = await packOf({ of: 'song', songId, key: 'D', paper: 'Letter' });
    expect(Object.keys(files)).toHaveLength(4);
    expect(files['Odo, alto saxophone.pdf']).toContain('D, written in B');
  });

  test.each([
    [{ of: 'set', setId: '00000000-0000-4000-8000-000000000000', paper: 'A4' }, 404],
    [{ of: 'song', songId: '00000000-0000-4000-8000-000000000000', key: null, paper: 'A4' }, 404],
    [{ of: 'set', paper: 'A4' }, 422],
    [{ of: 'everything' }, 422],
  ])('%j is answered with %i', async (wish, status) => expect((await send(`${base()}/packs`, 'POST', wish)).status).toBe(status));

  test('a key nobody can read is refused before any work', async () => {
    expect(await send(`${base()}/packs`, 'POST', { of: 'song', songId, key: 'H', paper: 'A4' })).toMatchObject({ status: 422 });
  });
});
