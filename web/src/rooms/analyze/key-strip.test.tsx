/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { analyzeText, DEFAULT_NAMING, type Key } from '@aurora/core';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { user } from '../../../test/user.ts';
import type { HearingChoice } from '../../parts/analysis/use-heard-song.ts';
import { KeyStrip } from './KeyStrip.tsx';

afterEach(cleanup);

function draw(chords: string, pinned: Key | null = null) {
  const onPin = jest.fn<(key: Key | null) => void>();
  const onHearing = jest.fn<(hearing: HearingChoice) => void>();
  renderInBand(
    <KeyStrip analysis={analyzeText(chords)} naming={DEFAULT_NAMING} hearing="local" pinned={pinned} onHearing={onHearing} onPin={onPin} />,
  );
  return { onPin, onHearing };
}
const heading = () => screen.getByRole('heading', { level: 2 }).textContent;

describe('the key of what is analyzed', () => {
  test.each([
    ['Dm7 G7 Cmaj7', 'In C major'],
    ['Bm7b5 E7 Am', 'In A minor'],
    ['Eb Ab Bb7 Eb', 'In E♭ major'],
    ['F# B C#7 F#', 'In F♯ major'],
  ])('%s: %s', (chords, said) => {
    draw(chords);
    expect(heading()).toBe(said);
  });

  test('two homes are both named', () => {
    draw('Am F C G Am F C G');
    expect(heading()).toContain('A minor');
    expect(heading()).toContain('or C major');
  });

  test('no chords have no key yet, and nothing to hear it in', () => {
    draw('');
    expect(screen.queryByRole('button', { name: /^Hear it in/ })).toBeNull();
  });

  test('the runners-up are never hidden: a press hears it there', async () => {
    const { onPin } = draw('Dm7 G7 Cmaj7');
    const others = screen.getAllByRole('button', { name: /^Hear it in/ });
    expect(others.length).toBeGreaterThanOrEqual(1);
    await user.click(others[0] as HTMLElement);
    expect(onPin).toHaveBeenCalledWith(expect.objectContaining({ tonic: expect.any(Number) }));
  });

  test('a key set by hand is let go with one press', async () => {
    const { onPin } = draw('Dm7 G7 Cmaj7', { tonic: 0, scale: 'major' });
    await user.click(screen.getByRole('button', { name: 'Let the chords decide' }));
    expect(onPin).toHaveBeenCalledWith(null);
  });

  test('the reasons stand whole under the key', () => {
    draw('Dm7 G7 Cmaj7');
    expect(document.body.textContent).toContain('chord is its own');
  });

  test('keys on the way are told in order', () => {
    draw('C F G7 C | C Am Dm G7 | A D E7 A | A F#m Bm E7 | A D E7 A');
    const list = screen.queryByRole('list');
    if (list !== null) expect(within(list).getAllByRole('listitem')[0]?.textContent).toContain('A');
  });

  test('one of three hearings is chosen', async () => {
    const { onHearing } = draw('Dm7 G7 Cmaj7');
    const hearings = screen.getAllByRole('radio');
    expect(hearings).toHaveLength(3);
    await user.click(hearings[1] as HTMLElement);
    expect(onHearing).toHaveBeenCalledWith('home');
  });
});
