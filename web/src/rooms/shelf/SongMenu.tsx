import type { SongSummary } from '@aurora/wire';
import type { ReactElement } from 'react';
import { useChangeSong, useDuplicateSong } from '../../api/songs.ts';
import { ArchiveIcon, DuplicateIcon, EditIcon, RestoreIcon, TagIcon } from '../../ui/icons.ts';
import { MenuItem } from '../../ui/MenuItem.tsx';
import { OpenedMenu } from '../../ui/OpenedMenu.tsx';
import { sayFault } from '../../ui/say.ts';
import { SHELF_WORDS } from '../../wording/shelf.ts';

interface SongMenuProps {
  readonly trigger: ReactElement;
  readonly song: SongSummary;
  readonly onRename: () => void;
  readonly onTag: () => void;
}

/** What can be done with a song on the shelf; open from the start. */
export function SongMenu({ trigger, song, onRename, onTag }: SongMenuProps) {
  const change = useChangeSong();
  const duplicate = useDuplicateSong();
  const onError = (error: Error) => void sayFault(error.message);
  return (
    <OpenedMenu trigger={trigger} className="z-30 min-w-48 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
      <MenuItem onPress={onRename}>
        <EditIcon size={17} aria-hidden="true" /> {SHELF_WORDS.rename}
      </MenuItem>
      <MenuItem onPress={onTag}>
        <TagIcon size={17} aria-hidden="true" /> {SHELF_WORDS.tags}
      </MenuItem>
      <MenuItem onPress={() => duplicate.mutate(song.id, { onError })}>
        <DuplicateIcon size={17} aria-hidden="true" /> {SHELF_WORDS.duplicate}
      </MenuItem>
      <MenuItem onPress={() => change.mutate({ id: song.id, change: { archived: !song.archived } }, { onError })}>
        {song.archived ? <RestoreIcon size={17} aria-hidden="true" /> : <ArchiveIcon size={17} aria-hidden="true" />}
        {song.archived ? SHELF_WORDS.restore : SHELF_WORDS.archive}
      </MenuItem>
    </OpenedMenu>
  );
}
