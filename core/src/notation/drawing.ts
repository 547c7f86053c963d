/** What a line or an area is drawn with; screens and paper give each its own colour. */
export type Ink = 'ink' | 'quiet' | 'line' | 'accent' | 'on-accent' | 'paper';

/** Text, heavier text, or the face of numerals and titles. */
export type Face = 'text' | 'bold' | 'numeral';

/** One mark on the paper. Lengths are points, 72 to the inch; y grows downward. */
export type Shape =
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
      readonly ink: Ink;
    }
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly radius: number;
      readonly fill: Ink;
    }
  | {
      readonly kind: 'circle';
      readonly x: number;
      readonly y: number;
      readonly radius: number;
      readonly fill: Ink | null;
      readonly stroke: Ink | null;
      readonly width: number;
    }
  | { readonly kind: 'path'; readonly d: string; readonly fill: Ink | null; readonly stroke: Ink | null; readonly width: number }
  | {
      readonly kind: 'text';
      /** On the base line. */
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly size: number;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly face: Face;
      readonly ink: Ink;
    };

/** A picture as a plain value: drawn on the screen, written as SVG, or set on a page of a PDF. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  /** What a screen reader says of it. */
  readonly label: string;
  readonly shapes: readonly Shape[];
}

/** Shorthand for the marks that are drawn most. */
export function line(x1: number, y1: number, x2: number, y2: number, width = 0.8, ink: Ink = 'line'): Shape {
  return { kind: 'line', x1, y1, x2, y2, width, ink };
}

interface TextLook {
  readonly size: number;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly face?: Face;
  readonly ink?: Ink;
}

export function text(x: number, y: number, words: string, { size, anchor = 'middle', face = 'text', ink = 'ink' }: TextLook): Shape {
  return { kind: 'text', x, y, text: words, size, anchor, face, ink };
}

/** The shape moved right and down. */
export function moved(shape: Shape, dx: number, dy: number): Shape {
  switch (shape.kind) {
    case 'line':
      return { ...shape, x1: shape.x1 + dx, x2: shape.x2 + dx, y1: shape.y1 + dy, y2: shape.y2 + dy };
    case 'path':
      return { ...shape, d: movedPath(shape.d, dx, dy) };
    default:
      return { ...shape, x: shape.x + dx, y: shape.y + dy };
  }
}

/** The drawing smaller or larger; only drawings without paths are scaled. */
export function scaled({ width, height, label, shapes }: Drawing, by: number): Drawing {
  return { width: width * by, height: height * by, label, shapes: shapes.map((shape) => scaledShape(shape, by)) };
}

function scaledShape(shape: Shape, by: number): Shape {
  const entries = Object.entries(shape).map(([name, value]) => [name, typeof value === 'number' ? value * by : value]);
  return Object.fromEntries(entries) as Shape;
}

/** Moves a path of absolute M, L, Q, C and Z commands, the only ones drawings use. */
function movedPath(d: string, dx: number, dy: number): string {
  let place = 0;
  const tokens = d.match(/[MLQCZ]|-?\d*\.?\d+(?:e-?\d+)?/g) ?? [];
  const placed = tokens.map((token) => {
    if (/[MLQCZ]/.test(token)) {
      place = 0;
      return token;
    }
    place += 1;
    return rounded(Number(token) + (place % 2 === 1 ? dx : dy));
  });
  // apart, because a number that was told from the one before by its minus may have lost it
  return placed.join(' ');
}

function rounded(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** Black on white, as it is printed. */
export const PRINT_INKS: Readonly<Record<Ink, string>> = {
  ink: '#111111',
  quiet: '#555555',
  line: '#777777',
  accent: '#111111',
  'on-accent': '#ffffff',
  paper: '#ffffff',
};

/** The faces as they are called in a document of its own; `numeral` is the heavy one of the screen. */
const NUMERAL_STACK = "'Bricolage Grotesque', 'Bricolage Grotesque Variable', Figtree, 'DejaVu Sans', sans-serif";
const FONT_STACK = "Figtree, 'Figtree Variable', 'DejaVu Sans', sans-serif";

/** The drawing as an SVG document of its own, black on white, sized in points. */
export function printSvg({ width, height, label, shapes }: Drawing): string {
  const body = shapes.map(printShape).join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}pt" height="${height}pt" viewBox="0 0 ${width} ${height}" role="img" font-family="${FONT_STACK}">
<title>${escaped(label)}</title>
<rect width="${width}" height="${height}" fill="${PRINT_INKS.paper}"/>
${body}
</svg>
`;
}

function printShape(shape: Shape): string {
  switch (shape.kind) {
    case 'line':
      return `<line x1="${shape.x1}" y1="${shape.y1}" x2="${shape.x2}" y2="${shape.y2}" stroke="${PRINT_INKS[shape.ink]}" stroke-width="${shape.width}"/>`;
    case 'rect':
      return `<rect x="${shape.x}" y="${shape.y}" width="${shape.width}" height="${shape.height}" rx="${shape.radius}" fill="${PRINT_INKS[shape.fill]}"/>`;
    case 'circle':
      return `<circle cx="${shape.x}" cy="${shape.y}" r="${shape.radius}" ${painted(shape)}/>`;
    case 'path':
      return `<path d="${shape.d}" ${painted(shape)}/>`;
    case 'text':
      return `<text x="${shape.x}" y="${shape.y}" font-size="${shape.size}" text-anchor="${shape.anchor}"${shape.face === 'text' ? '' : ' font-weight="700"'}${shape.face === 'numeral' ? ` font-family="${NUMERAL_STACK}"` : ''} fill="${PRINT_INKS[shape.ink]}">${escaped(shape.text)}</text>`;
  }
}

function painted({ fill, stroke, width }: { readonly fill: Ink | null; readonly stroke: Ink | null; readonly width: number }): string {
  const outline = stroke === null ? '' : ` stroke="${PRINT_INKS[stroke]}" stroke-width="${width}"`;
  return `fill="${fill === null ? 'none' : PRINT_INKS[fill]}"${outline}`;
}

function escaped(words: string): string {
  return words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
}
