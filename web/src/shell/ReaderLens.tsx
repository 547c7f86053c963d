import { lazy } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { useLens, useOtherReader } from '../session/lens.ts';
import { keyInForce, setReader } from '../session/lens-store.ts';
import { readerNote } from '../session/reader-view.ts';
import { ListIcon } from '../ui/icons.ts';
import { LaterMenu } from '../ui/LaterMenu.tsx';
import { Named } from '../ui/Named.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';

const ReaderMenu = lazy(async () => ({ default: (await import('./ReaderMenu.tsx')).ReaderMenu }));

/** Through whose eyes everything is read. The sounding key stays in sight. */
export function ReaderLens() {
  const state = useLens();
  const other = useOtherReader();
  const note = readerNote(state.reader, keyInForce(state), state.naming);
  const trigger = (
    <button
      type="button"
      className="flex h-11 max-w-52 min-w-0 flex-col items-start justify-center rounded-lg border border-edge bg-raised px-3 text-left leading-tight hover:border-accent phone:max-w-28 phone:shrink-0 phone:px-1.5"
    >
      <Named name={HOUSE_WORDS.reader(state.reader.label)} className="flex max-w-full min-w-0 flex-col items-start">
        <span className="flex max-w-full items-center gap-1 text-base leading-tight font-semibold whitespace-nowrap">
          <span className="truncate phone:hidden">{other === null ? state.reader.label : state.reader.short}</span>
          <span className="hidden truncate phone:inline">{state.reader.short}</span>
          <ListIcon size={16} aria-hidden="true" className="text-quiet" />
        </span>
        <span
          className="music-glyph max-w-full truncate text-fine leading-tight font-medium whitespace-nowrap text-quiet phone:sr-only"
          data-testid="reader-note"
        >
          <Glyphs text={note ?? HOUSE_WORDS.readsWhatSounds} />
        </span>
      </Named>
    </button>
  );
  // on a phone there is no room beside it: the way back is oneself in the list
  return (
    <span className="flex min-w-0 items-center gap-1">
      <LaterMenu trigger={trigger} menu={ReaderMenu} more={NOTHING} />
      {other !== null && (
        <button
          type="button"
          aria-label={HOUSE_WORDS.backToReader(other.own.short)}
          title={HOUSE_WORDS.readingAs(other.other.short, other.own.short)}
          onClick={() => setReader(null)}
          className="min-h-11 min-w-11 rounded-lg px-1.5 text-left text-fine leading-tight font-semibold whitespace-nowrap text-accent hover:bg-wash phone:hidden"
        >
          <span aria-hidden="true">↩ {other.own.short}</span>
        </button>
      )}
    </span>
  );
}

const NOTHING = {};
