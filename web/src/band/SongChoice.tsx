import type { BandSong } from './use-band-song.ts';

/** Which song a part of the room is about. */
export function SongChoice({ song, songs, choose }: Pick<BandSong, 'song' | 'songs' | 'choose'>) {
  return (
    <label className="flex flex-col gap-1 text-sm font-semibold text-quiet">
      Song
      <select
        value={song?.id ?? ''}
        onChange={(event) => choose(event.target.value)}
        className="min-h-11 min-w-56 rounded-lg border border-edge bg-raised px-2 text-[17px] font-semibold text-ink"
      >
        {songs.map(({ id, title }) => (
          <option key={id} value={id}>
            {title || 'Song without a title'}
          </option>
        ))}
      </select>
    </label>
  );
}
