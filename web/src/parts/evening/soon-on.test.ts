import { describe, expect, test } from '@jest/globals';
import { setSoonOn } from './soon-on.ts';

const set = (name: string, date: string, startsAt = '') =>
  ({ id: name, name, place: '', startsAt, date, songs: 1, revision: 1, savedAt: '', savedBy: null }) as const;
// by the clock of this device, as the players say it
const at = (text: string) => new Date(`2026-12-${text}`);

describe('the set that is on within a day', () => {
  test.each([
    ['this evening', [set('Quay', '2026-12-04', '20:30')], '04T09:00', 'Quay'],
    ['tomorrow afternoon, asked the evening before', [set('Quay', '2026-12-05', '15:00')], '04T20:00', 'Quay'],
    ['still going on after midnight', [set('Quay', '2026-12-04', '22:00')], '05T01:30', 'Quay'],
    ['without a time of day it is an evening', [set('Quay', '2026-12-04')], '04T08:00', 'Quay'],
    ['early in the morning', [set('Quay', '2026-12-04', '9:30')], '04T08:00', 'Quay'],
    ['the nearer of two', [set('Late', '2026-12-05', '12:00'), set('Quay', '2026-12-04', '20:00')], '04T15:00', 'Quay'],
    ['one a week away is none', [set('Quay', '2026-12-11', '20:30')], '04T09:00', undefined],
    ['one of last week is none', [set('Quay', '2026-11-27', '20:30')], '04T09:00', undefined],
    ['one without a day is none', [set('Quay', '', '20:30')], '04T09:00', undefined],
    ['no sets', [], '04T09:00', undefined],
  ])('%s', (_, sets, now, wanted) => expect(setSoonOn(sets, at(now))?.name).toBe(wanted));
});
