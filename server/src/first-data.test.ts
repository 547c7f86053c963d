import { describe, expect, test } from '@jest/globals';
import { firstData } from './first-data.ts';

const BAND = '11111111-2222-4333-8444-555555555555';
const SONG = '66666666-7777-4888-8999-aaaaaaaaaaaa';
const asked = (path: string, cookies: string | undefined = `aurora-band=${BAND}`) =>
  [...(firstData(path, cookies) ?? '').matchAll(/<\/api\/v1\/bands\/[^/]+\/([^>]*)>; rel=preload; as=fetch; crossorigin/g)].map(
    ([, what]) => what,
  );

describe('what is asked for with a page', () => {
  test.each([
    ['/', ['members', 'preferences', 'songs?sort=title&archived=no', 'songs/tags']],
    [`/songs/${SONG}/chart`, ['members', 'preferences', `songs/${SONG}`]],
    [`/songs/${SONG}/stand`, ['members', 'preferences', `songs/${SONG}`]],
    ['/band/tonight', ['members', 'preferences', 'sets']],
    ['/band/stand', ['members', 'preferences', 'sets']],
    ['/harmonize', ['members', 'preferences']],
    ['/songs/nonsense/chart', ['members', 'preferences']],
  ])('%s: %j', (path, wanted) => expect(asked(path)).toEqual(wanted));

  test.each([
    ['no cookie', undefined],
    ['no band in it', 'aurora=token'],
    ['what is no id', 'aurora-band=../../admin'],
    ['a header smuggled in', `aurora-band=${BAND}%0d%0aSet-Cookie: x`],
    ['another address', `aurora-band=<https://example.org/${BAND}>`],
  ])('nothing with %s', (_, cookies) => expect(firstData('/', cookies)).toBeNull());
});
