import type { ReducedTone, Reduction, ScoreNote, ToneKind } from '@aurora/core';

/** The letters that stand over a note outside its chord, as the field writes them. */
export const TONE_LETTERS: Readonly<Record<ToneKind, string>> = {
  passing: 'p',
  'accented-passing': '>p',
  neighbour: 'n',
  'incomplete-neighbour': 'in',
  appoggiatura: 'app',
  suspension: 's',
  retardation: 'r',
  anticipation: 'ant',
  escape: 'e',
  pedal: 'ped',
};

/** How what is engraved calls a note of the score: the place of what was written, or its own. */
export function engravedNames({ written }: ScoreNote, index: number): readonly string[] {
  return written === undefined ? [`n${index}`] : written.map((place) => `x${place}`);
}

const SVG = 'http://www.w3.org/2000/svg';
const NOTE_BOX = { letters: 26, gap: 14 };

/** Marks the notes outside their chords: letters over each, and a dashed line to the one it goes to. Marks of before are taken off. */
export function markTones(page: SVGSVGElement, { score, tones }: Reduction, chosen: number): void {
  for (const mark of page.querySelectorAll('.tone-marks')) mark.remove();
  const root = page.querySelector('.definition-scale .page-margin') ?? page.querySelector('.page-margin') ?? page;
  const marks = page.ownerDocument.createElementNS(SVG, 'g');
  marks.setAttribute('class', 'tone-marks');
  marks.setAttribute('aria-hidden', 'true');
  for (const tone of tones) markTone(page, marks, score.notes, tone, chosen);
  root.append(marks);
}

function markTone(page: SVGSVGElement, marks: SVGElement, notes: readonly ScoreNote[], tone: ReducedTone, chosen: number): void {
  const note = notes[tone.index] as ScoreNote;
  const head = headOf(page, engravedNames(note, tone.index));
  if (head === null) return;
  const look = `tone tone-${tone.kind}${tone.column === chosen ? ' tone-chosen' : ''}`;
  const box = head.getBBox();
  const letters = page.ownerDocument.createElementNS(SVG, 'text');
  letters.setAttribute('class', look);
  letters.setAttribute('x', String(box.x + box.width / 2));
  letters.setAttribute('y', String(box.y - NOTE_BOX.gap * 6));
  letters.setAttribute('font-size', String(NOTE_BOX.letters * 10));
  letters.setAttribute('text-anchor', 'middle');
  letters.textContent = TONE_LETTERS[tone.kind];
  marks.append(letters);
  if (tone.resolvesTo === null || tone.resolvesTo === tone.index) return;
  const goal = headOf(page, engravedNames(notes[tone.resolvesTo] as ScoreNote, tone.resolvesTo));
  if (goal === null) return;
  marks.append(arrow(page, box, goal.getBBox(), look));
}

function arrow(page: SVGSVGElement, from: DOMRect, to: DOMRect, look: string): SVGElement {
  const [x, y] = [from.x + from.width, from.y - NOTE_BOX.gap];
  const [endX, endY] = [to.x + to.width / 2, to.y - NOTE_BOX.gap];
  const line = page.ownerDocument.createElementNS(SVG, 'path');
  line.setAttribute('class', look);
  line.setAttribute('fill', 'none');
  line.setAttribute('d', `M${x} ${y} Q${(x + endX) / 2} ${Math.min(y, endY) - NOTE_BOX.gap * 8} ${endX} ${endY}`);
  return line;
}

/** The first head that is engraved on this page under one of the names. */
function headOf(page: SVGSVGElement, names: readonly string[]): SVGGraphicsElement | null {
  for (const name of names) {
    const head = page.querySelector<SVGGraphicsElement>(`[id="${name}"] .notehead`);
    if (head !== null) return head;
  }
  return null;
}

/** Shows which column is looked at. */
export function markColumn(page: SVGSVGElement, chosen: number): void {
  for (const note of page.querySelectorAll('.column-chosen')) note.classList.remove('column-chosen');
  for (const note of page.querySelectorAll(`[id^="c${chosen}."]`)) note.classList.add('column-chosen');
}

/** What was pressed: a column of the reduction, or a note of the score. */
export function pressedIn(
  target: EventTarget | null,
  { notes }: Reduction['score'],
): { readonly column: number } | { readonly note: number } | null {
  const note = target instanceof Element ? target.closest('g.note') : null;
  const [, kind, place] = /^([cnx])(\d+)/.exec(note?.id ?? '') ?? [];
  if (kind === undefined) return null;
  if (kind === 'c') return { column: Number(place) };
  const index = kind === 'n' ? Number(place) : notes.findIndex(({ written }) => written?.includes(Number(place)) === true);
  return index < 0 ? null : { note: index };
}
