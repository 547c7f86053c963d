/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { PAPERS, readChart } from '@aurora/core';
import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import { renderInBand } from '../../../test/in-a-band.tsx';
import { setPaper } from '../../session/paper-store.ts';
import PartPaper from './PartPaper.tsx';

afterEach(() => {
  cleanup();
  setPaper('A4');
});

const SONG = readChart('title: Slip\nkey: D\n\n[A]\n1 4 5 1\n');
const printing = (event: 'beforeprint' | 'afterprint') => act(() => void window.dispatchEvent(new Event(event)));
const pages = () => [...document.querySelectorAll('.print-pages svg')];

describe('a room on paper', () => {
  test('is its part, and only while the browser prints', () => {
    renderInBand(<PartPaper reading={SONG} sounding={SONG.head.key.tonic} />);
    expect(pages()).toHaveLength(0);
    printing('beforeprint');
    expect(pages()).toHaveLength(1);
    expect(pages()[0]?.textContent).toContain('Slip');
    printing('afterprint');
    expect(pages()).toHaveLength(0);
  });

  test.each(['A4', 'Letter'] as const)('is as large as the paper in the printer: %s', (paper) => {
    setPaper(paper);
    renderInBand(<PartPaper reading={SONG} sounding={SONG.head.key.tonic} />);
    printing('beforeprint');
    expect(document.querySelector('.print-pages style')?.textContent).toContain(`size: ${paper}`);
    expect(pages()[0]?.getAttribute('viewBox')).toBe(`0 0 ${PAPERS[paper].join(' ')}`);
  });

  test('a sheet that is open prints itself, and the room keeps still', () => {
    const open = document.body.appendChild(document.createElement('div'));
    open.className = 'print-pages';
    renderInBand(<PartPaper reading={SONG} sounding={SONG.head.key.tonic} />);
    printing('beforeprint');
    expect(document.querySelectorAll('.print-pages')).toHaveLength(1);
    open.remove();
  });
});
