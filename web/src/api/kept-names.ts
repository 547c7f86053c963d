/** Where answers of the server are kept on the device; page and service worker both write there. */
export const ANSWERS = 'aurora-answers';
/** An answer from the device says when the server gave it, as an HTTP date. */
export const KEPT_AT = 'X-Kept-At';

const KEPT = /^\/api\/v1\/me$|^\/api\/v1\/bands(\/[^/]+\/(songs|sets|members|preferences|pieces)(\/.*)?)?$/;

/** Whether an answer is worth having without a network: songs, sets, pieces, and who reads them how. */
export function isKeptPath(path: string): boolean {
  return KEPT.test(path);
}
