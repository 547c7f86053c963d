// @ts-check
// Draws the flat, the sharp and the natural that stand beside numbers: as heavy as the digits, nine
// tenths as high. Run it after changing a shape; the fonts it writes are kept in the repository.
import { writeFileSync } from 'node:fs';
import opentype from 'opentype.js';

/** Units of an em; digits of the numeral face are 660 high. */
const EM = 1000;
const HEIGHT = 610;
const BELOW = -14;

/** @typedef {{ name: string, weight: number, stem: number, bar: number }} Cut */

/** Stems are two thirds of the digits' stems and more: 145 in bold, 90 in regular. @type {readonly Cut[]} */
const CUTS = [
  { name: 'regular', weight: 400, stem: 66, bar: 96 },
  { name: 'bold', weight: 700, stem: 100, bar: 128 },
];

/** @param {opentype.Path} path @param {readonly (readonly [number, number])[]} corners */
function polygon(path, corners) {
  for (const [place, [x, y]] of corners.entries()) {
    if (place === 0) path.moveTo(x, y);
    else path.lineTo(x, y);
  }
  path.close();
}

/** @param {opentype.Path} path @param {number} x @param {number} width @param {number} from @param {number} to */
function stem(path, x, width, from, to) {
  polygon(path, [
    [x, from],
    [x, to],
    [x + width, to],
    [x + width, from],
  ]);
}

/** A slanted bar. @param {opentype.Path} path @param {number} from @param {number} to @param {number} y @param {number} thick */
function slant(path, from, to, y, thick) {
  const rise = 0.2 * (to - from);
  polygon(path, [
    [from, y],
    [from, y + thick],
    [to, y + thick + rise],
    [to, y + rise],
  ]);
}

/** @param {Cut} cut */
function flat({ stem: s }) {
  const path = new opentype.Path();
  const [left, right] = [30, 30 + s];
  path.moveTo(left, BELOW);
  path.lineTo(left, HEIGHT);
  path.lineTo(right, HEIGHT);
  path.lineTo(right, 352);
  path.curveTo(right + 40, 388, right + 84, 402, right + 122, 402);
  path.curveTo(right + 208, 402, right + 250, 340, right + 250, 268);
  path.curveTo(right + 250, 150, right + 110, 62, left, BELOW);
  path.close();
  const inner = 0.62 * s;
  path.moveTo(right, 250);
  path.lineTo(right, 74 + 0.35 * s);
  path.curveTo(right + 70, 126 + 0.2 * s, right + 250 - 1.25 * s, 190, right + 250 - 1.25 * s, 262);
  path.curveTo(right + 250 - 1.25 * s, 402 - inner - 20, right + 130 - 0.2 * s, 402 - inner, right + 92, 402 - inner);
  path.curveTo(right + 52, 402 - inner, right + 20, 282, right, 250);
  path.close();
  return new opentype.Glyph({ name: 'flat', unicode: 0x266d, advanceWidth: right + 270, path });
}

/** @param {Cut} cut */
function sharp({ stem: s, bar: b }) {
  const path = new opentype.Path();
  const width = 250 + 2 * s;
  const inset = 0.2 * width;
  stem(path, 24 + inset, 0.92 * s, BELOW - 20, HEIGHT - 40);
  stem(path, 24 + width - inset - 0.92 * s, 0.92 * s, BELOW + 20, HEIGHT);
  slant(path, 24, 24 + width, 150 - 0.1 * width - b / 2 + 20, b);
  slant(path, 24, 24 + width, 400 - 0.1 * width - b / 2 + 20, b);
  return new opentype.Glyph({ name: 'sharp', unicode: 0x266f, advanceWidth: width + 48, path });
}

/** @param {Cut} cut */
function natural({ stem: s, bar }) {
  const path = new opentype.Path();
  const width = 160 + 2 * s;
  const b = 0.82 * bar;
  stem(path, 30, s, 110, HEIGHT);
  stem(path, 30 + width - s, s, BELOW - 20, HEIGHT - 120);
  slant(path, 30, 30 + width, 96, b);
  slant(path, 30, 30 + width, HEIGHT - 120 - b - 0.2 * width, b);
  return new opentype.Glyph({ name: 'natural', unicode: 0x266e, advanceWidth: width + 60, path });
}

for (const cut of CUTS) {
  const missing = new opentype.Glyph({ name: '.notdef', unicode: 0, advanceWidth: 0, path: new opentype.Path() });
  const font = new opentype.Font({
    familyName: 'Aurora Accidentals',
    styleName: cut.name,
    unitsPerEm: EM,
    ascender: 800,
    descender: -200,
    glyphs: [missing, flat(cut), natural(cut), sharp(cut)],
  });
  // the screen has them, and the pages the server sets
  for (const folder of ['../src/fonts', '../../server/src/sheet/fonts'])
    writeFileSync(new URL(`${folder}/accidentals-${cut.weight}.otf`, import.meta.url), Buffer.from(font.toArrayBuffer()));
}
