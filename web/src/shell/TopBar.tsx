import { lazy, type ReactNode, Suspense } from 'react';
import { useOtherReader } from '../session/lens.ts';
import { usePhone } from '../session/use-media.ts';
import { MoreIcon } from '../ui/icons.ts';
import { LaterMenu } from '../ui/LaterMenu.tsx';
import { SlotPlace } from '../ui/Slot.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';
import { KeyLens } from './KeyLens.tsx';
import { ReaderLens } from './ReaderLens.tsx';
import { useIdle } from './use-idle.ts';

// nothing sounds before the page is there
const Loudness = lazy(async () => ({ default: (await import('./Loudness.tsx')).Loudness }));
const DeviceSigns = lazy(async () => ({ default: (await import('./DeviceSigns.tsx')).DeviceSigns }));
const SongTitle = lazy(async () => ({ default: (await import('./SongTitle.tsx')).SongTitle }));
const PhoneMenu = lazy(async () => ({ default: (await import('./PhoneMenu.tsx')).PhoneMenu }));

interface TopBarProps {
  readonly title: string;
  /** The open song, whose title can be edited where it stands. */
  readonly songId: string | undefined;
  /** The room a song is open in, for who does not see it; empty where the title says it. */
  readonly room: string;
  /** Under the title: whose it is, or whether it is saved. */
  readonly subtitle: ReactNode;
  /** Whether what is seen follows the lenses: elsewhere they are not there. */
  readonly hasLenses: boolean;
  readonly scaleIsFree: boolean;
}

/** What is open, what may be done with it, and the two lenses it is seen through where it is: one line. On a phone the lenses alone. */
export function TopBar({ title, songId, room, subtitle, hasLenses, scaleIsFree }: TopBarProps) {
  const isPhone = usePhone();
  // who reads as somebody else for this visit sees so in every room
  const hasReader = useOtherReader() !== null || hasLenses;
  if (isPhone) {
    return (
      <header className="no-print flex min-h-12 shrink-0 flex-wrap items-center gap-0.5 border-b border-hairline bg-sheet px-1 [&>div:first-child]:pl-2">
        {hasLenses ? <KeyLens scaleIsFree={scaleIsFree} /> : <Title title={title} songId={songId} room={room} subtitle={subtitle} />}
        <span className="mx-auto flex min-w-0 items-center gap-1">
          <LaterSigns />
        </span>
        {hasReader && <ReaderLens />}
        <LaterMenu
          trigger={
            <button
              type="button"
              aria-label={HOUSE_WORDS.settingsAndHelp}
              title={HOUSE_WORDS.settingsAndHelp}
              className="grid size-11 shrink-0 place-items-center rounded-lg"
            >
              <MoreIcon size={20} />
            </button>
          }
          menu={PhoneMenu}
          more={NOTHING}
        />
      </header>
    );
  }
  return (
    <header className="no-print flex min-h-13 flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline bg-sheet px-4 py-1">
      <Title title={title} songId={songId} room={room} subtitle={subtitle} />
      <SlotPlace name="tools" className="flex min-w-0 items-center gap-1 max-lg:order-last max-lg:w-full" />
      <div className="ml-auto flex min-w-0 items-center gap-2">
        <LaterSigns />
        {hasLenses && <KeyLens scaleIsFree={scaleIsFree} />}
        {hasReader && <ReaderLens />}
        <Suspense>
          <Loudness />
        </Suspense>
      </div>
    </header>
  );
}

type HeadProps = Pick<TopBarProps, 'title' | 'songId' | 'room' | 'subtitle'>;

/** On a phone the title and the tools go with the page; where there are no lenses the title has their place. */
export function PageHead({ title, songId, room, subtitle, hasLenses }: HeadProps & Pick<TopBarProps, 'hasLenses'>) {
  return (
    <div className={`flex flex-wrap items-center gap-x-2 px-3 pt-1 ${hasLenses ? 'min-h-14' : ''}`}>
      {hasLenses && <Title title={title} songId={songId} room={room} subtitle={subtitle} />}
      <SlotPlace name="tools" className="ml-auto flex min-w-0 flex-wrap items-center" />
    </div>
  );
}

function Title({ title, songId, room, subtitle }: HeadProps) {
  return (
    <div className="max-w-52 min-w-24 flex-1 py-0.5 phone:max-w-none 3xl:max-w-96">
      <h1 className="truncate font-numeral text-lead leading-tight font-bold">
        {songId === undefined ? (
          title
        ) : (
          <Suspense fallback={title}>
            <SongTitle songId={songId} name={title} />
          </Suspense>
        )}
        {room !== '' && <span className="sr-only">, {room}</span>}
      </h1>
      <div className="flex min-h-[1.1rem] gap-2 truncate text-fine text-quiet">{subtitle}</div>
    </div>
  );
}

const NOTHING = {};

/** What the device says of itself comes once the room is there. */
function LaterSigns() {
  const isIdle = useIdle();
  return isIdle ? (
    <Suspense>
      <DeviceSigns />
    </Suspense>
  ) : null;
}
