import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import {
  analyzeText,
  chordScaleName,
  type Key,
  makeKey,
  parseNote,
  parseScale,
  printKey,
  printNumber,
  requireValue,
} from '../src/index.ts';

interface NamedKey {
  readonly tonic: string;
  readonly scale: string;
}

interface Row {
  readonly source: string;
  readonly pin?: boolean;
  readonly reading?: 'local' | 'home';
  readonly key?: NamedKey;
  readonly numbers?: readonly string[];
  readonly readings?: readonly ({ readonly kind: readonly string[]; readonly target?: string; readonly resolution?: string } | null)[];
  readonly patterns?: readonly string[];
  readonly topTwo?: readonly NamedKey[];
  readonly startRegion?: NamedKey;
  readonly endRegion?: NamedKey;
  readonly someKind?: string;
  readonly firstScale?: Readonly<Record<string, string>>;
}

const ROWS: readonly Row[] = JSON.parse(readFileSync(new URL('./golden/analysis.json', import.meta.url), 'utf8'));

function keyOf({ tonic, scale }: NamedKey): Key {
  return requireValue(makeKey(requireValue(parseNote(tonic)), requireValue(parseScale(scale))));
}

const nameOf = (key: NamedKey) => printKey(keyOf(key));

test('there are rows to compare with', () => expect(ROWS.length).toBeGreaterThan(15));

describe.each(ROWS)('$source, heard $reading', (row) => {
  const pinned = row.pin === true && row.key !== undefined ? { key: keyOf(row.key) } : {};
  const analysis = analyzeText(row.source, { ...pinned, hearing: row.reading ?? 'local' });

  test('keys and regions', () => {
    const names = analysis.keys.map(({ key }) => printKey(key));
    if (row.key !== undefined) expect(names[0]).toBe(nameOf(row.key));
    if (row.topTwo !== undefined) expect(names.slice(0, 2).sort()).toEqual(row.topTwo.map(nameOf).sort());
    const regions = analysis.regions.map(({ key }) => printKey(key));
    if (row.startRegion !== undefined) expect(regions[0]).toBe(nameOf(row.startRegion));
    if (row.endRegion !== undefined) expect(regions.at(-1)).toBe(nameOf(row.endRegion));
  });

  test('numbers', () => {
    if (row.numbers !== undefined) expect(analysis.chords.map(({ number }) => printNumber(number))).toEqual(row.numbers);
    if (row.someKind !== undefined) expect(analysis.chords.map(({ reading }) => reading.kind)).toContain(row.someKind);
  });

  const readings = (row.readings ?? []).flatMap((expected, index) => (expected === null ? [] : [{ ...expected, index }]));
  if (readings.length > 0) {
    test.each(readings)('chord $index is $kind', ({ index, kind, target, resolution }) => {
      const reading = analysis.chords[index]?.reading;
      expect(kind).toContain(reading?.kind);
      if (target !== undefined) expect(reading?.target && printNumber(reading.target)).toBe(target);
      if (resolution !== undefined) expect(reading?.resolution).toBe(resolution);
    });
  }

  test('patterns and scales', () => {
    expect(analysis.patterns.map(({ kind }) => kind)).toEqual(expect.arrayContaining([...(row.patterns ?? [])]));
    for (const [index, name] of Object.entries(row.firstScale ?? {})) {
      expect(chordScaleName(analysis.chords[Number(index)]?.scales[0]?.scale ?? 'altered', 'ascii')).toBe(name);
    }
  });
});
