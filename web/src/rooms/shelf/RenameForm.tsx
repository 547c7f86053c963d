import { readChart, withHeadLine } from '@aurora/core';
import { type SongSummary, song as songSchema } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { call } from '../../api/client.ts';
import { knownBandId, songKey } from '../../api/songs.ts';
import { useSongEdit } from '../../parts/song/use-song-edit.ts';
import { sayFault } from '../../ui/say.ts';
import { SHELF_WORDS } from '../../wording/shelf.ts';
import { RowForm } from './RowForm.tsx';

/** A song's title on the shelf; everything else of its chart stays as it is. */
export function RenameForm({ song, onDone }: { readonly song: SongSummary; readonly onDone: () => void }) {
  const rename = useRename();
  return (
    <RowForm
      label={SHELF_WORDS.title}
      value={song.title}
      most={MOST_TITLE}
      onDone={(typed) => {
        onDone();
        const title = typed?.trim() ?? song.title;
        if (title !== song.title) void rename(song.id, title);
      }}
    />
  );
}

const MOST_TITLE = 200;

function useRename() {
  const queries = useQueryClient();
  const editSong = useSongEdit();
  return async (id: string, title: string): Promise<void> => {
    try {
      const bandId = await knownBandId(queries);
      const queryFn = () => call('GET', `/bands/${bandId}/songs/${id}`, songSchema);
      const whole = await queries.fetchQuery({ queryKey: songKey(bandId, id), queryFn });
      editSong(whole, (source) => withHeadLine(source, readChart(source), 'title', title), SHELF_WORDS.renamed(title));
    } catch (error) {
      void sayFault((error as Error).message);
    }
  };
}
