/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useLensStore } from '../../session/lens-store.ts';
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

async function typeChords(text: string): Promise<void> {
  openRoom(house, '/analyze', ROUTES);
  fireEvent.change(await screen.findByRole('textbox', { name: 'Chords' }), { target: { value: text } });
}
async function openSong(source: string) {
  const song = house.addSong(source);
  openRoom(house, `/songs/${song.id}/analyze`, ROUTES);
  await waitFor(() => expect(chord(0)).toBeTruthy());
  return song;
}
const chord = (index: number) => {
  const found = document.querySelector<HTMLElement>(`[data-index="${index}"]`);
  if (found === null) throw new Error(`no chord ${index}`);
  return found;
};
const chords = () => document.querySelectorAll('[data-index]');
const nameOf = (index: number) => chord(index).getAttribute('aria-label') ?? chord(index).textContent ?? '';
const heading = (name: string | RegExp) => screen.findByRole('heading', { name });
const why = () => useLensStore.getState().selection?.why?.join(' ') ?? '';
const openPart = async (name: string) => user.click(screen.getByRole('tab', { name }));

describe('chords as typed', () => {
  test('are read at once: key, numbers, readings and why', async () => {
    await typeChords('A C#7 D Dm6 A E');
    await heading(/^In A major/);
    await waitFor(() => expect(nameOf(1)).toMatch(/^3 7, C sharp 7, secondary dominant, deceptive/));
    await user.click(chord(1));
    expect(why()).toContain('is the dominant of F♯m');
    expect(why()).toContain('The ear expects F♯m');
    await user.keyboard('{ArrowRight}{ArrowRight}');
    expect(document.activeElement).toBe(chord(3));
    expect(why()).toContain('is borrowed');
  });

  test('relative keys are two homes; a pinned key is followed, and let go again', async () => {
    await typeChords('Am F C G Am F C G');
    await heading('In A minor or C major');
    await user.click(screen.getByRole('button', { name: 'Hear it in C major' }));
    await heading('In C major');
    await waitFor(() => expect(nameOf(0)).toMatch(/^6 minor/));
    await user.click(screen.getByRole('button', { name: 'Let the chords decide' }));
    await waitFor(() => expect(nameOf(0)).toMatch(/^1 minor/));
  });

  test('one key turns between hearings and both side by side; numbers stay', async () => {
    await typeChords('Abmaj7 Ebm7 Ab7 Dbmaj7 Abmaj7');
    await waitFor(() => expect(chord(1).textContent).toContain('ii7/IV'));
    (document.activeElement as HTMLElement | null)?.blur();
    await user.keyboard('h');
    await waitFor(() => expect(chord(1).textContent).toContain('v7'));
    expect(chord(1).textContent).not.toContain('ii7/IV');
    await user.keyboard('h');
    await waitFor(() => expect(chord(1).textContent).toMatch(/ii7\/IV.*v7|v7.*ii7\/IV/));
    expect(nameOf(1)).toMatch(/^5 minor 7/);
  });

  test('bad input keeps what is good, and says what is not', async () => {
    await typeChords('C zz G7 NC C');
    expect((await screen.findByRole('region', { name: 'Not read' })).textContent).toContain('zz in line 1');
    await heading('In C major');
    cleanup();
    await typeChords('');
    expect(await screen.findByText(/Write the chords of a song as you hear them/)).toBeTruthy();
  });
});

describe('the parts of a chord', () => {
  test('scales are ranked; a melody note puts others first', async () => {
    await typeChords('Dm7 G7 Cmaj7');
    await waitFor(() => expect(chords()).toHaveLength(3));
    await user.click(chord(1));
    await openPart('Scales');
    const first = () => within(screen.getByRole('list', { name: 'Scales' })).getAllByRole('button')[0]?.textContent;
    expect(first()).toContain('G mixolydian');
    await user.type(screen.getByLabelText('Melody note over this chord'), 'Eb');
    await waitFor(() => expect(first()).toContain('G altered'));
    await user.click(within(screen.getByRole('list', { name: 'Scales' })).getAllByRole('button')[0] as HTMLElement);
    expect(useLensStore.getState().selection?.scale).toMatchObject({ scale: 'altered' });
  });

  test('what if: a suggestion is put in, taken back and put in again', async () => {
    await typeChords('C Dm G7 C');
    await waitFor(() => expect(chords()).toHaveLength(4));
    await user.click(chord(1));
    await openPart('What if');
    await user.click(await screen.findByRole('button', { name: 'Put A7 Dm in its place' }));
    await waitFor(() => expect(chords()).toHaveLength(5));
    await waitFor(() => expect(chord(1).textContent).toContain('V7/ii'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(chords()).toHaveLength(4));
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await waitFor(() => expect(chords()).toHaveLength(5));
  });

  test('patterns lead to where they are', async () => {
    await openSong('title: Eel Weir\nkey: A\n\n2-7 57 1maj7 67\n2-7 57 1maj7 1maj7\n');
    await openPart('Patterns');
    await user.click((await screen.findAllByRole('button', { name: /^ii–V–I into A major/ }))[0] as HTMLElement);
    await waitFor(() => expect(chord(0).getAttribute('aria-pressed')).toBe('true'));
  });
});

describe('the player’s word', () => {
  test('is kept with the song and shown as theirs', async () => {
    const song = await openSong('title: Weir Lamp\nkey: C\n\n1 4 b77 1\n');
    await user.click(chord(2));
    await openPart('Function');
    await user.selectOptions(screen.getByLabelText('You hear it as'), 'borrowed');
    await user.type(screen.getByLabelText('Your note'), 'Ines sings the minor 6 here');
    await user.click(screen.getByRole('button', { name: 'Save with the song' }));
    await waitFor(() => expect(chord(2).textContent).toContain('yours: borrowed'));
    await waitFor(() =>
      expect(house.songs.find(({ id }) => id === song.id)?.source).toContain('= borrowed -- Ines sings the minor 6 here'),
    );
  });

  test('stays when an edit takes its chord away, and says so', async () => {
    await openSong('title: Weir Lamp\nkey: C\nreading 3-1: 4 [b77] 1 = borrowed -- Ines sings the minor 6 here\n\n1 4 5 1\n');
    await waitFor(() => expect(nameOf(2)).toMatch(/^5, G/));
    await openPart('Function');
    expect((await screen.findByRole('region', { name: 'What you said' })).textContent).toContain(
      'an edit has taken it away. Your word is kept.',
    );
  });

  test('a song without chords says where they are written', async () => {
    const song = house.addSong('title: Nothing yet\nkey: C\n');
    openRoom(house, `/songs/${song.id}/analyze`, ROUTES);
    const link = await screen.findByRole('link', { name: /in its chart/ });
    expect(link.getAttribute('href')).toBe(`/songs/${song.id}/chart`);
  });
});
