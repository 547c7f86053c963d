import type { Instrument } from '../fretboard/instrument.ts';
import { withGlyphs } from '../pitch/note-text.ts';
import { pressedSpan } from '../voicing/hand.ts';
import { type Fingering, printFrets, type Voicing, type VoicingTone } from '../voicing/voicing.ts';
import { type Drawing, line, type Shape, text } from './drawing.ts';

/** What stands in the dots of a diagram. */
export type DotLabel = 'fingers' | 'formula' | 'notes';

export interface DiagramLook {
  readonly labels: DotLabel;
  readonly leftHanded: boolean;
  /** What stands over it, such as the chord's name; empty for nothing. */
  readonly title: string;
  /** A note as the reader calls it. */
  readonly nameNote: (note: number) => string;
}

const BOX = { titled: 34, untitled: 18, left: 20, string: 14, fret: 17, fewest: 4, dot: 6.2, bottom: 8 } as const;

/**
 * A shape as a grid: strings upright with the thickest at the left (at the right for the left
 * hand), frets across, the nut or the capo heavy on top, the first fret's number beside it
 * otherwise, counted from the capo. Roots are square, other tones round; muted strings crossed, open ones ringed.
 */
export function diagram(voicing: Voicing, fingering: Fingering, instrument: Instrument, look: DiagramLook): Drawing {
  const { frets } = voicing;
  const { capo } = instrument;
  const [low, high] = pressedSpan(frets, capo) ?? [capo + 1, capo + 1];
  const first = high <= capo + BOX.fewest ? capo + 1 : low;
  const rows = Math.max(BOX.fewest, high - first + 1);
  const strings = frets.length;
  const top = look.title === '' ? BOX.untitled : BOX.titled;
  const columnX = (index: number) => BOX.left + (look.leftHanded ? strings - 1 - index : index) * BOX.string;
  const rowY = (fret: number) => top + (fret - first + 0.5) * BOX.fret;
  const right = BOX.left + (strings - 1) * BOX.string;
  const bottom = top + rows * BOX.fret;
  const middle = BOX.left + ((strings - 1) * BOX.string) / 2;
  const shapes: Shape[] = look.title === '' ? [] : [text(middle, 13, look.title, { size: 12, face: 'bold' })];
  for (let index = 0; index < strings; index += 1) shapes.push(line(columnX(index), top, columnX(index), bottom));
  for (let row = 0; row <= rows; row += 1) shapes.push(line(BOX.left, top + row * BOX.fret, right, top + row * BOX.fret));
  if (first === capo + 1) shapes.push(line(BOX.left - 0.5, top, right + 0.5, top, 3.2, 'ink'));
  if (first > capo + 1)
    shapes.push(text(BOX.left - 8, rowY(first) + 3.5, String(first - capo), { size: 10, anchor: 'end', face: 'bold', ink: 'quiet' }));
  for (const { finger, fret, from, to } of fingering.barres) {
    if (finger === 'T') continue;
    const [x1, x2] = [columnX(from), columnX(to)];
    shapes.push({ ...line(x1, rowY(fret), x2, rowY(fret), 5, 'quiet') });
  }
  frets.forEach((fret, index) => {
    const x = columnX(index);
    if (fret === null) shapes.push(text(x, top - 5, '×', { size: 11, ink: 'quiet' }));
    else if (fret === capo) shapes.push(...openMark(x, top, toneOn(voicing, strings - index), look));
    else
      shapes.push(
        ...dot(
          x,
          rowY(fret),
          labelOf(toneOn(voicing, strings - index), fingering.fingers[index] ?? null, look),
          isRoot(voicing, strings - index),
        ),
      );
  });
  return {
    width: right + BOX.string,
    height: bottom + BOX.bottom,
    label: `${look.title} ${printFrets(frets)}`.trim(),
    shapes,
  };
}

function toneOn(voicing: Voicing, string: number): VoicingTone {
  return voicing.tones.find((tone) => tone.string === string) as VoicingTone;
}

function isRoot(voicing: Voicing, string: number): boolean {
  return toneOn(voicing, string).formula === '1';
}

function labelOf(tone: VoicingTone, finger: number | 'T' | null, { labels, nameNote }: DiagramLook): string {
  if (labels === 'notes') return nameNote(tone.note);
  if (labels === 'fingers') return finger === null || finger === 0 ? '' : String(finger);
  return tone.formula === '1' ? 'R' : withGlyphs(tone.formula);
}

function openMark(x: number, top: number, tone: VoicingTone, look: DiagramLook): readonly Shape[] {
  if (look.labels !== 'fingers')
    return [text(x, top - 6, labelOf(tone, 0, look), { size: 9, face: tone.formula === '1' ? 'bold' : 'text' })];
  const y = top - 9;
  if (tone.formula === '1') return [{ kind: 'rect', x: x - 3.6, y: y - 3.6, width: 7.2, height: 7.2, radius: 1, fill: 'accent' }];
  return [{ kind: 'circle', x, y, radius: 3.6, fill: null, stroke: 'ink', width: 1.1 }];
}

function dot(x: number, y: number, label: string, root: boolean): readonly Shape[] {
  const size = label.length > 2 ? 6.4 : 8;
  const letters = label === '' ? [] : [text(x, y + size * 0.36, label, { size, face: 'bold', ink: root ? 'on-accent' : 'ink' })];
  const mark: Shape = root
    ? { kind: 'rect', x: x - BOX.dot, y: y - BOX.dot, width: 2 * BOX.dot, height: 2 * BOX.dot, radius: 2, fill: 'accent' }
    : { kind: 'circle', x, y, radius: BOX.dot, fill: 'paper', stroke: 'ink', width: 1.3 };
  return [mark, ...letters];
}
