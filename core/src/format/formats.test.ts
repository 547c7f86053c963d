import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { requireValue } from '../fault.ts';
import { printKey } from '../key/key-text.ts';
import { faultWords } from '../wording/fault-words.ts';
import { lossWords } from '../wording/loss-words.ts';
import { type FormatName, formatOf, readFormat, writeFormat } from './convert.ts';

const OTHERS = ['musicxml', 'mxl', 'midi', 'abc', 'text'] as const satisfies readonly FormatName[];

/** What must come back: the numbers of every bar as played, and how long each chord lasts. */
function played(text: string): readonly string[] {
  const reading = readChart(text);
  const { performed } = renderChart(reading, reading.head.key.tonic, 'numbers');
  return reading.performance.order.map((bar, index) => {
    const { chords, meter, pickup } = reading.bars[bar] as (typeof reading.bars)[number];
    return `${performed[index]} ${chords.map(({ beats }) => beats).join(',')} of ${pickup ?? meter.beats}/${meter.unit}`;
  });
}

function there(format: FormatName, text: string): { readonly text: string; readonly losses: readonly string[] } {
  const out = writeFormat(format, text, null);
  const back = requireValue(readFormat(format, out.content));
  return { text: back.content, losses: [...out.losses, ...back.losses].map(({ code }) => code) };
}

const SONGS: readonly (readonly [string, string])[] = [
  ['plain bars', 'title: One\nkey: G\n\n[A]\n1 4 5 1\n'],
  ['qualities', 'key: Eb\n\n[A]\n1maj7 2-7 3-7 4maj7 57 6- 7-7b5 1\n57b9 57alt 5sus4 2-9 4maj7#11 #1o7 1add9 16\n'],
  ['shared bars', 'key: D\n\n[A]\n1 (4 5) (1... 5.) (1 6- 2-7 57)\n'],
  ['basses', 'key: C\n\n[A]\n1 5/7 6- 6-/5 | 4 | 1/3 2-7/5\n'],
  ['a minor key', 'key: Em\n\n[A]\n1- b7 b6 57\n4- 1- 2-7b5 57b9\n'],
  ['a mode', 'key: D dorian\n\n[A]\n1-7 4 1-7 b7\n'],
  ['six eight', 'key: A\ntime: 6/8\ntempo: 60\n\n[A]\n1 (4 5) 1 (1... 5...)\n'],
  ['three four', 'key: Bb\ntime: 3/4\ntempo: 138\n\n[A]\n1 6- 2- 57\n'],
  ['five four', 'key: G\ntime: 5/4\ntempo: 112\n\n[A]\n(1... 4..) (1... b7..) 1 4\n'],
  ['a new key', 'key: C\n\n[A]\n1 4 5 1\n{key: +2}\n[B]\n1 4 5 1\n'],
  ['repeats and endings', 'key: C\n\n[A]\n|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|\n\n[B]\n6- 4 1 5\n'],
  ['a counted section', 'key: C\n\n[A] x2\n1 4 5 1\n\n[B]\n6- 4\n'],
  ['no chord', 'key: C\n\n[A]\n1 NC (1 NC) 4\n'],
  ['a new meter and tempo', 'key: C\ntempo: 100\n\n[A]\n1 4\n{3/4} {tempo: 132}\n5 1\n'],
  ['flats and sharps', 'key: Gb\n\n[A]\n1 4 57 b7\n#4o7 b6 2-7b5 b3\n'],
  ['a form line', 'key: C\nform: A, B, A\n\n[A]\n1 4\n\n[B]\n5 5\n'],
];

describe.each(OTHERS)('through %s and back', (format) => {
  test.each(SONGS)('%s: the same numbers, lengths and play order', (_, text) => {
    const back = there(format, text);
    expect(played(back.text)).toEqual(played(text));
    const [key, before] = [readChart(back.text).head.key, readChart(text).head.key];
    expect(printKey(back.losses.includes('mode') ? { ...before, scale: key.scale } : before)).toBe(printKey(key));
    expect(readChart(back.text).problems.filter(({ severity }) => severity === 'error')).toEqual([]);
  });
});

describe.each(OTHERS)('a chart that is not right, through %s and back', (format) => {
  test.each([
    ['bars that do not add up', 'key: C\n\n[A]\n(1 4 5) (1.. 4. 57..)\n', ['1 4 5', '1 4 57']],
    ['a pickup too long', 'key: C\n\n{pickup: 9} 57\n\n[A]\n1 4\n', ['57', '1', '4']],
    ['a jump to nowhere', 'key: C\n\n[A]\n1 4 {to coda} 5 1 {ds al coda}\n', ['1', '4', '5', '1']],
    ['a repeat that is left open', 'key: C\n\n[A]\n1 |: 4 5\n\n[B]\n1 1\n', ['1', '4', '5', '1', '1']],
    ['something unreadable', 'key: C\n\n[A]\n1 hello 5\n', ['1', '5']],
  ])('%s: what can be read is played the same, and the problem is told', (_, text, expected) => {
    expect(renderChart(readChart(text), 0, 'numbers').performed).toEqual(expected);
    const back = there(format, text);
    expect(renderChart(readChart(back.text), 0, 'numbers').performed).toEqual(expected);
    expect(readChart(back.text).problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(back.losses).toContain('chart-problem');
  });

  test('one without a bar is a file all the same', () => {
    const { content } = writeFormat(format, 'title: Nothing Yet\nkey: Eb\n', null);
    const back = readFormat(format, content);
    if (back.ok) expect(renderChart(readChart(back.value.content), 0, 'numbers').performed.join('')).toMatch(/^(NC)?$/);
    else expect(back.fault.code).toBe('format-empty');
  });
});

test('every problem of the chart is told with its line, twenty at most', () => {
  const told = (text: string) => writeFormat('midi', text, null).losses.map(lossWords);
  expect(told('key: C\n\n[A]\n1 4\n5 {dc al fine}\n')).toEqual([expect.stringMatching(/^The chart itself is not right: line 5: .*fine/i)]);
  const many = told(`key: C\n\n[A]\n${'1 oops\n'.repeat(25)}`);
  expect(many).toHaveLength(21);
  expect(many.at(-1)).toBe('The chart itself is not right: 5 more places');
});

describe('what a format cannot hold is told', () => {
  const song =
    'title: One\nby: Somebody\nkey: C harmonic minor\nfeel: swing\nrange: C4 C5\nform: A, A\n\n[A] -- quietly\n>1- <4-> 57! b6? "listen" @bass "walk"\n~ words\n';
  test.each([
    ['musicxml', ['cue', 'form-written-out', 'mode', 'optional']],
    ['abc', ['cue', 'form-written-out', 'mode', 'optional', 'push', 'ring', 'stop']],
    ['midi', ['form-written-out', 'head', 'head', 'lyrics', 'mode', 'optional', 'remark', 'ring']],
    ['text', ['cue', 'form-written-out', 'head', 'optional', 'push', 'remark', 'ring', 'stop']],
  ] as const)('%s', (format, codes) => {
    const { losses } = writeFormat(format, song, null);
    expect(losses.map(({ code }) => code).sort()).toEqual(codes);
    for (const loss of losses) expect(lossWords(loss)).toMatch(/^[A-Z“].{10,}/);
  });

  test('and where, in bars', () => {
    const losses = writeFormat('abc', 'key: C\n\n[A]\n1 >4 5 >1\n', null).losses;
    expect(losses.map(lossWords)).toEqual(['Pushes are not marked (bars 2, 4)']);
  });

  test('nothing is told of a song that is held whole', () => {
    expect(writeFormat('musicxml', 'key: C\n\n[A]\n|: 1 4 1.[ 5 5 ] 2.[ 1 <1> ] :|\n~ words here\n', null).losses).toEqual([]);
  });
});

test('another key moves every letter and no number', () => {
  const text = 'key: C\n\n[A]\n1 6-7 2-7 57\n';
  const inEb = new TextDecoder().decode(writeFormat('text', text, -3).content);
  expect(inEb).toContain('| Eb | Cm7 | Fm7 | Bb7 |');
  expect(played(requireValue(readFormat('text', writeFormat('text', text, -3).content)).content)).toEqual(played(text));
});

describe('the kind of a file', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  test.each([
    ['song.bin', bytes('MThd....'), 'midi'],
    ['song', bytes('PK\u0003\u0004'), 'mxl'],
    ['a.xml', bytes('<?xml version="1.0"?><score-partwise/>'), 'musicxml'],
    ['a.txt', bytes('X:1\nT:One\nK:C\n'), 'abc'],
    ['a.txt', bytes('key: C\n\n[A]\n1 4 5 1\n'), 'chart'],
    ['a.txt', bytes('[Verse]\nG      C\nthe tide is out\n'), 'text'],
    ['a.mid', bytes('not midi'), 'midi'],
  ])('%s', (name, content, format) => expect(formatOf(name, content)).toBe(format));
});

describe('any chart', () => {
  const chord = fc.constantFrom(
    '1',
    '4',
    '5',
    '6-',
    '2-7',
    '57',
    '1maj7',
    'b7',
    '3-',
    '5/7',
    '7-7b5',
    '57b9',
    'b6',
    '4-',
    '1/3',
    '#4o7',
    '5sus4',
    '69',
  );
  const bar = fc.oneof(
    { weight: 4, arbitrary: chord },
    { weight: 1, arbitrary: fc.tuple(chord, chord).map(([a, b]) => `(${a} ${b})`) },
    { weight: 1, arbitrary: fc.tuple(chord, chord).map(([a, b]) => `(${a}... ${b}.)`) },
    { weight: 1, arbitrary: fc.constantFrom('NC', '%') },
    { weight: 1, arbitrary: chord.map((text) => `<${text}> "hold it"`) },
  );
  const line = fc.array(bar, { minLength: 1, maxLength: 4 }).map((bars) => bars.join(' '));
  const change = fc.constantFrom('', '', '', '{3/4} ', '{6/8} ', '{4/4} ', '{key: +2} ', '{key: F#m} ', '{tempo: 132} ');
  const changed = fc.tuple(change, line).map(([first, bars]) => first + bars);
  const repeat = fc.oneof(
    fc.tuple(line, line, line).map(([a, b, c]) => `|: ${a} 1.[ ${b} ] 2.[ ${c} ] :|`),
    fc.tuple(line, line, line).map(([a, b, c]) => `|: ${a} 1,2.[ ${b} ] 3.[ ${c} ] :|`),
    line.map((bars) => `|: ${bars} :| x3`),
  );
  const section = fc.tuple(
    fc.array(fc.oneof({ weight: 3, arbitrary: changed }, repeat), { minLength: 1, maxLength: 3 }),
    fc.constantFrom('', '', ' x2', ' x3'),
  );
  /** What stands before and behind the first section, and behind the last; and what comes after everything. */
  const way = fc.constantFrom(
    ['', '', '', ''],
    ['', '', '', ''],
    ['', ' {fine}', ' {dc al fine}', ''],
    ['{segno} ', ' {to coda}', ' {ds al coda}', '\n\n[End]\n{coda} 1 4 1'],
    ['{segno} ', ' {fine}', ' {ds}', ''],
    ['', '', ' {dc!}', ''],
  );
  const chart = fc
    .record({
      key: fc.constantFrom('C', 'Eb', 'F#', 'Am', 'C#m', 'Bb', 'Ebm', 'G mixolydian', 'D dorian'),
      time: fc.constantFrom('4/4', '4/4', '3/4', '6/8', '2/2', '5/4'),
      sections: fc.array(section, { minLength: 1, maxLength: 3 }),
      way,
    })
    .map(({ key, time, sections, way: [before = '', first = '', last = '', after = ''] }) => {
      const body = sections.map(([lines, times], at) => {
        const opened = at === 0 ? `${before}${lines.join('\n')}${first}` : lines.join('\n');
        return `[S${at}]${times}\n${opened}${at === sections.length - 1 ? last : ''}`;
      });
      return `key: ${key}\ntime: ${time}\n\n${body.join('\n\n')}${after}\n`;
    });
  const isRight = (text: string) => readChart(text).problems.every(({ severity }) => severity !== 'error');

  test.each(OTHERS)('through %s and back is played the same', (format) => {
    fc.assert(
      fc.property(chart, (text) => {
        fc.pre(isRight(text));
        expect(played(there(format, text).text)).toEqual(played(text));
      }),
      { seed: 11, numRuns: 100 },
    );
  });

  test('anything at all, read as any format, is a song or a fault and never a crash', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ maxLength: 300 }),
        fc.constantFrom(...OTHERS),
        fc.constantFrom('', 'MThd', 'PK\u0003\u0004', '<?xml?><score-partwise>', 'X:1\nK:C\n'),
        (noise, format, start) => {
          const content = new Uint8Array([...new TextEncoder().encode(start), ...noise]);
          const read = readFormat(format, content);
          expect(typeof (read.ok ? read.value.content : faultWords(read.fault))).toBe('string');
        },
      ),
      { seed: 5, numRuns: 300 },
    );
  });
});

test('a song without end is written as far as anybody could read it, and that is told', () => {
  const { content, losses } = writeFormat('musicxml', `form: ${'A x99, '.repeat(400)}A\n[A] x99\n1 4`, null);
  expect(content.length).toBeLessThan(8_000_000);
  expect(losses.map(({ code }) => code)).toContain('too-long');
});
