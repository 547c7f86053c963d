import { readChart, withHeadLine } from '@aurora/core';
import { type SongSummary, song as songSchema } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { call } from '../../api/client.ts';
import { knownBandId, songKey } from '../../api/songs.ts';
import { useSongEdit } from '../../parts/song/use-song-edit.ts';
import { Button } from '../../ui/Button.tsx';
import { sayFault } from '../../ui/say.ts';
import { SHELF_WORDS } from '../../wording/shelf.ts';

/** A song's title on the shelf; everything else of its chart stays as it is. */
export function RenameForm({ song, onDone }: { readonly song: SongSummary; readonly onDone: () => void }) {
  const [title, setTitle] = useState(song.title);
  const rename = useRename();
  const id = useId();
  return (
    <form
      className="flex flex-wrap items-center gap-2 px-3 pb-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone();
        if (title.trim() !== song.title) void rename(song.id, title.trim());
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <label htmlFor={id} className="text-fine font-semibold text-quiet">
        {SHELF_WORDS.title}
      </label>
      <input
        id={id}
        // biome-ignore lint/a11y/noAutofocus: the field was asked for a moment ago
        autoFocus
        value={title}
        maxLength={200}
        onChange={({ target }) => setTitle(target.value)}
        className="min-h-11 min-w-52 flex-1 rounded-lg border border-edge bg-raised px-3"
      />
      <Button type="submit" look="strong">
        {SHELF_WORDS.done}
      </Button>
    </form>
  );
}

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
