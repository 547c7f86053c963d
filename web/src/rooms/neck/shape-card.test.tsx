/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { DEFAULT_NAMING, findVoicings, parseChord, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { DiagramCard } from './DiagramCard.tsx';

afterEach(cleanup);

const voicing = (symbol: string, frets: string) => {
  const { voicings } = findVoicings(requireValue(parseChord(symbol)), STANDARD_GUITAR, { maxFret: 12 });
  const found = voicings.find((one) => one.frets.map((fret) => fret ?? 'x').join('') === frets);
  if (found === undefined) throw new Error(`no shape ${frets} of ${symbol}`);
  return found;
};

describe('a shape card', () => {
  test.each([
    ['F', '133211', /^F frets 1, 3, 3, 2, 1, 1, root lowest, (medium|hard)/],
    ['C', 'x32010', /^C frets muted, 3, 2, open, 1, open, root lowest, easy/],
    ['Dm7', 'xx0211', /^Dm7 frets muted, muted, open, 2, 1, 1, root lowest, easy/],
  ])('%s %s is said with its frets, inversion and how hard it is', (symbol, frets, said) => {
    renderInBand(
      <DiagramCard
        voicing={voicing(symbol, frets)}
        instrument={STANDARD_GUITAR}
        naming={DEFAULT_NAMING}
        labels="fingers"
        title={symbol}
        onChoose={() => undefined}
      />,
    );
    expect(screen.getByRole('button', { name: said })).toBeTruthy();
  });

  test('is chosen by a press and by Enter, and says that it is', async () => {
    const user = userEvent.setup();
    const onChoose = jest.fn();
    const card = (chosen: boolean) => (
      <DiagramCard
        voicing={voicing('F', '133211')}
        instrument={STANDARD_GUITAR}
        naming={DEFAULT_NAMING}
        labels="fingers"
        chosen={chosen}
        onChoose={onChoose}
      />
    );
    renderInBand(card(false));
    await user.click(screen.getByRole('button'));
    await user.keyboard('{Enter}');
    expect(onChoose).toHaveBeenCalledTimes(2);
    expect(screen.getByRole('button').getAttribute('aria-pressed')).toBe('false');
    cleanup();
    renderInBand(card(true));
    expect(screen.getByRole('button').getAttribute('aria-pressed')).toBe('true');
  });
});
