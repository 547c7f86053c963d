/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { type Chord, DEFAULT_NAMING, type Reduction, reduce, type Said } from '@aurora/core';
import { readScore } from '@aurora/core/format';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { renderInBand } from '../../../../test/in-a-band.tsx';
import { ColumnStrip } from './ColumnStrip.tsx';
import { DeskChoice } from './DeskChoice.tsx';
import { markColumn, pressedIn } from './engraved-marks.ts';
import { HarmonyPart } from './HarmonyPart.tsx';
import { KeysPart } from './KeysPart.tsx';
import { NotesPart } from './NotesPart.tsx';
import { columnBars } from './score-view.ts';

afterEach(cleanup);

const HYMN = 'X:1\nT:Quay Hymn\nM:4/4\nL:1/8\nK:C\nV:1\ne2ed e2g2|f8|f2fe d2B2|c8|]\nV:2\n[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,,G,CE]8|]\n';

function piece(): Reduction {
  const read = readScore('abc', new TextEncoder().encode(HYMN));
  if (!read.ok) throw new Error('not read');
  return reduce(read.value.score);
}
const REDUCTION = piece();

/** A piece on the desk; `said` is what is already said of it. */
function deskWith(said: readonly Said[] = []) {
  const say = jest.fn<(...all: Said[]) => void>();
  const takeBack = jest.fn<(...all: Said[]) => void>();
  const work = {
    reduction: REDUCTION,
    xml: '',
    losses: [],
    value: { title: 'Quay Hymn', rhythm: 'auto' as const, songId: null, said: {} },
    say,
    takeBack,
    hasSaid: (one: Said) => said.some(({ kind }) => kind === one.kind),
    change: jest.fn(),
    undo: null,
    redo: null,
  };
  const props = {
    work,
    index: 1,
    column: REDUCTION.columns[1],
    naming: DEFAULT_NAMING,
    school: 'by-approach',
    depth: 'every',
    onChoose: jest.fn(),
  } as const;
  return { props, say, takeBack };
}

describe('the harmonies', () => {
  test('are buttons named by chord, place and bass; what is beside the chord is said', () => {
    const choose = jest.fn();
    renderInBand(<ColumnStrip bars={columnBars(REDUCTION, 'every', DEFAULT_NAMING)} chosen={0} onChoose={choose} onDrag={jest.fn()} />);
    const first = screen.getByRole('button', { name: /^C.*bar 1, beat 1, root in the bass, 1 beside/ });
    expect(first.getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: /^F.*bar 2/ }));
    expect(choose).toHaveBeenCalledWith(1);
    fireEvent.click(screen.getByRole('button', { name: 'Bar 3' }));
    expect(choose).toHaveBeenLastCalledWith(2);
  });
});

describe('the chosen harmony', () => {
  test('a chord that is written is said; what is none is not', async () => {
    const { props, say } = deskWith();
    renderInBand(<HarmonyPart {...props} />);
    const field = screen.getByLabelText('Chord');
    await userEvent.clear(field);
    await userEvent.type(field, 'Dm7/F{Enter}');
    expect(say).toHaveBeenCalledWith({ kind: 'chord', at: { bar: 2, beat: 1 }, chord: expect.objectContaining({ root: 2 }) });
    say.mockClear();
    await userEvent.clear(field);
    await userEvent.type(field, 'H7{Enter}');
    expect(say).not.toHaveBeenCalled();
  });

  test('another name of the same notes is one press', async () => {
    const { props, say } = deskWith();
    renderInBand(<HarmonyPart {...props} />);
    const others = REDUCTION.columns[1]?.others ?? [];
    expect(others.length).toBeGreaterThan(0);
    await userEvent.click(screen.getAllByRole('button')[0] as HTMLElement);
    expect(say).toHaveBeenCalledWith({ kind: 'chord', at: { bar: 2, beat: 1 }, chord: others[0] as Chord });
  });

  test('its border moves, it is split and joined, a key begins in it', async () => {
    const { props, say } = deskWith();
    renderInBand(<HarmonyPart {...props} />);
    await userEvent.click(screen.getByRole('button', { name: 'Begin half a beat earlier' }));
    expect(say).toHaveBeenLastCalledWith(
      { kind: 'border', at: { bar: 2, beat: 1 }, isBorder: false },
      { kind: 'border', at: { bar: 1, beat: 4.5 }, isBorder: true },
    );
    await userEvent.click(screen.getByRole('button', { name: 'Split in two' }));
    expect(say).toHaveBeenLastCalledWith({ kind: 'border', at: { bar: 2, beat: 3 }, isBorder: true });
    await userEvent.click(screen.getByRole('button', { name: 'Join with the one before' }));
    expect(say).toHaveBeenLastCalledWith({ kind: 'border', at: { bar: 2, beat: 1 }, isBorder: false });
    await userEvent.type(screen.getByLabelText('A key begins here'), 'F{Enter}');
    expect(say).toHaveBeenLastCalledWith({ kind: 'key', at: { bar: 2, beat: 1 }, key: { tonic: -1, scale: 'major' } });
  });

  test('a name that the source writes over it stands beside what was found', () => {
    const { props } = deskWith();
    const names = [{ at: props.column?.from ?? 0, chord: { root: 2, formula: props.column?.chord?.formula ?? 0, bass: null } }];
    const reduction = { ...REDUCTION, score: { ...REDUCTION.score, names } };
    renderInBand(<HarmonyPart {...props} work={{ ...props.work, reduction }} />);
    expect(screen.getByText(/Written over it:/).textContent).toMatch(/D/);
  });

  test('a pivot is said, and taken back', async () => {
    const first = deskWith();
    const { unmount } = renderInBand(<HarmonyPart {...first.props} />);
    await userEvent.click(screen.getByRole('button', { name: 'Both keys meet here' }));
    expect(first.say).toHaveBeenCalledWith({ kind: 'pivot', at: { bar: 2, beat: 1 } });
    unmount();
    const second = deskWith([{ kind: 'pivot', at: { bar: 2, beat: 1 } }]);
    renderInBand(<HarmonyPart {...second.props} />);
    await userEvent.click(screen.getByRole('button', { name: 'Both keys meet here' }));
    expect(second.takeBack).toHaveBeenCalled();
  });
});

describe('the notes of a harmony', () => {
  test('each has a kind, which is another by a choice', async () => {
    const { props, say } = deskWith();
    renderInBand(<NotesPart {...props} index={0} column={REDUCTION.columns[0]} />);
    const neighbour = screen.getByLabelText(/What is D, 1:2.5/);
    expect((neighbour as HTMLSelectElement).value).toBe('neighbour');
    await userEvent.selectOptions(neighbour, 'chord');
    expect(say).toHaveBeenCalledWith({ kind: 'tone', note: { bar: 1, beat: 2.5, part: 'V1', midi: 74 }, tone: 'chord' });
    expect(screen.getByText(/a step away from a note and back/)).toBeTruthy();
  });
});

describe('the keys of a piece', () => {
  test('say where they begin and close; a close is gone to', async () => {
    const { props } = deskWith();
    renderInBand(<KeysPart {...props} />);
    expect(screen.getByText(/It begins in C/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Bar 4: authentic cadence' }));
    expect(props.onChoose).toHaveBeenCalledWith(3);
  });
});

describe('what is engraved', () => {
  const picture = () => {
    const page = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    page.innerHTML = '<g class="note" id="c1.0"><path/></g><g class="note" id="c2.0"/><g class="note" id="n4"><path/></g>';
    return page;
  };

  test('shows the chosen column alone', () => {
    const page = picture();
    markColumn(page, 1);
    markColumn(page, 2);
    expect([...page.querySelectorAll('.column-chosen')].map(({ id }) => id)).toEqual(['c2.0']);
  });

  test('is pressed note by note', () => {
    const page = picture();
    expect(pressedIn(page.querySelector('path'), REDUCTION.score)).toEqual({ column: 1 });
    expect(pressedIn(page.querySelector('#n4 path'), REDUCTION.score)).toEqual({ note: 4 });
    expect(pressedIn(page, REDUCTION.score)).toBeNull();
  });
});

test('the two desks lie side by side, and say which one is open', () => {
  renderInBand(
    <MemoryRouter initialEntries={['/analyze/score/x']}>
      <DeskChoice />
    </MemoryRouter>,
  );
  const desks = within(screen.getByRole('navigation', { name: 'Desks' }));
  expect(desks.getByRole('link', { name: 'Score' }).getAttribute('aria-current')).toBe('page');
  expect(desks.getByRole('link', { name: 'Chords' }).getAttribute('aria-current')).toBeNull();
});
