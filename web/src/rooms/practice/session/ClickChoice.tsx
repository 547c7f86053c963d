import { Popover } from 'radix-ui';
import type { ClickWish } from '../../../transport/clicks.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { LooksIcon } from '../../../ui/icons.ts';
import { Tick } from '../../../ui/Tick.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { useRun } from './run-store.ts';

const SUBDIVISIONS = [
  ['1', PRACTICE_WORDS.quarters],
  ['2', PRACTICE_WORDS.eighths],
  ['3', PRACTICE_WORDS.triplets],
  ['4', PRACTICE_WORDS.sixteenths],
] as const;

/** How the click goes, and what is heard beside it. */
export function ClickChoice() {
  const { click, heard } = useRun();
  const change = (part: Partial<ClickWish>) => useRun.setState({ click: { ...click, ...part } });
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button look="bare" className="ml-auto">
          <LooksIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.click}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          collisionPadding={12}
          aria-label={PRACTICE_WORDS.click}
          className="z-30 flex w-[min(24rem,92vw)] flex-col gap-2 rounded-2xl border border-edge bg-raised p-4"
        >
          <Choice
            label={PRACTICE_WORDS.clicksInABeat}
            value={String(click.subdivision) as (typeof SUBDIVISIONS)[number][0]}
            options={SUBDIVISIONS}
            onChange={(value) => change({ subdivision: Number(value) as ClickWish['subdivision'] })}
          />
          <Tick label={PRACTICE_WORDS.offBeat} on={click.offBeat} onTick={(offBeat) => change({ offBeat })} />
          <Tick label={PRACTICE_WORDS.silentBars} on={click.silentBars} onTick={(silentBars) => change({ silentBars })} />
          <Tick label={PRACTICE_WORDS.heard} on={heard} onTick={(on) => useRun.setState({ heard: on })} />
          <p className="text-fine text-quiet">{PRACTICE_WORDS.keepItQuiet}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
