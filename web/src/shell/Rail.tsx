import { BookOpenText, Keyboard, Languages, MoonStar, Sun } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { useLensSearch } from '../session/lens.ts';
import { rooms } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { Hint } from '../ui/Hint.tsx';

interface RailProps {
  readonly songId: string | undefined;
  readonly theme: 'paper' | 'night';
  readonly onTheme: () => void;
}

const SHEETS = [
  ['names', 'Names', 'What things are called', 'm', Languages],
  ['glossary', 'Words', 'Words of the trade', 'g', BookOpenText],
  ['keys', 'Keys', 'Every key', '?', Keyboard],
] as const;

const ENTRY = 'flex w-full flex-col items-center gap-1 rounded-xl px-1 py-2.5 text-fine font-semibold';

/** The way from room to room. */
export function Rail({ songId, theme, onTheme }: RailProps) {
  const { pathname } = useLocation();
  const search = useLensSearch();
  return (
    <nav
      aria-label="Rooms"
      className="flex w-[92px] shrink-0 flex-col items-center gap-1.5 border-r border-hairline px-2 py-3 max-md:w-[76px]"
      style={{ background: 'var(--sky)' }}
    >
      <RidgeMark />
      {rooms(songId).map(({ name, path, icon: Icon }) => {
        const here = path === '/' ? pathname === '/' : pathname.startsWith(path);
        return (
          <Link
            key={name}
            to={{ pathname: path, search }}
            aria-current={here ? 'page' : undefined}
            className={`${ENTRY} ${here ? 'bg-raised text-accent shadow-[inset_3px_0_0_var(--accent)]' : 'text-quiet hover:text-ink'}`}
          >
            <Icon size={23} strokeWidth={1.9} aria-hidden="true" />
            {name}
          </Link>
        );
      })}
      <div className="mt-auto flex w-full flex-col">
        <Hint text={theme === 'paper' ? 'Night' : 'Paper'} keys="d">
          <button type="button" onClick={onTheme} className={`${ENTRY} text-quiet hover:text-ink`}>
            {theme === 'paper' ? <MoonStar size={21} aria-hidden="true" /> : <Sun size={21} aria-hidden="true" />}
            {theme === 'paper' ? 'Night' : 'Paper'}
          </button>
        </Hint>
        {SHEETS.map(([kind, name, hint, keys, Icon]) => (
          <Hint key={kind} text={hint} keys={keys}>
            <button
              type="button"
              onClick={() => openSheet(kind === 'glossary' ? { kind, wanted: '' } : { kind })}
              className={`${ENTRY} text-quiet hover:text-ink`}
            >
              <Icon size={21} aria-hidden="true" />
              {name}
            </button>
          </Hint>
        ))}
      </div>
    </nav>
  );
}

/** The product's sign: a ridge over flat ground. */
function RidgeMark() {
  return (
    <svg viewBox="0 0 60 30" role="img" aria-label="Aurora Ridge" className="mb-3 w-14 text-accent">
      <path
        d="M2 26h11l8-11 8 7L41 4l17 22"
        fill="none"
        stroke="currentColor"
        strokeWidth="3.4"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}
