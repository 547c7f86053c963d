import { GLOSSARY, nameKey, printKey } from '@aurora/core';
import { Command } from 'cmdk';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { type ShelfWish, useShelf } from '../api/songs.ts';
import { circleKeys } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { lensSearch, lensSearchNow, setKey, setReader } from '../session/lens-store.ts';
import { memberChoice, READER_CHOICES } from '../session/reader-view.ts';
import { neckPath, rooms } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';

interface CommandMenuProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly songId: string | undefined;
}

const ITEM = 'flex min-h-11 items-center justify-between gap-4 rounded-lg px-3 text-[15px] data-[selected=true]:bg-wash';
const GROUP =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-quiet';

const EVERY_SONG: ShelfWish = { find: '', pattern: '', tag: null, sort: 'title', archived: false };

/** Type a few letters to go to a song, a key, a reader or a room. */
export function CommandMenu({ open, onOpenChange, songId }: CommandMenuProps) {
  const navigate = useNavigate();
  const [sought, setSought] = useState('');
  const whole = useShelf(EVERY_SONG);
  // a shelf that fits one page is here already; a longer one is asked
  const asked = useDeferredValue(whole.hasNextPage ? sought : '');
  const shelf = useShelf({ ...EVERY_SONG, find: asked });
  const songs = shelf.data?.pages.flatMap((page) => page.songs) ?? [];
  const { homeKey, reader, naming, members } = useLens();
  const search = () => lensSearchNow();
  const choose = (action: () => void) => () => {
    onOpenChange(false);
    action();
  };
  const openPath = (pathname: string) => choose(() => void navigate({ pathname, search: search() }));
  const openSong = (id: string) =>
    choose(() => void navigate({ pathname: `/songs/${id}/chart`, search: lensSearch({ key: null, readerId: reader.id }) }));
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label="Go to"
      overlayClassName="fixed inset-0 z-40 bg-black/45"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(38rem,94vw)] -translate-x-1/2 overflow-hidden rounded-2xl border border-edge bg-raised"
    >
      <Command.Input
        value={sought}
        onValueChange={setSought}
        placeholder="A song, a key, a reader, a room"
        className="w-full border-b border-hairline bg-transparent px-5 py-4 text-lg outline-none placeholder:text-quiet"
      />
      <Command.List className="max-h-[56vh] overflow-auto p-2">
        <Command.Empty className="px-3 py-6 text-quiet">Nothing by that name.</Command.Empty>
        <Command.Group heading="Rooms" className={GROUP}>
          <Command.Item value="room neck fretboard voicings shapes" onSelect={openPath(neckPath(songId))} className={ITEM}>
            The neck
          </Command.Item>
          {rooms(songId).map((room) => (
            <Command.Item key={room.path} value={`room ${room.name}`} onSelect={openPath(room.path)} className={ITEM}>
              {room.name}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Songs" className={GROUP}>
          {songs.map((song) => (
            <Command.Item
              key={song.id}
              value={`song ${song.title} ${song.by} ${song.key} ${song.id}`}
              onSelect={openSong(song.id)}
              className={ITEM}
            >
              <span>{song.title || 'Song without a title'}</span>
              <span className="text-quiet">{song.key}</span>
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Words" className={GROUP}>
          {GLOSSARY.map(({ term, also }) => (
            <Command.Item
              key={term}
              value={`word ${term} ${also.join(' ')}`}
              onSelect={choose(() => openSheet({ kind: 'glossary', wanted: term }))}
              className={ITEM}
            >
              What is: {term}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Read in" className={GROUP}>
          {circleKeys('major').map((key) => (
            <Command.Item
              key={key.tonic}
              value={`key ${printKey(key)}`}
              onSelect={choose(() => setKey({ ...(homeKey ?? key), tonic: key.tonic }))}
              className={ITEM}
            >
              Key of {nameKey(key, naming)}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Read as" className={GROUP}>
          {[...(members ?? []).map((member) => memberChoice(member)), ...READER_CHOICES].map((choice) => (
            <Command.Item
              key={choice.id}
              value={`reader ${choice.label} ${choice.id}`}
              onSelect={choose(() => setReader(choice.id))}
              className={ITEM}
            >
              {choice.label}
            </Command.Item>
          ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}
