/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { AnalyzeRoom } from './AnalyzeRoom.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
});
afterEach(cleanup);

const ROUTES = [
  { path: 'analyze', Component: AnalyzeRoom },
  { path: 'songs/:songId/analyze', Component: AnalyzeRoom },
];
const chord = (index: number) => document.querySelector(`[data-index="${index}"]`) as HTMLElement;
const romans = () => Array.from(document.querySelectorAll('[data-index]'), ({ textContent }) => textContent ?? '');
const openPart = async (name: string) => user.click(await screen.findByRole('tab', { name }));
const sourceOf = (id: string) => house.songs.find((song) => song.id === id)?.source;

async function typeChords(text: string): Promise<void> {
  openRoom(house, '/analyze', ROUTES);
  fireEvent.change(await screen.findByRole('textbox', { name: 'Chords' }), { target: { value: text } });
  await waitFor(() => expect(chord(0)).toBeTruthy());
}
async function openSong(source: string) {
  const song = house.addSong(source);
  openRoom(house, `/songs/${song.id}/analyze`, ROUTES);
  await waitFor(() => expect(chord(0)).toBeTruthy());
  return song;
}

describe('the key of some bars, by the player’s ear', () => {
  const said = () => screen.findByRole('region', { name: 'What you said' });
  const hearThere = async (key: string) => {
    await user.type(screen.getByLabelText('Key of these bars'), key);
    await user.click(screen.getByRole('button', { name: 'Hear them there' }));
  };
  const bars = (from: string, to: string) => {
    fireEvent.change(screen.getByLabelText('From bar'), { target: { value: from } });
    fireEvent.change(screen.getByLabelText('to bar'), { target: { value: to } });
  };

  test('is kept with the song, read from then on, and let go again', async () => {
    const song = await openSong('title: Tide Table\nkey: C\n\n1 4 2- 5 1 4\n');
    await openPart('Function');
    bars('3', '4');
    await hearThere('F');
    await waitFor(async () => expect((await said()).textContent).toContain('bars 3 to 4'));
    await waitFor(() => expect(chord(2).textContent).toMatch(/^6 minor/));
    await waitFor(() => expect(sourceOf(song.id)).toMatch(/3-4.*F/));
    await user.click(within(await said()).getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(chord(2).textContent).toMatch(/^2 minor/));
    await waitFor(() => expect(sourceOf(song.id)).not.toMatch(/3-4.*F/));
  });

  test.each([
    ['a key that is none', ['1', '2'], 'Q', 'That is no key'],
    ['bars the song has not', ['1', '9'], 'F', 'Bars run from 1 to 4.'],
    ['bars before the first', ['0', '2'], 'F', 'Bars run from 1 to 4.'],
  ])('%s is answered in place and cannot be sent', async (_, [from = '', to = ''], key, answer) => {
    await openSong('title: Tide Table\nkey: C\n\n1 4 2- 5\n');
    await openPart('Function');
    bars(from, to);
    await user.type(screen.getByLabelText('Key of these bars'), key);
    expect((await within(await said()).findByRole('alert')).textContent).toContain(answer);
    expect((screen.getByRole('button', { name: 'Hear them there' }) as HTMLButtonElement).disabled).toBe(true);
  });
});

describe('the player’s own reading', () => {
  test('is removed by a press, and the rules’ reading is back', async () => {
    await openSong('title: Tide Table\nkey: C\n\n1 4- 57 1\n');
    const before = chord(1).textContent;
    await user.click(chord(1));
    await openPart('Function');
    await user.selectOptions(screen.getByLabelText('You hear it as'), 'pedal');
    await user.click(screen.getByRole('button', { name: 'Save with the song' }));
    await waitFor(() => expect(chord(1).textContent).toContain('yours: over a pedal'));
    await user.click(within(screen.getByRole('form', { name: 'How you hear it' })).getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(chord(1).textContent).toBe(before));
  });

  test('a borrowed chord is pointed at in the key it comes from', async () => {
    await openSong('title: Tide Table\nkey: C\n\n1 4- 57 1\n');
    await user.click(chord(1));
    await openPart('Function');
    const table = await screen.findByRole('table', { name: 'Both keys written out' });
    const rows = within(table).getAllByRole('row');
    expect(rows.map((row) => within(row).getAllByRole('cell').length)).toEqual([7, 7]);
    expect(within(table).getByText(', where the chord comes from').closest('td')?.textContent).toContain('Fm');
  });
});

describe('chords tapped on the neck', () => {
  test('are named, added to what is written, and the neck is empty again', async () => {
    await typeChords('C');
    await user.click(screen.getByRole('button', { name: 'Tap a chord' }));
    for (const place of ['4-0', '3-2', '2-3', '1-1']) await user.click(document.querySelector(`[data-place="${place}"]`) as Element);
    await user.click(await screen.findByRole('button', { name: 'Dm' }));
    expect((screen.getByRole('textbox', { name: 'Chords' }) as HTMLTextAreaElement).value).toBe('C Dm');
    expect(screen.queryByRole('button', { name: 'Dm' })).toBeNull();
  });

  test('an example is one press from an empty page', async () => {
    await typeChords('C');
    await user.clear(screen.getByRole('textbox', { name: 'Chords' }));
    const example = (await screen.findByText(/^Or try/)).querySelector('button') as HTMLElement;
    await user.click(example);
    await waitFor(() => expect(romans().length).toBeGreaterThan(2));
  });
});

describe('what else could stand here', () => {
  test('each suggestion says what it is; put in, it is written in the song', async () => {
    const song = await openSong('title: Tide Table\nkey: C\n\n1 57 1 1\n');
    await user.click(chord(1));
    await openPart('What if');
    const list = await screen.findByRole('list', { name: 'Suggestions' });
    const item = within(list)
      .getAllByRole('listitem')
      .find(({ textContent }) => textContent?.includes('tritone'));
    expect(item?.textContent).toMatch(/^D♭7|^Db7/);
    await user.click(within(item as HTMLElement).getByRole('button', { name: /^Put/ }));
    await waitFor(() => expect(sourceOf(song.id)).toContain('b27'));
  });
});

describe('songs of the band that go round the same chords', () => {
  const open = async () => {
    await openSong('title: Tide Table\nkey: C\n\n1 5 6- 4\n1 5 6- 4\n');
    await openPart('Patterns');
    return screen.findByRole('region', { name: 'Songs like this one' });
  };

  test('are links with their key and how much they share', async () => {
    house.on('GET', /.*\/alike/, () => ({
      songs: [{ id: '00000000-0000-4000-8000-00000000000a', title: 'Slack Water', key: 'Eb', rounds: ['1 5 6- 4'] }],
    }));
    const section = await open();
    const link = await within(section).findByRole('link', { name: 'Slack Water' });
    expect(link.getAttribute('href')).toContain('/songs/00000000-0000-4000-8000-00000000000a/analyze');
    expect(section.textContent).toContain('one round in common');
  });

  test('none, and a house that does not answer, are said', async () => {
    await waitFor(async () => expect((await open()).textContent).toContain('No other song of the band goes round the same chords.'));
    cleanup();
    house.on('GET', /.*\/alike/, () => new Refusal(500, 'Something went wrong in the house.'));
    await waitFor(async () => expect((await open()).textContent).toContain('Something went wrong in the house.'));
  });
});
