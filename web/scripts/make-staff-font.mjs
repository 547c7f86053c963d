// @ts-check
// Cuts the signs a staff is written with out of the music font: a small font for the engraver to measure
// with, and their outlines for what is drawn. The font is kept in the repository; the
// outlines are made anew wherever they are missing (`scripts/lib/staff-glyphs.mjs`).
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { brotliCompressSync, constants } from 'node:zlib';
import opentype from 'opentype.js';

/** Clefs, digits of meters, note heads, dots, flags, accidentals, rests, octave signs, digits of tuplets; as SMuFL places them. */
const RANGES = [
  [0xe050, 0xe052],
  [0xe062, 0xe064],
  [0xe080, 0xe08b],
  [0xe0a0, 0xe0a4],
  [0xe1e7, 0xe1e7],
  [0xe240, 0xe247],
  [0xe260, 0xe266],
  [0xe4e3, 0xe4e9],
  [0xe510, 0xe51d],
  [0xe880, 0xe889],
];
/** Units of an em in which outlines are kept, so that whole numbers do. */
const EM = 1000;

const require = createRequire(import.meta.url);
const file = readFileSync(require.resolve('@vexflow-fonts/bravura/bravura.otf'));
const whole = opentype.parse(file.buffer.slice(file.byteOffset, file.byteOffset + file.length));
const scale = EM / whole.unitsPerEm;
const codes = RANGES.flatMap(([from = 0, to = 0]) => Array.from({ length: to - from + 1 }, (_, at) => from + at)).filter((code) =>
  whole.charToGlyphIndex(String.fromCharCode(code)),
);

const glyphs = codes.map((code) => {
  const { advanceWidth = 0, path } = whole.charToGlyph(String.fromCharCode(code));
  return new opentype.Glyph({ name: `uni${code.toString(16).toUpperCase()}`, unicode: code, advanceWidth, path });
});
const font = new opentype.Font({
  // the licence keeps the name of the whole font for the whole font
  familyName: 'Aurora Staff',
  styleName: 'Regular',
  unitsPerEm: whole.unitsPerEm,
  ascender: whole.ascender,
  descender: whole.descender,
  copyright: 'Cut from a music font under the SIL Open Font License 1.1; see LICENSE-staff.txt',
  glyphs: [new opentype.Glyph({ name: '.notdef', advanceWidth: 0, path: new opentype.Path() }), ...glyphs],
});

const here = new URL('../src/', import.meta.url);
writeFileSync(new URL('fonts/staff.woff2', here), woff2(Buffer.from(font.toArrayBuffer())));
const table = codes.map((code) => {
  const { advanceWidth = 0, path } = whole.charToGlyph(String.fromCharCode(code));
  return `  [0x${code.toString(16)}, ${Math.round(advanceWidth * scale)}, '${outline(path)}'],`;
});
writeFileSync(
  new URL('parts/paper/staff-glyphs.ts', here),
  `${[
    '// Written by web/scripts/make-staff-font.mjs.',
    '',
    '/** The signs of a staff: where SMuFL places them, how wide they are, and their outlines, in thousandths of an em. */',
    'export const STAFF_GLYPHS: readonly (readonly [code: number, advance: number, outline: string])[] = [',
    ...table,
    '];',
  ].join('\n')}\n`,
);

/** Absolute commands, each with its points in whole units. @param {opentype.Path} path */
function outline(path) {
  return path.commands
    .map((command) => {
      const points = /** @type {Record<string, number>} */ (/** @type {unknown} */ (command));
      const numbers = ['x1', 'y1', 'x2', 'y2', 'x', 'y'].flatMap((name) =>
        name in points ? [Math.round((points[name] ?? 0) * scale)] : [],
      );
      return `${command.type}${numbers.join(' ')}`;
    })
    .join('');
}

/**
 * A font as WOFF 2.0 (W3C Recommendation, March 2018): its tables behind one another, none transformed, in one
 * Brotli stream.
 * @param {Buffer} sfnt
 */
function woff2(sfnt) {
  const KNOWN = ['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name', 'OS/2', 'post', 'cvt ', 'fpgm', 'glyf', 'loca', 'prep', 'CFF '];
  const tables = Array.from({ length: sfnt.readUInt16BE(4) }, (_, at) => {
    const entry = 12 + 16 * at;
    const [offset, length] = [sfnt.readUInt32BE(entry + 8), sfnt.readUInt32BE(entry + 12)];
    return { tag: sfnt.toString('latin1', entry, entry + 4), data: sfnt.subarray(offset, offset + length) };
  });
  const directory = Buffer.concat(
    tables.map(({ tag, data }) => {
      const known = KNOWN.indexOf(tag);
      const name = known < 0 ? Buffer.concat([Buffer.from([63]), Buffer.from(tag, 'latin1')]) : Buffer.from([known]);
      return Buffer.concat([name, base128(data.length)]);
    }),
  );
  const stream = brotliCompressSync(Buffer.concat(tables.map(({ data }) => data)), {
    params: { [constants.BROTLI_PARAM_MODE]: constants.BROTLI_MODE_FONT, [constants.BROTLI_PARAM_QUALITY]: 11 },
  });
  const HEAD = 48;
  const length = (HEAD + directory.length + stream.length + 3) & ~3;
  const head = Buffer.alloc(HEAD);
  head.write('wOF2', 0, 'latin1');
  sfnt.copy(head, 4, 0, 4);
  head.writeUInt32BE(length, 8);
  head.writeUInt16BE(tables.length, 12);
  head.writeUInt32BE(12 + 16 * tables.length + tables.reduce((sum, { data }) => sum + ((data.length + 3) & ~3), 0), 16);
  head.writeUInt32BE(stream.length, 20);
  head.writeUInt16BE(1, 24);
  const file = Buffer.alloc(length);
  Buffer.concat([head, directory, stream]).copy(file);
  return file;
}

/** A number in sevens of bits, the last byte without its highest. @param {number} value */
function base128(value) {
  const bytes = [value & 0x7f];
  for (let rest = value >>> 7; rest > 0; rest >>>= 7) bytes.unshift((rest & 0x7f) | 0x80);
  return Buffer.from(bytes);
}
