import { useState } from 'react';
import { Link } from 'react-router';
import { EVERYTHING, type ShelfWish, useBand, useMayWrite, useShelf, useTags } from '../../api/songs.ts';
import { readHint, useDevice } from '../../session/device-store.ts';
import { Button, buttonLook } from '../../ui/Button.tsx';
import { Chip } from '../../ui/Chip.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { ArchiveIcon, CloseIcon, FindIcon, GoOnIcon } from '../../ui/icons.ts';
import { Notice } from '../../ui/Notice.tsx';
import { Select } from '../../ui/Select.tsx';
import { Soon } from '../../ui/Soon.tsx';
import { SHELF_WORDS } from '../../wording/shelf.ts';
import { NewSongMenu } from './NewSongMenu.tsx';
import { ShelfRow } from './ShelfRow.tsx';
import { soughtBy } from './shelf-wish.ts';
import { usePatternRead } from './use-pattern-read.ts';
import { usePaused } from './use-paused.ts';

const SORTS = [
  ['title', SHELF_WORDS.byTitle],
  ['key', SHELF_WORDS.byKey],
  ['tempo', SHELF_WORDS.byTempo],
  ['saved', SHELF_WORDS.lastSavedFirst],
] as const;

/** The band's songs: found by words, by tag, or by a number pattern in any key and rotation. */
export function Shelf() {
  const band = useBand();
  const [wish, setWish] = useState(EVERYTHING);
  const ask = (part: Partial<ShelfWish>) => setWish({ ...wish, ...part });
  const { fault, mayAsk } = usePatternRead(wish.pattern);
  const asked = usePaused(mayAsk ? wish : { ...wish, pattern: '' });
  const shelf = useShelf(asked);
  const mayWrite = useMayWrite();
  const wrong = band.error ?? shelf.error;
  if (wrong !== null && shelf.data === undefined) {
    return (
      <Notice
        title={SHELF_WORDS.theSongShelfCannotBeReached}
        action={<Button onClick={() => void Promise.all([band.refetch(), shelf.refetch()])}>{SHELF_WORDS.tryAgain}</Button>}
      >
        <p>{wrong.message}</p>
      </Notice>
    );
  }
  return (
    <div className="mx-auto max-w-5xl px-6 py-3 phone:px-3 3xl:max-w-7xl">
      <Find wish={wish} fault={fault} onAsk={ask} />
      <Narrow wish={wish} onAsk={ask} />
      {mayWrite && <BeginLine />}
      <Songs shelf={shelf} wish={wish} />
    </div>
  );
}

interface AskProps {
  readonly wish: ShelfWish;
  readonly onAsk: (part: Partial<ShelfWish>) => void;
}

/** What is sought, and the ways to a new song. */
function Find({ wish, fault, onAsk }: AskProps & { readonly fault: string | null }) {
  const mayWrite = useMayWrite();
  return (
    <div className="no-print mb-2 flex flex-wrap items-start gap-2">
      <div className="min-w-40 flex-1">
        <Field typed={wish.pattern || wish.find} isChords={wish.pattern !== ''} onType={(typed) => onAsk(soughtBy(typed))} />
        {fault !== null && (
          <p role="status" className="mt-1 text-fine text-quiet">
            {fault}
          </p>
        )}
      </div>
      {mayWrite && <NewSongMenu />}
    </div>
  );
}

/** In which order, with which tag, and whether those put away: one line. */
function Narrow({ wish, onAsk }: AskProps) {
  return (
    <div className="no-print mb-2 flex items-center gap-1.5 overflow-x-auto p-0.5 phone:-mx-3 phone:px-3">
      <label>
        <span className="sr-only">{SHELF_WORDS.sort}</span>
        <Select value={wish.sort} onChange={(event) => onAsk({ sort: event.target.value as ShelfWish['sort'] })}>
          {SORTS.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </Select>
      </label>
      <Tags chosen={wish.tag} onChoose={(tag) => onAsk({ tag })} />
      <Button
        look="bare"
        aria-pressed={wish.archived}
        className="ml-auto text-quiet aria-pressed:bg-wash aria-pressed:text-ink"
        onClick={() => onAsk({ archived: !wish.archived })}
      >
        <ArchiveIcon size={17} aria-hidden="true" /> {SHELF_WORDS.archived}
      </Button>
    </div>
  );
}

interface SongsProps {
  readonly shelf: ReturnType<typeof useShelf>;
  readonly wish: ShelfWish;
}

/** The songs that were found; that there are none is said once it is known. */
function Songs({ shelf, wish }: SongsProps) {
  const songs = shelf.data?.pages.flatMap((page) => page.songs);
  const isWhole = wish.find === '' && wish.pattern === '' && wish.tag === null && !wish.archived;
  return (
    <>
      {songs === undefined ? (
        <p role="status" className="p-4 text-quiet">
          {SHELF_WORDS.fetchingTheSongs}
        </p>
      ) : (
        <ul aria-label={SHELF_WORDS.songs} className="border-t border-hairline">
          <Soon instead={null}>
            {songs.map((song) => (
              <ShelfRow key={song.id} song={song} />
            ))}
          </Soon>
        </ul>
      )}
      {songs?.length === 0 && isWhole && (
        <Notice title={SHELF_WORDS.noSongsYet} action={<BeginLink />}>
          <p>{SHELF_WORDS.startWithWhatYouJustPlayed}</p>
        </Notice>
      )}
      {songs?.length === 0 && !isWhole && (
        <p className="px-3 py-6 text-quiet">{wish.archived ? SHELF_WORDS.noSongIsArchived : SHELF_WORDS.noSongHereIsLikeThat}</p>
      )}
      {shelf.hasNextPage && (
        <Button className="mt-4" disabled={shelf.isFetchingNextPage} onClick={() => void shelf.fetchNextPage()}>
          {shelf.isFetchingNextPage ? SHELF_WORDS.fetching : SHELF_WORDS.moreSongs}
        </Button>
      )}
    </>
  );
}

interface FieldProps {
  readonly typed: string;
  /** Whether what is typed is taken for chords. */
  readonly isChords: boolean;
  readonly onType: (typed: string) => void;
}

/** Title, key or chords: what is typed says itself which. */
function Field({ typed, isChords, onType }: FieldProps) {
  return (
    <label className="relative block">
      <span className="sr-only">{SHELF_WORDS.findASong}</span>
      <FindIcon size={18} aria-hidden="true" className="absolute top-3.5 left-3 text-quiet" />
      <input
        type="search"
        value={typed}
        maxLength={200}
        onChange={(event) => onType(event.target.value)}
        placeholder={SHELF_WORDS.titleKeyOrChords}
        className={`min-h-11 w-full rounded-lg border border-edge bg-raised pr-3 pl-10 text-base placeholder:text-quiet ${isChords ? 'music-glyph font-semibold' : ''}`}
      />
    </label>
  );
}

function Tags({ chosen, onChoose }: { readonly chosen: string | null; readonly onChoose: (tag: string | null) => void }) {
  const tags = useTags().data ?? [];
  return (
    <>
      {tags.map(({ tag, songs }) => (
        <Chip key={tag} on={chosen === tag} onClick={() => onChoose(chosen === tag ? null : tag)}>
          {tag} <span className="font-normal">{songs}</span>
        </Chip>
      ))}
    </>
  );
}

/** The way to a first song of one's own. */
function BeginLink() {
  return (
    <Link to="/begin" className={buttonLook('plain')}>
      {SHELF_WORDS.whatDidYouJustPlay} <GoOnIcon size={18} aria-hidden="true" />
    </Link>
  );
}

/** For whoever is here for the first time; it goes with the first song, or when it is put away. */
function BeginLine() {
  const isRead = useDevice(({ hintsRead }) => hintsRead.includes('begin'));
  if (isRead) return null;
  return (
    <div
      role="note"
      aria-label={SHELF_WORDS.hint}
      className="mb-2 flex flex-wrap items-center gap-x-3 rounded-xl bg-wash py-1 pl-4 text-base phone:hidden"
    >
      <p className="min-w-48 flex-1">{SHELF_WORDS.newHerePressFourChordsAnd}</p>
      <BeginLink />
      <Hint text={SHELF_WORDS.hideThisHint}>
        <button
          type="button"
          aria-label={SHELF_WORDS.hideThisHint}
          onClick={() => readHint('begin')}
          className="grid size-11 place-items-center rounded-lg"
        >
          <CloseIcon size={17} />
        </button>
      </Hint>
    </div>
  );
}
