/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useChartView } from '../../session/chart-view-store.ts';
import { useDevice } from '../../session/device-store.ts';
import { SettingsRoom } from './SettingsRoom.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar'), playerOf('Bram', 'bass')];
});
afterEach(cleanup);

const open = () => openRoom(house, '/settings', [{ path: 'settings', Component: SettingsRoom }]);
const group = async (name: string) => within(await screen.findByRole('region', { name }));
const choose = async (name: string, option: string) => user.click((await group(name)).getByRole('radio', { name: option }));

describe('notation, for the band', () => {
  test('a school that is chosen is shown at once and kept for everybody', async () => {
    open();
    expect((await group('Notation')).getByText('B♭maj7', { exact: false })).toBeTruthy();
    for (const [option, field, value] of [
      ['△7', 'majorSeventh', '△7'],
      ['−7', 'minorSeventh', '−7'],
      ['ø7', 'halfDiminished', 'ø7'],
      ['°', 'diminished', '°'],
      ['T – S', 'steps', 'T-S'],
    ] as const) {
      await choose('Notation', option);
      await waitFor(() => expect(house.preferences.naming[field]).toBe(value));
    }
    expect(screen.getByRole('region', { name: 'Notation' }).textContent).toContain('B♭△7  C−7  Bø7  E°  A−');
  });

  test('German names: B flat is B, and B is H', async () => {
    open();
    await choose('Notation', 'B H');
    await waitFor(() => expect(screen.getByRole('region', { name: 'Notation' }).textContent).toContain('Bmaj7  Cm7  Hm7♭5'));
  });

  test('a school chosen before the band’s own have come changes that one alone', async () => {
    house.preferences = { naming: { ...house.preferences.naming, notes: 'german', steps: 'T-S' } };
    let resolve: () => void = () => undefined;
    const promise = new Promise<void>((answer) => {
      resolve = answer;
    });
    house.on('GET', /.*\/preferences/, () => promise.then(() => house.preferences));
    open();
    await choose('Notation', '△7');
    resolve();
    await waitFor(() => expect(house.preferences.naming).toMatchObject({ majorSeventh: '△7', notes: 'german', steps: 'T-S' }));
  });

  test('what the server refuses goes back to what it was', async () => {
    house.on('PATCH', /.*\/preferences/, () => new Refusal(403, 'A guest changes nothing.'));
    open();
    await choose('Notation', '△7');
    await waitFor(() => expect(house.all('PATCH', /preferences/)).toHaveLength(1));
    const notation = await group('Notation');
    await waitFor(() => expect(notation.getByRole('radio', { name: 'maj7' }).getAttribute('aria-checked')).toBe('true'));
  });
});

describe('look and sound, on this device', () => {
  test('theme, how chords sound and what dots show are remembered here', async () => {
    open();
    await choose('Look and sound', 'Night');
    expect(useDevice.getState().theme).toBe('night');
    await choose('Look and sound', 'As the system');
    expect(useDevice.getState().theme).toBeNull();
    await choose('Look and sound', 'Pick');
    await choose('Look and sound', 'Formula');
    expect(useDevice.getState()).toMatchObject({ strum: 'arpeggio', neckLabels: 'formula' });
    expect(JSON.parse(localStorage.getItem('aurora-device') ?? '{}').value).toMatchObject({ strum: 'arpeggio' });
    expect(house.all('PATCH', /preferences/)).toEqual([]);
  });

  test('loudness goes by keys, says what it is, and warns of headphones', async () => {
    useDevice.setState({ volume: 0.3 });
    open();
    const slider = (await group('Look and sound')).getByRole('slider', { name: 'Loudness' });
    expect(slider.getAttribute('aria-valuetext')).toBe('30 of 100');
    slider.focus();
    await user.keyboard('{ArrowRight}');
    expect(useDevice.getState().volume).toBeCloseTo(0.35);
    expect(screen.getByText(/If your ears ring afterwards/)).toBeTruthy();
  });
});

describe('charts and instrument', () => {
  test('what charts show, and whether a digit alone is the key’s own chord', async () => {
    open();
    const charts = await group('Charts');
    await user.selectOptions(charts.getByRole('combobox'), charts.getByRole('option', { name: 'Roman' }));
    await waitFor(() => expect((charts.getByRole('combobox') as HTMLSelectElement).selectedOptions[0]?.textContent).toBe('Roman'));
    const own = charts.getByRole('checkbox', { name: /A digit alone/ });
    await user.click(own);
    expect(useChartView.getState().ownChords).toBe(true);
    await user.click(own);
    expect(useChartView.getState().ownChords).toBe(false);
  });

  test('an instrument that cannot be is answered in place; one that can is kept with its player', async () => {
    open();
    const instrument = await group('Instrument');
    await instrument.findByRole('option', { name: 'Tam, guitar' });
    await user.selectOptions(instrument.getByLabelText('Who plays here'), 'Tam, guitar');
    const tuning = await instrument.findByLabelText('Open strings, lowest first');
    fireEvent.change(tuning, { target: { value: 'E1 A1 H2 G2' } });
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('alert')
          .map(({ textContent }) => textContent)
          .join(' '),
      ).toContain('write B'),
    );
    fireEvent.change(tuning, { target: { value: 'D2 A2 D3 G3 B3 E4' } });
    await waitFor(() => expect(house.members[0]?.instrument?.tuning?.length).toBe(6));
    await user.click(instrument.getByRole('radio', { name: 'Left-handed' }));
    await waitFor(() => expect(house.members[0]?.instrument).toMatchObject({ leftHanded: true }));
    expect(house.members[1]?.instrument).toBeNull();
  });
});
