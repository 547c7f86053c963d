/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { Comparison } from './Comparison.tsx';

afterEach(cleanup);

const chart = (bars: string) => `key: G\n[A]\n${bars}\n`;
/** What is drawn, without what is said of it. */
function drawn(part: Element | null | undefined): string | undefined {
  const seen = part?.cloneNode(true) as Element | undefined;
  for (const said of seen?.querySelectorAll('.sr-only') ?? []) said.remove();
  return seen?.textContent;
}
const bars = () => within(screen.getByRole('region', { name: 'A' })).getAllByRole('listitem');

describe('two versions of a chart', () => {
  test('draw the bars that were and are, not the text they are written in', () => {
    renderInBand(<Comparison before={chart('1 >4 57! 1')} after={chart('1 2-7 57! 1')} />);
    expect(screen.getByRole('heading', { name: /one bar changed/i })).toBeTruthy();
    const changed = bars()[1];
    expect(drawn(changed?.querySelector('del'))).toBe('4');
    expect(drawn(changed?.querySelector('ins'))).toBe('2–7');
    // a push and a stop are drawn
    expect(changed?.querySelectorAll('del svg')).toHaveLength(1);
    expect(screen.getByRole('region', { name: 'A' }).textContent).not.toMatch(/[>!]/);
  });

  test('a bar that is gone and a bar that is new are said in words', () => {
    renderInBand(<Comparison before={chart('1 4 5 1')} after={chart('1 4 1')} />);
    expect(bars().filter((bar) => bar.querySelector('del') !== null)).toHaveLength(1);
    cleanup();
    renderInBand(<Comparison before={chart('1 4 1')} after={chart('1 4 6- 1')} />);
    expect(bars().flatMap((bar) => drawn(bar.querySelector('ins')) ?? [])).toEqual(['6–']);
  });

  test('says so when nothing changed', () => {
    renderInBand(<Comparison before={chart('1 NC')} after={chart('1 NC')} />);
    expect(document.querySelectorAll('del, ins')).toHaveLength(0);
    expect(bars()[1]?.textContent).toContain('N.C.');
  });
});
