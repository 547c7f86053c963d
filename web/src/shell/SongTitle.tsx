import { useRef, useState } from 'react';
import { useMayWrite } from '../api/songs.ts';
import { chartOf } from '../document/open-chart.ts';
import { type ChartDraft, edit } from '../document/song-drafts.ts';
import { useDraftState, useSongDraft } from '../document/use-song-draft.ts';
import { useShortcuts } from '../session/use-shortcuts.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

/** As many letters as a title has on the shelf. */
const MOST_TITLE = 200;

interface SongTitleProps {
  readonly songId: string;
  /** What the song is called as long as it has no title. */
  readonly name: string;
}

/** An open song's title, edited where it stands: pressed, or with F2. Enter keeps it, Esc leaves it as it was. */
export function SongTitle({ songId, name }: SongTitleProps) {
  const { draft } = useSongDraft(songId);
  const mayWrite = useMayWrite();
  return draft === null || !mayWrite ? name : <Title draft={draft} name={name} />;
}

function Title({ draft, name }: { readonly draft: ChartDraft; readonly name: string }) {
  const { title } = chartOf(useDraftState(draft).value).reading.head;
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  useShortcuts({ F2: () => setOpen(true) });
  const close = (next: string | null) => {
    setOpen(false);
    if (next !== null && next.trim() !== title) edit(draft, { kind: 'head-line', name: 'title', value: next.trim() });
    // the keyboard is where it was
    requestAnimationFrame(() => button.current?.focus({ preventScroll: true }));
  };
  if (open) return <TitleField title={title} name={name} onDone={close} />;
  return (
    <button
      ref={button}
      type="button"
      title={HOUSE_WORDS.nameTheSong}
      aria-label={HOUSE_WORDS.titleOf(title || name)}
      onClick={() => setOpen(true)}
      className="block w-full cursor-text truncate rounded text-left hover:bg-wash"
    >
      {title || (
        <>
          {name} <span className="text-fine font-semibold text-accent">{HOUSE_WORDS.nameIt}</span>
        </>
      )}
    </button>
  );
}

interface FieldProps {
  readonly title: string;
  readonly name: string;
  readonly onDone: (title: string | null) => void;
}

function TitleField({ title, name, onDone }: FieldProps) {
  const [text, setText] = useState(title);
  const isDone = useRef(false);
  const done = (next: string | null) => {
    if (isDone.current) return;
    isDone.current = true;
    onDone(next);
  };
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: the title was pressed a moment ago
      autoFocus
      aria-label={HOUSE_WORDS.nameTheSong}
      value={text}
      placeholder={name}
      maxLength={MOST_TITLE}
      spellCheck={false}
      onFocus={({ currentTarget }) => currentTarget.select()}
      onChange={({ target }) => setText(target.value)}
      onBlur={() => done(text)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done(text);
        if (event.key === 'Escape') done(null);
      }}
      className="w-full min-w-0 rounded border border-accent bg-raised px-1 font-numeral text-lead font-bold"
    />
  );
}
