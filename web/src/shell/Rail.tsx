import { Link, useLocation } from 'react-router';
import { useBand } from '../api/songs.ts';
import { useLensLinks } from '../session/lens.ts';
import { isIn, type RoomId, rooms } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { Hint } from '../ui/Hint.tsx';
import {
  AnalyzeIcon,
  BandIcon,
  ChartIcon,
  HarmonizeIcon,
  HelpIcon,
  type Icon,
  NeckIcon,
  PracticeIcon,
  SettingsIcon,
  SongsIcon,
  StandIcon,
  YouIcon,
} from '../ui/icons.ts';
import { HOUSE_WORDS } from '../wording/house.ts';
import { PEOPLE_WORDS } from '../wording/people.ts';

const ICONS: Readonly<Record<RoomId, Icon>> = {
  songs: SongsIcon,
  harmonize: HarmonizeIcon,
  analyze: AnalyzeIcon,
  chart: ChartIcon,
  neck: NeckIcon,
  band: BandIcon,
  practice: PracticeIcon,
  stand: StandIcon,
  settings: SettingsIcon,
  you: YouIcon,
};

const ENTRY =
  'flex w-full min-w-0 flex-1 flex-col items-center justify-center gap-0.5 rounded-xl px-0.5 py-1.5 text-fine font-semibold md:flex-none md:py-2 phone:min-h-12 phone:flex-auto phone:w-auto phone:gap-0 phone:py-1 phone:leading-none';
const HERE = 'bg-raised text-accent shadow-[inset_3px_0_0_var(--accent)] phone:shadow-[inset_0_3px_0_var(--accent)]';

/** The way from room to room: at the left, and on a phone at the foot. */
export function Rail({ songId }: { readonly songId: string | undefined }) {
  const { pathname } = useLocation();
  const linkTo = useLensLinks();
  const you = useBand().data?.playerName ?? PEOPLE_WORDS.you;
  return (
    <nav
      aria-label={HOUSE_WORDS.rooms}
      className="no-print z-20 flex w-[84px] shrink-0 flex-col items-center gap-1 overflow-y-auto border-r border-hairline bg-sky px-1.5 py-2 phone:order-last phone:w-full phone:flex-row phone:gap-0 phone:overflow-x-auto phone:border-t phone:border-r-0 phone:px-1 phone:py-0.5 lying:order-first lying:w-[76px] lying:flex-col lying:border-t-0 lying:border-r"
    >
      <RidgeMark />
      {rooms(songId).map((room) => {
        const { id, name, path } = room;
        const Icon = ICONS[id];
        const here = isIn(room, pathname);
        return (
          <Link
            key={name}
            to={linkTo(path)}
            aria-current={here ? 'page' : undefined}
            className={`${ENTRY} ${here ? HERE : 'text-quiet hover:text-ink'}`}
          >
            <Icon size={22} strokeWidth={1.9} aria-hidden="true" className="shrink-0" />
            {name}
          </Link>
        );
      })}
      <div className="mt-auto flex w-full flex-col phone:hidden">
        <Hint text={HOUSE_WORDS.shortcutsAndGlossary} keys="?">
          <button type="button" onClick={() => openSheet({ kind: 'keys' })} className={`${ENTRY} text-quiet hover:text-ink`}>
            <HelpIcon size={21} aria-hidden="true" />
            {HOUSE_WORDS.help}
          </button>
        </Hint>
        <Hint text={PEOPLE_WORDS.youAndYourDevices}>
          <Link
            to="/you"
            aria-current={pathname === '/you' ? 'page' : undefined}
            className={`${ENTRY} ${pathname === '/you' ? HERE : 'text-quiet hover:text-ink'}`}
          >
            <YouIcon size={21} aria-hidden="true" />
            <span className="max-w-full truncate">{you}</span>
          </Link>
        </Hint>
        <Hint text={HOUSE_WORDS.notationInstrumentSoundTheme} keys=",">
          <Link
            to="/settings"
            aria-current={pathname === '/settings' ? 'page' : undefined}
            className={`${ENTRY} ${pathname === '/settings' ? HERE : 'text-quiet hover:text-ink'}`}
          >
            <SettingsIcon size={21} aria-hidden="true" />
            {HOUSE_WORDS.settings}
          </Link>
        </Hint>
      </div>
    </nav>
  );
}

/** The product's sign: a ridge over flat ground. */
function RidgeMark() {
  return (
    <svg viewBox="0 0 60 30" role="img" aria-label={HOUSE_WORDS.auroraRidge} className="mb-2 w-12 shrink-0 text-accent phone:hidden">
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
