/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { DEFAULT_PRACTICE, type PracticePass, type PracticeSession, type PracticeSettings } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf, Refusal, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { PracticeRoom } from './PracticeRoom.tsx';
import { useRun } from './session/run-store.ts';
import { SessionPage } from './session/SessionPage.tsx';

let house: FakeHouse;
let settings: PracticeSettings;
let passes: PracticePass[];
let sessions: PracticeSession[];
const LOG = { passes: 0, cells: [], recall: [], mistaken: [], seams: [], tempos: [], weeks: [] };

beforeEach(() => {
  localStorage.clear();
  useRun.setState({ run: null, minutes: 20 });
  house = new FakeHouse();
  const tam = playerOf('Tam', 'guitar');
  house.members = [tam];
  house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, memberId: tam.id })) };
  settings = DEFAULT_PRACTICE;
  passes = [];
  sessions = [];
  house.on('GET', /.*\/practice/, () => settings);
  house.on('PUT', /.*\/practice/, ({ body }) => {
    settings = body as PracticeSettings;
    return settings;
  });
  house.on('GET', /.*\/passes.*/, () => ({ passes: [...passes].reverse(), next: null }));
  house.on('POST', /.*\/passes/, ({ body }) => {
    const sent = (body as { passes: PracticePass[] }).passes;
    passes.push(...sent.filter(({ id }) => passes.every((one) => one.id !== id)));
    return { stored: sent.length, known: 0, remarks: [] };
  });
  house.on('GET', /.*\/practice\/log/, () => ({ ...LOG, passes: passes.length }));
  house.on('GET', /.*\/practice\/sessions/, () => ({ sessions }));
  house.on('PUT', /.*\/practice\/sessions\/(.+)/, ({ body }, [id]) => {
    const session = { ...(body as PracticeSession), id: id as string };
    sessions = [session, ...sessions.filter((one) => one.id !== id)];
    return session;
  });
});
afterEach(cleanup);

const ROUTES = [
  { path: 'practice/session', Component: SessionPage },
  { path: 'practice/:part?', Component: PracticeRoom },
];
const open = (part: string) => openRoom(house, `/practice/${part}`, ROUTES);
const press = async (name: string | RegExp) => user.click(await screen.findByRole('button', { name }));
const outcomes = () => passes.map(({ outcome }) => outcome);

async function openStudy(group: string, name: RegExp): Promise<void> {
  open('studies');
  await user.click(await screen.findByRole('radio', { name: group }));
  await user.click((await screen.findAllByRole('button', { name }))[0] as HTMLElement);
  await screen.findByRole('button', { name: 'Finish' });
}

describe('a key a night', () => {
  const nights = () => within(screen.getByRole('list', { name: 'Nights' })).getAllByRole('listitem');
  const begin = async () => press('Start');

  test('is begun in the order chosen, and its first night is offered', async () => {
    open('programme');
    await user.selectOptions(await screen.findByLabelText('Order'), 'fifths');
    await begin();
    await screen.findByRole('list', { name: 'Nights' });
    expect(nights()).toHaveLength(30);
    expect(nights()[1]?.textContent).toContain('G major');
    await waitFor(() => expect(settings.programme?.order).toBe('fifths'));
  });

  test('begun before the player is known it waits for them', async () => {
    let answer: () => void = () => undefined;
    const known = new Promise<void>((resolve) => {
      answer = resolve;
    });
    const members = house.members;
    house.on('GET', /\/bands\/[^/]+\/members/, () => known.then(() => ({ members })));
    open('programme');
    await begin();
    expect(house.all('PUT', /\/practice$/)).toEqual([]);
    answer();
    await screen.findByRole('list', { name: 'Nights' });
    await waitFor(() => expect(settings.programme?.keys).toHaveLength(30));
    expect(house.all('PUT', /\/practice$/).map(({ path }) => path)).toEqual([
      `/bands/${house.me.bands[0]?.id}/members/${members[0]?.id}/practice`,
    ]);
  });

  test('begun before its older settings have come it leaves those as they are', async () => {
    settings = { ...DEFAULT_PRACTICE, ladder: { up: 9, down: 3 } };
    let answer: () => void = () => undefined;
    const known = new Promise<void>((resolve) => {
      answer = resolve;
    });
    house.on('GET', /.*\/practice/, () => known.then(() => settings));
    open('programme');
    await begin();
    answer();
    await screen.findByRole('list', { name: 'Nights' });
    await waitFor(() => expect(settings).toMatchObject({ ladder: { up: 9, down: 3 }, programme: { order: 'fourths' } }));
  });

  test('what the server refuses does not stay on the screen', async () => {
    house.on('PUT', /.*\/practice/, () => new Refusal(503, 'The database is away for a moment.'));
    open('programme');
    await begin();
    await waitFor(() => expect(house.all('PUT', /\/practice$/)).toHaveLength(1));
    await waitFor(() => expect(screen.queryByRole('list', { name: 'Nights' })).toBeNull());
  });

  test('a night is skipped, and the next one comes', async () => {
    open('programme');
    await user.selectOptions(await screen.findByLabelText('Order'), 'fifths');
    await begin();
    expect(await screen.findByRole('heading', { name: /Night 1: C major/ })).toBeTruthy();
    await press('Skip this night');
    expect(await screen.findByRole('heading', { name: /Night 2: G major/ })).toBeTruthy();
    await waitFor(() => expect(settings.programme?.skipped).toEqual([1]));
    expect(nights()[0]?.textContent).toContain('skipped');
  });

  test('what of a night was played is said; an earlier one is opened, gone on with, and left for tonight again', async () => {
    const since = new Date(Date.now() - 5 * 86_400_000).toISOString();
    const keys = ['C', 'F', 'Bb'].map((tonic) => ({ tonic, scale: 'major' as const }));
    settings = { ...settings, programme: { order: 'fourths', keys, skipped: [], since, strings: [5, 6] } };
    const at = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
    const plain = { outcome: 'clean', stage: '', tempo: null, answeredMs: null, said: '', hidden: false, seconds: 30 } as const;
    passes = [
      { ...plain, id: crypto.randomUUID(), at: at(3), item: 'programme/steps/C major', night: 1 },
      { ...plain, id: crypto.randomUUID(), at: at(3), item: 'programme/numbers/C major', night: 1 },
    ];
    open('programme');
    expect(await screen.findByRole('heading', { name: /Night 2: F major/ })).toBeTruthy();
    expect(nights()[0]?.textContent).toContain('2 of 12');
    await press(/^Night 1/);
    expect(await screen.findByRole('heading', { name: /Night 1: C major/ })).toBeTruthy();
    expect(screen.getAllByLabelText('Played')).toHaveLength(2);
    await press('Back to tonight');
    expect(await screen.findByRole('heading', { name: /Night 2: F major/ })).toBeTruthy();
    await press(/^Night 1/);
    await press(/^Go on: 10 exercises left/);
    expect(useRun.getState().run?.blocks[0]?.items).toHaveLength(10);
    expect(useRun.getState().run?.blocks[0]?.items[0]).toMatchObject({ item: { what: 'names' }, night: 1 });
  });

  test('by how much tempos rise and fall is kept', async () => {
    open('programme');
    const up = await screen.findByLabelText('Held three times: faster by');
    fireEvent.change(up, { target: { value: '7' } });
    fireEvent.keyDown(up, { key: 'Enter' });
    fireEvent.blur(up);
    await waitFor(() => expect(settings.ladder).toEqual({ ...DEFAULT_PRACTICE.ladder, up: 7 }));
  });
});

describe('a session', () => {
  const question = () => screen.getByRole('heading', { level: 2 }).textContent ?? '';
  /** The number in C of the chord that is asked for. */
  const asked = () => String('CDEFGAB'.indexOf(question().charAt(0)) + 1);

  test('who is new is asked triads; what is chosen is kept, and asked', async () => {
    await openStudy('Recall', /^Number to chord/);
    expect(question()).toMatch(/, as a triad\?$/);
    cleanup();
    useRun.setState({ run: null });
    open('studies');
    await user.click(await screen.findByRole('radio', { name: 'Recall' }));
    expect((await screen.findByRole('radio', { name: 'As far as I am: triads' })).getAttribute('aria-checked')).toBe('true');
    await user.click(screen.getByRole('radio', { name: 'Sevenths' }));
    await waitFor(() => expect(settings.depth).toBe('seventh'));
    await user.click((await screen.findAllByRole('button', { name: /^Number to chord/ }))[0] as HTMLElement);
    expect((await screen.findByRole('heading', { level: 2 })).textContent).toMatch(/, as a seventh\?$/);
  });

  test('who answers a seventh with its triad can be asked triads from there on', async () => {
    settings = { ...DEFAULT_PRACTICE, depth: 'seventh' };
    await openStudy('Recall', /^Number to chord/);
    const letter = 'CDEFGAB'[Number(/\d/.exec(question())?.[0]) - 1] as string;
    const triad = letter + (['D', 'E', 'A'].includes(letter) ? 'm' : letter === 'B' ? 'dim' : '');
    await user.type(screen.getByLabelText('Your answer'), `${triad}{Enter}`);
    await user.click(await screen.findByRole('button', { name: 'Ask me triads' }));
    await waitFor(() => expect(question()).toMatch(/, as a triad\?$/));
    await waitFor(() => expect(settings.depth).toBe('triad'));
  });

  test('questions are answered on the pad and by typing; every answer reaches the server once', async () => {
    await openStudy('Recall', /^Chord to number/);
    const pad = within(screen.getByRole('group', { name: 'Answer pad' }));
    await user.click(pad.getByRole('button', { name: asked() }));
    expect((await screen.findByRole('status')).textContent).toContain('Right.');
    await waitFor(() => expect(screen.queryByRole('status')).toBeNull());
    await user.type(screen.getByLabelText('Your answer'), String((Number(asked()) % 7) + 1));
    expect((await screen.findByRole('status')).textContent).toContain('The key of C has C D E F G A B');
    await press('Go on');
    await press('Finish');
    await waitFor(() => expect(outcomes()).toEqual(['right', 'wrong']));
    expect(new Set(passes.map(({ id }) => id)).size).toBe(2);
  });

  test('the road says what comes next, asks in its depth, and goes on from what was shown', async () => {
    open('studies');
    const here = async () => (await screen.findByText(/^Next:/)).textContent;
    expect(await here()).toContain('Number to chord, triads');
    await press('Start');
    expect((await screen.findByRole('heading', { level: 2 })).textContent).toMatch(/, as a triad\?$/);
    cleanup();
    useRun.setState({ run: null });
    const answered = {
      outcome: 'right',
      stage: 'Dm',
      tempo: null,
      answeredMs: 900,
      said: '',
      hidden: true,
      seconds: 2,
      night: null,
    } as const;
    const at = (second: number) => new Date(Date.now() - 60_000 + second * 1000).toISOString();
    passes = [1, 2, 3, 4].map((second) => ({
      ...answered,
      id: crypto.randomUUID(),
      at: at(second),
      item: 'recall/degree-to-chord/C major',
    }));
    open('studies');
    await waitFor(async () => expect(await here()).toContain('Chord to number'));
    const triads = screen.getByRole('list', { name: 'Triads of a key' });
    expect(within(triads).getAllByLabelText('Done')).toHaveLength(1);
    // ahead of where one is: sevenths are asked as such, whatever depth one stands at
    const sevenths = screen.getByRole('list', { name: 'Sevenths' });
    await user.click(within(sevenths).getByRole('button', { name: 'Number to chord, sevenths' }));
    expect((await screen.findByRole('heading', { level: 2 })).textContent).toMatch(/, as a seventh\?$/);
  });

  test('what is played is marked by one key each, and the log has a note', async () => {
    await openStudy('Shapes', /^Triads 2-3-4/);
    for (const mark of [/^It held/, /^It wavered/]) {
      await press(mark);
      await press('Played it');
    }
    await press('It broke');
    await press('Finish');
    await waitFor(() => expect(outcomes()).toEqual(['clean', 'shaky', 'stopped']));
    expect(await screen.findByText(/3 tries, 1 of them good/)).toBeTruthy();
    await user.type(screen.getByLabelText('How was it? In your words'), 'Loose wrist');
    await press('Keep it');
    await waitFor(() => expect(sessions[0]?.note).toBe('Loose wrist'));
  });

  test('how long it still lasts is in sight, and Start is the third key from the way into the room', async () => {
    await openStudy('Shapes', /^Triads 2-3-4/);
    expect(await screen.findByText('5 min left')).toBeTruthy();
    cleanup();
    useRun.setState({ run: null });
    open('plan');
    await screen.findByRole('button', { name: 'Start' });
    screen.getByRole('tab', { name: 'Plan' }).focus();
    await user.tab();
    expect(document.activeElement?.textContent).toContain('Start');
  });

  test('a session without a mark is not kept', async () => {
    await openStudy('Shapes', /^Triads 2-3-4/);
    await press('Finish');
    expect(await screen.findByText('Without a mark there is nothing to keep in the log.')).toBeTruthy();
    await press('Back to the plan');
    await screen.findByRole('tablist');
    expect(sessions).toEqual([]);
    expect(useRun.getState().run).toBeNull();
  });

  test('the circle of keys is pressed for a relative key', async () => {
    await openStudy('Recall', /^Relative key/);
    await user.click(within(screen.getByRole('group', { name: 'The circle of keys' })).getByRole('button', { name: 'A minor' }));
    expect((await screen.findByRole('status')).textContent).toContain('Right.');
  });

  test('what is skipped leaves no pass, and Escape leaves the session where it was', async () => {
    await openStudy('Recall', /^Chord to number/);
    fireEvent.keyDown(window, { key: 'Escape' });
    expect(await screen.findByRole('button', { name: 'Go on' })).toBeTruthy();
    expect(passes).toEqual([]);
    await press('Go on');
    expect(await screen.findByLabelText('Your answer')).toBeTruthy();
  });

  test('without the server passes wait on the device, and are sent when it answers', async () => {
    await openStudy('Shapes', /^Triads 1-2-3/);
    house.isAway = true;
    await press('It held');
    await press('Played it');
    await press('Finish');
    expect(passes).toEqual([]);
    house.isAway = false;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(outcomes()).toEqual(['clean']), { timeout: 20_000 });
  });

  test('without a session there is the way to a plan', async () => {
    openRoom(house, '/practice/session', ROUTES);
    await press(/plan/i);
    expect(await screen.findByRole('tablist')).toBeTruthy();
  });
});

describe('the plan', () => {
  test('a song of the evening is in it when there is a set, in tonight’s key', async () => {
    const song = house.addSong('title: Harbor Wall\nkey: D\ntempo: 92\n\n[Verse]\n1 4 6- 5\n');
    const set = setOf('Quay night', [song]);
    house.sets = [{ ...set, entries: set.entries.map((entry) => ({ ...entry, key: 'E' })) } as typeof set];
    open('plan');
    expect(await screen.findByRole('heading', { name: 'A song of the set' })).toBeTruthy();
    expect(screen.getByRole('list', { name: 'The plan' }).textContent).toContain('Harbor Wall');
  });

  test('what is left out stays out while passes come in, and starting opens the first thing', async () => {
    open('plan');
    await screen.findByRole('list', { name: 'The plan' });
    await press('Change Recall');
    await press('Leave it out');
    expect(screen.queryByRole('heading', { name: 'Recall' })).toBeNull();
    await press('Start');
    expect(await screen.findByRole('button', { name: 'Finish' })).toBeTruthy();
    expect(useRun.getState().run?.blocks.some(({ kind }) => kind === 'recall')).toBe(false);
  });
});

describe('the log', () => {
  test('of one who has not practised says where one begins', async () => {
    open('log');
    await waitFor(() => expect(screen.getByRole('tabpanel').textContent?.length).toBeGreaterThan(20));
    expect(screen.queryByRole('button', { name: /^Change the note/ })).toBeNull();
  });

  test('a session’s note is changed, taken out and brought back', async () => {
    sessions = [
      { id: '00000000-0000-4000-8000-0000000000aa', at: '2026-01-05T19:00:00.000Z', minutes: 20, note: 'Loose wrist', gone: false },
    ];
    house.on('GET', /.*\/practice\/log/, () => ({ ...LOG, passes: 3, weeks: [{ week: '2026-01-05', minutes: 20, passes: 3 }] }));
    open('log');
    expect(await screen.findByText('Loose wrist')).toBeTruthy();
    await press(/^Change the note/);
    const note = await screen.findByLabelText(/^Note of/);
    await user.clear(note);
    await user.type(note, 'Loose wrist, slow start{Enter}');
    await waitFor(() => expect(sessions[0]?.note).toBe('Loose wrist, slow start'));
    await press(/from the log/);
    await waitFor(() => expect(sessions[0]?.gone).toBe(true));
    await press('Undo');
    await waitFor(() => expect(sessions[0]?.gone).toBe(false));
  });
});
