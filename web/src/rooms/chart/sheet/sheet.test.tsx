/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { CONCERT_READER, TRANSPOSITION_SEMITONES } from '@aurora/core';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { WrittenSheet } from '../../../dev/WrittenSheet.tsx';

afterEach(cleanup);

const music = () => (screen.getByTestId('text').textContent ?? '').split('\n\n').at(-1)?.trim();
const bar = (name: RegExp) => screen.getByRole('button', { name });

describe('a bar as it is drawn', () => {
  test.each([
    ['>4', 'Bar 1: 4, C, pushed'],
    ['<1>', 'Bar 1: 1, G, let ring'],
    ['5!', 'Bar 1: 5, D, stop'],
    ['2-7?', 'Bar 1: 2 minor 7, A minor 7, optional'],
    ['NC', 'Bar 1: no chord'],
    ['5/7', 'Bar 1: 5 over 7, D over F sharp'],
    ['b7maj7', 'Bar 1: flat 7 major 7, F major 7'],
  ])('%s is said as %s', (typed, said) => {
    renderInBand(<WrittenSheet source={`key: G\n\n${typed}\n`} />);
    expect(screen.getByRole('button', { name: said })).toBeTruthy();
  });

  test('the reader’s letters stand under the numbers, with what sounds beside them', () => {
    renderInBand(<WrittenSheet source={'key: D\n\n1 5\n'} reader={{ ...CONCERT_READER, transpose: TRANSPOSITION_SEMITONES.Eb }} />);
    expect(bar(/^Bar 1/).textContent).toContain('= D');
    expect(screen.getByRole('button', { name: 'Bar 1: 1, B, sounding D' })).toBeTruthy();
  });

  test('signs of form stand where they are written', () => {
    renderInBand(<WrittenSheet source={'key: C\n\n[A] x2\n{segno} |: 1 4 1.[ 5 ] 2.[ 1 ] :|x3\n6- {to coda} 5 {ds al coda}\n'} />);
    const chart = screen.getByRole('article', { name: 'Chart' });
    expect(within(chart).getByRole('img', { name: 'segno' })).toBeTruthy();
    for (const words of ['1.', '2.', '×3', 'To Coda', 'D.S. al Coda']) expect(chart.textContent).toContain(words);
  });

  test('the bar that is chosen is said to be pressed, and another press chooses another', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n\n1 4 5\n'} />);
    await user.click(bar(/^Bar 2/));
    expect(bar(/^Bar 2/).getAttribute('aria-pressed')).toBe('true');
    await user.click(bar(/^Bar 3/));
    expect([bar(/^Bar 2/), bar(/^Bar 3/)].map((one) => one.getAttribute('aria-pressed'))).toEqual(['false', 'true']);
  });
});

describe('a bar as it is typed', () => {
  test('a new song has one bar open, and Tab goes on from bar to bar', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n'} withText />);
    expect(document.activeElement).toBe(screen.getByLabelText('New bar'));
    await user.keyboard('5{Tab}1{Tab}2-{Tab}3-{Tab}');
    expect(music()).toBe('5 1 2- 3-');
    expect(document.activeElement).toBe(screen.getByLabelText('New bar'));
  });

  test('a slip at the very first key is mended: the caret is where the next letter goes', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n'} withText />);
    await user.keyboard('3{Backspace}1{Tab}47{Backspace}{Tab}');
    expect(music()).toBe('1 4');
  });

  test('a bar that is entered is replaced; entered twice it is edited', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n\n1 4 5\n'} withText />);
    await user.click(bar(/^Bar 2/));
    await user.keyboard('2-{Enter}');
    expect(music()).toBe('1 2- 5');
    await user.keyboard('{F2}7{Enter}');
    expect(music()).toBe('1 2-7 5');
  });

  test('what cannot be read stands in its bar, marked, with what was expected, and the next bar is open', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n\n1 4\n'} withText />);
    await user.click(bar(/^Bar 1/));
    await user.keyboard('{Enter}q{Tab}');
    expect(screen.getByRole('button', { name: 'Bar 1: not read: 1q' })).toBeTruthy();
    expect(screen.getByRole('status', { name: 'Bar 1' }).textContent).toContain('“q”');
    expect((screen.getByLabelText('Bar 2') as HTMLInputElement).value).toBe('4');
    await user.keyboard('{Escape}');
    expect(music()).toBe('(1q) 4');
  });

  test('the hint tells what a digit alone will write', async () => {
    const user = userEvent.setup();
    renderInBand(<WrittenSheet source={'key: C\n'} ownChords withText />);
    await user.keyboard('2');
    expect(screen.getByText('writes 2–')).toBeTruthy();
    await user.keyboard('{Tab}5{Tab}');
    expect(music()).toBe('2- 5');
  });
});
