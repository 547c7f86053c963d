import { DEFAULT_NAMING, parseChord, parseKey, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { FIRST_PLAN, planRun, type RunPlan, runSteps } from './run-plan.ts';

const plan = (over: Partial<RunPlan>, symbol = 'Cmaj7', home = 'G') =>
  planRun(
    { ...FIRST_PLAN, ...over },
    { chord: requireValue(parseChord(symbol)), key: requireValue(parseKey(home)), instrument: STANDARD_GUITAR, naming: DEFAULT_NAMING },
  );

test.each<[Partial<RunPlan>, string]>([
  [{}, 'G major'],
  [{ from: 'chord' }, 'G major from C, over Cmaj7'],
  [{ kind: 'arpeggio', scope: 'chord' }, 'Cmaj7, note by note'],
  [{ kind: 'arpeggio', scope: 'triads' }, 'G: triads, note by note'],
  [{ kind: 'sweep', position: 5 }, 'Cmaj7: two-shape sweep'],
])('%j is called %s and has notes', (over, title) => {
  const planned = plan(over);
  expect(planned.title).toBe(title);
  expect(planned.run.notes.length).toBeGreaterThanOrEqual(4);
});

test('played with four clicks before and a click on every whole beat, none between', () => {
  const steps = runSteps(plan({ back: false }).run.notes);
  expect(steps[0]).toEqual({ midi: [], beats: 4, click: true });
  expect(steps.slice(1, 6).map(({ click }) => click)).toEqual([true, false, true, false, true]);
  const triplets = runSteps(plan({ kind: 'sweep', position: 2 }, 'Am').run.notes);
  expect(triplets.slice(1).map(({ click }) => click)).toEqual(Array.from({ length: 12 }, (_, index) => index % 3 === 0));
});

test.each(['C', 'G', 'Eb', 'F#m', 'Bb'])('arpeggios over the whole key of %s come home to its 1', (home) => {
  for (const scope of ['triads', 'sevenths'] as const) {
    for (const strings of [null, [5, 4, 3, 2]]) {
      const { run } = plan({ kind: 'arpeggio', scope, strings }, 'C', home);
      const { tonic } = requireValue(parseKey(home));
      expect([run.chords.length, run.chords[0]?.root, run.chords.at(-1)?.root]).toEqual([8, tonic, tonic]);
      expect(run.notes.at(-1)?.chord).toBe(7);
    }
  }
});

test('over a capo a run is named with the shape its player thinks of', () => {
  const scene = {
    chord: requireValue(parseChord('D')),
    key: requireValue(parseKey('D')),
    instrument: { ...STANDARD_GUITAR, capo: 2 },
    naming: DEFAULT_NAMING,
  };
  expect(planRun({ ...FIRST_PLAN, kind: 'sweep', position: 5 }, scene).title).toBe('D = C shape: two-shape sweep');
});
