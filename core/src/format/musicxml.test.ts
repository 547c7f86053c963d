import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { requireValue } from '../fault.ts';
import { faultWords } from '../wording/fault-words.ts';
import { readFormat, writeFormat } from './convert.ts';

const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
const xmlOf = (chart: string) => text(writeFormat('musicxml', chart, null).content);
const read = (xml: string) => readFormat('musicxml', strToU8(xml));
const chartOf = (xml: string) => requireValue(read(xml)).content;
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;

describe('a chart as MusicXML', () => {
  const xml = xmlOf(
    'title: Salt & Rope\nby: <me>\nkey: Eb\ntime: 4/4\ntempo: 90\n\n[Verse]\n1 (4 5/7) <6-7> 57b9!\n~ one two three four five\n',
  );

  test('has its head, escaped', () => {
    expect(xml).toContain('<work-title>Salt &amp; Rope</work-title>');
    expect(xml).toContain('<creator type="composer">&lt;me&gt;</creator>');
    expect(xml).toContain('<key><fifths>-3</fifths><mode>major</mode></key>');
    expect(xml).toContain('<sound tempo="90"/>');
    expect(xml).toContain('<rehearsal>Verse</rehearsal>');
  });

  test('has letters above and numbers of the key below', () => {
    expect(xml).toContain(
      '<harmony placement="above"><root><root-step>E</root-step><root-alter>-1</root-alter></root><kind text="">major</kind></harmony>',
    );
    expect(xml).toContain(
      '<harmony placement="below"><numeral><numeral-root text="1">1</numeral-root></numeral><kind text="">major</kind></harmony>',
    );
    expect(xml).toContain('<bass><bass-step>D</bass-step></bass>');
    expect(xml).toContain('<numeral-root text="6">6</numeral-root></numeral><kind text="–7">minor-seventh</kind>');
    expect(xml).toContain('<bass><bass-step text="7">D</bass-step></bass>');
    expect(xml).toContain('<degree-value>9</degree-value><degree-alter>-1</degree-alter><degree-type>add</degree-type>');
  });

  test('an altered degree shows its sign, and programs that know numbers find the number', () => {
    expect(xmlOf('key: A\nb7 #4-7b5 b3-/b7\n')).toMatch(
      /<numeral-root text="♭7">7<\/numeral-root><numeral-alter print-object="no">-1<\/numeral-alter>[\s\S]*text="♯4">4[\s\S]*text="♭3">3<[\s\S]*<kind text="–">minor<\/kind><bass><bass-step text="♭7">G<\/bass-step><\/bass>/,
    );
  });

  test.each(['letters', 'numbers'] as const)('%s alone read back as the same song', (show) => {
    const chart = 'key: Eb\n\n[A]\n1 (4 5/7) b7 2-7\n{key: +2} 57 4/5 6-7b5 1\n';
    const written = text(writeFormat('musicxml', chart, null, { transpose: 0, octave: 0, show }).content);
    expect(written.includes('<root>')).toBe(show === 'letters');
    expect(written.includes('<numeral>')).toBe(show === 'numbers');
    expect(letters(chartOf(written))).toEqual(letters(chart));
  });

  test('fills every measure, a slash a beat', () => {
    for (const [measure] of xml.matchAll(/<measure[\s\S]*?<\/measure>/g)) {
      const lengths = [...measure.matchAll(/<duration>(\d+)<\/duration>/g)].map(([, length]) => Number(length));
      expect(lengths).toEqual([16, 16, 16, 16]);
    }
    expect(xml).toContain('<notehead>diamond</notehead>');
    expect(xml).toContain('<staccatissimo/>');
  });

  test('fills a measure whose shares come out in no note', () => {
    const lengths = (chart: string) => [...xmlOf(chart).matchAll(/<duration>(\d+)<\/duration>/g)].map(([, length]) => Number(length));
    const sum = (chart: string) => lengths(chart).reduce((total, length) => total + length, 0);
    // sixteen parts a quarter: 4/4 is 64 of them, 7/8 is 56
    expect(sum('key: C\n(1 4 5)\n')).toBe(64);
    expect(sum('key: C\n(1 4 5 6- 2-)\n')).toBe(64);
    expect(sum('key: C\ntime: 7/8\n(1 4 5)\n')).toBe(56);
  });

  test('a sign that leads nowhere is not there for other programs to follow', () => {
    expect(xmlOf('key: C\n\n[A]\n1 4 5 1 {dc al coda}\n')).not.toMatch(/dacapo|tocoda|D\.C\./);
    expect(xmlOf('key: C\n\n[A]\n1 4 {fine} 5 1 {dc al fine}\n')).toMatch(/dacapo/);
  });

  test('has a measure even where the chart has no bar', () => {
    expect(xmlOf('title: Nothing Yet\n')).toMatch(/<part id="P1">\s*<measure number="1"\/>\s*<\/part>/);
  });

  test.each([
    ['Am', 0, 'minor'],
    ['D dorian', 0, 'dorian'],
    ['F# mixolydian', 5, 'mixolydian'],
    ['Bb', -2, 'major'],
    ['C#m', 4, 'minor'],
    ['G harmonic minor', -2, 'minor'],
    ['E phrygian dominant', 4, 'major'],
    ['B altered', 2, 'minor'],
    ['F lydian dominant', -1, 'major'],
  ])('%s has %i fifths, %s', (key, fifths, mode) =>
    expect(xmlOf(`key: ${key}\n1\n`)).toContain(`<key><fifths>${fifths}</fifths><mode>${mode}</mode></key>`),
  );
});

describe('through MusicXML and back', () => {
  test.each([
    ['jumps and signs', 'key: C\n\n[A]\n{segno} 1 4 {to coda} 5 1 {ds al coda}\n\n[B]\n{coda} 6- 1\n'],
    ['D.C. al Fine', 'key: C\n\n[A]\n1 4 {fine} 5 57 {dc al fine}\n'],
    ['a pickup', 'key: C\ntime: 3/4\n\n[A]\n{pickup: 1} 5 1 4 5\n'],
    ['words, remarks, rings and stops', 'key: C\n\n[A]\n1 4 "watch" <5> 1!\n~ one two three four five six\n~ second line here\n'],
    ['the head', 'title: One\nby: Me\nkey: C\ntime: 4/4\ntempo: 96\nrange: C4 C5\nnote: keep it low\n\n[A]\n1 4\n'],
    ['a repeat played three times', 'key: C\n\n[A]\n|: 1 4 :| x3\n'],
  ])('%s', (_, chart) => {
    const back = chartOf(xmlOf(chart));
    const tidy = (source: string) =>
      source
        .replace(/^time: 4\/4\n/m, '')
        .replace(/\n+/g, '\n')
        .trim();
    expect(tidy(back)).toBe(tidy(chart));
  });
});

/** A score as another program might write it. */
const foreign = (measures: string, key = '<key><fifths>1</fifths></key>') => `<?xml version="1.0" encoding="UTF-8" standalone="no"?>
<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 3.1 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">
<score-partwise version="3.1"><movement-title>Rope Walk</movement-title>
<part-list><score-part id="P1"><part-name>Voice</part-name></score-part></part-list><part id="P1">
<measure number="1"><attributes><divisions>2</divisions>${key}<time><beats>4</beats><beat-type>4</beat-type></time></attributes>${measures}
</part></score-partwise>`;
const harmony = (step: string, kind = 'major', more = '') =>
  `<harmony><root><root-step>${step}</root-step></root><kind>${kind}</kind>${more}</harmony>`;
const note = (duration: number, more = '') =>
  `<note><pitch><step>G</step><octave>4</octave></pitch><duration>${duration}</duration>${more}</note>`;

describe('MusicXML of other programs', () => {
  test('chords go on until the next one, over bar lines', () => {
    const xml = foreign(
      `${harmony('G')}${note(8)}</measure><measure number="2">${note(4)}${harmony('D', 'dominant')}${note(4)}</measure><measure number="3">${note(8)}</measure>`,
    );
    expect(letters(chartOf(xml))).toEqual(['G', 'G D7', 'D7']);
  });

  test('a chord between the notes stands at its offset, and other voices do not move it', () => {
    const xml = foreign(
      `${harmony('G')}${harmony('C', 'major', '<offset>6</offset>')}${note(8)}<backup><duration>8</duration></backup>${note(8)}</measure>`,
    );
    const chart = chartOf(xml);
    expect(chart).toContain('(1... 4.)');
  });

  const sung = (step: string, octave: number, more = '') =>
    `<note><pitch><step>${step}</step>${more}<octave>${octave}</octave></pitch><duration>4</duration><voice>1</voice></note>`;

  test('of a melody its range is kept, as it sounds', () => {
    const bar = `${harmony('G')}${sung('B', 3)}${sung('F', 5, '<alter>1</alter>')}</measure>`;
    const { content, losses } = requireValue(read(foreign(bar)));
    expect(content).toMatch(/^range: B3 F#5$/m);
    expect(losses.map(({ code, what }) => `${code} ${what}`)).toEqual(['notes B3 to F#5']);
    // a clarinet sounds a whole tone lower than it reads, a tenor saxophone an octave more
    const transposed = (octaves: string) =>
      chartOf(
        foreign(bar, `<key><fifths>1</fifths></key><transpose><diatonic>-1</diatonic><chromatic>-2</chromatic>${octaves}</transpose>`),
      );
    expect(transposed('')).toMatch(/^range: A3 E5$/m);
    expect(transposed('<octave-change>-1</octave-change>')).toMatch(/^range: A2 E4$/m);
  });

  test('a range the file names itself stays, and chords written out leave none', () => {
    const bar = `${harmony('G')}${sung('B', 3)}${sung('D', 5)}</measure>`;
    const named =
      '<identification><miscellaneous><miscellaneous-field name="range">C4 C5</miscellaneous-field></miscellaneous></identification>';
    expect(chartOf(foreign(bar).replace('<part-list>', `${named}<part-list>`))).toMatch(/^range: C4 C5$/m);
    const together = `${harmony('G')}${sung('B', 3)}${sung('D', 5).replace('<note>', '<note><chord/>')}</measure>`;
    expect(chartOf(foreign(together))).not.toContain('range');
  });

  test('syllables become words', () => {
    const sung = (syllabic: string, word: string) => `<lyric number="1"><syllabic>${syllabic}</syllabic><text>${word}</text></lyric>`;
    const xml = foreign(
      `${harmony('G')}${note(2, sung('begin', 'lan'))}${note(2, sung('end', 'tern'))}${note(4, sung('single', 'light'))}</measure>`,
    );
    expect(chartOf(xml)).toContain('~ lantern light');
  });

  test('a repeat that nobody opened goes back to the beginning', () => {
    const xml = foreign(
      `${harmony('G')}${note(8)}</measure><measure number="2">${harmony('C')}${note(8)}<barline location="right"><repeat direction="backward"/></barline></measure><measure number="3">${harmony('D')}${note(8)}</measure>`,
    );
    expect(letters(chartOf(xml))).toEqual(['G', 'C', 'G', 'C', 'D']);
  });

  test('first and second endings, each with its bracket', () => {
    const ending = (number: number, type: string, repeat = '') => `<ending number="${number}" type="${type}"/>${repeat}`;
    const xml = foreign(
      `<barline location="left"><repeat direction="forward"/></barline>${harmony('G')}${note(8)}</measure>` +
        `<measure number="2"><barline location="left">${ending(1, 'start')}</barline>${harmony('C')}${note(8)}<barline location="right">${ending(1, 'stop', '<repeat direction="backward"/>')}</barline></measure>` +
        `<measure number="3"><barline location="left">${ending(2, 'start')}</barline>${harmony('D')}${note(8)}<barline location="right">${ending(2, 'discontinue')}</barline></measure>`,
    );
    expect(letters(chartOf(xml))).toEqual(['G', 'C', 'G', 'D']);
  });

  test('numerals alone are read in the key', () => {
    const numeral = '<harmony><numeral><numeral-root>5</numeral-root></numeral><kind>dominant</kind></harmony>';
    expect(letters(chartOf(foreign(`${numeral}${note(8)}</measure>`)))).toEqual(['D7']);
  });

  test('a part without chords gives empty bars, and says so', () => {
    const back = requireValue(read(foreign(`${note(8)}</measure>`)));
    expect(back.losses.map(({ code }) => code)).toEqual(['no-chords', 'notes']);
    expect(letters(back.content)).toEqual(['NC']);
  });

  test('a first bar that is short is a pickup; minor and modes are kept', () => {
    const xml = foreign(
      `${note(2)}</measure><measure number="2">${harmony('E', 'minor')}${note(8)}</measure>`,
      '<key><fifths>1</fifths><mode>minor</mode></key>',
    );
    const chart = chartOf(xml);
    expect(chart).toMatch(/^key: Em$/m);
    expect(chart).toContain('{pickup: 1}');
  });
});

describe('for transposing instruments', () => {
  const forReader = (transpose: number, octave: number) =>
    text(writeFormat('musicxml', 'key: Bb\n\n[A]\n1 4/5 57 6-\n', null, { transpose, octave, show: 'both' }).content);

  // what the instruments' makers and any book on orchestration give
  test.each([
    ['B♭ trumpet', 2, 0, 'C', 0, '<chromatic>-2</chromatic></transpose>'],
    ['alto saxophone', 9, 0, 'G', 1, '<diatonic>-5</diatonic><chromatic>-9</chromatic></transpose>'],
    ['tenor saxophone', 2, 1, 'C', 0, '<chromatic>-2</chromatic><octave-change>-1</octave-change></transpose>'],
    ['horn in F', 7, 0, 'F', -1, '<diatonic>-4</diatonic><chromatic>-7</chromatic></transpose>'],
    ['guitar', 0, 1, 'B', -2, '<chromatic>0</chromatic><octave-change>-1</octave-change></transpose>'],
  ])('%s', (_, transpose, octave, root, fifths, sounds) => {
    const xml = forReader(transpose, octave);
    expect(xml).toContain(`<root-step>${root}</root-step>`);
    expect(xml).toContain(`<fifths>${fifths}</fifths>`);
    expect(xml).toContain(sounds);
    expect(letters(chartOf(xml))).toEqual(['Bb', 'Eb/F', 'F7', 'Gm']);
  });

  test('who reads what sounds needs no such mark', () => expect(forReader(0, 0)).not.toContain('<transpose>'));
});

describe('what is no MusicXML is refused in words', () => {
  const bomb =
    '<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">]><score-partwise><work><work-title>&b;</work-title></work></score-partwise>';
  const outside = '<?xml version="1.0"?><!DOCTYPE x [<!ENTITY f SYSTEM "file:///etc/passwd">]><score-partwise>&f;</score-partwise>';
  test.each([
    ['nothing', '', 'format-broken'],
    ['another document', '<?xml version="1.0"?><html></html>', 'format-other'],
    ['a truncated one', foreign(`${harmony('G')}${note(8)}</measure>`).slice(0, -60), 'format-broken'],
    ['one by time', '<?xml version="1.0"?><score-timewise version="4.0"></score-timewise>', 'format-timewise'],
    ['no measures', '<?xml version="1.0"?><score-partwise><part id="P1"/></score-partwise>', 'format-empty'],
    ['entities that grow', bomb, 'format-entities'],
    ['an entity from outside', outside, 'format-entities'],
  ])('%s', (_, xml, code) => {
    const result = read(xml);
    expect(result.ok ? null : result.fault.code).toBe(code);
    if (!result.ok) expect(faultWords(result.fault)).toMatch(/\.$/);
  });

  test('says where the XML breaks', () => {
    const torn = read('\ufeff<?xml version="1.0"?>\n<score-partwise>\n  <part id="P1"></measure>\n</score-partwise>');
    if (torn.ok) throw new Error('it was read');
    expect(faultWords(torn.fault)).toBe('This MusicXML file cannot be read: its XML is damaged in line 3.');
    // the byte order mark counts, and so does every line before; the tag that does not fit is pointed at
    const before = '\ufeff<?xml version="1.0"?>\n<score-partwise>\n  <part id="P1">';
    expect(Math.abs(torn.span.start - before.length)).toBeLessThanOrEqual(1);
  });

  test('chords nobody knows are left out and told', () => {
    const back = requireValue(read(foreign(`${harmony('G', 'tristan-and-more')}${note(8)}</measure>`)));
    expect(back.losses.map(({ code }) => code)).toContain('chord-unknown');
  });
});

describe('compressed MusicXML', () => {
  const chart = 'key: G\n\n[A]\n1 4 5 1\n';
  const mxl = writeFormat('mxl', chart, null).content;

  test('is a zip with a container', () => {
    expect(text(mxl.slice(0, 2))).toBe('PK');
    expect(letters(requireValue(readFormat('mxl', mxl)).content)).toEqual(['G', 'C', 'D', 'G']);
  });

  test.each([
    ['a torn zip', mxl.slice(0, 200), 'format-broken'],
    ['no zip at all', strToU8('hello'), 'format-broken'],
    ['a zip without a score', zipSync({ 'readme.txt': strToU8('hello') }), 'format-broken'],
    ['a zip that would unfold to far too much', zipSync({ 'score.xml': new Uint8Array(40_000_000) }), 'format-large'],
  ])('%s is refused', (_, bytes, code) => {
    const result = readFormat('mxl', bytes);
    expect(result.ok ? null : result.fault.code).toBe(code);
  });

  test('a file named outside its folder is only looked up by name, never written', () => {
    const score = writeFormat('musicxml', chart, null).content;
    const container = '<container><rootfiles><rootfile full-path="../../score.xml"/></rootfiles></container>';
    const zip = zipSync({ 'META-INF/container.xml': strToU8(container), '../../score.xml': score });
    expect(letters(requireValue(readFormat('mxl', zip)).content)).toEqual(['G', 'C', 'D', 'G']);
  });
});

describe('a pushed chord as MusicXML', () => {
  const SONG = 'key: C\n\n[A]\n1 >4 (5 >1) NC >2-7 (6-... >4.)\n';
  const measures = xmlOf(SONG).match(/<measure[\s\S]*?<\/measure>/g) ?? [];
  /** The notes of a measure: duration in sixteenths of a quarter, whether a tie begins or ends. */
  const notes = (measure = '') =>
    (measure.match(/<note>.*?<\/note>/g) ?? []).map(
      (note) =>
        `${/<duration>(\d+)/.exec(note)?.[1]}${note.includes('<tie type="stop"/>') ? '⌣' : ''}${note.includes('<tie type="start"/>') ? '⌢' : ''}`,
    );

  test('begins with the eighth before it, tied over the bar line or within the bar', () => {
    expect(notes(measures[0])).toEqual(['16', '16', '16', '8', '8⌢']);
    expect(notes(measures[1])).toEqual(['16⌣', '16', '16', '16']);
    expect(notes(measures[2])).toEqual(['16', '8', '8⌢', '16⌣', '16']);
    // out of a rest the chord comes early all the same
    expect(notes(measures[3])).toEqual(['16', '16', '16', '8', '8⌢']);
    expect(measures[3]).toContain('<note><rest/><duration>8</duration><type>eighth</type></note>');
  });

  test('has its symbol an eighth before its beat, and is pushed when it is read back', () => {
    expect(measures[1]).toContain('<offset sound="yes">-8</offset>');
    const back = chartOf(xmlOf(SONG));
    expect(back.split('\n').filter((line) => line.includes('>'))).toEqual(['1 >4 (5 >1) NC', '>2-7 (6-... >4.)']);
    expect(writeFormat('musicxml', SONG, null).losses.map(({ code }) => code)).not.toContain('push');
  });

  test.each(['3/4', '6/8', '2/2', '12/8'])('fills its bars in %s', (time) => {
    const [meter, unit] = time.split('/').map(Number) as [number, number];
    const xml = xmlOf(`key: G\ntime: ${time}\n\n[A]\n>1 >4 >5 >1\n`);
    for (const measure of xml.match(/<measure[\s\S]*?<\/measure>/g) ?? [])
      expect(notes(measure).reduce((sum, note) => sum + Number.parseInt(note, 10), 0)).toBe((meter * 64) / unit);
    expect(chartOf(xml)).toContain('>1 >4 >5 >1');
  });
});

describe('repeats with endings as MusicXML, as musicians read them', () => {
  /** The bar lines as they are drawn, worked out by hand: `|:` `:|` and brackets `1.⌜ ⌝`; `~` where a bracket stays open. */
  const found = (pattern: RegExp, measure: string) => pattern.exec(measure)?.[1]?.replace(/ /g, '') ?? '';
  const drawnBar = (measure: string, index: number) => {
    const begins = found(/<ending number="([\d, ]+)" type="start"/, measure);
    const marks = [
      [measure.includes('direction="forward"'), '|:'],
      [begins !== '', `${begins}.⌜`],
      [true, `b${index + 1}`],
      [measure.includes('type="discontinue"'), '~'],
      [/<ending[^>]*type="stop"/.test(measure), '⌝'],
      [measure.includes('direction="backward"'), `:|${found(/direction="backward" times="(\d+)"/, measure)}`],
    ] as const;
    return marks.map(([is, mark]) => (is ? mark : '')).join('');
  };
  const drawn = (music: string) => (xmlOf(`key: C\n\n[A]\n${music}\n`).match(/<measure[\s\S]*?<\/measure>/g) ?? []).map(drawnBar).join(' ');

  test.each([
    ['two endings', '|: 1 4 1.[ 5 ] 2.[ 1 ] :|', '|:b1 b2 1.⌜b3⌝:| 2.⌜b4~'],
    ['endings of two bars', '|: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|', '|:b1 b2 1.⌜b3 b4⌝:| 2.⌜b5 b6~'],
    ['three endings', '|: 1 1.[ 5 ] 2.[ 4 ] 3.[ 1 ] :| x3', '|:b1 1.⌜b2⌝:| 2.⌜b3⌝:| 3.⌜b4~'],
    ['two passes on one ending', '|: 1 1,2.[ 5 ] 3.[ 1 ] :| x3', '|:b1 1,2.⌜b2⌝:| 3.⌜b3~'],
    ['no endings', '|: 1 4 :|', '|:b1 b2:|'],
    ['three times', '|: 1 4 :| x3', '|:b1 b2:|3'],
    ['a jump behind the last ending', '|: 1 1.[ 5 ] 2.[ 4 ] :| {dc}', '|:b1 1.⌜b2⌝:| 2.⌜b3~'],
    ['over a line break', '|: 1 4 5 1 1.[ 5\n5 ] 2.[ 1\n1 ] :|', '|:b1 b2 b3 b4 1.⌜b5 b6⌝:| 2.⌜b7 b8~'],
    ['with a pickup', '{pickup: 1} 5 |: 1 1.[ 5 ] 2.[ 1 ] :|', 'b1 |:b2 1.⌜b3⌝:| 2.⌜b4~'],
    ['two repeats', '|: 1 1.[ 5 ] 2.[ 1 ] :| |: 4 1.[ 5 ] 2.[ 1 ] :|', '|:b1 1.⌜b2⌝:| 2.⌜b3~ |:b4 1.⌜b5⌝:| 2.⌜b6~'],
    ['and the song goes on', '|: 1 1.[ 5 ] 2.[ 1 ] :| 4 5', '|:b1 1.⌜b2⌝:| 2.⌜b3~ b4 b5'],
    ['one bar alone', '|: 1 :|', '|:b1:|'],
  ])('%s', (_, music, wanted) => expect(drawn(music)).toBe(wanted));
});
