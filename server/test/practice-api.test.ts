import { randomUUID } from 'node:crypto';
import { QUESTION_KINDS } from '@aurora/core';
import type { PracticePass } from '@aurora/wire';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { restoreBand } from '../src/backup/backup-store.ts';
import { addBand } from '../src/band/band-store.ts';
import { addMember } from '../src/member/member-store.ts';
import { backupOf, openDatabase, openServer, send, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let memberId = '';
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
  memberId = (await addMember(db.pool, db.bandId, { name: 'Wren', plays: 'guitar' }))?.id ?? '';
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const api = (path: string, method = 'GET', body?: unknown) => send(`${server.url}/api/v1${path}`, method, body);
const mine = (path: string, method = 'GET', body?: unknown) => api(`/bands/${db.bandId}/members/${memberId}${path}`, method, body);
const key = (tonic: string, scale = 'major') => ({ tonic, scale });
const questions = (over: object) =>
  api('/practice/questions', 'POST', { kinds: ['degree-to-chord'], keys: [key('Eb')], count: 5, seed: 1, ...over });
const NOW = '2026-11-27T20:00:00Z';
const plan = (over: object) => api('/practice/plan', 'POST', { minutes: 20, passes: [], now: NOW, seed: 1, ...over });
const pass = (over: Partial<PracticePass> = {}): PracticePass => ({
  id: randomUUID(),
  at: '2026-11-20T19:00:00.000Z',
  item: 'recall/degree-to-chord/Eb major',
  stage: 'Gm7',
  tempo: null,
  answeredMs: 2100,
  outcome: 'right',
  said: '',
  hidden: true,
  seconds: 4,
  night: null,
  ...over,
});

describe('questions', () => {
  test.each(QUESTION_KINDS)('%s: asked, answered, with a reason, and always the same', async (kind) => {
    const wish = { kinds: [kind], keys: [key('Bb'), key('C', 'minor')], count: 20, seed: 9 };
    const first = await questions(wish);
    expect(first.status).toBe(200);
    expect(first.body.questions).toHaveLength(20);
    for (const { prompt, answer, reason } of first.body.questions) {
      expect([prompt.text, reason].every((text) => text.length > 5 && !/undefined|NaN|\[object/.test(text))).toBe(true);
      expect(answer.accepted.length).toBeGreaterThan(0);
    }
    expect((await questions(wish)).body).toEqual(first.body);
  });

  test.each([
    ['degree-to-chord', 'Eb', { degree: '3' }, ['Gm7']],
    ['secondary-dominant', 'Bb', { degree: '6' }, ['D7', 'D']],
    ['two-five-one', 'Eb', {}, ['Fm7 Bb7 Ebmaj7']],
    ['scale-numbers', 'C', { degree: '2' }, ['2 4 6 1']],
  ])('%s in %s with %j: %j', async (kind, tonic, prompt, accepted) => {
    const { body } = await questions({ kinds: [kind], keys: [key(tonic)], count: 7 });
    expect(
      body.questions.find((one: { prompt: object }) =>
        Object.entries(prompt).every(([name, value]) => (one.prompt as Record<string, unknown>)[name] === value),
      ).answer.accepted,
    ).toEqual(accepted);
  });

  test('a key may be said by its name, too', async () => {
    const named = await questions({ keys: ['Eb', 'C minor'] });
    expect(named.body).toEqual((await questions({ keys: [key('Eb'), key('C', 'natural minor')] })).body);
    expect((await questions({ keys: [3] })).body.detail).toContain('or its name');
  });

  test('for an instrument and a capo of one’s own', async () => {
    const bass = await questions({ kinds: ['note-on-fret'], tuning: ['E1', 'A1', 'D2', 'G2'], count: 52 });
    expect(new Set(bass.body.questions.map((one: { prompt: { string: number } }) => one.prompt.string))).toEqual(new Set([1, 2, 3, 4]));
    const capo = await questions({ kinds: ['capo-sounds'], capo: 3, keys: [key('F')], count: 7 });
    const shape = capo.body.questions.find((one: { prompt: { shape: string } }) => one.prompt.shape === 'D');
    expect([shape.prompt.capo, shape.answer.accepted]).toEqual([3, ['F']]);
  });

  test.each([
    [{ keys: [] }, 'name at least one key'],
    [{ kinds: [] }, 'name at least one kind of question'],
    [{ kinds: ['riddle'] }, 'a kind of question is one of'],
    [{ count: 0 }, 'ask for 1 to 200 questions'],
    [{ count: 201 }, 'ask for 1 to 200 questions'],
    [{ keys: [key('H')] }, 'H'],
    [{ keys: [key('B##', 'lydian augmented')] }, 'triple'],
    [{ capo: 12 }, 'a capo sits at fret 0 to 11'],
    [{ tuning: ['E', 'A', 'H'] }, 'H'],
    [{ tuning: [40] }, 'one string'],
    [{ kinds: ['what-changed'], tuning: [40, 45] }, 'five strings'],
    [{ kinds: ['relative'], keys: [key('D', 'dorian')] }, 'relative'],
  ])('%j is refused: %s', async (over, words) => {
    const { status, body, type } = await questions(over);
    expect([status, type.split(';')[0]]).toEqual([422, 'application/problem+json']);
    expect(body.detail).toContain(words);
  });
});

const post = (path: string, body: unknown) => api(path, 'POST', body);

describe('answers', () => {
  const ask = async (depth: 'triad' | 'seventh') =>
    (await post('/practice/questions', { kinds: ['degree-to-chord'], keys: ['Gb major'], depth, count: 7, seed: 1 })).body.questions.find(
      ({ prompt }: { prompt: { degree: string } }) => prompt.degree === '5',
    );

  test.each([
    ['Db7', 'right', 'Db7'],
    ['dee flat seven', 'right', 'Db7'],
    ['D♭ dominant seventh', 'right', 'Db7'],
    ['Db', 'as-triad', 'Db'],
    ['C#7', 'wrong', 'C#7'],
    ['Dbm7', 'wrong', 'Dbm7'],
    ['banana', 'unread', ''],
  ])('5 of G♭ as a seventh, %s: %s', async (answer, verdict, reads) => {
    const { status, body } = await post('/practice/answers', { question: await ask('seventh'), answer });
    expect([status, body.verdict, body.reads]).toEqual([200, verdict, reads]);
    expect(body.says.length).toBeGreaterThan(5);
  });

  test('as a triad the triad is right', async () => {
    expect((await post('/practice/answers', { question: await ask('triad'), answer: 'D flat major' })).body.verdict).toBe('right');
  });

  test('every question of every kind is answered right by what it accepts', async () => {
    const { body } = await post('/practice/questions', {
      kinds: [
        'degree-to-chord',
        'chord-to-degree',
        'degree-quality',
        'quality-row',
        'chord-tones',
        'two-five-one',
        'relative',
        'note-on-fret',
      ],
      keys: ['Eb major', 'C minor'],
      count: 80,
      seed: 3,
    });
    for (const question of body.questions)
      for (const answer of question.answer.accepted)
        expect((await post('/practice/answers', { question, answer })).body.verdict).toBe('right');
  });

  test.each([
    [{}, 422],
    [{ question: {}, answer: 'C' }, 422],
    [{ question: { kind: 'relative', answer: { as: 'key', accepted: [], spelled: true } }, answer: 'C' }, 422],
    [{ question: { kind: 'nonsense', answer: { as: 'key', accepted: ['C major'], spelled: true } }, answer: 'C' }, 422],
  ])('%j is refused', async (body, status) => expect((await post('/practice/answers', body)).status).toBe(status));
});

describe('plans', () => {
  test('sum to the minutes, say why, and are always the same', async () => {
    const wish = {
      minutes: 45,
      passes: [{ at: '2026-11-18T20:00:00Z', item: 'shapes/ladder/Eb major', outcome: 'shaky', tempo: 84 }],
      programme: { nights: 30, order: 'fifths', first: 'D' },
      set: { songs: [{ title: 'Harbor Wall', key: 'G' }] },
    };
    const { status, body } = await plan(wish);
    expect(status).toBe(200);
    expect(body.blocks.reduce((sum: number, { minutes }: { minutes: number }) => sum + minutes, 0)).toBe(45);
    const whys = body.blocks.flatMap(({ items }: { items: { why: string }[] }) => items.map(({ why }) => why));
    expect(whys).toContain('9 days, wavered at 84');
    expect(whys).toContain('night 1 of your programme');
    expect(whys).toContain('in the next set');
    expect((await plan(wish)).body).toEqual(body);
  });

  test.each([
    [{ minutes: 0 }, 'a plan is for 3 to 180 minutes'],
    [{ minutes: 500 }, 'a plan is for 3 to 180 minutes'],
    [{ minutes: 20.5 }, 'whole minutes'],
    [{ now: 'tonight' }, 'a time such as'],
    [{ passes: [{ at: NOW, item: 'scales', outcome: 'clean' }] }, 'study/what/key'],
    [{ passes: [{ at: NOW, item: 'gossip/a/b', outcome: 'clean' }] }, 'a study is one of'],
    [{ passes: [{ at: NOW, item: 'runs/arpeggios/C major', outcome: 'great' }] }, 'how it went is one of'],
    [{ programme: { nights: 0 } }, 'a programme has 1 to 120 nights'],
    [{ programme: { nights: 3, order: 'alphabetical' } }, 'an order is one of'],
    [{ set: { songs: [{ title: 'x', key: 'H' }] } }, 'H'],
  ])('%j is refused: %s', async (over, words) => {
    const { status, body } = await plan(over);
    expect(status).toBe(422);
    expect(body.detail).toContain(words);
  });

  test('a pass from the future, and a clock that went back: a plan all the same, and it is told', async () => {
    const passes = [{ at: '2026-12-24T20:00:00Z', item: 'recall/degree-to-chord/Eb major', outcome: 'right' }];
    const { status, body } = await plan({ passes });
    expect(status).toBe(200);
    expect(body.remarks[0]).toContain('27 days ahead');
    expect((await plan({ passes, now: '2020-01-01T00:00:00Z' })).status).toBe(200);
  });
});

describe('what a player practised', () => {
  test('is kept once, however often it is sent, in pages that nothing shifts', async () => {
    const passes = Array.from({ length: 25 }, (_, at) => pass({ at: `2026-11-0${1 + (at % 9)}T19:00:00.000Z` }));
    expect((await mine('/passes', 'POST', { passes })).body).toEqual({ stored: 25, known: 0, remarks: [] });
    expect((await mine('/passes', 'POST', { passes: [...passes, pass({ at: '2026-10-01T19:00:00.000Z' })] })).body).toMatchObject({
      stored: 1,
      known: 25,
    });
    const seen: PracticePass[] = [];
    let next: string | null = '';
    while (next !== null) {
      const page = await mine(`/passes?limit=10${next === '' ? '' : `&after=${next}`}`);
      seen.push(...page.body.passes);
      next = page.body.next;
      // one played meanwhile is newer than every page
      await mine('/passes', 'POST', { passes: [pass({ at: '2026-11-21T19:00:00.000Z' })] });
    }
    expect(seen).toHaveLength(26);
    expect(new Set(seen.map(({ id }) => id)).size).toBe(26);
    expect(seen.map(({ at }) => at)).toEqual([...seen.map(({ at }) => at)].sort().reverse());
    expect(seen).toEqual(expect.arrayContaining(passes));
  });

  test('the same pass sent by ten at once is one', async () => {
    const one = pass();
    const sent = await Promise.all(Array.from({ length: 10 }, () => mine('/passes', 'POST', { passes: [one] })));
    expect(sent.reduce((sum, { body }) => sum + body.stored, 0)).toBe(1);
  });

  test('a pass from the future is kept as played now, and said', async () => {
    const late = pass({ at: '2098-01-01T00:00:00.000Z' });
    const { status, body } = await mine('/passes', 'POST', { passes: [late] });
    expect([status, body.stored]).toEqual([201, 1]);
    expect(body.remarks[0]).toContain('ahead');
    const kept = (await mine('/passes?limit=1000')).body.passes.find(({ id }: PracticePass) => id === late.id);
    expect(Date.parse(kept.at)).toBeLessThanOrEqual(Date.now());
  });

  test.each([
    [{ id: 'x' }, 'an id of its own'],
    [{ at: 'yesterday' }, 'a time such as'],
    [{ item: 'nothing' }, 'study/what/key'],
    [{ tempo: 900 }, 'a tempo lies between'],
    [{ said: 'a\0b' }, 'NUL'],
  ])('%j is refused: %s', async (over, words) => {
    const { status, body } = await mine('/passes', 'POST', { passes: [{ ...pass(), ...over }] });
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toContain(words);
  });

  test('nothing sent, a place that is none, and a player who is not here', async () => {
    expect((await mine('/passes', 'POST', { passes: [] })).body.detail).toContain('send at least one pass');
    expect((await mine('/passes?after=zzz')).status).toBe(422);
    expect((await api(`/bands/${db.bandId}/members/${randomUUID()}/passes`, 'POST', { passes: [pass()] })).status).toBe(404);
    expect((await api(`/bands/${await addBand(db.pool, 'Next door')}/members/${memberId}/passes`)).body.passes).toEqual([]);
  });

  test('comes out as a table', async () => {
    const response = await fetch(`${server.url}/api/v1/bands/${db.bandId}/exports/members/${memberId}/practice.csv`);
    const lines = (await response.text()).trim().split(/\r?\n/);
    expect(response.headers.get('content-type')).toContain('text/csv');
    expect(lines[0]).toBe('when,study,what,key,stage,tempo,answered in ms,how it went,said,hidden,seconds,night');
    expect(lines.length).toBeGreaterThan(25);
  });
});

describe('settings and the log', () => {
  test('a programme is kept; before that there is none', async () => {
    const settings = {
      programme: { order: 'fourths', keys: [key('C'), key('F')], skipped: [2], since: NOW },
      ladder: { up: 5, down: 8 },
      depth: 'both',
    };
    expect((await mine('/practice')).body).toEqual({ programme: null, ladder: { up: 4, down: 6 }, depth: null });
    expect((await mine('/practice', 'PUT', settings)).status).toBe(200);
    expect((await mine('/practice')).body).toEqual(settings);
    expect((await mine('/practice', 'PUT', { ...settings, ladder: { up: 0, down: 8 } })).body.detail).toContain('1 to 20');
    const unheard = { ...settings, programme: { ...settings.programme, keys: [key('C'), key('H')] } };
    expect((await mine('/practice', 'PUT', unheard)).body.detail).toContain('H');
    expect((await mine('/practice')).body).toEqual(settings);
  });

  test('a session is noted, changed, taken out and brought back', async () => {
    const session = { id: randomUUID(), at: '2026-11-27T20:00:00.000Z', minutes: 20, note: 'Wrist loose today', gone: false };
    const path = `/practice/sessions/${session.id}`;
    expect((await mine(path, 'PUT', session)).status).toBe(200);
    await mine(path, 'PUT', { ...session, note: 'Wrist loose, seams better' });
    expect((await mine('/practice/sessions')).body.sessions).toEqual([{ ...session, note: 'Wrist loose, seams better' }]);
    await mine(path, 'PUT', { ...session, gone: true });
    expect((await mine('/practice/sessions')).body.sessions).toEqual([]);
    await mine(path, 'PUT', session);
    expect((await mine('/practice/sessions')).body.sessions).toHaveLength(1);
    expect((await mine(`/practice/sessions/${randomUUID()}`, 'PUT', session)).status).toBe(422);
  });

  test('what it comes to is counted where it lies', async () => {
    const other = (await addMember(db.pool, db.bandId, { name: 'Lark', plays: 'bass' }))?.id ?? '';
    const at = (day: number) => new Date(Date.now() - day * 86_400_000).toISOString();
    const passes = [
      ...[1000, 2000, 9000].map((answeredMs) => pass({ at: at(1), answeredMs })),
      pass({ at: at(1), item: 'recall/degree-quality/A major', stage: 'm7', outcome: 'wrong', said: '7' }),
      pass({ at: at(2), item: 'recall/degree-quality/A major', stage: 'm7', outcome: 'wrong', said: '7' }),
      pass({ at: at(2), item: 'chain/seam to Ab major/Bb major', outcome: 'stopped', tempo: 60, answeredMs: null }),
      pass({ at: at(2), item: 'runs/arpeggios/A major', outcome: 'clean', tempo: 60, seconds: 90, answeredMs: null }),
      pass({ at: at(2), item: 'runs/arpeggios/A major', outcome: 'clean', tempo: 64, seconds: 90, answeredMs: null }),
    ];
    await api(`/bands/${db.bandId}/members/${other}/passes`, 'POST', { passes });
    const { status, body } = await api(`/bands/${db.bandId}/members/${other}/practice/log`);
    expect(status).toBe(200);
    expect(body.passes).toBe(8);
    expect(body.mistaken).toEqual([{ wanted: 'm7', said: '7', times: 2 }]);
    expect(body.seams).toEqual([{ from: 'Bb major', to: 'Ab major', passes: 1, failed: 1 }]);
    expect(body.recall.find(({ what }: { what: string }) => what === 'degree-to-chord').medianMs).toBe(2000);
    expect(body.tempos[0]).toMatchObject({ item: 'runs/arpeggios/A major', tempo: 64 });
    expect(body.cells.find(({ key: of, what }: { key: string; what: string }) => of === 'A major' && what === 'arpeggios')).toMatchObject({
      passes: 2,
      good: 2,
    });
    expect(body.weeks.reduce((sum: number, { passes: count }: { passes: number }) => sum + count, 0)).toBe(8);
  });

  test('a quality has one name in it however it was said', async () => {
    const other = (await addMember(db.pool, db.bandId, { name: 'Wren', plays: 'guitar' }))?.id ?? '';
    const wrong = (stage: string, said: string) => pass({ item: 'recall/degree-quality/A major', stage, outcome: 'wrong', said });
    const passes = [
      wrong('maj7', '7'),
      wrong('maj7', 'dominant'),
      wrong('maj7', 'dominant seventh'),
      wrong('m7', 'half-diminished'),
      wrong('m7', 'ø'),
    ];
    await api(`/bands/${db.bandId}/members/${other}/passes`, 'POST', { passes });
    const { body } = await api(`/bands/${db.bandId}/members/${other}/practice/log`);
    expect(body.mistaken).toEqual([
      { wanted: 'maj7', said: '7', times: 3 },
      { wanted: 'm7', said: 'm7b5', times: 2 },
    ]);
  });

  test('weeks have the minutes of their sessions, and of what was played outside of one; empty weeks are there', async () => {
    const other = (await addMember(db.pool, db.bandId, { name: 'Kite', plays: 'guitar' }))?.id ?? '';
    const member = `/bands/${db.bandId}/members/${other}`;
    const start = Date.now() - 22 * 86_400_000;
    const after = (minutes: number) => new Date(start + minutes * 60_000).toISOString();
    const session = { id: randomUUID(), at: after(0), minutes: 25, note: '', gone: false };
    expect((await api(`${member}/practice/sessions/${session.id}`, 'PUT', session)).status).toBe(200);
    // two within the session, one an hour behind it
    const passes = [5, 24, 90].map((minutes) => pass({ at: after(minutes), seconds: 120 }));
    await api(`${member}/passes`, 'POST', { passes });
    const { weeks } = (await api(`${member}/practice/log`)).body as { weeks: { week: string; minutes: number; passes: number }[] };
    expect(weeks.length).toBeGreaterThanOrEqual(4);
    expect(weeks.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(27);
    expect(weeks.reduce((sum, one) => sum + one.passes, 0)).toBe(3);
    expect(weeks.at(-1)).toMatchObject({ minutes: 0, passes: 0 });
    const days = weeks.map(({ week }) => Date.parse(week) / 86_400_000);
    expect(days.slice(1).every((day, at) => day - (days[at] as number) === 7)).toBe(true);
    await api(`${member}/practice/sessions/${session.id}`, 'PUT', { ...session, gone: true });
    const later = (await api(`${member}/practice/log`)).body.weeks as typeof weeks;
    expect(later.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(6);
  });
});

test('a backup holds it, and a band restored has it again', async () => {
  const before = await backupOf(db.pool, db.bandId, new Date());
  expect(before?.practice.length).toBe(4);
  await db.pool.transaction((client) => restoreBand(client, db.bandId, before as never, async () => undefined));
  expect((await backupOf(db.pool, db.bandId, new Date()))?.practice).toEqual(before?.practice);
});
