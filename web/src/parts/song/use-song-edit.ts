import type { Song } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useBand } from '../../api/songs.ts';
import { changeSong } from '../../document/change-song.ts';
import { sayDone, sayFault } from '../../ui/say.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** Changes a song from outside its own room, says what came of it, and offers to take it back. */
export function useSongEdit(): (song: Song | undefined, edit: (source: string) => string, done: string) => void {
  const bandId = useBand().data?.id;
  const queries = useQueryClient();
  return (song, edit, done) => {
    if (song === undefined || bandId === undefined) {
      void sayFault(PARTS_WORDS.theSongIsNotHereYet);
      return;
    }
    void changeSong(queries, bandId, song, edit).then((changed) => {
      if (changed.kind === 'saved') return sayDone(done, { label: PARTS_WORDS.undo, act: () => void changed.undo() });
      if (changed.kind === 'kept') return sayDone(PARTS_WORDS.keptOnThisDevice);
      return sayFault(changed.why ?? PARTS_WORDS.openItsChartToChoose);
    });
  };
}
