import { GLOSSARY, nameKey } from '@aurora/core';
import type { SongSummary } from '@aurora/wire';
import { Command } from 'cmdk';
import { type ReactNode, useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { type ShelfWish, useShelf } from '../api/songs.ts';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { keyWordsOf } from '../parts/song/shelf-view.ts';
import { songName } from '../parts/song/song-name.ts';
import { circleKeys } from '../session/key-view.ts';
import { useLens, useNaming } from '../session/lens.ts';
import { lensLink, lensSearch, setKey, setReader, useLensStore } from '../session/lens-store.ts';
import { memberChoice, READER_CHOICES } from '../session/reader-view.ts';
import { neckPath, rooms } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { useFocusBackAfter } from '../ui/keyboard/use-focus-back.ts';
import { HELP_WORDS } from '../wording/help.ts';
import { HOUSE_WORDS } from '../wording/house.ts';
import { matchScore } from './match-score.ts';

interface CommandMenuProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly songId: string | undefined;
}

const GROUP =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-fine [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-quiet';

const EVERY_SONG: ShelfWish = { find: '', pattern: '', tag: null, sort: 'title', archived: false };

/** Songs before rooms where both fit alike: there are more of them to tell apart. */
const filter = (value: string, sought: string, names: string[] = []) => matchScore(sought, names) * (value.startsWith('song') ? 1 : 0.99);

/** Does something and closes the menu. */
type Choose = (action: () => void) => () => void;

/** Type a few letters to go to a song, a key, a reader or a room; what fits best comes first. */
export function CommandMenu({ open, onOpenChange, songId }: CommandMenuProps) {
  useFocusBackAfter();
  const [sought, setSought] = useState('');
  const { songs, isWhole } = useSongsSought(sought);
  const choose: Choose = (action) => () => {
    onOpenChange(false);
    action();
  };
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label={HELP_WORDS.goTo}
      filter={filter}
      overlayClassName="fixed inset-0 z-40 bg-black/45"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(38rem,94vw)] -translate-x-1/2 overflow-hidden rounded-2xl border border-edge bg-raised"
    >
      <Command.Input
        value={sought}
        onValueChange={setSought}
        placeholder={HELP_WORDS.aSongAKeyAReader}
        className="w-full border-b border-hairline bg-transparent px-5 py-4 text-lead placeholder:text-quiet"
      />
      <Command.List className="max-h-[56vh] overflow-auto p-2">
        <Command.Empty className="px-3 py-6 text-quiet">
          {isWhole ? HELP_WORDS.nothingByThatName : HELP_WORDS.lookingThroughTheSongs}
        </Command.Empty>
        <RoomItems songId={songId} choose={choose} />
        <SongItems songs={songs} choose={choose} />
        <WordItems choose={choose} />
        <KeyItems choose={choose} />
        <ReaderItems choose={choose} />
      </Command.List>
    </Command.Dialog>
  );
}

/** The songs that may be meant: a shelf that fits one page is here already; a longer one is asked. */
function useSongsSought(sought: string): { readonly songs: readonly SongSummary[]; readonly isWhole: boolean } {
  const whole = useShelf(EVERY_SONG);
  const asked = useDeferredValue(whole.hasNextPage ? sought : '');
  const shelf = useShelf({ ...EVERY_SONG, find: asked });
  return { songs: shelf.data?.pages.flatMap((page) => page.songs) ?? [], isWhole: shelf.isSuccess && !shelf.isPlaceholderData };
}

interface ItemProps {
  /** What it is told apart by. */
  readonly id: string;
  /** What it may be called, the first name first. */
  readonly names: readonly string[];
  readonly onChoose: () => void;
  readonly children: ReactNode;
}

function Item({ id, names, onChoose, children }: ItemProps) {
  return (
    <Command.Item
      value={id}
      keywords={[...names]}
      onSelect={onChoose}
      className="flex min-h-11 items-center justify-between gap-4 rounded-lg px-3 text-base data-[selected=true]:bg-wash"
    >
      {children}
    </Command.Item>
  );
}

function RoomItems({ songId, choose }: { readonly songId: string | undefined; readonly choose: Choose }) {
  const navigate = useNavigate();
  const to = (pathname: string) => choose(() => void navigate(lensLink(pathname)));
  return (
    <Command.Group heading={HOUSE_WORDS.rooms} className={GROUP}>
      {rooms(songId).map(({ name, path }) => (
        <Item key={path} id={`room ${name}`} names={[name]} onChoose={to(path)}>
          {name}
        </Item>
      ))}
      <Item id="room neck" names={[HELP_WORDS.theNeck, 'neck', 'fretboard', 'voicings', 'shapes']} onChoose={to(neckPath(songId))}>
        {HELP_WORDS.theNeck}
      </Item>
    </Command.Group>
  );
}

function SongItems({ songs, choose }: { readonly songs: readonly SongSummary[]; readonly choose: Choose }) {
  const navigate = useNavigate();
  const { naming } = useLens();
  const open = (id: string) =>
    choose(
      () =>
        void navigate({ pathname: `/songs/${id}/chart`, search: lensSearch({ key: null, readerId: useLensStore.getState().readerId }) }),
    );
  return (
    <Command.Group heading={HOUSE_WORDS.songs} className={GROUP}>
      {songs.map(({ id, by, key, ...song }) => (
        <Item key={id} id={`song ${id}`} names={[songName(song), by]} onChoose={open(id)}>
          <span>{songName(song)}</span>
          <span className="music-glyph text-quiet">
            <Glyphs text={keyWordsOf(key, naming)} />
          </span>
        </Item>
      ))}
    </Command.Group>
  );
}

function WordItems({ choose }: { readonly choose: Choose }) {
  return (
    <Command.Group heading={HELP_WORDS.glossary} className={GROUP}>
      {GLOSSARY.map(({ term, also }) => (
        <Item key={term} id={`word ${term}`} names={[term, ...also]} onChoose={choose(() => openSheet({ kind: 'glossary', wanted: term }))}>
          {HELP_WORDS.whatIs} {term}
        </Item>
      ))}
    </Command.Group>
  );
}

function KeyItems({ choose }: { readonly choose: Choose }) {
  const { homeKey } = useLens();
  const naming = useNaming();
  return (
    <Command.Group heading={HELP_WORDS.readIn} className={GROUP}>
      {circleKeys('major').map((key) => (
        <Item
          key={key.tonic}
          id={`key ${key.tonic}`}
          names={[nameKey(key, naming), HELP_WORDS.keyOf(nameKey(key, naming))]}
          onChoose={choose(() => setKey({ ...(homeKey ?? key), tonic: key.tonic }))}
        >
          <span className="music-glyph">
            {HELP_WORDS.keyOfWord} <Glyphs text={nameKey(key, naming)} />
          </span>
        </Item>
      ))}
    </Command.Group>
  );
}

function ReaderItems({ choose }: { readonly choose: Choose }) {
  const { members } = useLens();
  const choices = [...(members ?? []).map((member) => memberChoice(member)), ...READER_CHOICES];
  return (
    <Command.Group heading={HELP_WORDS.readAs} className={GROUP}>
      {choices.map(({ id, label }) => (
        <Item key={id} id={`reader ${id}`} names={[label]} onChoose={choose(() => setReader(id))}>
          <Glyphs text={label} />
        </Item>
      ))}
    </Command.Group>
  );
}
