import { songName } from '../../parts/song/song-name.ts';
import { SelectField } from '../../ui/SelectField.tsx';
import { BAND_WORDS } from '../../wording/band.ts';
import type { BandSong } from './use-band-song.ts';

/** Which song a part of the room is about. */
export function SongChoice({ song, songs, choose }: Pick<BandSong, 'song' | 'songs' | 'choose'>) {
  return (
    <SelectField
      label={BAND_WORDS.song}
      value={song?.id ?? ''}
      options={songs.map((song) => [song.id, songName(song)])}
      onChange={choose}
      className="min-w-56"
    />
  );
}
