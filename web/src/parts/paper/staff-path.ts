import { STAFF_GLYPHS } from './staff-glyphs.ts';

/** Outlines are kept in thousandths of an em. */
const EM = 1000;

const GLYPHS = new Map(STAFF_GLYPHS.map(([code, advance, outline]) => [code, { advance, outline }] as const));

/**
 * Signs of a staff as one path, the first of them with its origin at a point on the page, a size in the page's
 * units; what is no such sign is left out.
 */
export function glyphPath(text: string, x: number, y: number, size: number): string {
  const scale = size / EM;
  let left = x;
  let path = '';
  for (const sign of text) {
    const glyph = GLYPHS.get(sign.codePointAt(0) as number);
    if (glyph === undefined) continue;
    path += placed(glyph.outline, left, y, scale);
    left += glyph.advance * scale;
  }
  return path;
}

/** An outline on the page: up is down there. */
function placed(outline: string, x: number, y: number, scale: number): string {
  return outline.replace(/([MLCQZ])([^MLCQZ]*)/g, (_, command: string, numbers: string) => {
    const points = numbers === '' ? [] : numbers.split(' ').map(Number);
    const moved = points.map((value, at) => (at % 2 === 0 ? x + value * scale : y - value * scale).toFixed(2));
    return `${command}${moved.join(' ')}`;
  });
}
