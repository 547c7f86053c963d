import type { SongSummary } from '@aurora/wire';
import { useNaming } from '../../session/lens.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { ChordSymbol } from '../notation/ChordSymbol.tsx';
import { Glyphs } from '../notation/Glyphs.tsx';
import { RidgeThread } from '../ridge/RidgeStrip.tsx';
import { keyName, openingBar } from './shelf-view.ts';
import { songName } from './song-name.ts';

const OPENING_ON_A_PHONE = 4;
const OPENING_BAR = 'flex h-9 min-w-1/4 shrink-0 items-center gap-3 border-l-2 border-edge px-2.5 text-lead font-bold max-lg:min-w-1/2';

/** One song as it is known at sight: its key, its name, how it opens, how fast it goes. */
export function SongRow({ song }: { readonly song: SongSummary }) {
  const naming = useNaming();
  const { tonic, scale } = keyName(song.key, naming);
  return (
    <span className="grid grid-cols-[5rem_minmax(0,1fr)_minmax(0,1.5fr)_4.5rem] items-center gap-4 max-lg:grid-cols-[4.5rem_minmax(0,1.4fr)_minmax(0,1fr)_4.5rem] max-md:grid-cols-[3.2rem_1fr] max-md:gap-2">
      <span className="music-glyph leading-tight">
        <span className="text-head font-bold">
          <Glyphs text={tonic} />
        </span>
        {scale !== '' && <span className="block text-fine text-quiet">{scale}</span>}
      </span>
      <span className="min-w-0">
        <span className="block truncate text-lead font-semibold">{songName(song)}</span>
        <span className="flex items-center justify-between gap-2 text-fine text-quiet md:hidden" aria-hidden="true">
          <span className="flex min-w-0 gap-2 overflow-hidden font-bold text-ink">
            {song.opening.slice(0, OPENING_ON_A_PHONE).map((bar, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: bars have no name but their place
              <span key={index} className="flex gap-1">
                {openingBar(bar, naming).map((view, place) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
                  <ChordSymbol key={place} view={view} />
                ))}
              </span>
            ))}
          </span>
          {song.tempo !== null && (
            <span className="shrink-0">
              {song.tempo} {PARTS_WORDS.bpmOf}
            </span>
          )}
        </span>
        <span className="block truncate text-fine text-quiet max-md:hidden">
          {song.by}
          {song.tags.length > 0 && <span className="text-accent"> · {song.tags.join(', ')}</span>}
        </span>
        <RidgeThread heights={song.ridge} className="mt-0.5 block h-4 w-full max-w-64" />
      </span>
      {/* a bar for which there is no room is left out whole: cut, it would say something else */}
      <span className="flex h-9 flex-wrap overflow-hidden max-md:hidden" aria-hidden="true">
        {song.opening.map((bar, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: bars have no name but their place
          <span key={index} className={OPENING_BAR}>
            {openingBar(bar, naming).map((view, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
              <ChordSymbol key={place} view={view} />
            ))}
          </span>
        ))}
      </span>
      <span className="text-right text-fine leading-tight text-quiet max-md:hidden">
        {song.tempo !== null && (
          <span className="block text-base font-semibold text-ink">
            {song.tempo} {PARTS_WORDS.bpmOf}
          </span>
        )}
        {song.bars} {PARTS_WORDS.bars}
      </span>
    </span>
  );
}
