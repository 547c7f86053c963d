import { chooseBand } from './chosen-band.ts';
import { ANSWERS } from './kept-names.ts';

/** Everything on the page may be another's now: it is opened anew, without what was kept of before. */
export async function openAnew(path = '/'): Promise<void> {
  if ('caches' in globalThis) await caches.delete(ANSWERS).catch(() => false);
  window.location.assign(path);
}

/** Goes to another band one plays in. What is kept of each band has its own place. */
export function goToBand(bandId: string): void {
  chooseBand(bandId);
  window.location.assign('/');
}
