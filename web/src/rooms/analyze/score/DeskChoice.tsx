import { Link, useLocation } from 'react-router';
import { TAB_LOOK } from '../../../ui/tab-look.ts';
import { SCORE_WORDS } from '../../../wording/score.ts';

const DESKS = [
  ['/analyze', SCORE_WORDS.chordsDesk],
  ['/analyze/score', SCORE_WORDS.scoreDesk],
] as const;

/** The two desks of the room: chords that are typed, and pieces with every note written. */
export function DeskChoice() {
  const { pathname } = useLocation();
  return (
    <nav aria-label={SCORE_WORDS.desks} className="no-print flex gap-1 border-b border-edge">
      {DESKS.map(([path, name]) => {
        const isHere = path === '/analyze' ? pathname === path : pathname.startsWith(path);
        return (
          <Link
            key={path}
            to={path}
            aria-current={isHere ? 'page' : undefined}
            data-state={isHere ? 'active' : 'inactive'}
            className={`${TAB_LOOK} inline-flex items-center`}
          >
            {name}
          </Link>
        );
      })}
    </nav>
  );
}
