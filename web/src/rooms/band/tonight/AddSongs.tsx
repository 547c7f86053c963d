import { type SongSummary, song as songSchema } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { call } from '../../../api/client.ts';
import { songKey, useBand, useShelf } from '../../../api/songs.ts';
import { newSetSong } from '../../../document/evening-view.ts';
import type { SetDesk } from '../../../document/set-desk.ts';
import { SongRow } from '../../../parts/song/SongRow.tsx';
import { songName } from '../../../parts/song/song-name.ts';
import { Button } from '../../../ui/Button.tsx';
import { AddIcon, ChosenIcon } from '../../../ui/icons.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { sayFault } from '../../../ui/say.ts';
import { BAND_WORDS } from '../../../wording/band.ts';

/** Songs from the shelf, put behind what is in the set. */
export function AddSongs({ desk, onClose }: { readonly desk: SetDesk; readonly onClose: () => void }) {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const [sought, setSought] = useState('');
  const shelf = useShelf({ find: useDeferredValue(sought), pattern: '', tag: null, sort: 'title', archived: false });
  const songs = shelf.data?.pages.flatMap((page) => page.songs) ?? [];
  const [added, setAdded] = useState<readonly string[]>([]);
  // it is in the set at once, whatever becomes of the asking for its chart: the set's next save brings that too
  const add = async ({ id }: SongSummary) => {
    desk.change((body) => ({ ...body, entries: [...body.entries, newSetSong(id)] }));
    setAdded((before) => [...before, id]);
    try {
      const song = await queries.fetchQuery({
        queryKey: songKey(bandId, id),
        queryFn: ({ signal }) => call('GET', `/bands/${bandId}/songs/${id}`, songSchema, { signal }),
      });
      desk.bring([song]);
    } catch {
      if (!navigator.onLine) void sayFault(BAND_WORDS.thatSongCouldNotBeFetched);
    }
  };
  return (
    <Sheet title={BAND_WORDS.songsForTonight} open onOpenChange={(is) => !is && onClose()}>
      <input
        value={sought}
        onChange={(event) => setSought(event.target.value)}
        aria-label={BAND_WORDS.findASong}
        placeholder={BAND_WORDS.titleWriterOrKey}
        className="min-h-11 w-full rounded-lg border border-edge bg-sheet px-3 placeholder:text-quiet"
      />
      <ul className="mt-2">
        {songs.map((song) => (
          <li key={song.id} className="flex items-center gap-3 border-b border-hairline py-1">
            <div className="min-w-0 flex-1">
              <SongRow song={song} />
            </div>
            <Button aria-label={BAND_WORDS.add(songName(song))} onClick={() => void add(song)}>
              {added.includes(song.id) ? <ChosenIcon size={17} aria-hidden="true" /> : <AddIcon size={17} aria-hidden="true" />}
              {added.includes(song.id) ? BAND_WORDS.onceMore : BAND_WORDS.addOne}
            </Button>
          </li>
        ))}
      </ul>
      {songs.length === 0 && !shelf.isPending && <p className="py-4 text-quiet">{BAND_WORDS.noSongByThatName}</p>}
      {shelf.hasNextPage && (
        <Button className="mt-2" onClick={() => void shelf.fetchNextPage()}>
          {BAND_WORDS.moreSongs}
        </Button>
      )}
    </Sheet>
  );
}
