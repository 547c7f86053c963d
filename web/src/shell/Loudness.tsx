import { Popover } from 'radix-ui';
import { setDevice, useDevice } from '../session/device-store.ts';
import { Hint } from '../ui/Hint.tsx';
import { LoudIcon, QuietIcon, SilentIcon } from '../ui/icons.ts';
import { Slider } from '../ui/Slider.tsx';
import { HELP_WORDS } from '../wording/help.ts';

const LOUD = 0.5;

/** Loudness, a press away; it starts low and is the device's own. */
export function Loudness() {
  const volume = useDevice((state) => state.volume);
  const Icon = volume === 0 ? SilentIcon : volume < LOUD ? QuietIcon : LoudIcon;
  return (
    <Popover.Root>
      <Hint text={HELP_WORDS.loudness}>
        <Popover.Trigger aria-label={HELP_WORDS.loudness} className="grid size-11 place-items-center rounded-lg text-quiet hover:bg-wash">
          <Icon size={20} />
        </Popover.Trigger>
      </Hint>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          aria-label={HELP_WORDS.loudness}
          className="z-50 rounded-xl border border-edge bg-raised px-4 py-1 shadow-lg"
        >
          <LoudnessSlider />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** How loud everything sounds. */
export function LoudnessSlider() {
  const volume = useDevice((state) => state.volume);
  return (
    <Slider
      label={HELP_WORDS.loudness}
      value={volume}
      min={0}
      max={1}
      step={0.05}
      said={HELP_WORDS.of100(Math.round(volume * 100))}
      onChange={(wanted) => setDevice({ volume: wanted })}
    />
  );
}
