import { SelectField } from '../../ui/SelectField.tsx';
import type { BandSong } from './use-band-song.ts';

/** Which song a part of the room is about. */
export function SongChoice({ song, songs, choose }: Pick<BandSong, 'song' | 'songs' | 'choose'>) {
  return (
    <SelectField
      label="Song"
      value={song?.id ?? ''}
      options={songs.map(({ id, title }) => [id, title || 'Song without a title'])}
      onChange={choose}
      className="min-w-56"
    />
  );
}
