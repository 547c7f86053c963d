import { describe, expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { parseKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { scaleRun } from '../run/scale-run.ts';
import { findVoicings } from '../voicing/search.ts';
import { printFrets, type Voicing } from '../voicing/voicing.ts';
import { diagram } from './diagram.ts';
import { type Drawing, printSvg, type Shape } from './drawing.ts';
import { PAPERS, studyPages } from './study-sheet.ts';
import { drawTab, layOutTab, runEvents, shapeEvents, tabHeight } from './tab.ts';

const shape = (symbol: string, written: string): Voicing =>
  findVoicings(requireValue(parseChord(symbol)), STANDARD_GUITAR).voicings.find(({ frets }) => printFrets(frets) === written) as Voicing;
const words = (shapes: readonly Shape[]) => shapes.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
const draw = (voicing: Voicing, over: { capo?: number; left?: boolean; labels?: 'notes' | 'fingers' | 'formula' } = {}): Drawing =>
  diagram(
    voicing,
    voicing.fingering,
    { ...STANDARD_GUITAR, capo: over.capo ?? 0 },
    {
      labels: over.labels ?? 'fingers',
      leftHanded: over.left ?? false,
      title: 'X',
      nameNote: printNote,
    },
  );
const run = scaleRun(
  requireValue(parseKey('G')),
  { layout: 'position', position: 2, string: 5, from: 1, picking: 'alternate', octave: false, back: true },
  STANDARD_GUITAR,
);
const systems = layOutTab(
  runEvents(run, () => ''),
  4,
  507,
);

describe('chord diagrams', () => {
  test('C: fingers in the dots, a cross, two rings; a barre chord up the neck says its fret', () => {
    const c = draw(shape('C', 'x32010'));
    expect(words(c.shapes)).toEqual(expect.arrayContaining(['3', '2', '1', '×']));
    expect(c.shapes.filter((mark) => mark.kind === 'circle' && mark.fill === null)).toHaveLength(2);
    expect(words(draw(shape('A', '577655')).shapes)).toContain('5');
  });

  test('the root is a square, the rest are round', () => {
    const { shapes } = draw(shape('C', 'x32010'), { labels: 'formula' });
    expect(shapes.filter(({ kind }) => kind === 'rect')).toHaveLength(2);
    expect(words(shapes)).toEqual(expect.arrayContaining(['R', '3', '5']));
    expect(words(draw(shape('C', 'x32010'), { labels: 'notes' }).shapes)).toEqual(expect.arrayContaining(['C', 'E', 'G']));
  });

  test('for the left hand it is mirrored', () => {
    const cross = (left: boolean) => draw(shape('C', 'x32010'), { left }).shapes.find((mark) => mark.kind === 'text' && mark.text === '×');
    const [right, mirrored] = [cross(false), cross(true)] as { x: number }[];
    expect(mirrored?.x).toBeGreaterThan(right?.x ?? 0);
  });

  test('the SVG is well-formed text whatever the title', () => {
    const svg = printSvg({
      width: 10,
      height: 10,
      label: '<"&>',
      shapes: [{ kind: 'text', x: 0, y: 0, text: 'a<b&c', size: 9, anchor: 'start', face: 'bold', ink: 'ink' }],
    });
    expect(svg).toContain('<title>&lt;&quot;&amp;&gt;</title>');
    expect(svg).toContain('>a&lt;b&amp;c</text>');
    expect(svg.match(/<svg/g)).toHaveLength(1);
  });
});

describe('tab', () => {
  test('every note of the run stands once, in time, inside its line, left to right', () => {
    const events = systems.flatMap((system) => system.events);
    expect(events.map(({ event }) => event.marks[0]?.fret)).toEqual(run.notes.map(({ fret }) => fret));
    for (const system of systems) {
      const xs = system.events.map(({ x }) => x);
      expect([...xs].sort((a, b) => a - b)).toEqual(xs);
      expect(Math.max(...xs)).toBeLessThan(system.barLines.at(-1) ?? 0);
      expect(system.barLines.at(-1)).toBeLessThanOrEqual(507.01);
    }
    expect(systems.reduce((sum, { bars }) => sum + bars, 0)).toBe(Math.ceil(run.notes.length / 8));
  });

  test('shapes are stacked on their strings under their names', () => {
    const voicing = shape('C', 'x32010');
    const [system] = layOutTab(shapeEvents([{ voicing, fingering: voicing.fingering, name: 'C', diagram: null }], 4), 4, 507);
    const drawn = drawTab(system as never, 6, 'TAB');
    expect(words(drawn)).toEqual(expect.arrayContaining(['C', 'T', 'A', 'B', '3', '2', '0', '1']));
    expect(drawn.filter((mark) => mark.kind === 'line' && mark.y1 === mark.y2)).toHaveLength(6);
  });

  test('a sheet breaks between lines, keeps inside the paper, and numbers its pages', () => {
    const lines = Array.from({ length: 14 }, () => systems.map((system) => ({ system, over: [], overHeight: 0 }))).flat();
    const pages = studyPages({ title: 'Study', facts: 'Key G', lines, foot: 'Foot' }, STANDARD_GUITAR, 'A4');
    const fits = Math.floor((842 - 150) / (tabHeight(6) + 16));
    expect(pages.length).toBeGreaterThanOrEqual(Math.ceil(lines.length / (fits + 1)));
    expect(pages.every(({ width, height }) => width === PAPERS.A4[0] && height === PAPERS.A4[1])).toBe(true);
    expect(words(pages.at(-1)?.shapes ?? [])).toContain(`${pages.length} / ${pages.length}`);
    for (const { shapes, height } of pages) {
      for (const mark of shapes) if (mark.kind === 'text') expect(mark.y).toBeLessThan(height);
    }
    expect(studyPages({ title: 'Empty', facts: '', lines: [], foot: '' }, STANDARD_GUITAR, 'Letter')).toHaveLength(1);
  });
});
