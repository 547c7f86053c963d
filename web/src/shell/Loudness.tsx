import { Volume2 } from 'lucide-react';
import { Slider } from 'radix-ui';
import { setVolume } from '../transport/player.ts';

/** Loudness starts low and is remembered. */
export function Loudness({ volume, onVolume }: { readonly volume: number; readonly onVolume: (volume: number) => void }) {
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
