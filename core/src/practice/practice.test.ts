import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { INSTRUMENTS, STANDARD_GUITAR } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { ALOUD_STUDIES, firstTempo, fits, itemsOf, RUN_STUDIES, SHAPE_STUDIES } from './catalogue.ts';
import { chainChords, chainLinks, chainUnits, nextUnit } from './chain.ts';
import { brokenOrder, drillFor } from './drill.ts';
import { findItem, itemId, itemIn, keyOfItem } from './item.ts';
import { cleanInARow, nextTempo, USUAL_STEPS } from './ladder.ts';
import { gradeOf, isSafe, type Memory, medianOf, remember } from './memory.ts';
import type { Outcome, Pass } from './pass.ts';
import { planPractice } from './plan.ts';
import { NIGHT_STAGES, nightsOf, type ProgrammeWish, programmeKeys } from './programme.ts';
import { CUES, cued, FADES, isShown, nextStage } from './stages.ts';
import { checkCell, WORKSHEET_ROWS, worksheetOf } from './worksheet.ts';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
const NOW = Date.UTC(2026, 10, 27, 20);
const key = (text: string): Key => requireValue(parseKey(text));
const pass = (over: Partial<Pass>): Pass => ({
  id: `${over.at}${over.item}${over.tempo}`,
  at: NOW,
  item: 'recall/degree-to-chord/Eb major',
  stage: '',
  tempo: null,
  answeredIn: null,
  outcome: 'clean',
  said: '',
  hidden: false,
  seconds: 60,
  night: null,
  ...over,
});

describe('items as words', () => {
  test('written and read again they are the same', () => {
    for (const text of ['Eb', 'F# harmonic minor', 'Cm']) {
      const item = itemIn('recall', 'degree-to-chord', key(text));
      expect(findItem(itemId(item))).toEqual(item);
      expect(keyOfItem(item)).toEqual(key(text));
    }
    expect(itemId(itemIn('song', 'x', null))).toBe('song/x/');
    for (const bad of ['', 'recall', 'a/b', '/b/c', 'a/b/c/d']) expect(findItem(bad)).toBeUndefined();
  });
});

describe('the tempo ladder', () => {
  const played = (...outcomes: readonly (readonly [Outcome, number])[]) =>
    outcomes.map(([outcome, tempo], at) => pass({ outcome, tempo, at: NOW - (outcomes.length - at) * MINUTE }));

  test.each([
    ['nothing yet', played(), 60],
    ['one clean pass stays', played(['clean', 60]), 60],
    ['two stay', played(['clean', 60], ['clean', 60]), 60],
    ['three raise by a step', played(['clean', 60], ['clean', 60], ['clean', 60]), 64],
    ['a shaky one in between begins anew', played(['clean', 60], ['shaky', 60], ['clean', 60], ['clean', 60]), 60],
    ['a stop lowers', played(['clean', 60], ['clean', 60], ['stopped', 60]), 54],
    ['at another tempo the count begins anew', played(['clean', 60], ['clean', 60], ['clean', 64]), 64],
  ])('%s', (_, passes, tempo) => {
    expect(nextTempo(passes, 60, USUAL_STEPS, NOW)).toBe(tempo);
  });

  test('the next day begins a step below the last clean tempo', () => {
    expect(nextTempo(played(['clean', 80], ['stopped', 84]), 60, USUAL_STEPS, NOW + DAY)).toBe(76);
    expect(nextTempo(played(['stopped', 84]), 60, USUAL_STEPS, NOW + DAY)).toBe(78);
  });

  test('steps are the player’s, and the tempo never leaves what can be played', () => {
    const clean = played(['clean', 100], ['clean', 100], ['clean', 100]);
    expect(nextTempo(clean, 60, { up: 10, down: 20 }, NOW)).toBe(110);
    expect(cleanInARow(clean)).toBe(3);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom<Outcome>('clean', 'shaky', 'stopped'), fc.integer({ min: 20, max: 300 }))), (all) => {
        const tempo = nextTempo(played(...all), 60, USUAL_STEPS, NOW);
        return tempo >= Math.min(30, ...all.map(([, one]) => one)) && tempo <= Math.max(260, ...all.map(([, one]) => one));
      }),
      { seed: 5, numRuns: 200 },
    );
  });
});

describe('what is remembered', () => {
  test.each([
    ['all right, quick and hidden', [{ outcome: 'right', answeredIn: 1500, hidden: true }], 'easy'],
    ['all right and quick, but shown', [{ outcome: 'right', answeredIn: 1500 }], 'good'],
    ['right, but slow', [{ outcome: 'right', answeredIn: 15_000 }], 'hard'],
    ['one of five wrong', [{}, {}, {}, {}, { outcome: 'wrong' }], 'hard'],
    ['one of six wrong', [{}, {}, {}, {}, {}, { outcome: 'wrong' }], 'good'],
    ['one of three wrong', [{}, {}, { outcome: 'wrong' }], 'again'],
    ['shaky', [{ outcome: 'shaky' }], 'hard'],
    ['a row takes longer than a chord', [{ outcome: 'right', answeredIn: 25_000, item: 'recall/quality-row/C major' }], 'good'],
  ] as const)('%s', (_, sitting, grade) => {
    expect(gradeOf(sitting.map((one) => pass(one)))).toBe(grade);
  });

  const memory = (passes: readonly Pass[]) => [...remember(passes, NOW).values()][0] as Memory;

  test('what goes well comes back later and later, what goes wrong comes back the next day', () => {
    const good = [10, 8, 5].map((days) => pass({ at: NOW - days * DAY }));
    const [one, two, three] = [1, 2, 3].map((count) => memory(good.slice(0, count)));
    const wait = (of: Memory | undefined) => (of as Memory).dueAt - (of as Memory).lastAt;
    expect(wait(two)).toBeGreaterThan(wait(one));
    expect(wait(three)).toBeGreaterThan(wait(two));
    expect(wait(memory([...good, pass({ at: NOW, outcome: 'stopped' })]))).toBeLessThanOrEqual(DAY);
    expect(isSafe(three)).toBe(true);
    expect(isSafe(one)).toBe(false);
    expect(isSafe(undefined)).toBe(false);
  });

  test('the order in which passes arrive changes nothing, nor does a clock that was wrong', () => {
    const passes = [9, 7, 3, 1].map((days, at) => pass({ at: NOW - days * DAY, outcome: at === 2 ? 'shaky' : 'clean' }));
    expect(memory([...passes].reverse())).toEqual(memory(passes));
    const early = memory([pass({ at: NOW + 40 * DAY })]);
    expect(early.lastAt).toBe(NOW);
    expect(memory([pass({ at: NOW }), pass({ at: NOW - 300 * DAY })]).sittings).toBe(2);
  });

  test('passes of one half hour are one sitting', () => {
    expect(memory([0, 5, 10].map((minutes) => pass({ at: NOW - DAY + minutes * MINUTE }))).sittings).toBe(1);
    expect(medianOf([])).toBeNull();
    expect(medianOf([4, 1, 3, 2])).toBe(2.5);
  });
});

describe('a key a night', () => {
  const programme: ProgrammeWish = { nights: 30, order: 'fourths', first: 0, scales: ['major', 'natural minor'] };
  const tonics = (over: Partial<ProgrammeWish>, count = 12) =>
    programmeKeys({ ...programme, ...over }, new Map())
      .slice(0, count)
      .map(({ tonic }) => printNote(tonic))
      .join(' ');

  test('in every order the first twelve nights hold twelve keys', () => {
    expect(tonics({})).toBe('C F Bb Eb Ab Db Gb B E A D G');
    expect(tonics({ order: 'fifths' })).toBe('C G D A E B F# Db Ab Eb Bb F');
    expect(tonics({ order: 'whole-steps' }, 6)).toBe('C Bb Ab Gb E D');
    expect(tonics({ order: 'easiest' }, 5)).toBe('C G F D Bb');
    for (const order of ['fourths', 'fifths', 'whole-steps', 'easiest', 'weakest'] as const) {
      const keys = programmeKeys({ ...programme, order, first: 2 }, new Map());
      expect(keys).toHaveLength(30);
      expect(new Set(keys.slice(0, 12).map(({ tonic }) => (((tonic * 7) % 12) + 12) % 12)).size).toBe(12);
      expect(keys.slice(12, 24).every(({ scale }) => scale === 'natural minor')).toBe(true);
    }
  });

  describe('a night lasts the evening', () => {
    const begun = { keys: programmeKeys(programme, new Map()), skipped: [2], since: NOW - 30 * DAY };
    const some = ['steps', 'names'].map((stage, at) => pass({ night: 1, item: `programme/${stage}/C major`, at: NOW - DAY + at * 60_000 }));
    const states = (passes: readonly Pass[], now: number) => nightsOf(begun, passes, now).map(({ state }) => state);

    test('after one exercise it is still tonight', () => {
      expect(states(some, NOW - DAY + 120_000).slice(0, 3)).toEqual(['next', 'skipped', 'ahead']);
    });
    test('when the date has changed it is over with what is left of it, and the next one comes; a skipped one only moves it', () => {
      expect(states(some, NOW).slice(0, 4)).toEqual(['begun', 'skipped', 'next', 'ahead']);
      const [first] = nightsOf(begun, some, NOW);
      expect(first?.left).toEqual(NIGHT_STAGES.filter((stage) => stage !== 'steps' && stage !== 'names'));
      expect(first?.playedAt).toBe(NOW - DAY + 60_000);
    });
    test('who plays past midnight has the same evening', () => {
      const late = new Date(2026, 2, 10, 23, 50).getTime();
      const passes = [pass({ night: 1, item: 'programme/steps/C major', at: late })];
      const since = { ...begun, since: late - DAY };
      const state = (now: number) => nightsOf(since, passes, now)[0]?.state;
      expect([state(late + 30 * 60_000), state(late + 3 * 3_600_000), state(late + 8 * 3_600_000)]).toEqual(['next', 'next', 'begun']);
    });
    test('with all its exercises it is done at once', () => {
      const all = NIGHT_STAGES.map((stage, at) => pass({ night: 1, item: `programme/${stage}/C major`, at: NOW - 3_600_000 + at }));
      expect(states(all, NOW).slice(0, 3)).toEqual(['done', 'skipped', 'next']);
    });
    test('what was left of an earlier night is played later, without tonight being it', () => {
      const later = pass({ night: 1, item: 'programme/numbers/C major', at: NOW });
      const nights = nightsOf(begun, [...some, later], NOW + 1000);
      expect(nights[0]).toMatchObject({ state: 'begun', playedAt: NOW });
      expect(nights[0]?.left).toHaveLength(NIGHT_STAGES.length - 3);
      expect(nights[2]?.state).toBe('next');
    });
    test('what was played before the round began is of another', () =>
      expect(nightsOf({ ...begun, since: NOW }, some, NOW)[0]?.state).toBe('next'));
  });

  test('the weakest first: what was never played, then what is held least firmly', () => {
    const memories = remember(
      [3, 2, 1].map((days) => pass({ at: NOW - days * DAY, item: 'programme/steps/C major' })),
      NOW,
    );
    expect(tonics({ order: 'weakest' }).split(' ').at(-1)).toBe('F');
    expect(
      programmeKeys({ ...programme, order: 'weakest' }, memories)
        .slice(0, 12)
        .at(-1),
    ).toEqual(key('C'));
  });
});

describe('the chain', () => {
  const links = chainLinks({ start: key('C'), down: 2, easier: false });

  test('two starting points cover twelve keys, each spelled from its own tonic', () => {
    const other = chainLinks({ start: key('B'), down: 2, easier: false });
    expect(links.map((one) => printNote(one.key.tonic)).join(' ')).toBe('C Bb Ab F# E D');
    expect(new Set([...links, ...other].map((one) => (((one.key.tonic * 7) % 12) + 12) % 12)).size).toBe(12);
    expect(links[3]?.chords.map((chord) => printChord(chord)).join(' ')).toBe('G#m7 C#7 F#maj7');
    expect(
      chainLinks({ start: key('F#'), down: 2, easier: true })[0]
        ?.chords.map((chord) => printChord(chord))
        .join(' '),
    ).toBe('G#m7 Db7 F#maj7');
    expect(
      chainLinks({ start: key('Cm'), down: 2, easier: false })[0]
        ?.chords.map((chord) => printChord(chord))
        .join(' '),
    ).toBe('Dm7b5 G7 Cm7');
    expect(chainLinks({ start: key('C'), down: 5, easier: false })).toHaveLength(12);
  });

  test('the seam is the last chord and the first of the next key; the 1 is the 2 on the same root', () => {
    for (const unit of chainUnits(links).filter(({ kind }) => kind === 'seam')) {
      expect(unit.chords).toHaveLength(2);
      expect((((unit.chords[0]?.root ?? 0) - (unit.chords[1]?.root ?? 1)) % 12) + 0).toBe(0);
    }
  });

  test('one key, the next, their seam, then two together; never straight to six', () => {
    const kinds = chainUnits(links).map(({ kind, links: places }) => `${kind} ${places.length}`);
    expect(kinds.slice(0, 7)).toEqual(['key 1', 'key 1', 'seam 2', 'joined 2', 'key 1', 'seam 2', 'joined 3']);
    expect(nextUnit(links, new Map()).kind).toBe('key');
  });

  test('whatever is safe, nothing is joined that holds a key or a seam that is not', () => {
    const units = chainUnits(links);
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: units.length, maxLength: units.length }), (safe) => {
        const passes = units.flatMap(({ item }, at) =>
          safe[at] ? [12, 9, 5].map((days) => pass({ item: itemId(item), at: NOW - days * DAY })) : [],
        );
        const next = nextUnit(links, remember(passes, NOW));
        const isKnown = (kind: string, place: number) => safe[units.findIndex((unit) => unit.kind === kind && unit.links[0] === place)];
        if (next.kind !== 'joined') return true;
        return next.links.every((place, at) => isKnown('key', place) && (at === 0 || isKnown('seam', place - 1)));
      }),
      { seed: 3, numRuns: 100 },
    );
  });

  test('what an item of the chain names is played, whatever the step', () => {
    for (const down of [1, 2, 5]) {
      for (const { item, chords } of chainUnits(chainLinks({ start: key('Eb'), down, easier: false })))
        expect(chainChords(item, keyOfItem(item) as Key)).toEqual(chords);
    }
    expect(chainChords(itemIn('chain', 'nothing', key('C')), key('C'))).toBeNull();
    expect(chainChords(itemIn('chain', 'key', key('F#')), key('F#'), true)?.map((chord) => printChord(chord))).toEqual([
      'G#m7',
      'Db7',
      'F#maj7',
    ]);
  });
});

describe('plans', () => {
  const plan = (minutes: number, over: Partial<Parameters<typeof planPractice>[0]> = {}) =>
    planPractice({ minutes, passes: [], programme: null, songs: [], tuning: STANDARD_GUITAR.tuning, now: NOW, seed: 1, ...over });
  const songs = [{ id: 'harbor', title: 'Harbor Wall', key: key('G') }];
  const wish: ProgrammeWish = { nights: 30, order: 'fourths', first: 0, scales: ['major'] };
  const programme = { keys: programmeKeys(wish, new Map()), skipped: [], since: 0 };

  test('from three minutes to three hours the blocks sum to the minutes, and hands rest after 25', () => {
    for (let minutes = 3; minutes <= 180; minutes += 1) {
      for (const over of [{}, { programme, songs }]) {
        const blocks = plan(minutes, over);
        expect(blocks.reduce((sum, block) => sum + block.minutes, 0)).toBe(minutes);
        expect(blocks.every((block) => block.minutes > 0 && (block.kind === 'break') === (block.items.length === 0))).toBe(true);
        let playing = 0;
        for (const block of blocks) {
          playing = block.kind === 'break' ? 0 : playing + block.minutes;
          expect(playing).toBeLessThanOrEqual(25);
        }
        expect(blocks[0]?.kind).toBe('warm-up');
      }
    }
  });

  test('the first evening ever is not all new: little is begun, and played again', () => {
    const items = plan(20, { programme }).flatMap((block) => block.items);
    const fresh = items.filter(({ isNew }) => isNew);
    expect(fresh.length).toBeGreaterThan(0);
    expect(fresh.length / items.length).toBeLessThanOrEqual(0.4);
    expect(items.some(({ why }) => why.kind === 'again')).toBe(true);
  });

  test('with a set and a programme: tonight’s key and a song of the set, each with its reason', () => {
    const blocks = plan(30, { programme, songs });
    expect(blocks.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['warm-up', 'recall', 'programme', 'song', 'break']));
    expect(blocks.find(({ kind }) => kind === 'programme')?.items[0]?.why).toEqual({ kind: 'tonight', night: 1 });
    expect(blocks.find(({ kind }) => kind === 'song')?.items[0]?.why).toEqual({ kind: 'set', title: 'Harbor Wall' });
  });

  test('what is due says since when and how it went', () => {
    const passes = [pass({ item: 'shapes/ladder/Eb major', outcome: 'shaky', tempo: 84, at: NOW - 9 * DAY })];
    const items = planPractice({
      minutes: 60,
      passes,
      programme: null,
      songs: [],
      tuning: STANDARD_GUITAR.tuning,
      now: NOW,
      seed: 2,
    }).flatMap((block) => block.items);
    expect(items.map(({ why }) => why)).toContainEqual({ kind: 'due', days: 9, outcome: 'shaky', tempo: 84 });
  });

  test('the same wish gets the same plan', () => {
    expect(plan(45, { programme, songs, seed: 4 })).toEqual(plan(45, { programme, songs, seed: 4 }));
  });

  test('two strings, or a bass: what needs more strings is left out, and a plan still comes', () => {
    for (const tuning of [
      [40, 45],
      [28, 33, 38, 43],
    ]) {
      const items = plan(60, { tuning, programme }).flatMap((block) => block.items);
      expect(items.length).toBeGreaterThan(5);
      expect(items.every(({ item }) => !['shapes', 'runs'].includes(item.study) || fits(item.what, tuning))).toBe(true);
    }
  });
});

describe('drills', () => {
  test('every stage, shape and run of every instrument that fits has something to play', () => {
    for (const instrument of INSTRUMENTS) {
      const items = [
        ...NIGHT_STAGES.map((stage) => itemIn('programme', stage, key('Eb'))),
        ...(['shapes', 'runs', 'aloud'] as const).flatMap((study) => itemsOf(study, key('Eb'), instrument.tuning)),
        itemIn('warm-up', 'slow scale', key('A')),
      ];
      for (const item of items) {
        const drill = drillFor(item, { instrument, seed: 1, isCalled: false });
        expect([instrument.name, itemId(item), drill === null || drill.steps.length === 0]).toEqual([instrument.name, itemId(item), false]);
        expect(firstTempo(item)).toBeGreaterThanOrEqual(40);
      }
    }
  });

  test('a key along string 5 climbs to its octave and comes back, past the twelfth fret an octave lower', () => {
    const drill = (stage: string) =>
      drillFor(itemIn('programme', stage, key('Eb')), { instrument: STANDARD_GUITAR, seed: 1, isCalled: false });
    expect(
      drill('steps')
        ?.steps.slice(0, 8)
        .map(({ tone }) => tone?.fret),
    ).toEqual([6, 8, 10, 11, 13, 15, 17, 18]);
    expect(
      drill('past twelve')
        ?.steps.slice(0, 8)
        .map(({ tone }) => tone?.fret),
    ).toEqual([6, 8, 10, 11, 1, 3, 5, 6]);
    expect(drill('lower string')?.steps.every(({ tone }) => tone?.string === 6)).toBe(true);
    expect(drill('down again')?.steps.map(({ tone }) => tone?.fret)).toEqual([18, 17, 15, 13, 11, 10, 8, 6]);
  });

  test('along other strings when they are wished, and the instrument has them', () => {
    const along = (strings: readonly [number, number], stage: string) =>
      drillFor(itemIn('programme', stage, key('C')), { instrument: STANDARD_GUITAR, seed: 1, isCalled: false, strings })?.steps[0]?.tone
        ?.string;
    expect([along([2, 3], 'steps'), along([2, 3], 'lower string'), along([7, 8], 'steps')]).toEqual([2, 3, 5]);
  });

  test('chords of a night stand on the upper string, on the lower one, then each on both, in grips that are taught', () => {
    const roots = (stage: string) =>
      drillFor(itemIn('programme', stage, key('C')), { instrument: STANDARD_GUITAR, seed: 1, isCalled: false })?.steps.map(
        ({ voicing }) => voicing?.tones[0]?.string,
      );
    for (const depth of ['triads', 'sevenths']) {
      expect(roots(`upper ${depth}`)).toEqual([5, 5, 5, 5, 5, 5, 5]);
      expect(roots(depth)).toEqual([6, 6, 6, 6, 6, 6, 6]);
      expect(roots(`crossing ${depth}`)).toEqual([6, 5, 6, 5, 6, 5, 6, 5, 6, 5, 6, 5, 6, 5]);
    }
  });

  test('chords said at random are the key’s own, each once', () => {
    const called = drillFor(itemIn('aloud', ALOUD_STUDIES[0], key('Bb')), { instrument: STANDARD_GUITAR, seed: 3, isCalled: true });
    expect(called?.steps.map(({ chord }) => printChord(chord as never)).sort()).toEqual([
      'Am7b5',
      'Bbmaj7',
      'Cm7',
      'Dm7',
      'Ebmaj7',
      'F7',
      'Gm7',
    ]);
    const chord = { root: 0, formula: called?.steps[0]?.chord?.formula ?? 0, bass: null };
    expect([...brokenOrder(chord, 1)].sort()).toEqual([...brokenOrder(chord, 2)].sort());
  });

  test('what nobody can name plays nothing', () => {
    for (const study of ['shapes', 'runs', 'programme'] as const)
      expect(drillFor(itemIn(study, 'nothing', key('C')), { instrument: STANDARD_GUITAR, seed: 1, isCalled: false })).toBeNull();
    expect(SHAPE_STUDIES.length + RUN_STUDIES.length).toBeGreaterThan(15);
  });
});

describe('worksheets', () => {
  const check = (row: (typeof WORKSHEET_ROWS)[number], place: number, text: string, of = 'Ab') =>
    checkCell({ key: key(of), depth: 'seventh', row, place }, text);

  test('the solution fills every cell right, in every key', () => {
    for (const text of ['C', 'Ab', 'F#', 'Gm', 'D harmonic minor', 'Eb dorian']) {
      for (const depth of ['triad', 'seventh'] as const) {
        const sheet = worksheetOf(key(text), depth);
        for (const row of WORKSHEET_ROWS) {
          const marks = sheet[row].map((cell, place) => checkCell({ key: key(text), depth, row, place }, cell).kind);
          expect([text, row, marks]).toEqual([text, row, marks.map(() => 'right')]);
        }
      }
    }
  });

  test.each([
    ['notes', 3, 'C#', 'letter'],
    ['notes', 3, 'D', 'accidental'],
    ['notes', 3, 'F#', 'foreign'],
    ['notes', 3, 'Eb', 'wrong'],
    ['notes', 3, 'x', 'unread'],
    ['notes', 3, '', 'empty'],
    ['tones', 4, 'Eb G Bb Db', 'right'],
    ['tones', 4, 'Eb G Bb C#', 'letter'],
    ['tones', 4, 'Eb G Bb', 'wrong'],
    ['numbers', 1, '2-7', 'right'],
    ['numbers', 1, '27', 'wrong'],
    ['roman', 1, 'ii7', 'right'],
    ['roman', 1, 'II7', 'wrong'],
    ['stack', 0, 'M3 m3 M3', 'right'],
    ['stack', 0, 'm3 m3 M3', 'wrong'],
    ['quality', 1, '−7', 'right'],
    ['quality', 1, 'nonsense', 'unread'],
  ] as const)('%s %i: “%s” is %s', (row, place, text, kind) => {
    expect(check(row, place, text).kind).toBe(kind);
  });
});

describe('a song that fades', () => {
  test('on after a clean pass, back after a stop, and nothing past either end', () => {
    expect(FADES.map((fade) => nextStage(FADES, fade, 'clean'))).toEqual([...FADES.slice(1), 'none']);
    expect(FADES.map((fade) => nextStage(FADES, fade, 'stopped'))).toEqual(['shown', ...FADES.slice(0, 3)]);
    expect(FADES.map((fade) => nextStage(FADES, fade, 'shaky'))).toEqual([...FADES]);
  });

  test('a word to be said is shown, begun, hidden, or comes a beat later', () => {
    expect(CUES.map((cue) => cued(cue, 'E♭maj7'))).toEqual(['E♭maj7', 'E♭…', null, null]);
  });

  test('what is shown grows less at every stage', () => {
    const shown = FADES.map((fade) => [0, 1, 2, 3].filter((place) => isShown(fade, place)).length);
    expect(shown).toEqual([4, 2, 1, 0]);
  });
});
