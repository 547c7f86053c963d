import type { Song } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { ApiFault } from '../../api/client.ts';
import { keepSong, saveSong, useBand } from '../../api/songs.ts';
import { isUnsaved } from '../../document/device-copy.ts';
import { sayDone, sayFault } from '../../ui/say.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';

/**
 * Saves a song whose chart is changed from outside its own room, and says so, or why not. A song
 * that is still being written there is left alone.
 */
export function useSongEdit(): (song: Song | undefined, edit: (source: string) => string, done: (saved: Song) => string) => void {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  return (song, edit, done) => {
    if (song === undefined || isUnsaved(localStorage, 'song', song.id)) {
      void sayFault(PARTS_WORDS.thisSongHasChangesThatAre);
      return;
    }
    saveSong(bandId, song.id, { source: edit(song.source), baseRevision: song.revision }).then(
      (saved) => {
        keepSong(queries, bandId, saved);
        void sayDone(done(saved));
      },
      (error: unknown) => void sayFault(error instanceof ApiFault ? error.message : PARTS_WORDS.theSongCouldNotBeSaved),
    );
  };
}
