import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { type Drawing, type Face, type Ink, PRINT_INKS, type Shape } from '@aurora/core';
import type { SheetRequest } from '@aurora/wire';
import PDFDocument from 'pdfkit';

const require = createRequire(import.meta.url);
const figtree = (weight: number) => require.resolve(`@fontsource/figtree/files/figtree-latin-${weight}-normal.woff`);
const bricolage = require.resolve('@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff');
/** Beside this file in the sources, beside the bundle when built. */
const ours = (file: string) => fileURLToPath(new URL(`./fonts/${file}`, import.meta.url));

const FACES = ['text', 'bold', 'numeral'] as const;
const CUTS = ['letters', 'accidentals', 'symbols'] as const;
type Cut = (typeof CUTS)[number];

/** The faces of the screen: each has letters, and signs that its letters lack. */
const FONTS: Readonly<Record<Face, Readonly<Record<Cut, string>>>> = {
  text: { letters: figtree(400), accidentals: ours('accidentals-400.otf'), symbols: ours('music-symbols-400.ttf') },
  bold: { letters: figtree(700), accidentals: ours('accidentals-700.otf'), symbols: ours('music-symbols-700.ttf') },
  numeral: { letters: bricolage, accidentals: ours('accidentals-700.otf'), symbols: ours('music-symbols-700.ttf') },
};

/** Signs the letters' fonts lack; they stand in fonts of their own. */
const SIGN_RUNS = /([♭♮♯]+|[△◇→]+)/;
/** No font has double signs: they are written as two single ones. */
const DOUBLES: readonly (readonly [string, string])[] = [
  ['𝄫', '♭♭'],
  ['𝄪', '♯♯'],
];

/** What is set: pages with the name of the whole and of whose they are; empty for nobody in particular. */
export type PdfPages = Omit<SheetRequest, 'pages'> & { readonly pages: readonly Drawing[] };

type Document = InstanceType<typeof PDFDocument>;

const PRODUCER = 'Aurora Ridge';

/**
 * The pages as a PDF, black on white, every font embedded. It says what it is called, whose it is and
 * in which language; its words are tagged in reading order, its lines as decoration.
 */
export async function writePdf({ title, author, pages }: PdfPages): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    compress: true,
    pdfVersion: '1.7',
    tagged: true,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, Author: author || PRODUCER, Creator: PRODUCER },
  });
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
  });
  for (const face of FACES) for (const cut of CUTS) document.registerFont(`${face}-${cut}`, FONTS[face][cut]);
  const root = document.struct('Document');
  document.addStructure(root);
  for (const { width, height, label, shapes } of pages) {
    document.addPage({ size: [width, height], margin: 0 });
    drawPage(document, root, label, shapes);
  }
  root.end();
  document.end();
  return done;
}

type Structure = PDFKit.PDFStructureElement;

/** A page as a part of the document: its largest words are its heading, all others paragraphs; what only divides is decoration. */
function drawPage(document: Document, root: Structure, label: string, shapes: readonly Shape[]): void {
  const part = document.struct('Sect', { title: label });
  root.add(part);
  const heading = shapes.find((shape) => shape.kind === 'text' && shape.face === 'numeral') ?? shapes.find(({ kind }) => kind === 'text');
  for (const shape of shapes) {
    if (shape.kind === 'text') {
      part.add(document.struct(shape === heading ? 'H1' : 'P', {}, () => drawShape(document, shape)));
    } else {
      document.markContent('Artifact', { type: 'Layout' });
      drawShape(document, shape);
      document.endMarkedContent();
    }
  }
  part.end();
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
  const runs = plain.split(SIGN_RUNS).filter((run) => run !== '');
  document.fontSize(size).fillColor(PRINT_INKS[ink]);
  const widths = runs.map((run) => document.font(fontOf(run, face)).widthOfString(run));
  const whole = widths.reduce((sum, width) => sum + width, 0);
  let at = x - (anchor === 'middle' ? whole / 2 : anchor === 'end' ? whole : 0);
  runs.forEach((run, index) => {
    document.font(fontOf(run, face)).text(run, at, y, { lineBreak: false, baseline: 'alphabetic' });
    at += widths[index] as number;
  });
}

function fontOf(run: string, face: Face): string {
  if (/[♭♮♯]/.test(run)) return `${face}-accidentals`;
  return `${face}-${/[△◇→]/.test(run) ? 'symbols' : 'letters'}`;
}
