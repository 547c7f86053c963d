import { ChevronDown } from 'lucide-react';
import { lazy } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { useLens } from '../session/lens.ts';
import { keyInForce } from '../session/lens-store.ts';
import { readerNote } from '../session/reader-view.ts';
import { LaterMenu } from '../ui/LaterMenu.tsx';

const ReaderMenu = lazy(async () => ({ default: (await import('./ReaderMenu.tsx')).ReaderMenu }));

/** Through whose eyes everything is read. The sounding key stays in sight. */
export function ReaderLens() {
  const state = useLens();
  const note = readerNote(state.reader, keyInForce(state), state.naming);
  const trigger = (
    <button
      type="button"
      aria-label={`Reader: ${state.reader.label}`}
      className="flex min-h-11 flex-col items-start rounded-lg border border-edge bg-raised px-3 py-1 text-left leading-tight hover:border-accent"
    >
      <span className="flex items-center gap-1 text-base font-semibold whitespace-nowrap">
        {state.reader.label}
        <ChevronDown size={16} aria-hidden="true" className="text-quiet" />
      </span>
      <span className="music-glyph text-fine font-medium whitespace-nowrap text-quiet" data-testid="reader-note">
        <Glyphs text={note ?? 'reads what sounds'} />
      </span>
    </button>
  );
  return <LaterMenu trigger={trigger} menu={ReaderMenu} more={NOTHING} />;
}

const NOTHING = {};
