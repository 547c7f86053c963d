/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { NO_HISTORY } from '../../document/history.ts';
import { useProgression } from '../../document/progression-store.ts';
import { keyInForce, setKey, useLensStore } from '../../session/lens-store.ts';
import { Harmonize } from './Harmonize.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  useProgression.setState({ bars: [], history: NO_HISTORY });
});
afterEach(cleanup);

/** Opens the room on a key with a degree chosen and a panel open, by keys. */
async function open(key: string, { depth = 1, steps = 0, panel }: { depth?: number; steps?: number; panel?: string } = {}) {
  const opened = openRoom(house, `/harmonize?key=${encodeURIComponent(key)}`, [
    { path: 'harmonize', Component: Harmonize },
    { path: 'songs/:songId/chart', Component: () => <p>the chart</p> },
  ]);
  await screen.findByRole('group', { name: 'The chords of the key' });
  const keys = 't'.repeat(depth) + '{ArrowRight}'.repeat(steps);
  if (keys !== '') await user.keyboard(keys);
  if (panel !== undefined) await user.click(screen.getByRole('tab', { name: panel }));
  return opened;
}
const stage = () => within(screen.getByRole('group', { name: 'The chords of the key' }));
const chosen = () => stage().getByRole('button', { pressed: true });
const nameOf = (element: HTMLElement) => element.getAttribute('aria-label') ?? element.textContent ?? '';
const panel = () => screen.getAllByRole('tabpanel').at(-1) as HTMLElement;
const says = (words: string | RegExp) => waitFor(() => expect(panel().textContent).toMatch(words));

describe('the stage', () => {
  test('seven chords of the key; arrows and digits choose, t builds them higher, T one alone', async () => {
    await open('C', { depth: 0 });
    expect(stage().getAllByRole('button', { pressed: false }).length).toBeGreaterThanOrEqual(6);
    const build = screen.getByLabelText('Chords built of') as HTMLSelectElement;
    const built = () => build.selectedOptions[0]?.textContent;
    for (const name of [
      'Sevenths',
      'Ninths',
      'Elevenths',
      'Thirteenths',
      'As bands play them',
      'Fourths',
      'Fourths and a third',
      'Triads',
    ]) {
      await user.keyboard('t');
      expect(built()).toBe(name);
    }
    await user.keyboard('{ArrowRight}{Shift>}T{/Shift}');
    expect(nameOf(chosen())).toMatch(/^2 minor 7, D minor 7/);
    await user.keyboard('5');
    expect(nameOf(chosen())).toMatch(/^5, G/);
  });

  test('arrows up and down move the key by a half step', async () => {
    await open('C', { depth: 0 });
    await user.keyboard('{ArrowUp}');
    expect(nameOf(chosen())).toMatch(/^1, D flat/);
    expect(keyInForce({ key: useLensStore.getState().key, homeKey: null })).toMatchObject({ tonic: -5 });
    await user.keyboard('{ArrowDown}');
    expect(nameOf(chosen())).toMatch(/^1, C/);
  });
});

describe('why', () => {
  test('four ways, and what one types is answered', async () => {
    await open('Bb', { steps: 3, panel: 'Why' });
    await says('needs D♭, the key has D');
    await says('Its seventh lies a half step below the octave');
    await says('Its one dominant seventh is F7, on the 5');
    const typed = within(panel()).getByLabelText('The chord’s notes, or its name');
    for (const [text, answer] of [
      ['Eb G Bb D', 'Right, every letter.'],
      ['D# G Bb D', 'the letter is wrong: the 1 of E♭maj7 is written E♭'],
      ['Ebm7', 'Not quite: its 3 is G, where Ebm7 has G♭'],
    ] as const) {
      await user.clear(typed);
      await user.type(typed, text);
      await says(answer);
    }
  });

  test('tones picked by hand are named', async () => {
    await open('C', { steps: 3, panel: 'Why' });
    const tones = within(within(panel()).getByRole('group', { name: 'Tones' }));
    expect(tones.getAllByRole('button', { pressed: true })).toHaveLength(5);
    await says('Fmaj13no5');
    await user.click(tones.getByRole('button', { name: /♯11/ }));
    await user.click(tones.getByRole('button', { name: /^13/ }));
    await says('Fmaj9♯11no5');
  });
});

describe('the other panels', () => {
  test('how it moves, and what two scales share', async () => {
    await open('C', { panel: 'Voice leading' });
    await says('3 and 7 down a half step: that is Dm7');
    await user.click(screen.getByRole('tab', { name: 'Compare' }));
    await user.selectOptions(within(panel()).getByLabelText('The other scale'), 'melodic minor');
    await says('One note changed: E becomes E♭.');
    const other = within(panel()).getByLabelText('Or any other key');
    await user.type(other, 'H minor{Enter}');
    expect((await within(panel()).findByRole('alert')).textContent).toContain('write B');
    await user.clear(other);
    await user.type(other, 'Am{Enter}');
    await says('The same seven notes.');
  });

  test('all keys, either way round the circle, and fourth against fifth', async () => {
    await open('Bb', { panel: 'All keys' });
    await says('B♭ is the 5 of E♭');
    await user.click(within(panel()).getByRole('radio', { name: 'In fourths' }));
    expect(within(panel()).getByRole('img', { name: /clockwise in fourths: C, F, B♭/ })).toBeTruthy();
    const key = within(panel())
      .getAllByRole('button')
      .find(({ textContent }) => textContent?.trim() === 'A♭');
    await user.click(key as HTMLElement);
    expect(useLensStore.getState().key).toMatchObject({ tonic: -4 });
  });

  test('the mode on each degree, with what makes it', async () => {
    await open('Ab', { steps: 1, panel: 'Modes' });
    const row = within(panel())
      .getAllByRole('row')
      .find(({ textContent }) => /B♭ dorian/.test(textContent ?? ''));
    expect(row?.textContent).toContain('minor with 6');
  });

  test('keys a chord is found in, and names for any notes', async () => {
    await open('Ab', { steps: 1, panel: 'Found in keys' });
    await says('B♭m7');
    const notes = within(panel()).getByLabelText('Notes to name, lowest first');
    await user.type(notes, 'A C Eb Gb');
    await waitFor(() => expect(within(panel()).getAllByRole('listitem')[0]?.textContent).toContain('Adim7'));
    await says(/F7♭9\s*without F/);
    await user.clear(notes);
    await user.type(notes, 'C Db D Eb E F');
    await says('No common chord fits');
  });

  test('the scale along one string', async () => {
    await open('Ab', { steps: 1, panel: 'One string' });
    await user.click(within(panel()).getByRole('radio', { name: 'String 6' }));
    expect(within(panel()).getByRole('img', { name: /On string 6: A♭ at fret 4/ })).toBeTruthy();
  });
});

describe('the progression', () => {
  const bars = () => within(screen.getByRole('list', { name: 'Bars' })).getAllByRole('listitem');

  test('is gathered by pressing and by typing, taken back, and becomes a song', async () => {
    await open('A harmonic minor', { panel: 'Progression' });
    await user.click(await screen.findByRole('button', { name: 'Add 4 minor 7 to the progression' }));
    const typed = screen.getByLabelText('Chords as numbers or letters');
    await user.type(typed, 'Am F E7{Enter}');
    expect(bars()).toHaveLength(4);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(bars()).toHaveLength(1);
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await user.click(within(bars()[3] as HTMLElement).getByRole('button'));
    expect(bars()).toHaveLength(3);
    await user.click(screen.getByRole('button', { name: 'New song' }));
    expect(await screen.findByText('the chart')).toBeTruthy();
    expect(house.songs[0]?.source).toContain('key: A harmonic minor');
    expect(house.songs[0]?.source).toContain('4-7 1- b6');
    expect(useProgression.getState().bars).toEqual([]);
  });

  test('what cannot be read is answered in the field, and what was typed stays', async () => {
    await open('C', { panel: 'Progression' });
    const typed = screen.getByLabelText('Chords as numbers or letters') as HTMLInputElement;
    await user.type(typed, '1 zz{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('zz');
    expect(typed.value).toBe('1 zz');
    expect(useProgression.getState().bars).toEqual([]);
  });
});

describe('names', () => {
  test('follow the band’s school everywhere', async () => {
    house.preferences = {
      naming: { ...house.preferences.naming, majorSeventh: '△7', halfDiminished: 'ø7', notes: 'german', steps: 'T-S' },
    };
    await open('Bb');
    await waitFor(() => expect(chosen().textContent).toContain('B△7'));
    expect(screen.getByRole('group', { name: 'The chords of the key' }).textContent).toContain('Aø7');
    expect(screen.getByRole('figure', { name: /steps T T S T T T S/ })).toBeTruthy();
    setKey(null);
  });
});
