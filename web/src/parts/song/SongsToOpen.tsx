import type { SongSummary } from '@aurora/wire';
import { Link } from 'react-router';
import { EVERYTHING, useShelf } from '../../api/songs.ts';
import { useTonightSet } from '../../document/use-evening.ts';
import { lensLink } from '../../session/lens-store.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { Glyphs } from '../notation/Glyphs.tsx';
import { songName } from './song-name.ts';

const MOST = 6;
const LAST_SAVED = { ...EVERYTHING, sort: 'saved' } as const;

/** Songs to look at in a room that has none open: those of the set in their order, then those saved last. */
export function SongsToOpen({ room }: { readonly room: 'analyze' | 'harmonize' }) {
  const { tonight } = useTonightSet();
  const shelf = useShelf(LAST_SAVED).data?.pages[0]?.songs ?? [];
  const inSet = (tonight?.evening.entries ?? []).flatMap(({ song }) => tonight?.state.songs.filter(({ id }) => id === song?.songId) ?? []);
  const songs = firstOf<SongSummary>([...inSet, ...shelf.filter(({ bars }) => bars > 0)]);
  if (songs.length === 0) return null;
  return (
    <section aria-label={PARTS_WORDS.openASong} className="py-4">
      <h2 className="mb-2 font-numeral text-lead font-bold">{PARTS_WORDS.openASong}</h2>
      <ul className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {songs.map((song) => (
          <li key={song.id}>
            <Link
              to={lensLink(`/songs/${song.id}/${room}`)}
              className="flex min-h-14 items-center gap-3 rounded-xl border border-edge bg-raised px-4 py-2 hover:border-accent"
            >
              <b className="min-w-0 flex-1 truncate">{songName(song)}</b>
              <span className="music-glyph shrink-0 text-quiet">
                <Glyphs text={song.key} />
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Each once, and not more than are taken in at a glance. */
function firstOf<One extends { readonly id: string }>(all: readonly One[]): readonly One[] {
  return [...new Map(all.map((one) => [one.id, one])).values()].slice(0, MOST);
}
