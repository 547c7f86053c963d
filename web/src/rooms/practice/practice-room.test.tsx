/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { itemIn, STANDARD_GUITAR } from '@aurora/core';
import { DEFAULT_PRACTICE } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { PlanPart } from './PlanPart.tsx';
import { AskItem } from './session/AskItem.tsx';
import { useRun } from './session/run-store.ts';
import { beginRun, blockOf } from './session/session-run.ts';
import type { Played, Practice } from './use-practice.ts';
import { WorksheetPart } from './WorksheetPart.tsx';

const EB = { tonic: -3, scale: 'major' } as const;
const played: Played[] = [];

function practiceNow(over: Partial<Practice> = {}): Practice {
  return {
    player: { bandId: 'band', memberId: 'me' },
    playerName: 'Tam',
    instrument: STANDARD_GUITAR,
    passes: [],
    memories: new Map(),
    isKnown: true,
    settings: DEFAULT_PRACTICE,
    change: () => undefined,
    programme: null,
    depth: 'seventh',
    waiting: 0,
    notes: [],
    refused: { passes: [], sessions: [], sendAgain: () => undefined, letGo: () => undefined },
    record: (_, one) => `pass ${played.push(one)}`,
    release: () => undefined,
    takeBack: () => true,
    ...over,
  };
}

beforeEach(() => {
  localStorage.clear();
  played.length = 0;
  useRun.setState({ run: null, minutes: 20 });
});
afterEach(cleanup);

describe('the plan', () => {
  const draw = () =>
    renderInBand(
      <MemoryRouter>
        <PlanPart practice={practiceNow()} />
      </MemoryRouter>,
    );
  const minutes = () =>
    screen
      .getAllByRole('listitem')
      .flatMap((row) => Number(/^(\d+) min/.exec(row.textContent ?? '')?.[1] ?? Number.NaN))
      .filter(Number.isFinite);
  const sum = () => minutes().reduce((all, one) => all + one, 0);

  test('lasts as long as was chosen, and says why each thing is in it', async () => {
    draw();
    expect(sum()).toBe(20);
    await userEvent.setup().click(screen.getByRole('button', { name: '45 min' }));
    expect(sum()).toBe(45);
    expect(screen.getAllByText('new').length).toBeGreaterThan(0);
    expect(screen.getByText(/Stop when something hurts/)).toBeTruthy();
  });

  test('a block is shortened, lengthened, swapped and left out', async () => {
    const user = userEvent.setup();
    draw();
    await user.click(screen.getByRole('button', { name: 'Change Recall' }));
    await user.click(screen.getByRole('button', { name: 'A minute more' }));
    expect(sum()).toBe(21);
    await user.click(screen.getByRole('button', { name: 'A minute less' }));
    const blocks = minutes().length;
    await user.click(screen.getByRole('button', { name: 'Something else' }));
    expect(screen.queryByRole('heading', { name: 'Recall' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Change Warm-up' }));
    const warmUp = screen.getByRole('group', { name: 'Change Warm-up' });
    expect(within(warmUp).queryByRole('button', { name: 'Something else' })).toBeNull();
    await user.click(within(warmUp).getByRole('button', { name: 'Leave it out' }));
    expect(minutes()).toHaveLength(blocks - 1);
  });

  test('minutes outside what can be planned are refused in place', async () => {
    const user = userEvent.setup();
    draw();
    const field = screen.getByLabelText('Minutes', { selector: 'input' });
    await user.clear(field);
    await user.type(field, '500{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('3 to 180');
    expect(sum()).toBe(20);
  });
});

describe('a question', () => {
  const draw = () => {
    const run = beginRun('s', [blockOf('recall', itemIn('recall', 'chord-to-degree', EB), 5)], Date.now());
    useRun.setState({ run });
    renderInBand(<AskItem practice={practiceNow()} run={run} item={run.blocks[0]?.items[0] as never} />);
  };
  /** The seven sevenths of E♭. */
  const SEVENTHS = ['E♭maj7', 'Fm7', 'Gm7', 'A♭maj7', 'B♭7', 'Cm7', 'Dm7♭5'];
  const asked = () => {
    const text = screen.getByRole('heading', { level: 2 }).textContent ?? '';
    return SEVENTHS.findIndex((chord) => text.startsWith(chord)) + 1;
  };

  test('is answered by typing one digit, and kept with its time', async () => {
    draw();
    await userEvent.setup().type(screen.getByLabelText('Your answer'), String(asked()));
    expect(screen.getByRole('status').textContent).toContain('Right.');
    expect(played).toHaveLength(1);
    expect(played[0]).toMatchObject({ outcome: 'right', said: '', hidden: true });
    expect(played[0]?.answeredIn).toBeGreaterThanOrEqual(0);
  });

  test('of the key names its depth; the triad of a seventh is asked once more and kept as nothing', async () => {
    const run = beginRun('s', [blockOf('recall', itemIn('recall', 'degree-to-chord', EB), 5)], Date.now());
    useRun.setState({ run });
    renderInBand(<AskItem practice={practiceNow()} run={run} item={run.blocks[0]?.items[0] as never} />);
    const text = screen.getByRole('heading', { level: 2 }).textContent ?? '';
    expect(text).toContain('as a seventh?');
    const triad = ['Eb', 'Fm', 'Gm', 'Ab', 'Bb', 'Cm', 'Ddim'][Number(text[0]) - 1] as string;
    await userEvent.setup().type(screen.getByLabelText('Your answer'), `${triad}{Enter}`);
    expect(screen.getByRole('status').textContent).toContain('Right as a triad');
    expect(played).toEqual([]);
    await userEvent.setup().click(screen.getByRole('button', { name: 'Again' }));
    expect(screen.getByRole('heading', { level: 2 }).textContent).toBe(text);
  });

  test('is answered on the pad; what is wrong is told with its reason', async () => {
    draw();
    const wrong = (asked() % 7) + 1;
    await userEvent.setup().click(screen.getByRole('button', { name: String(wrong) }));
    expect(screen.getByRole('status').textContent).toContain('The key of E♭ has E♭ F G A♭ B♭ C D');
    expect(played[0]).toMatchObject({ outcome: 'wrong', said: String(wrong) });
  });

  test('by the pedal: shown, then judged by the player', () => {
    draw();
    const field = screen.getByLabelText('Your answer');
    fireEvent.keyDown(field, { key: 'PageDown' });
    expect(played).toEqual([]);
    fireEvent.keyDown(window, { key: 'PageUp' });
    expect(played[0]).toMatchObject({ outcome: 'wrong', said: '' });
  });

  test('what cannot be read is asked again, and is no answer', async () => {
    draw();
    await userEvent.setup().type(screen.getByLabelText('Your answer'), 'banana{Enter}');
    expect(screen.getByRole('status').textContent).toContain('a number from 1 to 7');
    expect(played).toEqual([]);
  });
});

describe('the worksheet', () => {
  test('a cell is checked when it is left, and says why', async () => {
    const user = userEvent.setup();
    renderInBand(<WorksheetPart practice={practiceNow()} />);
    await user.type(screen.getByLabelText('Notes, 4'), 'C#{Enter}');
    expect(document.body.textContent).toContain('the key of A♭ has it as D♭');
    await user.clear(screen.getByLabelText('Notes, 4'));
    await user.type(screen.getByLabelText('Notes, 4'), 'Db{Enter}');
    expect(document.body.textContent).not.toContain('has it as');
    expect(screen.getByText('1 of 42 right')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Empty it' }));
    expect(screen.getByText('0 of 42 right')).toBeTruthy();
  });
});
