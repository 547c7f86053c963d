import {
  CONCERT_READER,
  DEFAULT_NAMING,
  lensOn,
  parseKey,
  printBar,
  printKey,
  printNumber,
  projectChart,
  type Reader,
  readChart,
  requireValue,
  symbolText,
  TRANSPOSITION_SEMITONES,
  writtenKey,
} from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { choose } from './bar-selection.ts';
import { pressKey } from './sheet-keys.ts';
import { sheetOn } from './sheet-on-text.ts';

type Sheet = ReturnType<typeof sheetOn>;

/** Presses keys one after the other: `5 Tab 1 Tab`; a word that names no key is typed letter by letter. */
function press({ input }: Sheet, keys: string): number {
  const named = new Set('Tab Enter Escape Backspace Delete F2 ArrowLeft ArrowRight ArrowUp ArrowDown'.split(' '));
  let count = 0;
  for (const word of keys.split(' ').filter((one) => one !== '')) {
    const held = /^(Shift|Ctrl)\+(.+)$/.exec(word);
    const presses = held !== null ? [held[2] as string] : named.has(word) ? [word] : word === 'Space' ? [' '] : [...word];
    for (const key of presses) {
      pressKey({ key, ctrlKey: held?.[1] === 'Ctrl', shiftKey: held?.[1] === 'Shift' }, input);
      count += 1;
    }
  }
  return count;
}

const numbers = ({ text }: Sheet) =>
  readChart(text())
    .bars.map((bar) => printBar(bar, printNumber))
    .join(' | ');
/** Bars as they are typed; one that is not read has a question mark behind it. */
const texts = ({ text }: Sheet) =>
  readChart(text()).bars.map((bar) => (bar.unread === null ? printBar(bar, printNumber) : `${bar.unread}?`));
const NEW = 'title: New song\nkey: C\ntime: 4/4\n';

describe('bars typed one after the other', () => {
  test('a new song has a bar open, and every bar typed at speed is kept', () => {
    const sheet = sheetOn(NEW);
    expect(sheet.input.get().typing).toMatchObject({ bar: 0, isNew: true });
    press(sheet, '5 Tab 1 Tab 2- Tab 3- Tab Escape');
    expect(numbers(sheet)).toBe('5 | 1 | 2- | 3-');
  });

  test('a bar reached by Tab or an arrow gives way to what is typed; Enter or F2 edits it instead', () => {
    const sheet = sheetOn('key: C\n\n1 4 6- 5\n');
    sheet.input.choose(choose(0));
    press(sheet, '2- Tab 3- Tab Tab 7 Escape');
    expect(numbers(sheet)).toBe('2- | 3- | 6- | 5');
    sheet.input.choose(choose(2));
    press(sheet, 'Enter 7 Enter ArrowRight F2 7 Enter');
    expect(numbers(sheet)).toBe('2- | 3- | 6-7 | 57');
    press(sheet, '1 Tab');
    sheet.input.choose(choose(0));
    press(sheet, '4 Tab ArrowRight Enter b5 Enter');
    expect(numbers(sheet)).toBe('4 | 3- | 6-7b5 | 1');
  });

  test('back with Shift and Tab, corrected with Backspace, taken back and done again', () => {
    const sheet = sheetOn(NEW);
    press(sheet, '1 Tab 4 Tab 55 Backspace Tab Shift+Tab 5 7 Shift+Tab 2- Enter');
    expect(numbers(sheet)).toBe('1 | 2- | 57');
    press(sheet, 'Ctrl+z');
    expect(numbers(sheet)).toBe('1 | 4 | 57');
    press(sheet, 'Ctrl+z Ctrl+z Ctrl+y');
    expect(numbers(sheet)).toBe('1 | 4 | 5');
  });

  test('what is typed and not written yet is taken back first', () => {
    const sheet = sheetOn('key: C\n\n1 4\n');
    sheet.input.choose(choose(1));
    press(sheet, '6- Ctrl+z');
    expect(sheet.input.get().typing).toMatchObject({ text: '4', whole: true });
    expect(numbers(sheet)).toBe('1 | 4');
  });

  test('what cannot be read is the bar’s own text, and swallows nothing that follows', () => {
    const sheet = sheetOn(NEW);
    press(sheet, '1 Tab 4 Tab q Tab 5 Tab 6- Tab Escape');
    expect(texts(sheet)).toEqual(['1', '4', 'q?', '5', '6-']);
    // and it is edited where it stands
    sheet.input.choose(choose(2));
    press(sheet, 'Enter');
    expect(sheet.input.get().typing).toMatchObject({ bar: 2, text: 'q' });
    press(sheet, 'Backspace 2- Enter');
    expect(texts(sheet)).toEqual(['1', '4', '2-', '5', '6-']);
  });

  test.each([
    ['Tab', '1 18 Tab 4 Tab Escape', ['1', '18?', '4']],
    ['Enter, and on', '1 Tab q Enter 4 Enter 5 Enter', ['1', 'q?', '4', '5']],
    ['Esc leaves the open bar alone', '1 Tab 4 Tab 5 Escape 6- Tab Escape', ['1', '4', '6-']],
    ['Esc twice is no way to lose a bar', '1 Tab 4 Tab 5 Escape Escape', ['1', '4']],
    ['a bracket that stands alone', '1 Tab ( 4 Tab 5 ) Tab Escape', ['1', '4', '5']],
  ])('%s', (_, keys, wanted) => {
    const sheet = sheetOn(NEW);
    press(sheet, keys.replace('1 18', '1 Tab 18'));
    expect(texts(sheet)).toEqual(wanted);
  });

  test('a chosen bar is written over only where it was chosen: the last one by a finger too', () => {
    const sheet = sheetOn(NEW);
    press(sheet, '1 Tab 4 Enter');
    sheet.input.select(1, 0);
    press(sheet, '5 Enter');
    expect(texts(sheet)).toEqual(['1', '5']);
  });

  test('a finger on another bar writes what was typed first', () => {
    const sheet = sheetOn('key: C\n\n1 4\n');
    sheet.input.choose(choose(0));
    press(sheet, '2-');
    sheet.input.select(1, 0);
    expect(numbers(sheet)).toBe('2- | 4');
    expect(sheet.input.selection).toEqual(choose(1));
    press(sheet, '88');
    sheet.input.open(1);
    press(sheet, '8');
    sheet.input.select(0, 0);
    expect(texts(sheet)).toEqual(['2-', '8?']);
  });

  test('an empty new bar is left by going back, and asks for nothing', () => {
    const sheet = sheetOn('key: C\n\n1 4\n');
    sheet.input.choose(choose(1));
    press(sheet, '5 Tab Tab Tab');
    expect(sheet.input.get().typing).toMatchObject({ bar: 2, isNew: true });
    press(sheet, 'Shift+Tab');
    expect(sheet.input.get().typing).toMatchObject({ bar: 1, whole: true });
    expect(numbers(sheet)).toBe('1 | 5');
  });

  test('with the key’s own chords a digit alone is enough, and M makes it major', () => {
    const edited = sheetOn('key: C\n2 5 1\n', { ownChords: true });
    // what is edited stands as it is read; what is typed in its place is the key's own
    edited.input.choose(choose(0));
    press(edited, 'F2 Space 6 Enter');
    expect(numbers(edited)).toBe('2 6 | 5 | 1');
    press(edited, '2 Enter');
    expect(numbers(edited)).toBe('2- | 5 | 1');
    const sheet = sheetOn(NEW, { ownChords: true });
    press(sheet, '2 Tab 5 Tab 1 Tab 6 Tab 2M Tab 7 Tab 3 Space 6 Enter');
    expect(numbers(sheet)).toBe('2- | 5 | 1 | 6- | 2 | 7o | 3- 6-');
  });
});

test('writing elsewhere forgets an empty new bar, and writes one that was begun', () => {
  const empty = sheetOn(NEW);
  empty.input.rest();
  expect(empty.input.get()).toMatchObject({ typing: null, selection: null });
  const begun = sheetOn(NEW);
  press(begun, '5');
  begun.input.rest();
  expect(begun.input.get().typing).toBeNull();
  expect(numbers(begun)).toBe('5');
});

describe('letters mean what is on the screen', () => {
  const READERS: readonly Reader[] = [
    CONCERT_READER,
    { ...CONCERT_READER, transpose: TRANSPOSITION_SEMITONES.Bb },
    { ...CONCERT_READER, transpose: TRANSPOSITION_SEMITONES.Eb },
    { ...CONCERT_READER, capo: 3 },
    { ...CONCERT_READER, tuning: -1 },
  ];
  const KEYS = 'C Db D Eb E F F# G Ab A Bb B'.split(' ').map((name) => requireValue(parseKey(name)));
  const letter = fc.tuple(
    fc.constantFrom(...'ABCDEFG'),
    fc.constantFrom('', 'b', '#'),
    fc.constantFrom('', 'm', '7', 'm7', 'maj7', 'sus4', 'm7b5'),
  );

  test('in an empty song seen in G, G is 1', () => {
    const sheet = sheetOn(NEW, { written: requireValue(parseKey('G')).tonic });
    press(sheet, 'G Tab C Tab Em Tab d Enter');
    expect(numbers(sheet)).toBe('1 | 4 | 6- | 5');
  });

  test('typed in any key, by any reader, they come back as the letters typed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KEYS),
        fc.constantFrom(...KEYS),
        fc.constantFrom(...READERS),
        fc.array(letter, { minLength: 1, maxLength: 6 }),
        (home, seen, reader, chords) => {
          const written = writtenKey(reader, seen).tonic;
          const sheet = sheetOn(`title: X\nkey: ${printKey(home)}\n`, { written });
          for (const [name, accidental, quality] of chords) press(sheet, `${name}${accidental}${quality} Tab`);
          const reading = readChart(sheet.text());
          const look = { show: 'letters', kind: 'chart', words: false, cuesFor: null, naming: DEFAULT_NAMING } as const;
          const { sections } = projectChart(reading, lensOn(reader, look, reading, seen.tonic));
          const read = sections.flatMap(({ rows }) =>
            rows.flatMap(({ bars }) => bars.map((bar) => symbolText(bar.chords[0]?.main as never))),
          );
          const accidentals = (text: string) => text.replace(/b/g, '♭').replace(/#/g, '♯');
          const typed = chords.map(([name, accidental, quality]) => accidentals(`${name}${accidental}${quality}`));
          // a letter far from the key would need a triple accidental as a degree, and a major chord on a raised degree is
          // the lowered one: both come back under their other name
          const far = ([name, accidental, quality]: (typeof chords)[number]) => {
            const degree = requireValue(parseKey(`${name}${accidental}`)).tonic - written;
            return Math.abs(degree) > 14 || ([7, 8, 9, 10].includes(degree) && !/^m(?!aj)/.test(quality));
          };
          expect(read.filter((_, place) => !far(chords[place] as (typeof chords)[number]))).toEqual(
            typed.filter((_, place) => !far(chords[place] as (typeof chords)[number])),
          );
          expect(read).toHaveLength(typed.length);
        },
      ),
      { seed: 95, numRuns: 300 },
    );
  });
});

describe('whole charts by keys alone', () => {
  /** A chart that is meant, as bars, and the keys that write it, slips and corrections included. */
  const bar = fc.constantFrom('1', '4', '5', '6-', '2-7', '57', '4maj7', 'b7', '1/3', '2-7 57', '(1... 4.)', '>4', '5!', 'NC', '<1>');
  const slip = fc.constantFrom('none', 'back', 'retype', 'undo', 'walk') as fc.Arbitrary<'none' | 'back' | 'retype' | 'undo' | 'walk'>;
  const keysOf = (text: string) => text.replaceAll(' ', ' Space ').replace(/^NC$/, 'n').replace(/^<1>$/, '<1');

  function writeWith(sheet: Sheet, keys: string, slips: 'none' | 'back' | 'retype' | 'undo' | 'walk'): void {
    if (slips === 'retype') press(sheet, '7 Backspace');
    press(sheet, `${keys} Tab`);
    const after = {
      none: '',
      retype: '',
      back: `Shift+Tab ${keys} Tab`,
      walk: 'Shift+Tab ArrowLeft ArrowRight Tab',
      undo: 'Escape Ctrl+z Ctrl+y',
    };
    press(sheet, after[slips]);
    if (slips === 'undo') sheet.input.openNew(sheet.input.bars);
  }

  test('300 of them come out as they were meant', () => {
    let written = 0;
    fc.assert(
      fc.property(fc.array(fc.tuple(bar, slip), { minLength: 1, maxLength: 24 }), fc.boolean(), (bars, ownChords) => {
        const sheet = sheetOn(NEW, { ownChords });
        for (const [place, [text, slips]] of bars.entries())
          writeWith(sheet, keysOf(text), place === 0 && slips === 'walk' ? 'none' : slips);
        press(sheet, 'Escape');
        const meant = readChart(
          `${NEW}\n${bars
            .map(([text]) => (text.includes(' ') && !text.startsWith('(') ? `(${text})` : text))
            .map((text) => (ownChords && /^[36]$/.test(text) ? `${text}-` : text))
            .join(' ')}`,
        );
        expect(numbers(sheet)).toBe(meant.bars.map((one) => printBar(one, printNumber)).join(' | '));
        const marks = (source: string) =>
          readChart(source).bars.map(({ chords }) => chords.map(({ push, ring, stop, beats }) => `${push} ${ring} ${stop} ${beats}`));
        expect(marks(sheet.text())).toEqual(
          meant.bars.map(({ chords }) => chords.map(({ push, ring, stop, beats }) => `${push} ${ring} ${stop} ${beats}`)),
        );
        written += 1;
      }),
      { seed: 96, numRuns: 300 },
    );
    expect(written).toBeGreaterThanOrEqual(300);
  });

  /** What goes wrong at speed, as keys, and the bars that must stand for it. */
  const wrong: fc.Arbitrary<(keys: string, text: string) => { readonly keys: string; readonly bars: readonly string[] }> = fc.constantFrom(
    (keys, text) => ({ keys: `${keys} Tab`, bars: [text] }),
    // a letter that is none
    (keys, text) => ({ keys: `q Tab ${keys} Tab`, bars: ['q?', text] }),
    (keys, text) => ({ keys: `k w Tab ${keys} Enter ${keys} Tab`, bars: ['kw?', text, text] }),
    // a digit twice
    (keys, text) => ({ keys: `1 8 Tab ${keys} Tab`, bars: ['18?', text] }),
    // brackets that stand alone
    (keys, text) => ({ keys: `] Backspace ${keys} Tab`, bars: [text] }),
    (keys, text) => ({ keys: `${keys} [ Tab`, bars: [text] }),
    // done too early, and on
    (keys, text) => ({ keys: `${keys} Enter ${keys} Tab`, bars: [text, text] }),
    // Esc in the middle of a bar, and the bar once more
    (keys, text) => ({ keys: `7 Escape ${keys} Tab`, bars: [text] }),
    (keys, text) => ({ keys: `${keys} Escape ${keys} Tab`, bars: [text] }),
  );
  const plain = fc.constantFrom('1', '4', '5', '6-', '2-7', '57', 'b7', '1/3');

  test('300 more with slips: nothing is lost but the wrong bar itself, which is kept as its text', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(plain, wrong), { minLength: 1, maxLength: 24 }), (steps) => {
        const sheet = sheetOn(NEW);
        const made = steps.map(([text, slip]) => slip(keysOf(text), text));
        for (const { keys } of made) press(sheet, keys);
        press(sheet, 'Escape');
        expect(texts(sheet)).toEqual(made.flatMap(({ bars }) => bars));
      }),
      { seed: 97, numRuns: 300 },
    );
  });

  // a verse of eight bars, twice, and a chorus: 32 bars as somebody hears them
  const HEARD = '1 1 4 1 6- 4 5 5 1 1 4 1 6- 4 5 1 4 5 1 6- 4 5 1 1 2- 5 3- 6- 4 5 1 1'.split(' ');

  test('a song of 32 plain bars takes at most 2.6 keys a bar, and 2.1 with the key’s own chords', () => {
    const plain = sheetOn(NEW);
    const keys = press(plain, HEARD.map((one) => `${one} Tab`).join(' '));
    const own = sheetOn(NEW, { ownChords: true });
    const fewer = press(own, HEARD.map((one) => `${one.replace('-', '')} Tab`).join(' '));
    expect(numbers(plain)).toBe(HEARD.join(' | '));
    expect(numbers(own)).toBe(HEARD.join(' | '));
    expect(keys / HEARD.length).toBeLessThanOrEqual(2.6);
    expect(fewer / HEARD.length).toBeLessThanOrEqual(2.1);
  });
});

describe('letters on a raised degree', () => {
  test.each([
    ['Ab', 'E', 'b6', '#5'],
    ['C', 'C#7', 'b27', '#17'],
    ['Eb', 'F#', 'b3', '#2'],
    ['C', 'A#', 'b7', '#6'],
  ])('in %s, %s is written %s, and %s by one press', (key, letters, charted, typed) => {
    const sheet = sheetOn(`key: ${key}\n\n1 4\n`);
    sheet.input.select(0, 0);
    press(sheet, `${letters} Enter`);
    expect(numbers(sheet)).toBe(`${charted} | 4`);
    expect(sheet.input.get().charted).toEqual({ bar: 0, asTyped: typed, asCharted: charted });
    sheet.input.keepTyped();
    expect(numbers(sheet)).toBe(`${typed} | 4`);
    expect(sheet.input.get().charted).toBeNull();
  });

  test('it is said until the next step, or until it is undone', () => {
    const sheet = sheetOn('key: Ab\n\n1 4 5\n');
    sheet.input.select(0, 0);
    press(sheet, 'E');
    sheet.input.select(2, 0);
    expect(sheet.input.get().charted).toMatchObject({ asTyped: '#5', asCharted: 'b6' });
    sheet.input.select(1, 0);
    expect(sheet.input.get().charted).toBeNull();
    press(sheet, 'E Enter Ctrl+z');
    expect([numbers(sheet), sheet.input.get().charted]).toEqual(['b6 | 4 | 5', null]);
  });

  test('numbers, and letters that are no major chord, are left alone', () => {
    const sheet = sheetOn('key: Ab\n\n1 4\n');
    sheet.input.select(0, 0);
    press(sheet, '# 5 Enter');
    expect([numbers(sheet), sheet.input.get().charted]).toEqual(['#5 | 4', null]);
  });
});

describe('the pad', () => {
  test('opens the chosen bar with the first press, and what is pressed stands in its place', () => {
    const sheet = sheetOn('key: C\n1 4 5 1\n');
    sheet.input.choose(choose(1));
    sheet.input.put('6');
    sheet.input.put('-');
    sheet.input.commit('next');
    sheet.input.put('2');
    sheet.input.commit('stay');
    expect(numbers(sheet)).toBe('1 | 6- | 2 | 1');
  });

  test('with no bar open, on goes to the next one and writes nothing', () => {
    const sheet = sheetOn('key: C\n1 4 5 1\n');
    sheet.input.choose(choose(1));
    sheet.input.commit('next');
    expect(sheet.input.selection?.head).toBe(2);
    expect(numbers(sheet)).toBe('1 | 4 | 5 | 1');
  });

  test('from the last bar, on opens a new one, and what is pressed then stands in it', () => {
    const sheet = sheetOn('key: C\n1 4\n');
    sheet.input.choose(choose(1));
    sheet.input.commit('next');
    sheet.input.put('5');
    sheet.input.commit('stay');
    expect(numbers(sheet)).toBe('1 | 4 | 5');
  });

  test('with no bar chosen it does nothing', () => {
    const sheet = sheetOn('key: C\n1 4 5 1\n');
    sheet.input.choose(null);
    sheet.input.put('6');
    expect(numbers(sheet)).toBe('1 | 4 | 5 | 1');
  });
});
