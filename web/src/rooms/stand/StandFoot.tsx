import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { CloseIcon, KeyDownIcon, KeyUpIcon, LooksIcon } from '../../ui/icons.ts';
import { STAND_WORDS } from '../../wording/stand.ts';
import { NextLine, type NextSong } from './NextUp.tsx';
import { useStandLook } from './stand-look.ts';

export const ROUND = 'grid size-11 shrink-0 place-items-center rounded-lg border border-edge hover:border-accent disabled:opacity-45';

interface StandFootProps {
  readonly title: string;
  /** `Verse · page 2 of 3`. */
  readonly where: string;
  /** The key as the reader reads it, and what sounds where that is another. */
  readonly keyName: string;
  readonly sounds: string;
  /** Whether hands are there; else only what is read is in sight. */
  readonly handled: boolean;
  /** Whether the chart has repeats or jumps to play out. */
  readonly isFolded: boolean;
  readonly away: { readonly pathname: string; readonly search: string } | null;
  readonly onStep: (semitones: 1 | -1) => void;
  readonly next: NextSong | null;
  /** What else stands at the foot. */
  readonly children: ReactNode;
}

const TURNS = [
  ['pages', STAND_WORDS.pages],
  ['lines', STAND_WORDS.lineByLine],
] as const;

const FORMS = [
  ['written', STAND_WORDS.asWritten],
  ['played', STAND_WORDS.playedOut],
] as const;

const LIGHTS = [
  ['night', STAND_WORDS.dark],
  ['paper', STAND_WORDS.light],
] as const;

/** At the foot of the stand: where one is and in which key; with a hand near, everything that can be changed. */
export function StandFoot({ title, where, keyName, sounds, handled, isFolded, away, onStep, next, children }: StandFootProps) {
  const fade = `transition-opacity ${handled ? '' : 'pointer-events-none opacity-0 has-[:focus-visible]:pointer-events-auto has-[:focus-visible]:opacity-100'}`;
  return (
    <footer className="flex shrink-0 items-center gap-x-3 gap-y-1 border-t border-hairline px-3 py-1 phone:grid phone:grid-cols-[1fr_auto_1fr] phone:gap-x-1">
      <span className="flex min-w-0 flex-1 items-baseline gap-3 whitespace-nowrap phone:col-span-3 phone:flex-wrap phone:gap-y-0">
        <h1 className="truncate font-numeral text-lead font-bold phone:line-clamp-2 phone:whitespace-normal">{title}</h1>
        <span className="truncate text-base text-quiet" data-testid="stand-where">
          {where}
        </span>
      </span>
      {next !== null && (
        <div className="max-w-[34%] phone:col-span-3 phone:max-w-none">
          <NextLine next={next} />
        </div>
      )}
      <div className={`flex items-center gap-2 phone:gap-1 ${fade}`}>
        {children}
        <StandLooks isFolded={isFolded} />
        <Hint text={STAND_WORDS.downAHalfStep} keys="[">
          <button type="button" aria-label={STAND_WORDS.keyDownAHalfStep} className={ROUND} onClick={() => onStep(-1)}>
            <KeyDownIcon size={20} />
          </button>
        </Hint>
      </div>
      <span className="music-glyph min-w-14 text-center text-head leading-none font-bold" data-testid="stand-key">
        <Glyphs text={keyName} />
        {sounds !== '' && <span className="block text-fine font-normal text-quiet">{sounds}</span>}
      </span>
      <div className={`flex items-center justify-end gap-2 phone:gap-1 ${fade}`}>
        <Hint text={STAND_WORDS.upAHalfStep} keys="]">
          <button type="button" aria-label={STAND_WORDS.keyUpAHalfStep} className={ROUND} onClick={() => onStep(1)}>
            <KeyUpIcon size={20} />
          </button>
        </Hint>
        {away !== null && (
          <Hint text={STAND_WORDS.offTheStand} keys="Esc">
            <Link to={away} aria-label={STAND_WORDS.offTheStand} className={ROUND}>
              <CloseIcon size={20} />
            </Link>
          </Hint>
        )}
      </div>
    </footer>
  );
}

/** How the chart turns, and whether its form is played out. It closes with a choice, so that the pedal turns again. */
function StandLooks({ isFolded }: Pick<StandFootProps, 'isFolded'>) {
  const look = useStandLook();
  const [open, setOpen] = useState(false);
  const put = (change: Partial<typeof look>) => {
    useStandLook.setState(change);
    setOpen(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Hint text={STAND_WORDS.howItTurns}>
        <Popover.Trigger aria-label={STAND_WORDS.howItTurns} className={ROUND}>
          <LooksIcon size={20} />
        </Popover.Trigger>
      </Hint>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={8}
          aria-label={STAND_WORDS.howItTurns}
          className="z-50 flex flex-col gap-2 rounded-xl border border-edge bg-raised p-3 shadow-lg"
        >
          <Choice label={STAND_WORDS.howItTurns} value={look.turn} options={TURNS} onChange={(turn) => put({ turn })} />
          <Choice label={STAND_WORDS.theLight} value={look.theme} options={LIGHTS} onChange={(theme) => put({ theme })} />
          {isFolded && <Choice label={STAND_WORDS.repeatsAndJumps} value={look.form} options={FORMS} onChange={(form) => put({ form })} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
