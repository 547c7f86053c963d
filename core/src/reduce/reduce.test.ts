import { describe, expect, test } from '@jest/globals';
import { strToU8 } from 'fflate';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { readScore } from '../format/read-score.ts';
import { chartOfReduction } from '../format/reduction-chart.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { type Score, TICKS } from '../score/score.ts';
import { barPrint } from './bar-print.ts';
import { columnsAt } from './depth.ts';
import { pieceProfile } from './profile.ts';
import { reduce } from './reduce.ts';
import type { Reduction } from './reduction.ts';
import { type Remembered, type Said, sayAbout, takeBackSaid } from './said.ts';
import { readSaid, storeSaid } from './said-json.ts';
import { gestureOf, toneCounts } from './tones/tone-counts.ts';

const abc = (key: string, ...voices: readonly string[]) =>
  requireValue(
    readScore(
      'abc',
      strToU8(['X:1', 'T:Piece', 'M:4/4', 'L:1/8', `K:${key}`, ...voices.map((notes, index) => `V:${index + 1}\n${notes}`)].join('\n')),
    ),
  ).score;

const CLOSE = abc('C', 'e8|f4c4|d4B4|c8|]', '[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,,G,CE]8|]');
const names = ({ columns }: Reduction) => columns.map(({ chord }) => (chord === null ? '?' : printChord(chord)));
const remember = (score: Score, ...said: readonly Said[]): readonly Remembered[] =>
  said.map((one) => ({ said: one, print: barPrint(score, one.kind === 'tone' ? one.note.bar : one.at.bar) }));
const chord = (text: string) => requireValue(parseChord(text));
const key = (text: string) => requireValue(parseKey(text));

describe('what a piece comes to', () => {
  const reduction = reduce(CLOSE);

  test('its chords, with number, numeral and function', () => {
    expect(names(reduction)).toEqual(['C', 'F', 'G7', 'C']);
    expect(reduction.columns.map(({ analyzed }) => [analyzed?.roman, analyzed?.function])).toEqual([
      ['I', 'tonic'],
      ['IV', 'subdominant'],
      ['V7', 'dominant'],
      ['I', 'tonic'],
    ]);
  });

  test('its key, confirmed by its cadence', () => {
    expect(reduction.keys.map((span) => [printKey(span.key), span.confirmedAt])).toEqual([['C', 3]]);
    expect(reduction.cadences.map(({ kind, harmony }) => [kind, harmony])).toEqual([['authentic', 3]]);
  });

  test('its ridge lies on the ground at home, and is as long as the piece in quarters', () => {
    const { spans, beats } = pieceProfile(reduction);
    expect(beats).toBe(16);
    expect(spans.map(({ top }) => top > 0)).toEqual([false, true, true, false]);
  });

  test('its number chart, bar by bar', () => {
    expect(chartOfReduction(reduction)).toContain('1 4 57 1');
    expect(chartOfReduction(reduction, 'cadences')).toContain('key: C');
  });

  test('a rest goes on with the harmony; what is silent before the piece begins, or for bars, is nothing', () => {
    const resting = reduce(abc('C', 'z8|[ceg]8|z8|[ceg]8|z8|z8|z8|[ceg]8|]'));
    expect(
      resting.columns.map(({ chord: found, from, to }) => [found === null ? null : printChord(found), (to - from) / (4 * TICKS)]),
    ).toEqual([
      [null, 1],
      ['C', 3],
      [null, 3],
      ['C', 1],
    ]);
  });

  test('one pitch alone that is not at home stays a question with its note', () => {
    const { columns } = reduce(abc('C', '[ceg]8|f8|[ceg]8|]', '[C,G,]8|F,8|[C,G,]8|]'));
    expect(columns.map(({ chord: found, notes }) => (found === null ? notes.length : printChord(found)))).toEqual(['C', 2, 'C']);
  });
});

describe('the story of a diminished chord', () => {
  test('it leads a half step up, and shares its notes with a dominant', () => {
    const { columns } = reduce(abc('C', 'e8|c8|d8|c8|]', '[C,G,CE]8|[^F,,_E,A,C]8|[G,,D,G,B,]8|[C,,G,CE]8|]'));
    const leading = columns[1]?.leading;
    expect(printChord(columns[1]?.chord ?? chord('C'))).toBe('F#dim7');
    expect([printNote(leading?.target ?? 0), leading?.keeps, printChord(leading?.dominant ?? chord('C'))]).toEqual(['G', 'kept', 'D7']);
  });

  test('one that goes elsewhere is told so', () => {
    const { columns } = reduce(abc('C', 'e8|c8|c8|c8|c8|]', '[C,G,CE]8|[^F,,_E,A,C]8|[F,,F,A,C]8|[F,,F,A,C]8|[C,,G,CE]8|]'));
    expect(columns[1]?.leading?.keeps).toBe('not-kept');
  });
});

describe('what the player says', () => {
  test('stands: a chord, with what the rules would have', () => {
    const said = reduce(CLOSE, { remembered: remember(CLOSE, { kind: 'chord', at: { bar: 2, beat: 1 }, chord: chord('Dm7/F') }) });
    expect(names(said)).toEqual(['C', 'Dm7/F', 'G7', 'C']);
    expect(said.columns[1]).toMatchObject({ by: 'player', inversion: 1 });
    expect(printChord(said.columns[1]?.ruled ?? chord('C'))).toBe('F');
  });

  test('a border is drawn, and another one taken away', () => {
    const drawn = reduce(CLOSE, { remembered: remember(CLOSE, { kind: 'border', at: { bar: 2, beat: 3 }, isBorder: true }) });
    expect(drawn.columns.some(({ from }) => from === (CLOSE.measures[1]?.from ?? 0) + 2 * TICKS)).toBe(true);
    const gone = reduce(CLOSE, { remembered: remember(CLOSE, { kind: 'border', at: { bar: 3, beat: 1 }, isBorder: false }) });
    expect(gone.columns.some(({ from }) => from === CLOSE.measures[2]?.from)).toBe(false);
  });

  test('a border may be drawn between beats, where nothing begins', () => {
    const drawn = reduce(CLOSE, {
      remembered: remember(
        CLOSE,
        { kind: 'border', at: { bar: 2, beat: 1 }, isBorder: false },
        { kind: 'border', at: { bar: 2, beat: 1.5 }, isBorder: true },
      ),
    });
    expect(drawn.columns.map(({ from }) => from / TICKS)).toEqual([0, 4.5, 8, 12]);
  });

  test('a note is what they call it, and what the rules call it is kept', () => {
    const note = { bar: 2, beat: 3, part: 'V1', midi: 72 };
    const said = reduce(CLOSE, { remembered: remember(CLOSE, { kind: 'tone', note, tone: 'escape' }) });
    expect(said.tones.filter(({ by }) => by === 'player').map(({ kind, ruled }) => [kind, ruled])).toHaveLength(1);
    const asChord = reduce(CLOSE, { remembered: remember(CLOSE, { kind: 'tone', note, tone: 'chord' }) });
    expect(asChord.tones.some(({ index }) => CLOSE.notes[index]?.midi === 72 && CLOSE.notes[index]?.part === 'V1')).toBe(false);
  });

  test('a key begins where they say, and a pivot is where they hear it', () => {
    const said = reduce(CLOSE, {
      remembered: remember(CLOSE, { kind: 'key', at: { bar: 3, beat: 1 }, key: key('G') }, { kind: 'pivot', at: { bar: 2, beat: 1 } }),
    });
    expect(said.keys.map((span) => [printKey(span.key), span.by])).toEqual([
      ['C', 'rules'],
      ['G', 'player'],
    ]);
    expect(said.keys[1]?.pivot).toMatchObject({ column: 1, by: 'player' });
  });

  test('what was said of other notes is stale, kept, and changes nothing', () => {
    const stale: Remembered = { said: { kind: 'chord', at: { bar: 2, beat: 1 }, chord: chord('Dm') }, print: 'another' };
    const reduction = reduce(CLOSE, { remembered: [stale] });
    expect(names(reduction)).toEqual(['C', 'F', 'G7', 'C']);
    expect(reduction.stale).toEqual([stale]);
  });

  test('the same said again takes the place of what was said; it can be taken back', () => {
    const at = { bar: 2, beat: 1 };
    const [first, second] = remember(CLOSE, { kind: 'chord', at, chord: chord('Dm') }, { kind: 'chord', at, chord: chord('F') });
    const once = sayAbout(sayAbout([], first as Remembered), second as Remembered);
    expect(once).toEqual([second]);
    expect(takeBackSaid(once, { kind: 'chord', at, chord: chord('Am') })).toEqual([]);
  });

  test.each<Said>([
    { kind: 'border', at: { bar: 1, beat: 2.5 }, isBorder: true },
    { kind: 'chord', at: { bar: 1, beat: 1 }, chord: chord('F#dim7/C') },
    { kind: 'tone', note: { bar: 3, beat: 2, part: 'P1', midi: 61 }, tone: 'suspension' },
    { kind: 'key', at: { bar: 9, beat: 1 }, key: key('Ebm') },
    { kind: 'pedal', at: { bar: 2, beat: 1 }, isPedal: true },
  ])('stored and read, $kind is the same', (said) => {
    const remembered = { said, print: 'abc' };
    expect(readSaid(JSON.parse(JSON.stringify(storeSaid(remembered))))).toEqual(remembered);
  });

  test('a stored chord that is none is dropped', () => {
    expect(readSaid({ said: { kind: 'chord', at: { bar: 1, beat: 1 }, chord: 'H9' }, print: '' })).toBeUndefined();
  });
});

describe('less of it', () => {
  const long = reduce(abc('C', 'e4f4|g4f4|e4d4|c8|]', '[C,G,CE]4[F,A,C]4|[E,G,C]4[D,A,F]4|[G,,C,EG]4[G,,F,B,D]4|[C,,G,CE]8|]'));

  test('main chords are some of all, cadences fewer; what is left out belongs to what is before it', () => {
    const [all, main, closes] = (['every', 'main', 'cadences'] as const).map((depth) => columnsAt(long, depth));
    expect(all).toHaveLength(long.columns.length);
    expect(main?.length).toBeLessThan(all?.length ?? 0);
    expect(closes?.length).toBeLessThanOrEqual(main?.length ?? 0);
    for (const kept of [all, main, closes])
      kept?.slice(1).forEach(({ from }, index) => {
        expect(kept[index]?.to).toBe(from);
      });
  });
});

describe('counting', () => {
  test('an appoggiatura on every first beat is the gesture', () => {
    const score = abc('C', 'f2e2 g2c2|d2c2 g2e2|f2e2 g2c2|d2c2 c4|]', '[C,E,G,]8|[C,E,G,]8|[C,E,G,]8|[C,E,G,]8|]');
    const reduction = reduce(score);
    expect(gestureOf(reduction)?.onFirstBeats).toBeGreaterThanOrEqual(3);
    expect(toneCounts(reduction).reduce((sum, { count }) => sum + count, 0)).toBe(reduction.tones.length);
  });

  test('a piece without notes beside its chords has none', () => {
    expect(gestureOf(reduce(CLOSE))).toBeNull();
  });
});
