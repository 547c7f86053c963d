import { parse } from 'cookie';

/** The band a browser has open, as its page last said. It names nobody, and opens nothing that the session does not. */
const BAND_COOKIE = 'aurora-band';
const ID = /^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/;

/** What every page asks for, and what the page of a path asks for first, under a band. */
const OF_EVERY_PAGE = ['members', 'preferences'];
const BY_PATH: readonly (readonly [RegExp, (found: RegExpExecArray) => readonly string[]])[] = [
  [/^\/$/, () => ['songs?sort=title&archived=no', 'songs/tags']],
  [/^\/songs\/([^/]+)\//, ([, song]) => (ID.test(song ?? '') ? [`songs/${song}`] : [])],
  [/^\/band(\/(tonight|stand))?$/, () => ['sets']],
];

/**
 * What a page will ask for as soon as its script is read, as the value of a `Link` header: a browser asks for it with
 * the page instead. Null where no band is known.
 */
export function firstData(path: string, cookies: string | undefined): string | null {
  const band = parse(cookies ?? '')[BAND_COOKIE] ?? '';
  if (!ID.test(band)) return null;
  const ofPath = BY_PATH.flatMap(([pattern, of]) => {
    const found = pattern.exec(path);
    return found === null ? [] : of(found);
  });
  return [...OF_EVERY_PAGE, ...ofPath].map((what) => `</api/v1/bands/${band}/${what}>; rel=preload; as=fetch; crossorigin`).join(', ');
}
