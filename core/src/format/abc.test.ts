import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { requireValue } from '../fault.ts';
import { lossWords } from '../wording/loss-words.ts';
import { readFormat, writeFormat } from './convert.ts';

const folder = mkdtempSync(join(tmpdir(), 'abc-'));
const abcOf = (chart: string) => new TextDecoder().decode(writeFormat('abc', chart, null).content);
const read = (abc: string) => readFormat('abc', new TextEncoder().encode(abc));
const chartOf = (abc: string) => requireValue(read(abc)).content;
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;

/** What Debian's abc2midi says of a tune. */
function complaints(abc: string): string {
  const file = join(folder, 'tune.abc');
  writeFileSync(file, abc);
  const said = execFileSync('abc2midi', [file, '-o', join(folder, 'tune.mid')], { encoding: 'utf8' });
  return said
    .split('\n')
    .filter((line) => /warning|error/i.test(line))
    .join('\n');
}

describe('a chart as ABC', () => {
  test('in its own notation', () => {
    expect(abcOf('title: Rope\nby: Me\nkey: Em\ntime: 4/4\ntempo: 96\n\n[A]\n|: 1- (4- 57) 1.[ b6 b7 ] 2.[ 1- 1- ] :|\n')).toBe(
      [
        '%abc-2.1',
        'X:1',
        'T:Rope',
        'C:Me',
        'M:4/4',
        'L:1/32',
        'Q:1/4=96',
        'K:Em',
        '|: "^[A]""Em"z32 | "Am"z16 "B7"z16 | [1 "C"z32 | "D"z32 :| [2 "Em"z32 | "Em"z32 ||',
        '',
      ].join('\n'),
    );
  });

  test('abc2midi has nothing to say against any meter, at the beginning or later', () => {
    for (const unit of [1, 2, 4, 8, 16, 32])
      for (const beats of [1, 2, 3, 5, 7, 8, 10, 11, 12, 15, 32]) {
        const meter = `${beats}/${unit}`;
        expect([meter, complaints(abcOf(`key: G\ntime: ${meter}\n\n[A]\n1 ${beats % 2 === 0 ? '(4 5)' : '4'} 1 1\n`))]).toEqual([
          meter,
          '',
        ]);
        expect([meter, complaints(abcOf(`key: G\n\n[A]\n1 4\n{${meter}} 5 1\n{3/4} 4 1\n`))]).toEqual([meter, '']);
      }
  });

  test.each([
    [
      'qualities of every kind',
      'key: Eb\n\n[A]\n1maj7 2-7 3-7 4maj9\n57b9 57alt 7-7b5 #1o7\n5sus4 1add9 16 169\n4maj7#11 57#9 5+7 1-maj7\n15 57sus4 2-11 1maj13\n',
    ],
    ['repeats and endings', 'key: C\n\n[A]\n|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|\n\n[B] x2\n6- 4\n'],
    ['odd meters and changes', 'key: G\ntime: 5/4\ntempo: 112\n\n[A]\n1 (4... 5..)\n{4/4} {tempo: 90} {key: +2}\n[B]\n1 4\n'],
    ['six eight and a pickup', 'key: D\ntime: 6/8\ntempo: 60\n\n{pickup: 3} 5\n\n[A]\n1 (4 5) 1 1\n'],
    ['words, remarks and no chord', 'title: 100% "quoted"\nkey: F#m\n\n[A]\n1- NC "mind the gap" 4- 57\n~ words that say so\n'],
    ['modes', 'key: D dorian\n\n[A]\n1-7 4 1-7 b7\n'],
    ['far keys', 'key: Gb\n\n[A]\n1 4 57 b7\n#4o7 b6 2-7b5 b3\n'],
    ['bars that do not add up', 'key: G\n\n[A]\n(1 4 5) (1.. 4. 57..) (1 2- 3- 4 57)\n1 {dc al coda}\n'],
  ])('abc2midi has nothing to say against %s', (_, chart) => expect(complaints(abcOf(chart))).toBe(''));
});

test.each([
  ['E phrygian dominant', 'K:E'],
  ['B altered', 'K:Bm'],
  ['A harmonic minor', 'K:Am'],
  ['D dorian', 'K:Ddor'],
])('a chart in %s is %s: its third says whether it is minor', (key, field) =>
  expect(abcOf(`key: ${key}\n1\n`).split('\n')).toContain(field),
);

test.each([
  ['4/4', 'Q:1/4=96'],
  ['3/8', 'Q:1/8=96'],
  ['6/8', 'Q:3/8=96'],
  ['2/2', 'Q:1/2=96'],
])('the tempo in %s counts its beat: %s', (meter, field) => expect(abcOf(`time: ${meter}\ntempo: 96\n1\n`).split('\n')).toContain(field));

describe('ABC of others', () => {
  test('chord names over a melody, in time; the melody is not kept', () => {
    const { content, losses } = requireValue(
      read('X:1\nT:The Slip\nC:Nobody\nR:reel\nM:4/4\nL:1/8\nQ:1/4=120\nK:G\n"G"GABc "D7"d2 A2 | "Em"B4 z4 | "C"c8 |\n'),
    );
    expect(letters(content)).toEqual(['G D7', 'Em', 'C']);
    expect(content).toMatch(/^title: The Slip\nby: Nobody\nkey: G\ntime: 4\/4\ntempo: 120\nfeel: reel$/m);
    expect(losses.map(({ code }) => code)).toEqual(['notes']);
  });

  test('of the melody its range is kept, as it sounds in its key', () => {
    // from D4 to the C sharp above; the key makes it sharp, the natural only lasts its bar
    const { content, losses } = requireValue(read('X:1\nM:4/4\nL:1/4\nK:D\n"D"D F A c | "A"=c A, c c |\n'));
    expect(content).toMatch(/^range: A3 C#5$/m);
    expect(losses.map(lossWords)).toEqual(['The melody is not kept, only its range, A3 to C#5: a chart holds chords, words and form']);
  });

  test('notes that sound together are no melody', () => {
    const { content, losses } = requireValue(read('X:1\nM:4/4\nL:1/4\nK:D\n"D"[DF]A A A |\n'));
    expect(content).not.toContain('range');
    expect(losses.map(({ code, what }) => [code, what])).toEqual([['notes', '']]);
  });

  test('what is sung stands under its line, a verse a line', () => {
    const chart = chartOf(
      'X:1\nM:4/4\nL:1/4\nK:C\n"C"c d e f | "G"g4 |\nw: the lan-tern on quay\nw: a rope and no-one\n"F"f4 | "C"c4 |]\nw: is out\n',
    );
    expect(chart).toBe('key: C\ntime: 4/4\nrange: C5 G5\n\n1 5\n~ the lantern on quay\n~ a rope and noone\n4 1\n~ is out\n');
  });

  test.each([
    ['"C"C4 | "F"F4 !fine! | "G"G4 | "G"G4 !D.C.! |]', 'C F G G C F'],
    ['"C"C4 | !segno!"F"F4 | "G"G4 !dacoda! | "G"G4 !D.S.alcoda! | !coda!"Am"A4 |]', 'C F G G F G Am'],
    ['"C"C4 |!segno! "F"F4 !fine!| "G"G4 !D.S.alfine!|]', 'C F G F'],
  ])('jumps are followed: %s', (tune, expected) => expect(letters(chartOf(`X:1\nM:4/4\nL:1/4\nK:C\n${tune}\n`)).join(' ')).toBe(expected));

  test('repeats and endings as they stand on paper', () => {
    expect(letters(chartOf('X:1\nM:4/4\nL:1/4\nK:C\n|: "C"C4 | "F"F4 |1 "G"G4 :|2 "C"C4 |]\n'))).toEqual(['C', 'F', 'G', 'C', 'F', 'C']);
    expect(letters(chartOf('X:1\nM:4/4\nL:1/4\nK:C\n"C"C4 | "F"F4 :| "G"G4 |]\n'))).toEqual(['C', 'F', 'C', 'F', 'G']);
  });

  test('triplets, pickups, bars without a name, changes of key and meter', () => {
    const chart = chartOf('X:1\nM:3/4\nL:1/4\nK:Am\nE | "Am"(3ABc "E7"e | e3 | [K:D] [M:4/4] "D"d4 |]\n');
    expect(letters(chart)).toEqual(['NC', 'Am E7', 'E7', 'D']);
    expect(chart).toContain('{pickup: 1}');
    expect(chart).toContain('(1-.. 57.)');
    expect(chart).toContain('{4/4} {key: D}');
  });

  test('common and cut time', () => {
    expect(chartOf('X:1\nM:C|\nL:1/4\nK:C\n"C"C4 |\n')).toMatch(/^time: 2\/2$/m);
    expect(chartOf('X:1\nM:C\nL:1/4\nK:C\n"C"C4 |\n')).toMatch(/^time: 4\/4$/m);
  });

  test('a name nobody knows is left out and told', () => {
    const { losses } = requireValue(read('X:1\nM:4/4\nL:1/4\nK:C\n"C"C2 "Qx"C2 |\n'));
    expect(losses.map(({ code, what }) => `${code} ${what}`)).toContain('chord-unknown Qx');
  });

  test.each([
    ['nothing', '', 'format-other'],
    ['prose', 'Once there was a harbour.', 'format-other'],
    ['a head without a tune', 'X:1\nT:Empty\nK:C\n', 'format-empty'],
  ])('%s is refused', (_, abc, code) => {
    const result = read(abc);
    expect(result.ok ? null : result.fault.code).toBe(code);
  });
});

describe('what nobody can play is refused at once, and ends nothing', () => {
  test.each([
    ['M:999999999/1', 'C|'],
    ['M:4/0', 'C|'],
    ['M:0/4', 'C|'],
    ['M:7/3', 'C|'],
    ['L:1/0', 'C|'],
    ['L:1/99999999', 'C|'],
    ['Q:0', 'C|'],
    ['', 'C999999|'],
    ['', 'C/0|'],
    ['', '(0abc|'],
    ['', 'Z99999|'],
    ['', '[M:123456/4] C|'],
    ['', 'C'.repeat(5000)],
  ])('%s %s', (field, music) => {
    const result = read(`X:1\n${field === '' ? '' : `${field}\n`}K:C\n${music}\n`);
    expect(result.ok ? 'read' : result.fault.code).toMatch(/^format-(broken|large)$/);
  });

  test.each(['M:C|', 'M:none', 'M:2+3/8', 'M:(3+2)/8', 'M:6/8'])('%s is a meter', (field) => {
    expect(read(`X:1\n${field}\nK:C\n"C"C4|\n`).ok).toBe(true);
  });

  test('braces and parentheses without end are read in no time, and the chords beside them too', () => {
    for (const sign of ['{', '{}', '(', 'a(', '[', '<'])
      expect(read(`X:1\nK:C\n${`${sign.repeat(1500)}\n`.repeat(40)}"G"G4|`)).toBeDefined();
    expect(letters(chartOf('X:1\nM:4/4\nL:1/4\nK:C\n"C"{ag}(C2 (3DEF)|"G7"G4|\n'))).toEqual(['C', 'G7']);
  });
});
