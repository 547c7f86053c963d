import type { SongSummary } from '@aurora/wire';
import { Archive, ArchiveRestore, Copy, Ellipsis, Tag } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useChangeSong, useDuplicateSong } from '../../api/songs.ts';
import { SongRow } from '../../parts/song/SongRow.tsx';
import { useReader } from '../../session/lens.ts';
import { lensSearch } from '../../session/lens-store.ts';
import { MenuItem } from '../../ui/MenuItem.tsx';
import { sayFault } from '../../ui/say.ts';

// a form only where somebody asks for it
const TagForm = lazy(async () => ({ default: (await import('./TagForm.tsx')).TagForm }));

/** A song on the shelf with what can be done with it. */
export function ShelfRow({ song }: { readonly song: SongSummary }) {
  const reader = useReader();
  const change = useChangeSong();
  const duplicate = useDuplicateSong();
  const [tagging, setTagging] = useState(false);
  const onError = (error: Error) => void sayFault(error.message);
  const title = song.title || 'Song without a title';
  return (
    <li className="border-b border-hairline">
      <div className="flex items-center gap-1">
        <Link
          to={{ pathname: `/songs/${song.id}/chart`, search: lensSearch({ key: null, readerId: reader.id }) }}
          className="block min-w-0 flex-1 rounded-lg px-3 py-2 hover:bg-wash"
        >
          <SongRow song={song} />
        </Link>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            aria-label={`More about ${title}`}
            className="grid size-11 shrink-0 place-items-center rounded-lg text-quiet hover:bg-wash"
          >
            <Ellipsis size={19} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content align="end" className="z-30 min-w-48 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
              <MenuItem onPress={() => setTagging(true)}>
                <Tag size={17} aria-hidden="true" /> Tags
              </MenuItem>
              <MenuItem onPress={() => duplicate.mutate(song.id, { onError })}>
                <Copy size={17} aria-hidden="true" /> Duplicate
              </MenuItem>
              <MenuItem onPress={() => change.mutate({ id: song.id, change: { archived: !song.archived } }, { onError })}>
                {song.archived ? <ArchiveRestore size={17} aria-hidden="true" /> : <Archive size={17} aria-hidden="true" />}
                {song.archived ? 'Bring it back' : 'Put away'}
              </MenuItem>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      {tagging && (
        <Suspense>
          <TagForm
            title={title}
            tags={song.tags}
            onDone={(tags) => {
              setTagging(false);
              if (tags !== null) change.mutate({ id: song.id, change: { tags: [...tags] } }, { onError });
            }}
          />
        </Suspense>
      )}
    </li>
  );
}
