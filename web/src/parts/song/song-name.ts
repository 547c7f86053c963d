import type { SongSummary } from '@aurora/wire';
import { PARTS_WORDS } from '../../wording/parts.ts';

const MOST_BARS = 4;

/** What a song is called: its name; until it has one its first bars, `1 4 6– 5`; a song without bars is new. */
export function songName({ title, opening, bars }: Pick<SongSummary, 'title' | 'opening' | 'bars'>): string {
  if (title !== '') return title;
  if (bars === 0 || opening.length === 0) return PARTS_WORDS.newSong;
  return opening
    .slice(0, MOST_BARS)
    .join(' ')
    .replaceAll('-', '–')
    .replace(/b(?=\d)/g, '♭')
    .replace(/#(?=\d)/g, '♯');
}
