/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import type { Song } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { entryOf, FakeHouse, playerOf, Refusal, seatOf, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { BandRoom } from './BandRoom.tsx';

let house: FakeHouse;
let songs: readonly [harbor: Song, kelp: Song, gravel: Song];

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [
    playerOf('Tam', 'guitar'),
    playerOf('Juno', 'second guitar'),
    playerOf('Ines', 'voice', { voice: { comfortable: { low: 55, high: 74 }, possible: { low: 52, high: 77 } } }),
  ];
  songs = [
    house.addSong('title: Harbor Wall\nkey: D\ntempo: 92\nrange: A3 B4\n\n[Verse] x8\n1 4 6- 5\n'),
    house.addSong('title: Kelp Ladder\nkey: Em\ntempo: 60\nrange: E3 B4\n\n[Verse] x8\n1- b7 b6 5\n'),
    house.addSong('title: Northbound Gravel\nkey: A\ntempo: 138\n\n[Verse] x8\n1 b7 4 1\n'),
  ];
  useTonight.setState({ setId: null });
});
afterEach(cleanup);

const ROUTES = [
  { path: 'band/:part?', Component: BandRoom },
  { path: 'band/stand', Component: () => <p>the stand</p> },
];
async function open(part: string) {
  const opened = openRoom(house, `/band/${part}`, ROUTES);
  await screen.findByRole('tablist', { name: 'The band' });
  return opened;
}
async function openTonight(taken: readonly Song[] = songs) {
  house.sets = [setOf('Quay night', taken)];
  await open('tonight');
  await waitFor(() => expect(rows()).toHaveLength(taken.length));
}
const rows = () => [...document.querySelectorAll<HTMLElement>('[data-entry]')];
const titles = () =>
  rows().map((row) => ['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel'].find((title) => row.textContent?.includes(title)) ?? 'break');
const stored = () => house.sets[0]?.entries ?? [];
const fill = (label: string | RegExp, value: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};

describe('tonight', () => {
  test('is in the order of the set, with keys, tempos and how long it lasts', async () => {
    await openTonight();
    expect(titles()).toEqual(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    expect(rows()[1]?.textContent).toContain('Em');
    expect(rows()[2]?.textContent).toContain('138 bpm');
    expect(screen.getByTestId('set-length').textContent).toMatch(/minutes?/);
  });

  test('a song is moved by keys, taken back and put there again', async () => {
    await openTonight();
    rows()[2]?.focus();
    await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
    await waitFor(() => expect(titles()).toEqual(['Harbor Wall', 'Northbound Gravel', 'Kelp Ladder']));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(titles()).toEqual(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']));
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await waitFor(() =>
      expect(stored().map((entry) => (entry.kind === 'song' ? entry.songId : ''))).toEqual([songs[0].id, songs[2].id, songs[1].id]),
    );
  });

  test('what is said of a song for this evening is the evening’s: key, tempo, notes, who counts in', async () => {
    await openTonight([songs[0]]);
    await user.click(rows()[0] as HTMLElement);
    await screen.findByLabelText('Tempo');
    fill('Tempo', '120');
    await waitFor(() => expect(rows()[0]?.textContent).toContain('120 bpm'));
    fill('Who counts in', 'Rosa');
    fill('Notes for tonight', 'quiet end');
    await user.click(screen.getByRole('button', { name: 'Up a half step' }));
    await waitFor(() => expect(stored()[0]).toMatchObject({ key: 'Eb', tempo: 120, starts: 'Rosa', notes: 'quiet end' }));
    expect(rows()[0]?.textContent).toContain('home D');
    expect(house.songs[0]?.source).toContain('key: D');
  });

  test('songs are found and put in, once more where they are in already', async () => {
    await openTonight([songs[0]]);
    await user.click(screen.getByRole('button', { name: 'Songs' }));
    await user.type(await screen.findByLabelText('Find a song'), 'Kelp');
    await user.click(await screen.findByRole('button', { name: 'Add Kelp Ladder' }));
    await waitFor(() => expect(stored()).toHaveLength(2));
    expect(await screen.findByText('Once more')).toBeTruthy();
  });

  test('a song is in the set as soon as it is pressed, whatever becomes of the asking for its chart', async () => {
    await openTonight([songs[0]]);
    house.on('GET', /\/songs\/[^/]+$/, () => new Refusal(503, 'The database is away for a moment.'));
    await user.click(screen.getByRole('button', { name: 'Songs' }));
    await user.type(await screen.findByLabelText('Find a song'), 'Kelp');
    await user.click(await screen.findByRole('button', { name: 'Add Kelp Ladder' }));
    expect(screen.getByText('Once more')).toBeTruthy();
    await waitFor(() => expect(stored()).toHaveLength(2));
    await user.keyboard('{Escape}');
    await waitFor(() => expect(rows()).toHaveLength(2));
  });

  test('songs that go straight on get a bridge, ranked and with its reason', async () => {
    await openTonight([songs[0], songs[1]]);
    await user.click(screen.getAllByRole('button', { name: /^stop/ })[0] as HTMLElement);
    const choices = await screen.findByRole('dialog', { name: 'How Harbor Wall goes over into what comes next' });
    expect(choices.textContent).toContain('B7 is the dominant of Em');
    await user.click(within(choices).getByRole('button', { name: /^B7/ }));
    await waitFor(() => expect(stored()[0]).toMatchObject({ join: { kind: 'bridge', bridge: 'dominant' } }));
  });

  test('a capo that moves where nobody waits is told', async () => {
    house.sets = [
      setOf('Quay night', [songs[0], songs[1]], {
        entries: [
          entryOf(songs[0], { join: { kind: 'bridge', bridge: 'dominant' } }),
          entryOf(songs[1], { capos: { [house.members[1]?.id as string]: 2 } }),
        ],
      }),
    ];
    await open('tonight');
    expect((await screen.findByRole('list', { name: 'What to look out for' })).textContent).toContain(
      'Juno moves the capo from off to fret 2',
    );
  });

  test('a set that others change meanwhile is put together with one’s own; the same field is asked about', async () => {
    const { queries } = await (async () => {
      house.sets = [setOf('Quay night', [songs[0]])];
      return open('tonight');
    })();
    await waitFor(() => expect(rows()).toHaveLength(1));
    const set = house.sets[0] as (typeof house.sets)[number];
    house.sets = [{ ...set, place: 'The Net Loft', revision: set.revision + 1 }];
    await user.click(rows()[0] as HTMLElement);
    await screen.findByLabelText('Tempo');
    await queries.invalidateQueries();
    fill('Tempo', '100');
    await waitFor(() => expect(house.sets[0]).toMatchObject({ place: 'The Net Loft' }));
    await waitFor(() => expect(stored()[0]).toMatchObject({ tempo: 100 }), { timeout: 20_000 });
  });

  test('without a set there is the way to one', async () => {
    await open('tonight');
    await user.click(await screen.findByRole('button', { name: /New set|Begin a set|Make a set/ }));
    await waitFor(() => expect(house.sets).toHaveLength(1));
  });
});

describe('players', () => {
  test('a new one reads as their instrument is written', async () => {
    await open('players');
    await user.type(await screen.findByLabelText('Name of the new player'), 'Sol');
    await user.type(screen.getByLabelText('What the new player plays'), 'tenor saxophone');
    await user.click(screen.getByRole('button', { name: 'Add a player' }));
    const form = within(await screen.findByRole('region', { name: 'How Sol reads' }));
    expect((form.getByLabelText('Reads') as HTMLSelectElement).value).toBe('2');
    expect(house.members.at(-1)).toMatchObject({ name: 'Sol', reads: { transpose: 2 } });
    expect(await screen.findByRole('button', { name: /New link for Sol|Invite Sol/ })).toBeTruthy();
    await user.click(form.getByRole('radio', { name: 'Numbers + letters' }));
    await waitFor(() => expect(house.members.at(-1)?.reads.show).toBe('both'));
  });

  test('one is let go, and the others stay', async () => {
    await open('players');
    await user.click(await screen.findByRole('button', { name: /^Juno/ }));
    await user.click(await screen.findByRole('button', { name: 'Remove: Juno' }));
    await user.click(within(await screen.findByRole('alertdialog')).getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(house.members.map(({ name }) => name)).toEqual(['Tam', 'Ines']));
  });

  test('a voice upside down is answered in place, with what to write', async () => {
    await open('players');
    await user.click(await screen.findByRole('button', { name: /^Ines/ }));
    await screen.findByLabelText('With ease');
    fill('With ease', 'D5 A3');
    expect((await screen.findByRole('alert')).textContent).toBe('The lowest note comes first: D5 lies above A3. Write A3 D5?');
    fill('With ease', 'C3 D5');
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('C3 feels comfortable, so it is possible too'));
    expect(house.members[2]?.reads.voice?.comfortable).toEqual({ low: 55, high: 74 });
  });

  test('what the server refuses goes back to what it was', async () => {
    house.on('PATCH', /.*\/members\/.*/, () => new Refusal(403, 'Only the leader does that.'));
    await open('players');
    await user.click(await screen.findByRole('button', { name: /^Juno/ }));
    const form = within(await screen.findByRole('region', { name: 'How Juno reads' }));
    await user.selectOptions(form.getByLabelText('Reads'), '9');
    await waitFor(() => expect(house.all('PATCH', /members/)).toHaveLength(1));
    await waitFor(() => expect((form.getByLabelText('Reads') as HTMLSelectElement).value).toBe('0'));
  });
});

describe('the singer’s key', () => {
  const keys = () => screen.findByRole('list', { name: 'Keys, best first' });

  test('keys are ranked by the room a voice has left; the chosen one is tonight’s', async () => {
    house.sets = [setOf('For the singer', [songs[1]])];
    await open('singer');
    const best = (await keys()).children[0] as HTMLElement;
    // E3 to B4 lies low for somebody at ease from G3 to D5: a minor third higher it fits just so
    expect(best.textContent).toContain('G3 to D5: with ease');
    await user.click(within(best).getByRole('button', { name: 'Use tonight' }));
    await waitFor(() => expect(stored()[0]).toMatchObject({ key: 'Gm' }));
    expect(house.songs[1]?.source).toContain('key: Em');
  });

  test('a song that does not say how far it reaches is asked, tapped, and kept with it', async () => {
    house.sets = [setOf('For the singer', [songs[2]])];
    await open('singer');
    expect(await screen.findByText(/This chart does not say how far its melody reaches/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'A3' }));
    await user.click(screen.getByRole('button', { name: 'Db5' }));
    expect((screen.getByLabelText('Melody, lowest and highest note') as HTMLInputElement).value).toBe('A3 C#5');
    expect((await keys()).children).toHaveLength(12);
    await user.click(screen.getByRole('button', { name: 'Save with the song' }));
    await waitFor(() => expect(house.songs[2]?.source).toContain('range: A3 C#5'), { timeout: 20_000 });
  });

  test('without a singer it says where one is named', async () => {
    house.members = house.members.slice(0, 2);
    house.sets = [setOf('Nobody sings', [songs[0]])];
    await open('singer');
    expect(await screen.findByText('Nobody sings yet')).toBeTruthy();
  });
});

describe('two guitars', () => {
  test('pairs of frets that do not double, and what is chosen is tonight’s', async () => {
    house.sets = [setOf('Two guitars', [songs[0]])];
    await open('guitars');
    const pairs = await screen.findByRole('list', { name: 'Pairs of frets, best first' });
    await waitFor(() => expect(pairs.children[0]?.textContent).toContain('so nothing is doubled'));
    await user.click(within(pairs.children[0] as HTMLElement).getByRole('button', { name: 'Use tonight' }));
    await waitFor(() => expect(Object.keys((stored()[0] as { capos: object }).capos).length).toBeGreaterThan(0));
  });

  test('one guitar alone is told that it takes two', async () => {
    house.members = house.members.slice(0, 1);
    house.sets = [setOf('Alone', [songs[0]])];
    await open('guitars');
    expect(await screen.findByText('Two guitars are needed')).toBeTruthy();
  });
});

describe('files', () => {
  const choose = async (name: string, text: string) => {
    fireEvent.change(await screen.findByLabelText('File to import'), {
      target: { files: [new File([text], name, { type: 'text/plain' })] },
    });
  };
  const job = (state: object) => ({ id: 'job', kind: 'import', progress: 1, note: '', result: null, fault: null, ...state });

  test('a file that cannot be read is refused in words, and nothing is taken in', async () => {
    house.on('POST', /.*\/imports\?.*/, () => new Refusal(422, 'This MIDI file cannot be read: it ends too early.'));
    await open('files');
    await choose('torn.mid', 'MThd torn');
    expect(await screen.findByText(/This MIDI file cannot be read/)).toBeTruthy();
    expect(house.songs).toHaveLength(3);
    expect(job({ state: 'done' })).toBeTruthy();
  });

  test('without an answer it says that the file is as it was', async () => {
    await open('files');
    const input = await screen.findByLabelText('File to import');
    house.isAway = true;
    fireEvent.change(input, { target: { files: [new File(['x'], 'songs.abc')] } });
    expect(await screen.findByText(/The file is as it was; try it again/)).toBeTruthy();
  });
});

describe('a guest of an evening', () => {
  test('has its songs in tonight’s keys, the stand, and nothing to change', async () => {
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'guest' as const })) };
    house.sets = [setOf('Quay night', songs)];
    await open('tonight');
    expect((await screen.findByRole('link', { name: /On the stand/ })).getAttribute('href')).toBe('/band/stand');
    expect(screen.getAllByRole('listitem').length).toBeGreaterThan(0);
    expect(screen.queryAllByRole('button')).toEqual([]);
    expect(screen.queryAllByRole('textbox')).toEqual([]);
    expect(screen.getAllByRole('tab')).toHaveLength(2);
  });
});

describe('the band’s doors', () => {
  let seats: ReturnType<typeof seatOf>[];

  beforeEach(() => {
    seats = house.members.map((member, place) => ({ ...seatOf(member, place === 0), isIn: member.name !== 'Ines' }));
    house.on('GET', /.*\/people/, () => ({
      people: seats,
      invitations: [
        {
          id: 'open',
          memberId: null,
          name: 'Dep',
          role: 'guest',
          madeBy: 'Tam',
          madeAt: '2026-01-01T00:00:00Z',
          expiresAt: '2026-02-01T00:00:00Z',
        },
      ],
    }));
    house.on('GET', /.*\/audit.*/, () => ({
      entries: [{ at: '2026-01-01T00:00:00Z', who: 'Juno', what: 'came-in', about: '' }],
      next: null,
    }));
    house.on('POST', /.*\/invitations/, () => ({ id: 'new', token: 'y'.repeat(32), expiresAt: '2026-02-01T00:00:00Z' }));
    house.on('DELETE', /.*\/invitations\/open/, () => ({ gone: true }));
    house.on('PUT', /.*\/members\/([^/]+)\/role/, ({ body }, [id]) => {
      seats = seats.map((one) => (one.memberId === id ? { ...one, ...(body as object) } : one));
      return { done: true };
    });
  });

  test('who is in, as what; a player is invited by a link that is shown once', async () => {
    await open('players');
    const members = within(await screen.findByRole('list', { name: 'Members' }));
    expect((await members.findByRole('button', { name: /^Tam/ })).textContent).toContain('guitar · leads');
    await user.click(members.getByRole('button', { name: /^Ines.*not signed in yet/ }));
    await user.click(screen.getByRole('button', { name: 'Invite Ines' }));
    const link = (await screen.findByRole('textbox', { name: 'The link for Ines' })) as HTMLInputElement;
    expect(link.value).toMatch(/\/join#y{32}$/);
    expect(house.all('POST', /invitations/).at(-1)?.body).toMatchObject({ role: 'member', memberId: house.members[2]?.id });
  });

  test('a member becomes a leader, and an open invitation is taken back', async () => {
    await open('players');
    await user.click(await screen.findByRole('button', { name: /^Juno/ }));
    await user.click(await screen.findByRole('button', { name: 'Make leader: Juno' }));
    expect(await screen.findByRole('button', { name: 'No longer leader: Juno' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /Take back.*Dep|Dep.*back/i }));
    await waitFor(() => expect(house.all('DELETE', /invitations\/open/)).toHaveLength(1));
  });

  test('a guest of an evening is told apart from the players, until when', async () => {
    seats = [...seats, { ...seatOf(playerOf('Dep', '')), role: 'guest', guestUntil: '2026-02-01T12:00:00Z' }];
    await open('players');
    const guests = within(await screen.findByRole('list', { name: 'Guests' }));
    expect(guests.getByText(/guest · signed in · until/)).toBeTruthy();
    expect(guests.getByRole('button', { name: 'Remove: Dep' })).toBeTruthy();
  });

  test('a member sees who is in, and is offered nothing a leader does', async () => {
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'member' as const })) };
    await open('players');
    expect(await screen.findByRole('button', { name: /^Juno/ })).toBeTruthy();
    for (const name of [/Make leader/, /Invite/, /^Remove/, 'Add a player']) expect(screen.queryByRole('button', { name })).toBeNull();
    expect(house.all('GET', /audit/)).toEqual([]);
  });
});
