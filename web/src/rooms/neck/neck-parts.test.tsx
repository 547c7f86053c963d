/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { clearBars, useProgression } from '../../document/progression-store.ts';
import { setDevice } from '../../session/device-store.ts';
import { setKey } from '../../session/lens-store.ts';
import { NeckRoom } from './NeckRoom.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar')];
  setKey(null);
  setDevice({ neckLabels: 'notes' });
  clearBars();
});
afterEach(cleanup);

const ROUTES = [
  { path: 'neck', Component: NeckRoom },
  { path: 'songs/:songId/neck', Component: NeckRoom },
];
async function open(search: string, part: string) {
  openRoom(house, `/neck${search}`, ROUTES);
  await user.click(await screen.findByRole('tab', { name: part }));
}
async function openSong(source: string, part: string) {
  const song = house.addSong(source);
  openRoom(house, `/songs/${song.id}/neck?key=${/key: (\S+)/.exec(source)?.[1]}`, ROUTES);
  await user.click(await screen.findByRole('tab', { name: part }));
  return song;
}
const fill = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const isOn = (label: string) => screen.getByLabelText(label).getAttribute('aria-checked') === 'true';
const tick = async (label: string, on: boolean) => {
  if (isOn(label) !== on) await user.click(screen.getByLabelText(label));
};
const pressed = (name: string | RegExp) => user.click(screen.getByRole('button', { name }));
const sourceOf = (id: string) => house.songs.find((song) => song.id === id)?.source;

describe('what is held, tapped on the neck', () => {
  const tap = async (...places: readonly string[]) => {
    await screen.findByRole('region', { name: 'Names' });
    for (const place of places) await user.click(document.querySelector(`[data-place="${place}"]`) as Element);
  };
  const names = () =>
    within(screen.getByRole('region', { name: 'Names' }))
      .queryAllByRole('listitem')
      .map(({ textContent }) => textContent?.replace(/Add to the song.*/, '').trim());
  const C_OPEN = ['5-3', '4-2', '3-0', '2-1', '1-0'];

  test('is named as it grows; a place tapped again is silent, and one tap after another is taken back', async () => {
    await open('?key=C', 'Name it');
    expect(screen.getByText(/Its names appear here/)).toBeTruthy();
    await tap(...C_OPEN);
    await waitFor(() => expect(names()[0]).toBe('C'));
    await tap('5-3');
    await waitFor(() => expect(names()[0]).not.toBe('C'));
    await pressed('Undo');
    await waitFor(() => expect(names()[0]).toBe('C'));
    await pressed('Clear');
    await waitFor(() => expect(names()).toEqual([]));
    await pressed('Undo');
    await waitFor(() => expect(names()[0]).toBe('C'));
  });

  test('goes to the progression in Harmonize as its number where no song is open', async () => {
    await open('?key=G', 'Name it');
    await tap(...C_OPEN);
    await user.click(await screen.findByRole('button', { name: 'Add C to the song' }));
    expect(useProgression.getState().bars).toEqual(['4']);
  });

  test('goes to the open song as its last bar', async () => {
    const song = await openSong('title: Reed Bank\nkey: G\n\n1 5\n', 'Name it');
    await tap(...C_OPEN);
    await user.click(await screen.findByRole('button', { name: 'Add C to the song' }));
    await waitFor(() => expect(sourceOf(song.id)).toContain('1 5 4'));
  });
});

describe('limits of a path', () => {
  const steps = () => within(screen.getByRole('list', { name: 'The path' })).getAllByRole('listitem');
  const shapes = () =>
    steps().map(({ textContent }) => /frets ((?:muted|open|\d+|, )+), root/.exec(textContent ?? '')?.[1]?.split(', ') ?? []);
  const openPath = async () => {
    await openSong('title: Reed Bank\nkey: C\n\n1 4 5 1\n', 'Path');
    await waitFor(() => expect(steps()).toHaveLength(4));
  };

  test('the hand stays between the frets; one is never pushed past the other', async () => {
    await openPath();
    fill('Lowest fret', '5');
    await waitFor(() => {
      const frets = shapes().flatMap((shape) => shape.filter((fret) => fret !== 'muted'));
      expect(frets.length).toBeGreaterThan(0);
      expect(frets.filter((fret) => fret === 'open' || Number(fret) < 5)).toEqual([]);
    });
    fill('Highest fret', '3');
    expect((screen.getByLabelText('Highest fret') as HTMLInputElement).value).toBe('5');
    fill('Highest fret', '99');
    expect(Number((screen.getByLabelText('Highest fret') as HTMLInputElement).value)).toBeLessThan(25);
  });

  test('three-note shapes are three notes', async () => {
    await openPath();
    await user.selectOptions(screen.getByLabelText('Shapes'), 'Triads');
    await waitFor(() => {
      for (const shape of shapes()) expect(shape.filter((fret) => fret === 'muted')).toHaveLength(3);
    });
  });

  test('a root at the bottom and a bass that plays it shut each other out', async () => {
    await openPath();
    expect([isOn('root lowest'), isOn('bass plays the root')]).toEqual([true, false]);
    await user.click(screen.getByLabelText('bass plays the root'));
    expect([isOn('root lowest'), isOn('bass plays the root')]).toEqual([false, true]);
    await user.click(screen.getByLabelText('root lowest'));
    expect([isOn('root lowest'), isOn('bass plays the root')]).toEqual([true, false]);
  });

  test('the note on top is where the melody is, and what stays down from the chord before is said', async () => {
    await openPath();
    const chord = () => screen.findByRole('region', { name: 'This chord' });
    await user.selectOptions(within(await chord()).getByLabelText('Note on top'), 'G');
    const top = () => steps()[0]?.textContent;
    await waitFor(() => expect(top()).not.toContain('nothing fits'));
    await user.click(within(steps()[1] as HTMLElement).getByRole('button'));
    await waitFor(async () => expect((await chord()).textContent).toMatch(/fingers? .*stays? down from the chord before|Fingers/));
  });

  test('without chords an example is one press away', async () => {
    await open('?key=D', 'Path');
    await user.click(await screen.findByRole('button', { name: /^Try / }));
    await waitFor(() => expect(steps()).toHaveLength(4));
    expect(screen.getByText(/^movement in all:/)).toBeTruthy();
  });
});

describe('runs as they are asked for', () => {
  const count = async () => Number((await screen.findByText(/^\d+ notes$/)).textContent?.split(' ')[0]);
  const tab = (name: string) => screen.findByRole('img', { name });

  test('a scale back again is one note short of twice as long', async () => {
    await open('?key=G', 'Runs');
    const there = async (back: boolean) => {
      await tick('and back', back);
      return count();
    };
    const up = await there(false);
    expect(await there(true)).toBe(2 * up - 1);
  });

  test('on one string it has eight notes to the octave', async () => {
    await open('?key=G', 'Runs');
    await user.click(screen.getByRole('radio', { name: 'One string' }));
    await user.selectOptions(screen.getByLabelText('String'), 'string 6');
    await tick('to the octave', true);
    await tick('and back', false);
    expect(await count()).toBe(8);
  });

  test('three a string fills six strings with eighteen notes from the fret', async () => {
    await open('?key=G', 'Runs');
    await user.click(screen.getByRole('radio', { name: 'Three a string' }));
    await user.selectOptions(screen.getByLabelText('Starts on'), 'from the fret');
    await tick('to the octave', false);
    await tick('and back', false);
    expect(await count()).toBe(18);
  });

  test('over this chord, from its root, through the key as triads, and swept', async () => {
    await open('?key=G', 'Runs');
    await user.selectOptions(screen.getByLabelText('Starts on'), 'from the chord’s root');
    await tab('G major from G, over G, as tab');
    await user.click(screen.getByRole('radio', { name: 'Arpeggios' }));
    await user.selectOptions(screen.getByLabelText('Which chords'), 'the key’s triads');
    await tab('G: triads, note by note, as tab');
    await user.selectOptions(screen.getByLabelText('Which chords'), 'this chord');
    await tab('G, note by note, as tab');
    await user.click(screen.getByRole('radio', { name: 'Sweep' }));
    await user.selectOptions(screen.getByLabelText('Strings'), '5 4 3 2 1');
    await tab('G: five-string sweep, as tab');
  });

  test('the caution stands beside the click', async () => {
    await open('?key=G', 'Runs');
    expect(screen.getByText('Start slow and loose. Stop when something hurts.')).toBeTruthy();
  });
});
