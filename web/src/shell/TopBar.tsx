import { Volume2 } from 'lucide-react';
import { Slider } from 'radix-ui';
import type { ReactNode } from 'react';
import { setVolume } from '../audio/player.ts';
import { KeyLens } from '../lens/KeyLens.tsx';
import { ReaderLens } from '../lens/ReaderLens.tsx';

interface TopBarProps {
  readonly title: string;
  readonly subtitle: ReactNode;
  readonly scaleIsFree: boolean;
  readonly volume: number;
  readonly onVolume: (volume: number) => void;
}

/** What is open, and the two lenses it is seen through. */
export function TopBar({ title, subtitle, scaleIsFree, volume, onVolume }: TopBarProps) {
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-hairline bg-sheet px-5 py-2.5">
      <div className="mr-auto min-w-0">
        <h1 className="truncate font-numeral text-[22px] leading-tight font-bold">{title}</h1>
        <div className="flex gap-2 text-sm text-quiet">{subtitle}</div>
      </div>
      <KeyLens scaleIsFree={scaleIsFree} />
      <ReaderLens />
      <Loudness volume={volume} onVolume={onVolume} />
    </header>
  );
}

/** Loudness starts low and is remembered. */
function Loudness({ volume, onVolume }: { readonly volume: number; readonly onVolume: (volume: number) => void }) {
  return (
    <div className="flex items-center gap-2 max-lg:hidden">
      <Volume2 size={18} aria-hidden="true" className="text-quiet" />
      <Slider.Root
        value={[volume]}
        max={1}
        step={0.05}
        onValueChange={([wanted = 0]) => setVolume(wanted)}
        onValueCommit={([wanted = 0]) => onVolume(wanted)}
        className="relative flex h-11 w-24 touch-none items-center"
      >
        <Slider.Track className="relative h-1.5 grow rounded-full bg-hairline">
          <Slider.Range className="absolute h-full rounded-full bg-accent" />
        </Slider.Track>
        <Slider.Thumb aria-label="Loudness" className="block size-5 rounded-full border-2 border-accent bg-raised" />
      </Slider.Root>
    </div>
  );
}
