import type { NewsItem } from '@aurora/wire';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { type QueryClient as Client, QueryClient } from '@tanstack/react-query';
import { takeNews } from './take-news.ts';

const BAND = 'quay';
let queries: Client;
const KEYS = [
  ['me'],
  ['songs', BAND, {}],
  ['song', BAND, 'harbor'],
  ['song', BAND, 'kelp'],
  ['song', 'mill', 'harbor'],
  ['sets', BAND],
  ['set', BAND, 'friday'],
  ['pieces', BAND],
  ['piece', BAND, 'hymn'],
  ['members', BAND],
  ['preferences', BAND],
  ['swaps', BAND, 'harbor'],
  ['job', BAND, 'pack'],
] as const;

beforeEach(() => {
  queries = new QueryClient();
  for (const key of KEYS) queries.setQueryData(key, { revision: 3 });
});

const stale = () =>
  KEYS.filter((key) => queries.getQueryState(key)?.isInvalidated).map((key) => key.filter((part) => typeof part === 'string').join(' '));
const news = (...items: Partial<NewsItem>[]) => ({
  items: items.map((one) => ({ seq: 1, id: null, revision: null, ...one }) as NewsItem),
  all: false,
});

describe('what changed is asked for again, and nothing else', () => {
  test.each<[Partial<NewsItem>, readonly string[]]>([
    [{ kind: 'song', id: 'harbor', revision: 4 }, ['songs quay', 'song quay harbor', 'set quay friday']],
    [{ kind: 'song', id: 'harbor', revision: null }, ['songs quay', 'song quay harbor', 'set quay friday']],
    [{ kind: 'set', id: 'friday', revision: 4 }, ['sets quay', 'set quay friday']],
    [{ kind: 'piece', id: 'hymn', revision: 9 }, ['pieces quay', 'piece quay hymn']],
    [{ kind: 'member', id: 'tam' }, ['me', 'members quay']],
    [{ kind: 'preference' }, ['preferences quay']],
    [{ kind: 'swap', id: 'harbor' }, ['swaps quay harbor']],
    [{ kind: 'job', id: 'pack' }, ['job quay pack']],
  ])('%j', (item, wanted) => {
    takeNews(queries, BAND, news(item));
    expect(stale()).toEqual(wanted);
  });

  test('what this page has already is left', () => {
    takeNews(queries, BAND, news({ kind: 'song', id: 'harbor', revision: 3 }, { kind: 'set', id: 'friday', revision: 3 }));
    expect(stale()).toEqual([]);
  });

  test('when anything may have changed, all of the band is', () => {
    takeNews(queries, BAND, { items: [], all: true });
    expect(stale()).toHaveLength(KEYS.length - 1);
    expect(stale()).not.toContain('song mill harbor');
  });
});
