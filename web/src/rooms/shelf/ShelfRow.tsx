import type { SongSummary } from '@aurora/wire';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useChangeSong, useMayWrite } from '../../api/songs.ts';
import { SongRow } from '../../parts/song/SongRow.tsx';
import { songName } from '../../parts/song/song-name.ts';
import { lensSearch, useLensStore } from '../../session/lens-store.ts';
import { MoreIcon } from '../../ui/icons.ts';
import { LaterMenu } from '../../ui/LaterMenu.tsx';
import { sayFault } from '../../ui/say.ts';
import { SHELF_WORDS } from '../../wording/shelf.ts';

// only where somebody asks for them
const SongMenu = lazy(async () => ({ default: (await import('./SongMenu.tsx')).SongMenu }));
const RenameForm = lazy(async () => ({ default: (await import('./RenameForm.tsx')).RenameForm }));
const TagForm = lazy(async () => ({ default: (await import('./TagForm.tsx')).TagForm }));

/** A song on the shelf with what can be done with it. On a long shelf what is out of sight is not drawn. */
export function ShelfRow({ song }: { readonly song: SongSummary }) {
  const readerId = useLensStore((state) => state.readerId);
  const change = useChangeSong();
  const mayWrite = useMayWrite();
  const [open, setOpen] = useState<'tags' | 'title' | null>(null);
  const onError = (error: Error) => void sayFault(error.message);
  const title = songName(song);
  return (
    <li className="border-b border-hairline [contain-intrinsic-size:auto_4.5rem] [content-visibility:auto]">
      <div className="flex items-center gap-1">
        <Link
          to={{ pathname: `/songs/${song.id}/chart`, search: lensSearch({ key: null, readerId }) }}
          className="block min-w-0 flex-1 rounded-lg px-3 py-1.5 hover:bg-wash"
        >
          <SongRow song={song} />
        </Link>
        {mayWrite && (
          <LaterMenu
            trigger={
              <button
                type="button"
                aria-label={SHELF_WORDS.moreAbout(title)}
                title={SHELF_WORDS.moreAbout(title)}
                className="grid size-11 shrink-0 place-items-center rounded-lg text-quiet hover:bg-wash"
              >
                <MoreIcon size={19} />
              </button>
            }
            menu={SongMenu}
            more={{ song, onTag: () => setOpen('tags'), onRename: () => setOpen('title') }}
          />
        )}
      </div>
      {open === 'title' && (
        <Suspense>
          <RenameForm song={song} onDone={() => setOpen(null)} />
        </Suspense>
      )}
      {open === 'tags' && (
        <Suspense>
          <TagForm
            title={title}
            tags={song.tags}
            onDone={(tags) => {
              setOpen(null);
              if (tags !== null) change.mutate({ id: song.id, change: { tags: [...tags] } }, { onError });
            }}
          />
        </Suspense>
      )}
    </li>
  );
}
