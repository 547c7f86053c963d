import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { type Ink, PRINT_INKS, type Shape } from '@aurora/core';
import type { SheetRequest } from '@aurora/wire';
import PDFDocument from 'pdfkit';

const require = createRequire(import.meta.url);
const figtree = (weight: number) => require.resolve(`@fontsource/figtree/files/figtree-latin-${weight}-normal.woff`);
/** Beside this file in the sources, beside the bundle when built. */
const symbols = (weight: number) => fileURLToPath(new URL(`./fonts/music-symbols-${weight}.ttf`, import.meta.url));

const FONTS = {
  text: { letters: figtree(400), symbols: symbols(400) },
  bold: { letters: figtree(700), symbols: symbols(700) },
} as const;

/** Signs the text face lacks; they stand in a face of their own. */
const SYMBOL_RUNS = /([♭♮♯△◇→]+)/;
/** Figtree has no double signs either: they are written as two single ones. */
const DOUBLES: readonly (readonly [string, string])[] = [
  ['𝄫', '♭♭'],
  ['𝄪', '♯♯'],
];

type Document = InstanceType<typeof PDFDocument>;

/** The pages as a PDF, black on white, every font embedded. */
export async function writePdf({ title, pages }: SheetRequest): Promise<Buffer> {
  const document = new PDFDocument({ autoFirstPage: false, compress: true, info: { Title: title, Creator: 'Aurora Ridge' } });
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
  });
  for (const face of ['text', 'bold'] as const) {
    document.registerFont(`${face}-letters`, FONTS[face].letters);
    document.registerFont(`${face}-symbols`, FONTS[face].symbols);
  }
  for (const { width, height, shapes } of pages) {
    document.addPage({ size: [width, height], margin: 0 });
    for (const shape of shapes) drawShape(document, shape);
  }
  document.end();
  return done;
}

function drawShape(document: Document, shape: Shape): void {
  switch (shape.kind) {
    case 'line':
      document.lineWidth(shape.width).moveTo(shape.x1, shape.y1).lineTo(shape.x2, shape.y2).stroke(PRINT_INKS[shape.ink]);
      break;
    case 'rect':
      document.roundedRect(shape.x, shape.y, shape.width, shape.height, shape.radius).fill(PRINT_INKS[shape.fill]);
      break;
    case 'circle':
      document.circle(shape.x, shape.y, shape.radius);
      paint(document, shape);
      break;
    case 'path':
      document.path(shape.d);
      paint(document, shape);
      break;
    case 'text':
      drawText(document, shape);
      break;
  }
}

interface Paint {
  readonly fill: Ink | null;
  readonly stroke: Ink | null;
  readonly width: number;
}

function paint(document: Document, { fill, stroke, width }: Paint): void {
  document.lineWidth(width);
  if (fill !== null && stroke !== null) document.fillAndStroke(PRINT_INKS[fill], PRINT_INKS[stroke]);
  else if (fill !== null) document.fill(PRINT_INKS[fill]);
  else if (stroke !== null) document.stroke(PRINT_INKS[stroke]);
  else document.fillOpacity(0).fill('#ffffff').fillOpacity(1);
}

/** Letters and music signs are set one run after the other, as no one face has both. */
function drawText(document: Document, { x, y, text, size, anchor, face, ink }: Shape & { readonly kind: 'text' }): void {
  const plain = DOUBLES.reduce((words, [double, single]) => words.replaceAll(double, single), text);
  const runs = plain.split(SYMBOL_RUNS).filter((run) => run !== '');
  document.fontSize(size).fillColor(PRINT_INKS[ink]);
  const widths = runs.map((run) => document.font(fontOf(run, face)).widthOfString(run));
  const whole = widths.reduce((sum, width) => sum + width, 0);
  let at = x - (anchor === 'middle' ? whole / 2 : anchor === 'end' ? whole : 0);
  runs.forEach((run, index) => {
    document.font(fontOf(run, face)).text(run, at, y, { lineBreak: false, baseline: 'alphabetic' });
    at += widths[index] as number;
  });
}

function fontOf(run: string, face: 'text' | 'bold'): string {
  return `${face}-${SYMBOL_RUNS.test(run) ? 'symbols' : 'letters'}`;
}
