import { type Key, type Naming, nameKey } from '@aurora/core';
import { lazy, type ReactNode } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { stepKey } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { keyInForce, setKey } from '../session/lens-store.ts';
import { useOpened } from '../session/opened.ts';
import { Hint } from '../ui/Hint.tsx';
import { HomeKeyIcon, KeyDownIcon, KeyUpIcon } from '../ui/icons.ts';
import { LaterMenu } from '../ui/LaterMenu.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';

// what keys there are is only asked where somebody looks for one
const KeyMenu = lazy(async () => ({ default: (await import('./KeyMenu.tsx')).KeyMenu }));

const STEP =
  'grid size-11 shrink-0 phone:w-10 place-items-center rounded-lg border border-edge bg-raised hover:border-accent disabled:opacity-45';

interface KeyLensProps {
  readonly scaleIsFree: boolean;
}

/**
 * The key everything is read in, one press away from the next one; away from home it says so. Every
 * button keeps its place whatever the key is called: two presses are two half steps.
 */
export function KeyLens({ scaleIsFree }: KeyLensProps) {
  const { key: seen, homeKey, naming } = useLens();
  const key = keyInForce({ key: seen, homeKey });
  const home = homeKey === null ? null : nameKey(homeKey, naming);
  const away = seen !== null && home !== null;
  const tonight = useTonightWords(naming);
  return (
    <div role="group" aria-label={HOUSE_WORDS.key} className="flex items-center gap-1.5 phone:gap-0.5">
      <KeyStep text={HOUSE_WORDS.downAHalfStep} keys="[" name={HOUSE_WORDS.keyDownAHalfStep} onStep={() => setKey(stepKey(key, -1))}>
        <KeyDownIcon size={20} />
      </KeyStep>
      <LaterMenu
        opens="dialog"
        trigger={
          <button
            type="button"
            className="flex h-11 w-36 shrink-0 flex-col items-center justify-center rounded-lg border border-edge bg-raised leading-none hover:border-accent disabled:opacity-45 phone:w-20"
          >
            <KeyField seen={away ? key : null} shown={key} home={home} tonight={tonight} />
          </button>
        }
        menu={KeyMenu}
        more={{ current: key, scaleIsFree }}
      />
      <KeyStep text={HOUSE_WORDS.upAHalfStep} keys="]" name={HOUSE_WORDS.keyUpAHalfStep} onStep={() => setKey(stepKey(key, 1))}>
        <KeyUpIcon size={20} />
      </KeyStep>
      <Hint text={away ? HOUSE_WORDS.backTo(home) : HOUSE_WORDS.backToTheHomeKey} keys="\">
        <button
          type="button"
          aria-label={away ? HOUSE_WORDS.backToTheHomeKeyNamed(home) : HOUSE_WORDS.backToTheHomeKey}
          className={`${STEP} ${away ? 'text-accent' : 'invisible'}`}
          disabled={!away}
          onClick={() => setKey(null)}
        >
          <HomeKeyIcon size={18} />
        </button>
      </Hint>
    </div>
  );
}

/** What is said where the key is tonight's; null where it is the song's own. */
function useTonightWords(naming: Naming): string | null {
  const { home: own, resting } = useOpened();
  if (resting === null || own === null) return null;
  return resting.tonic === own.tonic ? HOUSE_WORDS.tonight : HOUSE_WORDS.tonightHome(nameKey(own, naming));
}

interface KeyStepProps {
  readonly text: string;
  readonly keys: string;
  readonly name: string;
  readonly onStep: () => void;
  readonly children: ReactNode;
}

function KeyStep({ text, keys, name, onStep, children }: KeyStepProps) {
  return (
    <Hint text={text} keys={keys}>
      <button type="button" aria-label={name} className={STEP} onClick={onStep}>
        {children}
      </button>
    </Hint>
  );
}

interface KeyFieldProps {
  /** The key that is seen, away from home. */
  readonly seen: Key | null;
  readonly shown: Key;
  readonly home: string | null;
  /** What is said where the key is tonight's; null where it is the song's own. */
  readonly tonight: string | null;
}

function KeyField({ seen, shown, home, tonight }: KeyFieldProps) {
  const { naming } = useLens();
  return (
    <>
      <span className="music-glyph max-w-full truncate px-1 text-fine leading-tight whitespace-nowrap text-quiet" data-testid="key-role">
        <Glyphs text={roleOf(seen !== null, home, tonight)} />
      </span>
      <span className="music-glyph max-w-full truncate px-1 text-lead leading-tight font-bold" data-testid="key-in-force">
        <Glyphs text={nameKey(shown, naming)} />
      </span>
    </>
  );
}

/** What the key is: the song's own, one it is only read in, or tonight's. */
function roleOf(away: boolean, home: string | null, tonight: string | null): string {
  if (away && home !== null) return HOUSE_WORDS.home(home);
  if (tonight !== null) return tonight;
  return home === null ? HOUSE_WORDS.key : HOUSE_WORDS.homeKey;
}
