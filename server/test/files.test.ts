import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { addBand } from '../src/band/band-store.ts';
import { addMember, listMembers } from '../src/member/member-store.ts';
import { addSet, findSet, listSets } from '../src/set/set-store.ts';
import { addSong, allSongs, changeSong, findSong, saveSong } from '../src/song/song-store.ts';
import { saveSwap } from '../src/swap/swap-store.ts';
import { backupOf, computeApi, openDatabase, openServer, send, setSong, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let bandId: string;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
});
afterAll(async () => {
  await server.close();
  await db.close();
});
beforeEach(async () => {
  bandId = await addBand(db.pool, 'The Slipway');
});

const CHART = 'title: Slack Tide\nkey: G\ntempo: 90\n\n[Verse] x2\n1 4 5/7 1\n~ tide is turning\n';
const base = () => `${server.url}/api/v1/bands/${bandId}`;
const song = async (text = CHART) => (await addSong(db.pool, bandId, { source: text }))?.id ?? '';

async function finished(id: string) {
  for (let turn = 0; turn < 400; turn += 1) {
    const { body } = await send(`${base()}/jobs/${id}`);
    if (body.state !== 'working') return body;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error('the work did not end');
}

/** Brings a file in as far as its preview; a file that cannot be read gives what is said of it. */
async function bring(name: string, content: string | Uint8Array) {
  const response = await fetch(`${base()}/imports?name=${encodeURIComponent(name)}`, { method: 'POST', body: Buffer.from(content) });
  const started = (await response.json()) as { id: string; detail?: string };
  if (response.status !== 202) return { id: '', says: started.detail ?? '', preview: null };
  const ended = await finished(started.id);
  const preview = ended.state === 'done' ? (await send(`${base()}/imports/${started.id}`)).body : null;
  return { id: started.id, says: ended.says as string, preview };
}

async function take(id: string, wish: object = {}) {
  const started = await send(`${base()}/imports/${id}/accept`, 'POST', wish);
  expect(started.status).toBe(202);
  return finished(started.body.id);
}

describe('/convert', () => {
  const ask = computeApi();

  test('a chart into another format, in another key, with what gets lost', async () => {
    const { status, body } = await ask('/convert', { from: 'chart', to: 'text', content: CHART, key: 'A' });
    expect(status).toBe(200);
    expect(body).toMatchObject({ encoding: 'text', fileName: 'Slack Tide.txt', mediaType: 'text/plain' });
    expect(body.content).toContain('| A | D | E/G# | A |\ntide is turning');
    const midi = await ask('/convert', { from: 'chart', to: 'midi', content: CHART });
    expect(Buffer.from(midi.body.content, 'base64').subarray(0, 4).toString()).toBe('MThd');
    expect(midi.body.losses.map(({ code }: { code: string }) => code)).toEqual(['form-written-out', 'lyrics']);
    expect(midi.body.losses[1].message).toBe('Lyrics and cue lines are left out');
  });

  test('and back: base64 for what is no text', async () => {
    const mxl = await ask('/convert', { from: 'chart', to: 'mxl', content: CHART });
    const back = await ask('/convert', { from: 'mxl', to: 'chart', content: mxl.body.content });
    expect(back.body.content).toContain('|: 1 4 5/7 1 :|');
  });

  test.each([
    [{ from: 'chart', to: 'pdf', content: '' }, 422],
    [{ from: 'midi', to: 'chart', content: 'not base64!' }, 422],
    [{ from: 'midi', to: 'chart', content: 'aGVsbG8=' }, 422],
    [{ from: 'musicxml', to: 'chart', content: '<a><b></a>' }, 422],
    [{ from: 'chart', to: 'abc', content: 'key: C\n1', key: 'H' }, 422],
    [{ from: 'chart' }, 422],
    [{ from: 'chart', to: 'abc', content: 'x'.repeat(300_000) }, 413],
  ])('%j is answered with %i', async (wish, status) => {
    const answer = await ask('/convert', wish);
    expect(answer.status).toBe(status);
    expect(answer.body.detail.length).toBeGreaterThan(10);
  });

  test('a broken file is answered with its line, as a problem of the chart is', async () => {
    const torn = await ask('/convert', { from: 'musicxml', to: 'chart', content: '<score-partwise>\n<part>\n</score-partwise>' });
    expect(torn.body.errors[0]).toMatchObject({ path: 'content', line: 3 });
    const chart = await ask('/convert', { from: 'chart', to: 'abc', content: 'key: C\n1 oops 5' });
    expect(chart.body.losses).toEqual([expect.objectContaining({ code: 'chart-problem', message: expect.stringContaining('line 2') })]);
  });

  test('anything can be a chart, and nothing answers 500', async () => {
    expect((await ask('/convert', { from: 'chart', to: 'musicxml', content: '\u0000 }{ [[ |: 1' })).status).toBe(200);
  });
});

describe('a file that is brought in', () => {
  test('is shown first, and only what is taken is there', async () => {
    const abc = 'X:1\nT:One\nM:4/4\nL:1/4\nK:G\n"G"G4 | "D7"D4 |\n\nX:2\nT:Two\nM:4/4\nL:1/4\nK:C\n"C"C4 |\n';
    const { id, preview } = await bring('tunes.abc', abc);
    expect(preview.songs.map(({ title, key, bars }: Record<string, unknown>) => [title, key, bars])).toEqual([
      ['One', 'G', 2],
      ['Two', 'C', 1],
    ]);
    expect(preview.songs[0].losses).toEqual(['The melody is not kept, only its range, D4 to G4: a chart holds chords, words and form']);
    expect(await allSongs(db.pool, bandId)).toEqual([]);
    const done = await take(id, { take: [1] });
    expect(done).toMatchObject({ state: 'done', says: 'One song is on the shelf.' });
    expect((await findSong(db.pool, bandId, done.made.songs[0]))?.source).toMatch(/^title: Two/);
    expect(await allSongs(db.pool, bandId)).toHaveLength(1);
  });

  test('without a title is named after its file', async () => {
    const { preview } = await bring('rope-walk.txt', 'G C D G\nhaul away\n');
    expect(preview.songs[0]).toMatchObject({ title: 'rope walk', key: 'G', losses: ['No key is named; G was found from the chords'] });
  });

  test.each([
    ['empty.mid', new Uint8Array(), 'There is nothing in this file.'],
    ['torn.mxl', strToU8('PK\u0003\u0004 torn'), 'This MXL file cannot be read: the zip is damaged or ends too early.'],
    ['bomb.mxl', zipSync({ 'a.xml': new Uint8Array(40_000_000) }), 'This MXL file holds more than a song can be: it is not read.'],
    [
      'entities.xml',
      strToU8('<?xml version="1.0"?><!DOCTYPE x [<!ENTITY f SYSTEM "file:///etc/hostname">]><score-partwise>&f;</score-partwise>'),
      'This file declares names of its own (entities) for other text. Such files are not read; save it again without them.',
    ],
    ['words.txt', strToU8('only words here\nand here\n'), 'There is no music in this text file.'],
    ['song.json', strToU8('{"a":'), 'This backup file cannot be read: it is damaged, or ends too early.'],
  ])('%s is refused in words', async (name, content, says) => {
    expect((await bring(name, content)).says).toBe(says);
    expect(await allSongs(db.pool, bandId)).toEqual([]);
  });

  test('of another band is not there', async () => {
    const { id } = await bring('a.txt', 'G C D G\n');
    bandId = await addBand(db.pool, 'Neighbours');
    expect((await send(`${base()}/imports/${id}`)).status).toBe(404);
    expect((await send(`${base()}/imports/${id}/accept`, 'POST', {})).status).toBe(404);
  });

  test('that is larger than a file can be is refused', async () => {
    const response = await fetch(`${base()}/imports?name=a.mid`, { method: 'POST', body: Buffer.alloc(33 * 1024 * 1024) });
    expect([response.status, ((await response.json()) as { detail: string }).detail]).toEqual([413, 'A file can be 32 MB at most.']);
  });

  test('stopped half way leaves nothing', async () => {
    const index = `title,key\n${Array.from({ length: 3000 }, (_, at) => `Song ${at},G`).join('\n')}\n`;
    const { id } = await bring('index.csv', index);
    const started = await send(`${base()}/imports/${id}/accept`, 'POST', {});
    await new Promise((resolve) => setTimeout(resolve, 80));
    expect((await send(`${base()}/jobs/${started.body.id}`, 'DELETE')).body.state).toBe('stopped');
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(await allSongs(db.pool, bandId)).toEqual([]);
  });
});

describe('tables', () => {
  test('the song index goes out and comes in again', async () => {
    await changeSong(db.pool, bandId, await song(), { tags: ['loud', 'encore'] });
    const response = await fetch(`${base()}/exports/songs.csv`);
    expect(response.headers.get('content-type')).toBe('text/csv; charset=utf-8');
    const text = await response.text();
    expect(
      text
        .replace(/^\ufeff/, '')
        .split('\r\n')
        .slice(0, 2),
    ).toEqual(['title,by,key,time,tempo,feel,tags,bars', 'Slack Tide,,G,,90,,loud; encore,4']);
    const { preview } = await bring('songs.csv', text);
    expect(preview.songs[0]).toMatchObject({ title: 'Slack Tide', key: 'G', tags: ['loud', 'encore'], bars: 0 });
  });

  test('a set goes out and comes in again, by its titles', async () => {
    const songId = await song();
    const entry = setSong('a', songId, {
      key: 'A',
      tempo: 100,
      starts: 'Wren',
      notes: 'slow',
      seconds: 200,
      join: { kind: 'bridge', bridge: 'two-five' },
    });
    const made = await addSet(db.pool, bandId, {
      name: 'Friday',
      place: '',
      startsAt: '20:00',
      date: '',
      gapSeconds: 0,
      entries: [entry, { kind: 'break', id: 'b', name: 'Tea', seconds: 600 }, { ...entry, id: 'c', join: { kind: 'gap' } }],
    });
    if (made.kind !== 'saved') throw new Error(made.kind);
    const text = await (await fetch(`${base()}/exports/sets/${made.set.id}.csv`)).text();
    expect(text).toContain('1,song,Slack Tide,A,100,3:20,Wren,slow,two-five,20:00');
    const { id, preview } = await bring('Saturday.csv', `${text}4,song,Unknown Song,,,,,,,\r\n`);
    expect(preview).toEqual({ kind: 'set', name: 'Saturday', entries: 3, missing: ['Unknown Song'] });
    const done = await take(id);
    const set = await findSet(db.pool, bandId, done.made.setId);
    expect(set?.entries.map(({ kind }) => kind)).toEqual(['song', 'break', 'song']);
    expect(set?.entries[0]).toMatchObject({
      songId,
      key: 'A',
      tempo: 100,
      starts: 'Wren',
      notes: 'slow',
      seconds: 200,
      join: { kind: 'bridge', bridge: 'two-five' },
    });
  });
});

test('every song in every format, zipped, with a report of what got lost', async () => {
  await song();
  await song('title: Slack Tide\nkey: C\n1 >4\n');
  const started = await send(`${base()}/exports`, 'POST', { format: 'all' });
  expect(await finished(started.body.id)).toMatchObject({ state: 'done', says: '2 songs.' });
  const zip = new Uint8Array(await (await fetch(`${base()}/jobs/${started.body.id}/file`)).arrayBuffer());
  const files = unzipSync(zip);
  expect(Object.keys(files)).toHaveLength(13);
  expect(Object.keys(files)).toContain('MIDI/Slack Tide (2).mid');
  expect(Buffer.from(files['What got lost.txt'] ?? []).toString()).toContain('Lyrics and cue lines are left out');
});

describe('a backup of the whole band', () => {
  async function furnished() {
    const songId = await song();
    await saveSong(db.pool, bandId, songId, { baseRevision: 1, source: `${CHART}\n[B]\n6- 4\n` });
    await changeSong(db.pool, bandId, songId, { tags: ['loud'] });
    const put = await song('title: Put Away\nkey: C\n1\n');
    await changeSong(db.pool, bandId, put, { archived: true });
    const wren = (await addMember(db.pool, bandId, { name: 'Wren', plays: 'guitar', reads: { capo: 2, voice: null } }))?.id ?? '';
    await saveSwap(db.pool, bandId, songId, { memberId: wren, chord: '4', stretch: 0, instead: '4maj7', refusedBy: '' });
    await addSet(db.pool, bandId, {
      name: 'Friday',
      place: 'The Slip',
      startsAt: '20:00',
      date: '',
      gapSeconds: 30,
      entries: [setSong('a', songId, { key: 'A', capos: { [wren]: 3 } })],
    });
    return { songId, wren };
  }
  const backup = async () => (await fetch(`${base()}/exports/backup.json`)).text();
  const asKept = async () => {
    const kept = await backupOf(db.pool, bandId, new Date(0));
    return JSON.parse(JSON.stringify(kept));
  };

  test('puts everything back as it was: versions, tags, players, sets, easier chords, under the same ids', async () => {
    const { songId } = await furnished();
    const before = await asKept();
    const text = await backup();
    await saveSong(db.pool, bandId, songId, { baseRevision: 2, source: 'title: Spoilt\n1\n' });
    await song('title: One More\n1\n');
    const { id, preview } = await bring('band.json', text);
    expect(preview).toMatchObject({ kind: 'backup', band: 'The Slipway', songs: 2, versions: 3, members: 1, sets: 1 });
    expect(await take(id)).toMatchObject({ state: 'done', says: 'The Slipway is as it was.' });
    const after = await asKept();
    const spoilt = after.songs.find((one: { id: string }) => one.id === songId).versions;
    // what stood before is kept, and what was put back is a newer revision
    expect(spoilt.map(({ revision, source }: { revision: number; source: string }) => [revision, source.split('\n')[0]])).toEqual([
      [1, 'title: Slack Tide'],
      [2, 'title: Slack Tide'],
      [3, 'title: Spoilt'],
      [4, 'title: Slack Tide'],
    ]);
    expect(spoilt.slice(0, 2)).toEqual(before.songs.find((one: { id: string }) => one.id === songId).versions);
    const whole = (kept: typeof after) => ({ ...kept, songs: kept.songs.map((one: object) => ({ ...one, versions: [] })) });
    expect(whole(after)).toEqual(whole(before));
  });

  test('restored over what was not changed it is the same to the last version', async () => {
    await furnished();
    const before = await asKept();
    await take((await bring('band.json', await backup())).id);
    expect(await asKept()).toEqual(before);
  });

  test('who still has open what stood before a restore is told so, and overwrites nothing', async () => {
    const { songId } = await furnished();
    const text = await backup();
    await saveSong(db.pool, bandId, songId, { baseRevision: 2, source: 'title: Third\n1\n' });
    const [setId] = ((await (await fetch(`${base()}/sets`)).json()) as { sets: { id: string }[] }).sets.map(({ id }) => id);
    const setBefore = (await (await fetch(`${base()}/sets/${setId}`)).json()) as { revision: number };
    await take((await bring('band.json', text)).id);
    for (const baseRevision of [2, 3]) {
      const stale = await send(`${base()}/songs/${songId}`, 'PUT', { source: 'title: Stale\n1\n', baseRevision });
      expect(stale.status).toBe(409);
      expect(stale.body.current.revision).toBe(4);
    }
    const setAfter = (await (await fetch(`${base()}/sets/${setId}`)).json()) as { revision: number };
    expect(setAfter.revision).toBeGreaterThan(setBefore.revision);
  });

  test('restored into another band takes new ids, and leaves the first as it is', async () => {
    await furnished();
    const [text, first, firstBand] = [await backup(), await asKept(), bandId];
    bandId = await addBand(db.pool, 'Elsewhere');
    await take((await bring('band.json', text)).id);
    const second = await asKept();
    expect(second.songs.map(({ versions }: { versions: unknown }) => versions)).toEqual(
      first.songs.map(({ versions }: { versions: unknown }) => versions),
    );
    expect(second.songs[0].id).not.toBe(first.songs[0].id);
    expect(second.sets[0].entries[0].songId).toBe(second.songs[0].id);
    expect(Object.keys(second.sets[0].entries[0].capos)).toEqual([second.members[0].id]);
    expect(second.swaps[0]).toMatchObject({ songId: second.songs[0].id, memberId: second.members[0].id });
    bandId = firstBand;
    expect(await asKept()).toEqual(first);
  });

  test('keeps the order of the sets, whichever was written first', async () => {
    const names = ['Friday', 'Harbour fair', 'Late', 'Quay', 'Rehearsal'];
    for (const name of names) await addSet(db.pool, bandId, { name, place: '', startsAt: '', date: '', gapSeconds: 30, entries: [] });
    const order = async () => ((await (await fetch(`${base()}/sets`)).json()) as { sets: { name: string }[] }).sets.map(({ name }) => name);
    const [text, before] = [await backup(), await order()];
    expect([...before].sort()).toEqual(names);
    await take((await bring('band.json', text)).id);
    expect(await order()).toEqual(before);
    bandId = await addBand(db.pool, 'Elsewhere');
    await take((await bring('band.json', text)).id);
    expect(await order()).toEqual(before);
  });

  test.each([
    ['of a newer version', (made: Record<string, unknown>) => ({ ...made, version: 99 }), /version 99; this program reads up to version 3/],
    ['of something else', (made: Record<string, unknown>) => ({ ...made, format: 'recipes' }), /This is no backup file/],
    [
      'without its songs',
      ({ songs: _, ...made }: Record<string, unknown>) => made,
      /^Something is missing or wrong in this backup: songs: this is missing/,
    ],
    [
      'with a set of songs it has not',
      (made: Record<string, unknown>) => ({ ...made, songs: [], swaps: [] }),
      /a song of the set “Friday”/,
    ],
    [
      'with a song without versions',
      (made: Record<string, unknown>) => ({ ...made, songs: [{ ...(made.songs as object[])[0], versions: [] }] }),
      /at least one version/,
    ],
  ])('%s is refused, and nothing is changed', async (_, spoil, says) => {
    await furnished();
    const before = await asKept();
    const { says: said, preview } = await bring('band.json', JSON.stringify(spoil(JSON.parse(await backup()))));
    expect(preview).toBeNull();
    expect(said).toMatch(says);
    expect(await asKept()).toEqual(before);
  });

  test('that fails half way leaves everything as it was', async () => {
    await furnished();
    const before = await asKept();
    const made = JSON.parse(await backup());
    // two players under one name of a preference break a rule of the database only when they are written
    made.swaps = [made.swaps[0], made.swaps[0]];
    const { id } = await bring('band.json', JSON.stringify(made));
    expect(await take(id)).toMatchObject({ state: 'failed' });
    expect(await asKept()).toEqual(before);
    expect(await listSets(db.pool, bandId)).toHaveLength(1);
    expect(await listMembers(db.pool, bandId)).toHaveLength(1);
  });
});
