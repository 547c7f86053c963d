/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { ChartRoom } from './ChartRoom.tsx';

let house: FakeHouse;
let songId = '';

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar'), playerOf('Juno', 'second guitar', { capo: 2 })];
});
afterEach(cleanup);

async function open(source: string) {
  const song = house.addSong(source);
  songId = song.id;
  const opened = openRoom(house, `/songs/${song.id}/chart`, [{ path: 'songs/:songId/chart', Component: ChartRoom }]);
  await screen.findByRole('article', { name: 'Chart' });
  await waitFor(() => expect(document.querySelectorAll('[data-bar]').length).toBe(song.bars));
  return opened;
}
const source = () => house.songs.find(({ id }) => id === songId)?.source ?? '';
/** Waits until what the server keeps is, after its head, just this. */
const kept = (bars: string) =>
  waitFor(
    () =>
      expect(
        source()
          .split(/key: .*\n/)[1]
          ?.trim(),
      ).toBe(bars),
    { timeout: 20_000 },
  );
const place = (name: string) => document.querySelector<HTMLElement>(`[data-place="${name}"]`) as HTMLElement;
const names = () =>
  [...document.querySelectorAll<HTMLElement>('[data-place]')].map(
    (one) => one.getAttribute('aria-label') ?? one.querySelector('.sr-only')?.textContent ?? '',
  );
const numbers = () => names().map((name) => name.split(', ')[0]?.replace(/^Bar \d+: /, ''));
const letters = () => names().map((name) => name.split(', ')[1]);
const article = () => screen.getByRole('article', { name: 'Chart' });
const ORCHARD = '1 4 6- 5';

test('a song that is not here says so, also while it is asked for again by itself', async () => {
  const { id } = house.addSong('1 4');
  const answers: (() => void)[] = [];
  house.on('GET', new RegExp(`/bands/[^/]+/songs/${id}`), async () => {
    if (answers.length > 0) await new Promise<void>((answer) => answers.push(answer));
    else answers.push(() => undefined);
    return new Refusal(404, 'There is no such song here.');
  });
  const { queries } = openRoom(house, `/songs/${id}/chart`, [{ path: 'songs/:songId/chart', Component: ChartRoom }]);
  await screen.findByText('There is no such song here.');
  void queries.invalidateQueries({ queryKey: ['song'] });
  await waitFor(() => expect(answers).toHaveLength(2));
  expect(screen.getByText('There is no such song here.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await screen.findByText('Fetching the song…');
  for (const answer of answers) answer();
  await screen.findByText('There is no such song here.');
});

test('a guest reads: a chord is chosen and looked at, and nothing is there that could not be done', async () => {
  house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'guest' as const })) };
  await open('title: Steps\nkey: G\n\n[Verse]\n1 4 6- 5\n');
  await user.click(place('1.0'));
  expect(place('1.0').getAttribute('aria-pressed')).toBe('true');
  await user.keyboard('5{Delete}s');
  await user.dblClick(place('1.0'));
  expect(numbers()).toEqual(['1', '4', '6 minor', '5']);
  expect(document.querySelector('[data-typing]')).toBeNull();
  for (const name of [/^Drag/, /^Bar$/, /change it/, /^Undo/, /to check/]) expect(screen.queryByRole('button', { name })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'More' }));
  expect(screen.getAllByRole('menuitem').map(({ textContent }) => textContent?.trim())).not.toContain('Versions');
  expect(house.all('PUT', /songs/)).toEqual([]);
});

describe('the sheet is read as whoever is signed in reads', () => {
  /** Opens a song as a player of the band who reads like this. */
  async function openAs(plays: string, reads: Parameters<typeof playerOf>[2], source: string) {
    const player = playerOf('Wren', plays, reads);
    house.members = [player];
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, memberId: player.id })) };
    house.addSong(source);
    songId = house.songs.at(-1)?.id ?? '';
    openRoom(house, `/songs/${songId}/chart`, [{ path: 'songs/:songId/chart', Component: ChartRoom }]);
    await waitFor(() => expect(place('0.0')).toBeTruthy());
  }
  const SONG = 'title: Steps\nkey: F\n\n[Verse]\n1 4 6-7 5/7\n1 >4 <5> 1!\n';

  test('a drummer has bars of time counted, the hits whole, and all of it while a bar is written', async () => {
    await openAs('drums', { part: 'form' }, SONG);
    expect(names()[0]).toBe('Bar 1: 5 bars of time');
    expect(
      names()
        .slice(1)
        .map((name) => name.replace(/^.*?(, [a-z ,]+)?$/, '$1')),
    ).toEqual([', pushed', ', let ring', ', stop']);
    await user.click(place('0.0'));
    await user.keyboard('{F2}');
    await waitFor(() => expect(document.querySelector('[data-typing]')).not.toBeNull());
    expect(numbers()).toEqual(['4', '6 minor 7', '5 over 7', '1', '4', '5', '1']);
  });

  test.each([
    ['a bass player: roots and basses', 'bass', { part: 'bass' as const }, ['1', '4', '6', '7'], ['F', 'B flat', 'D', 'E']],
    ['a trumpet, a step up', 'trumpet', { transpose: 2 }, ['1', '4', '6 minor 7', '5 over 7'], ['G', 'C', 'E minor 7', 'D over F sharp']],
    [
      'an alto, a sixth up',
      'alto saxophone',
      { transpose: 9 },
      ['1', '4', '6 minor 7', '5 over 7'],
      ['D', 'G', 'B minor 7', 'A over C sharp'],
    ],
    ['a capo on 3', 'guitar', { capo: 3 }, ['1', '4', '6 minor 7', '5 over 7'], ['D', 'G', 'B minor 7', 'A over C sharp']],
    ['a singer', 'voice', {}, ['1', '4', '6 minor 7', '5 over 7'], ['F', 'B flat', 'D minor 7', 'C over E']],
  ])('%s', async (_, plays, reads, first, read) => {
    await openAs(plays, reads, SONG);
    expect(numbers().slice(0, 4)).toEqual(first);
    expect(letters().slice(0, 4)).toEqual(read);
  });
});

describe('what a song is called', () => {
  const kept = (start: string) => waitFor(() => expect(source().startsWith(start)).toBe(true), { timeout: 20_000 });

  test('is asked once, after the first section, and not while a bar is written', async () => {
    await open('key: G\n\n1 4 6- 5\n');
    const field = screen.getByRole('textbox', { name: 'What is it called?' });
    await user.click(place('0.0'));
    await user.keyboard('{F2}');
    await waitFor(() => expect(screen.queryByRole('textbox', { name: 'What is it called?' })).toBeNull());
    await user.keyboard('{Escape}');
    await screen.findByRole('textbox', { name: 'What is it called?' });
    expect(field.isConnected).toBe(false);
    await user.type(screen.getByRole('textbox', { name: 'What is it called?' }), 'Rope Walk{Enter}');
    await kept('title: Rope Walk\nkey: G\n\n1 4 6- 5\n');
    expect(screen.queryByRole('textbox', { name: 'What is it called?' })).toBeNull();
  });

  test('and later is later: the question does not come back, nor for a song of three bars', async () => {
    await open('key: G\n\n1 4 6- 5\n');
    await user.click(screen.getByRole('button', { name: 'Later' }));
    expect(screen.queryByRole('textbox', { name: 'What is it called?' })).toBeNull();
    cleanup();
    await open('key: G\n\n1 4 5\n');
    expect(screen.queryByRole('textbox', { name: 'What is it called?' })).toBeNull();
  });

  test('stands with everything else of the head in a form over the same text; what cannot be read is not taken', async () => {
    await open('title: Steps\nkey: G\ntempo: 90\n\n1 4\n');
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(screen.getByRole('menuitem', { name: 'Details' }));
    const fill = async (name: string, value: string) => {
      const field = await screen.findByRole('textbox', { name });
      await user.clear(field);
      await user.type(field, `${value}{Enter}`);
      return field;
    };
    await fill('Title', 'Rope Walk');
    await fill('Written by', 'Tam');
    await fill('Key (the numbers stay)', 'Eb');
    await fill('Time', '3/4');
    const tempo = await fill('Tempo, beats a minute', 'fast');
    expect(tempo.getAttribute('aria-invalid')).toBe('true');
    await fill('Range of the melody', 'B3 D5');
    await fill('Note', '');
    await kept('title: Rope Walk\nkey: Eb\ntempo: 90\nby: Tam\ntime: 3/4\nrange: B3 D5\n\n1 4\n');
    await fill('Tempo, beats a minute', '104');
    await kept('title: Rope Walk\nkey: Eb\ntempo: 104\n');
  });
});

describe('bars by single keys', () => {
  test('are split, marked, doubled, moved and made thicker; every step is taken back', async () => {
    await open(`title: Steps\nkey: G\n\n${ORCHARD}\n`);
    await user.click(place('0.0'));
    for (const [key, expected] of [
      ['s', '(1 1) 4 6- 5'],
      ['{Control>}z{/Control}', ORCHARD],
      ['o', '1? 4 6- 5'],
      ['p', '>1? 4 6- 5'],
      ['{Control>}z{/Control}{Control>}z{/Control}', ORCHARD],
      ['u', '1 1 4 6- 5'],
      ['{Delete}', ORCHARD],
      ['{Alt>}{ArrowRight}{/Alt}', '4 1 6- 5'],
      ['{Alt>}{ArrowLeft}{/Alt}', ORCHARD],
      ['+', '1maj7 4 6- 5'],
      ['-', ORCHARD],
    ] as const) {
      await user.keyboard(key);
      await kept(expected);
    }
  });

  test('are joined, repeated, copied and put in', async () => {
    await open(`title: Steps\nkey: G\n\n${ORCHARD}\n`);
    await user.click(place('0.0'));
    await user.keyboard('{Shift>}{ArrowRight}{/Shift}j');
    await kept('(1 4) 6- 5');
    await user.keyboard('{Control>}z{/Control}');
    await kept(ORCHARD);
    await user.keyboard('{Control>}a{/Control}r');
    await kept(`|: ${ORCHARD} :|`);
    expect(article().textContent).toContain('8 bars played');
    await user.keyboard('r');
    await kept(ORCHARD);
  });
});

describe('sections', () => {
  const change = async (name: string) => user.click(screen.getByRole('button', { name: `Section ${name}, change it` }));
  const sections = () => [...document.querySelectorAll('[data-section] h2')].map(({ textContent }) => textContent);

  test('are named, counted, moved, duplicated and deleted', async () => {
    await open('title: Sections\nkey: G\n\n[Verse]\n1 4\n[Chorus]\n5 1\n');
    await change('Verse');
    const name = await screen.findByLabelText('Section', { selector: 'input' });
    await user.clear(name);
    await user.type(name, 'First verse');
    await user.clear(screen.getByLabelText('Times'));
    await user.type(screen.getByLabelText('Times'), '2');
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(source()).toContain('[First verse] x2'));
    await change('Chorus');
    await user.click(await screen.findByRole('button', { name: 'Move up' }));
    await waitFor(() => expect(sections().join(' ')).toMatch(/^Chorus.*First verse/));
    await change('Chorus');
    await user.click(await screen.findByRole('button', { name: 'Duplicate' }));
    await change('Chorus 2');
    await user.click(await screen.findByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(sections()).toHaveLength(2));
  });

  test('a count that cannot be is refused in place', async () => {
    await open('title: Sections\nkey: G\n\n[Verse]\n1 4\n');
    await change('Verse');
    await user.clear(await screen.findByLabelText('Times'));
    await user.type(screen.getByLabelText('Times'), '0');
    expect((screen.getByRole('button', { name: 'Done' }) as HTMLButtonElement).disabled).toBe(true);
    expect(source()).toContain('[Verse]\n');
  });
});

describe('what comes from elsewhere', () => {
  test('chords over lyrics are shown before they land', async () => {
    await open('title: Pasted\nkey: G\n\n[Intro]\n1 1\n');
    await user.click(screen.getByRole('button', { name: 'Paste chords from anywhere' }));
    const sheet = within(await screen.findByRole('dialog', { name: 'Paste chords' }));
    fireEvent.change(sheet.getByRole('textbox'), { target: { value: 'Verse 1\nG        Em\nSalt on the window\n| C D | G |' } });
    const lines = await sheet.findByRole('list', { name: 'What it becomes' });
    expect(lines.textContent).toContain('[Verse 1]');
    expect(lines.textContent).toContain('~ Salt on the window');
    await user.click(sheet.getByRole('button', { name: 'Insert them' }));
    await waitFor(() => expect(numbers()).toEqual(['1', '1', '1', '6 minor', '4', '5', '1']));
    await waitFor(() => expect(source()).toContain('~ Salt on the window'));
  });
});

describe('the check', () => {
  test('names what is wrong, and mends it with one press', async () => {
    await open('title: Checked\nkey: C\nform: Vers\n\n[Verse]\n1 4- 1 b2-\nb3- 12 5\n');
    await user.click(await screen.findByRole('button', { name: /^\d+ to check/ }));
    const list = (await screen.findAllByRole('region', { name: 'Problems' }))[0] as HTMLElement;
    expect(list.textContent).toContain('♭2– is outside the key and nothing explains it: a slip?');
    expect(list.textContent).toContain('No section is called “Vers”');
    await user.click(within(list).getByRole('button', { name: 'Write Verse' }));
    await waitFor(() => expect(source()).toContain('form: Verse'));
    await user.click(within(list).getByRole('button', { name: 'Write 1 2' }));
    await waitFor(() => expect(source()).toContain('b3- 1 2'));
    await user.click(within(list).getByRole('button', { name: /♭2– is outside/ }));
    await waitFor(() => expect(document.activeElement).toBe(place('3.0')));
  });

  test('minor is numbered from its tonic or the relative major, and back without loss', async () => {
    await open('title: Two Numberings\nkey: Em\n\n1- b7 b6 5\n');
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(await screen.findByRole('menuitem', { name: /heck/ }));
    await user.click(await screen.findByRole('button', { name: 'Number it from the relative major' }));
    await waitFor(() => expect(numbers()).toEqual(['6 minor', '5', '4', '3']));
    expect(letters()).toEqual(['E minor', 'D', 'C', 'B']);
    await user.click(screen.getByRole('button', { name: 'Number it from the minor tonic' }));
    await waitFor(() => expect(numbers()).toEqual(['1 minor', 'flat 7', 'flat 6', '5']));
  });
});

describe('the bar over the chart', () => {
  test('has one count, and only while something is wrong', async () => {
    await open('title: Fine\nkey: C\n\n1 4 5 1\n');
    expect(screen.queryByRole('button', { name: /to check/ })).toBeNull();
  });

  test('shows numbers, letters, both or Roman numerals from one place', async () => {
    await open('title: Fine\nkey: C\n\n1 4 5 1\n');
    await user.click(screen.getByRole('button', { name: 'Show' }));
    await user.click(screen.getByRole('radio', { name: 'Letters' }));
    await waitFor(() => expect(document.querySelector('[data-place="1.0"]')?.textContent).toMatch(/^Bar 2: 4, F+$/));
  });

  test('sends, and leads to the stand, paper, parts and files', async () => {
    await open('title: Fine\nkey: C\n\n1 4 5 1\n');
    await user.click(screen.getByRole('button', { name: 'Share' }));
    const items = screen.getAllByRole('menuitem').map(({ textContent }) => textContent?.trim());
    expect(items).toEqual(['Send this chart', 'On the stand', 'Print', 'Parts for everyone', 'Export for other programs']);
  });

  test('a guest is offered nothing that would write or send', async () => {
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'guest' as const })) };
    await open('title: Fine\nkey: C\n\n1 4 5 1\n');
    await user.click(screen.getByRole('button', { name: 'Share' }));
    const items = screen.getAllByRole('menuitem').map(({ textContent }) => textContent?.trim());
    expect(items).toEqual(['On the stand', 'Print', 'Export for other programs']);
  });
});

describe('versions', () => {
  const more = async (item: string) => {
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(await screen.findByRole('menuitem', { name: item }));
  };

  test('are named, compared, taken over by section, and taken back', async () => {
    await open('title: Takes\nkey: G\n\n[Verse]\n1 4\n\n[Chorus]\n4 5 1 1\n');
    await more('Versions');
    const sheet = within(await screen.findByRole('dialog', { name: 'Versions' }));
    await user.type(await sheet.findByLabelText('Name of this version'), 'The chorus we liked');
    await user.click(sheet.getByRole('button', { name: 'Name it' }));
    expect(await sheet.findByText('The chorus we liked')).toBeTruthy();
    await user.keyboard('{Escape}');
    await user.click(place('2.0'));
    await user.keyboard('2-{Enter}');
    await waitFor(() => expect(source()).toContain('2- 5 1 1'));
    await more('Versions');
    const again = within(await screen.findByRole('dialog', { name: 'Versions' }));
    await user.click(await again.findByRole('button', { name: /The chorus we liked/ }));
    expect(await again.findByText(/Since then one bar changed\./)).toBeTruthy();
    await user.click(again.getByRole('button', { name: 'In place of Chorus' }));
    await waitFor(() => expect(source()).toContain('4 5 1 1'));
  });

  test('where to put a capo: every fret with its shapes, the kindest first', async () => {
    await open('title: Slack Tide\nkey: Bb\n\n1 4 5 6-\n');
    await more('Where to put a capo');
    const sheet = within(await screen.findByRole('dialog', { name: 'Where to put a capo' }));
    const frets = await sheet.findByRole('list', { name: 'Frets' });
    await waitFor(() => expect(frets.children.length).toBeGreaterThan(5));
    expect(frets.children[0]?.textContent).toContain('Capo 3: G shapes sound B♭; every chord is open.');
    expect(frets.children[0]?.textContent).toContain('sounds E♭');
    await user.click(within(frets.children[0] as HTMLElement).getByRole('button', { name: 'Use capo 3' }));
    await waitFor(() => expect(letters()).toEqual(['G', 'C', 'D', 'E minor']));
    expect(source()).toContain('key: Bb');
  });
});

describe('what others do', () => {
  test('elsewhere in the song is put together with one’s own', async () => {
    const { queries } = await open('title: Two\nkey: G\n\n[Verse]\n1 4\n\n[Chorus]\n4 5\n');
    house.save(songId, { source: 'title: Two\nkey: G\n\n[Verse]\n1 4\n\n[Chorus]\n2- 57\n' });
    await user.click(place('0.0'));
    await user.keyboard('6-{Enter}');
    await queries.invalidateQueries();
    await waitFor(() => expect(source()).toMatch(/\[Verse\]\n6- 4[\s\S]*\[Chorus\]\n2- 57/), { timeout: 20_000 });
    expect(screen.queryByRole('region', { name: 'Saved elsewhere' })).toBeNull();
  });

  test('without a server what is written stays, and is saved when it answers again', async () => {
    await open(`title: Away\nkey: G\n\n${ORCHARD}\n`);
    house.isAway = true;
    await user.click(place('0.0'));
    await user.keyboard('u');
    await waitFor(() => expect(document.querySelectorAll('[data-bar]')).toHaveLength(5));
    expect(source()).toContain(ORCHARD);
    house.isAway = false;
    window.dispatchEvent(new Event('online'));
    await kept('1 1 4 6- 5');
  });
});

test('an empty song shows how it is begun', async () => {
  const song = house.addSong('title: New song\nkey: C\ntime: 4/4\n');
  openRoom(house, `/songs/${song.id}/chart`, [{ path: 'songs/:songId/chart', Component: ChartRoom }]);
  expect(await screen.findByRole('button', { name: /Paste a song/ })).toBeTruthy();
});
