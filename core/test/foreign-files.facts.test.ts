import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../src/chart/reading.ts';
import { renderChart } from '../src/chart/render.ts';
import { requireValue } from '../src/fault.ts';
import { type FormatName, formatOf, readFormat, writeFormat } from '../src/format/convert.ts';
import { textOf } from '../src/format/letters.ts';
import type { LossCode } from '../src/wording/loss-words.ts';

const bytesOf = (text: string) => new TextEncoder().encode(text);
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;

/** What comes of a file: its bars in letters, its key and title, and what is said about it. */
function read(format: FormatName, bytes: Uint8Array) {
  const { content, losses } = requireValue(readFormat(format, bytes));
  return {
    bars: letters(content).join(' | '),
    key: /^key: (.*)$/m.exec(content)?.[1],
    time: /^time: (.*)$/m.exec(content)?.[1],
    title: /^title: (.*)$/m.exec(content)?.[1],
    said: losses.map(({ code }) => code),
  };
}
const abc = (text: string) => read('abc', bytesOf(text));

describe('ABC with voices', () => {
  test('voices on lines of different length have the bars they have', () => {
    const two = abc('X:1\nM:4/4\nL:1/4\nK:C\nV:1\n"C"c4 | "F"f4 | "G"g4 | "C"c4 |]\nV:2\nC4 | F4 |\nG4 | C4 |]\n');
    expect([two.bars, two.said]).toEqual(['C | F | G | C', ['voices', 'notes']]);
    const lines = abc('X:1\nM:4/4\nL:1/4\nK:C\nV:1\nc4 |\nf4 |\ng4 |\nc4 |]\nV:2\n"C"C4 | "F"F4 | "G"G4 | "C"C4 |]\n');
    expect(lines.bars).toBe('C | F | G | C');
  });

  test('voices that take turns line by line, named in the line', () => {
    const turns = abc('X:1\nM:3/4\nL:1/4\nK:G\n[V:1] "G"B3 | "C"c3 |\n[V:2] G3 | E3 |\n[V:1] "D"A3 | "G"B3 |]\n[V:2] F3 | G3 |]\n');
    expect(turns.bars).toBe('G | C | D | G');
  });

  test('voices without chord names are heard together', () => {
    const heard = abc(
      'X:1\nM:4/4\nL:1/4\nK:G\nV:1\nB c B A | G2 c2 | A A d A | B4 |]\nV:2\nG,2 G,2 |\n[C,E]4 |\n[D,F]4 | [G,B,D]4 |]\nV:3\nD4 | G4 | A2 D2 | G4 |]\n',
    );
    expect([heard.bars, heard.said]).toEqual(['G | C | D | G', ['chords-guessed', 'notes']]);
  });

  test('voices over each other in one bar are heard', () => {
    expect(abc('X:1\nM:4/4\nL:1/4\nK:F\nf4 & c4 & A,2 F,2 | e4 & c4 & [C,G,]4 | f4 & [A,C]4 & F,4 |]\n').bars).toBe('F | C | F');
  });

  test('one melody alone is not taken for more than it is', () => {
    const alone = abc('X:1\nM:4/4\nL:1/8\nK:D\ndfaf dfaf | e2 g2 c2 e2 | defg agfe | d4 d4 |]\n');
    expect(alone.said).toEqual(['chords-suggested', 'notes']);
    expect(alone.bars.split(' | ')).toHaveLength(4);
    expect(alone.bars.split(' | ').at(-1)).toBe('D');
  });
});

describe('the head of an ABC file', () => {
  test('holds for every tune in it that says nothing else', () => {
    const waltz = abc('%abc-2.1\nM:3/4\nL:1/4\nC:Nobody\n\nX:7\nT:Slack Water\nK:D\n"D"d3 | "G"g3 | "A"a3 | "D"d3 |]\n');
    expect(waltz).toMatchObject({ bars: 'D | G | A | D', time: '3/4', title: 'Slack Water' });
    expect(abc('M:3/4\nL:1/4\n\nX:1\nM:2/4\nK:C\n"C"c2 | "G"g2 |]\n').time).toBe('2/4');
  });

  test('of several tunes the first is read, and that is said', () => {
    const said = abc('X:1\nT:One\nM:4/4\nL:1/1\nK:C\n"C"c|\n\nX:2\nT:Two\nK:D\n"D"d|\n');
    expect([said.title, said.bars, said.said]).toEqual(['One', 'C', ['tunes', 'notes']]);
  });
});

describe('a count of three in ABC', () => {
  const source = 'title: Slip\nkey: G\n\n[A] x3\n1 4\n[B]\n5 1\n[C] x4\n6- 4\n';
  const written = writeFormat('abc', source, null);
  const text = new TextDecoder().decode(written.content);

  test('writes that section twice and once more, not the whole song', () => {
    expect(text.match(/"[A-G][^"]*"/g)).toHaveLength(2 + 2 + 2 + 2 + 2);
    expect(text.match(/:\|/g)).toHaveLength(3);
    expect(written.losses.map(({ code }) => code)).toEqual(['repeat-split', 'repeat-split']);
  });

  test.each([3, 4, 5, 7])('is played as often as it says: %i times', (times) => {
    const chart = `key: G\n\n[A]\n1 1\n[B] x${times}\n4 5\n[C]\n6- 1\n`;
    const there = requireValue(readFormat('abc', writeFormat('abc', chart, null).content)).content;
    expect(letters(there)).toEqual(letters(chart));
  });

  test('a repeat that is played three times too', () => {
    const chart = 'key: G\n\n[A]\n|: 1 4 :| x3 5 1\n';
    const there = requireValue(readFormat('abc', writeFormat('abc', chart, null).content)).content;
    expect(letters(there)).toEqual(letters(chart));
  });
});

/** A part of MusicXML from bars of notes: `C4:4` is a whole C, `+E4` sounds with the note before, `r:2` rests, `<4` goes back four. */
function part(id: string, bars: readonly string[], attributes = '<divisions>1</divisions>'): string {
  const note = (word: string) => {
    if (word.startsWith('<')) return `<backup><duration>${word.slice(1)}</duration></backup>`;
    const [, chord = '', step = '', alter = '', octave = '4', duration = '1'] = /^(\+?)([A-Gr])([#b]?)(\d?):?(\d*)$/.exec(word) ?? [];
    const pitch =
      step === 'r'
        ? '<rest/>'
        : `<pitch><step>${step}</step>${alter === '' ? '' : `<alter>${alter === '#' ? 1 : -1}</alter>`}<octave>${octave}</octave></pitch>`;
    return `<note>${chord === '+' ? '<chord/>' : ''}${pitch}<duration>${duration || 1}</duration></note>`;
  };
  const measures = bars.map((bar, index) => {
    const head = index === 0 ? `<attributes>${attributes}</attributes>` : '';
    return `<measure number="${index + 1}">${head}${bar.split(' ').map(note).join('')}</measure>`;
  });
  return `<part id="${id}">${measures.join('')}</part>`;
}
const scoreOf = (...parts: readonly string[]) =>
  `<?xml version="1.0" encoding="UTF-8"?><score-partwise version="3.1"><part-list>${parts.map((_, at) => `<score-part id="P${at}"><part-name>x</part-name></score-part>`).join('')}</part-list>${parts.join('')}</score-partwise>`;
const xml = (...parts: readonly string[]) => read('musicxml', bytesOf(scoreOf(...parts)));
const IN_C = '<divisions>1</divisions><key><fifths>0</fifths></key><time><beats>4</beats><beat-type>4</beat-type></time>';

describe('MusicXML without chord names', () => {
  test('four parts that sing together', () => {
    const four = xml(
      part('P0', ['E4:2 D4:2', 'E4:4', 'D4:4', 'C4:4'], IN_C),
      part('P1', ['C4:2 B3:2', 'C4:4', 'B3:4', 'G3:4'], IN_C),
      part('P2', ['G3:2 G3:2', 'A3:4', 'G3:4', 'E3:4'], IN_C),
      part('P3', ['C3:2 G2:2', 'A2:4', 'G2:2 F2:2', 'C3:4'], IN_C),
    );
    expect(four).toMatchObject({ bars: 'C G | Am | G7 | C', key: 'C' });
    expect(four.said).toEqual(['chords-guessed', 'notes']);
  });

  test('two voices on one staff, and a chord struck together', () => {
    const two = xml(
      part('P0', ['G4:4 <4 C3:2 +E3:2 C3:2 +E3:2', 'A4:4 <4 F3:4 +C4:4', 'G4:2 B4:2 <4 G3:4 +D4:4', 'G4:4 <4 C3:4 +E3:4'], IN_C),
    );
    expect(two.bars).toBe('C | F | G | C');
  });

  test('a signature alone does not say major or minor: the notes do', () => {
    const minor = xml(part('P0', ['A3:4 +C4:4 +E4:4', 'D3:4 +F3:4 +A3:4', 'E3:4 +G#3:4 +B3:4', 'A3:4 +C4:4 +E4:4'], IN_C));
    expect(minor).toMatchObject({ bars: 'Am | Dm | E | Am', key: 'Am' });
  });

  test('a transposing part is heard as it sounds', () => {
    // a clarinet in B flat reads a whole step above what sounds
    const clarinet = `${'<divisions>1</divisions><key><fifths>2</fifths><mode>major</mode></key><time><beats>4</beats><beat-type>4</beat-type></time>'}<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>`;
    const heard = xml(part('P0', ['D4:4 +F#4:4 +A4:4', 'G4:4 +B4:4 +D5:4', 'A4:4 +C#5:4 +E5:4', 'D4:4 +F#4:4 +A4:4'], clarinet));
    expect(heard).toMatchObject({ bars: 'C | F | G | C', key: 'C' });
  });

  test('a bar of rests has no chord; a rest within one does not end it', () => {
    expect(xml(part('P0', ['C4:2 +E4:2 +G4:2 r:2', 'r:4', 'G4:4 +B4:4 +D5:4'], IN_C)).bars).toBe('C | NC | G');
  });

  test('the third in the bass is kept', () => {
    expect(xml(part('P0', ['C3:4 +E4:4 +G4:4', 'B2:4 +D4:4 +G4:4', 'A2:4 +C4:4 +E4:4', 'F2:4 +C4:4 +A3:4'], IN_C)).bars).toBe(
      'C | G/B | Am | F',
    );
  });
});

/** Text in an encoding, as a program of that time wrote it. */
const latin = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const utf16 = (text: string, isLittle: boolean, marked: boolean) => {
  const units = [...(marked ? [0xfeff] : []), ...Array.from(text, (letter) => letter.charCodeAt(0))];
  return Uint8Array.from(units.flatMap((unit) => (isLittle ? [unit & 0xff, unit >> 8] : [unit >> 8, unit & 0xff])));
};

describe('letters', () => {
  const tune = 'X:1\nT:Brücke für Zoé\nM:4/4\nL:1/1\nK:C\n"C"c|\n';
  test.each<[string, Uint8Array]>([
    ['ISO-8859-1', latin(tune)],
    ['UTF-8', bytesOf(tune)],
    ['UTF-8 with its mark', bytesOf(`\ufeff${tune}`)],
    ['UTF-16, little end first', utf16(tune, true, true)],
    ['UTF-16, big end first', utf16(tune, false, true)],
    ['UTF-16 without its mark', utf16(tune, true, false)],
  ])('%s', (_, bytes) => {
    expect(formatOf('tune', bytes)).toBe('abc');
    expect(read('abc', bytes)).toMatchObject({ title: 'Brücke für Zoé', bars: 'C' });
  });

  test('MusicXML that says it is ISO-8859-1, and MIDI in either', () => {
    const score = `<?xml version="1.0" encoding="ISO-8859-1"?><score-partwise><work><work-title>Größe</work-title></work><part-list/>${part('P', ['C4:4'], IN_C)}</score-partwise>`;
    expect(read('musicxml', latin(score)).title).toBe('Größe');
    for (const title of [latin('Größe'), bytesOf('Größe')]) {
      const track = [0, 0xff, 3, title.length, ...title, 0, 0x90, 60, 80, 0x60, 0x80, 60, 0, 0, 0xff, 0x2f, 0];
      const head = [...latin('MThd'), 0, 0, 0, 6, 0, 0, 0, 1, 0, 0x60, ...latin('MTrk'), 0, 0, 0, track.length];
      expect(read('midi', Uint8Array.from([...head, ...track])).title).toBe('Größe');
    }
  });

  test('whatever is written as UTF-8 is read as it was, and no bytes break it', () => {
    fc.assert(fc.property(fc.string({ unit: 'grapheme' }), (text) => expect(textOf(bytesOf(text))).toBe(text.replace(/^\ufeff/, ''))));
    fc.assert(fc.property(fc.uint8Array({ maxLength: 60 }), (bytes) => expect(typeof textOf(bytes)).toBe('string')));
  });
});

test('what is said of a file is what was done', () => {
  const silent: readonly LossCode[] = ['no-chords'];
  expect(xml(part('P0', ['r:4', 'r:4'], IN_C))).toMatchObject({ bars: 'NC | NC', said: silent });
});
