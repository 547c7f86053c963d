import { Plus, Search } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useAddSong, useBand, useSongs } from '../api/songs.ts';
import { lensSearch, useLens } from '../lens/lens-store.ts';
import { Button } from '../ui/Button.tsx';
import { Notice } from '../ui/Notice.tsx';
import { sayFault } from '../ui/say.ts';
import { SongRow } from './SongRow.tsx';
import { findSongs, NEW_SONG } from './shelf-view.ts';

/** The band's songs. */
export function Shelf() {
  const band = useBand();
  const songs = useSongs();
  const [wanted, setWanted] = useState('');
  const reader = useLens((state) => state.reader);
  const fault = band.error ?? songs.error;
  if (fault !== null) {
    return (
      <Notice
        title="The song shelf cannot be reached"
        action={<Button onClick={() => void Promise.all([band.refetch(), songs.refetch()])}>Try again</Button>}
      >
        <p>{fault.message}</p>
      </Notice>
    );
  }
  if (songs.data === undefined) return <p className="p-8 text-quiet">Fetching the songs…</p>;
  const shown = findSongs(songs.data, wanted);
  return (
    <div className="mx-auto max-w-5xl px-6 py-6">
      <div className="mb-5 flex flex-wrap items-center gap-3">
        <label className="relative min-w-56 flex-1">
          <span className="sr-only">Find a song</span>
          <Search size={19} aria-hidden="true" className="absolute top-3 left-3.5 text-quiet" />
          <input
            type="search"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            placeholder="Find by title, writer or key"
            className="min-h-11 w-full rounded-lg border border-edge bg-raised pr-3 pl-11 text-base placeholder:text-quiet"
          />
        </label>
        <NewSong />
      </div>
      {songs.data.length === 0 ? (
        <Notice title="No songs yet" action={<NewSong />}>
          <p>Start with one you know: write its chords as numbers or letters, and it is readable in every key.</p>
        </Notice>
      ) : (
        <ul aria-label="Songs" className="border-t border-hairline">
          {shown.map((song) => (
            <li key={song.id} className="border-b border-hairline">
              <Link
                to={{ pathname: `/songs/${song.id}/chart`, search: lensSearch({ key: null, reader }) }}
                className="block rounded-lg px-3 py-2.5 hover:bg-wash"
              >
                <SongRow song={song} />
              </Link>
            </li>
          ))}
        </ul>
      )}
      {shown.length === 0 && songs.data.length > 0 && <p className="px-3 py-6 text-quiet">No song here matches “{wanted}”.</p>}
    </div>
  );
}

function NewSong() {
  const add = useAddSong();
  const navigate = useNavigate();
  const start = () =>
    add.mutate(NEW_SONG, {
      onSuccess: ({ id }) => void navigate(`/songs/${id}/chart`),
      onError: (error) => void sayFault(error.message),
    });
  return (
    <Button look="strong" onClick={start} disabled={add.isPending}>
      <Plus size={19} aria-hidden="true" /> New song
    </Button>
  );
}
