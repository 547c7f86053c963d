import { Layers } from 'lucide-react';
import { Popover } from 'radix-ui';
import { LAYER_NAMES, type Layer } from '../analyze/sheet-content.ts';
import { RidgeStrip } from '../ridge/RidgeStrip.tsx';
import { Button } from '../ui/Button.tsx';
import { Tick } from '../ui/Tick.tsx';

interface ChartRidgeProps {
  readonly heights: readonly number[];
  /** The chord that is selected, counted over the song. */
  readonly at: number | null;
  readonly onGo: (index: number) => void;
  readonly layer: Layer;
  readonly onLayer: (layer: Layer) => void;
}

/** The song's profile over its chart, and what of the analysis is laid over the bars. */
export function ChartRidge({ heights, at, onGo, layer, onLayer }: ChartRidgeProps) {
  const on = LAYER_NAMES.filter(([name]) => layer[name]).length;
  return (
    <div className="flex items-center gap-3 border-b border-hairline px-6 pt-2 pb-1">
      <RidgeStrip
        heights={heights}
        at={at}
        onGo={onGo}
        label={`The song’s ridge, ${heights.length} chords`}
        className="h-9 min-w-0 flex-1"
      />
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button look="bare">
            <Layers size={17} aria-hidden="true" /> Analysis{on === 0 ? '' : ` (${on})`}
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            aria-label="What is laid over the bars"
            className="z-30 rounded-xl border border-edge bg-raised px-4 py-2 shadow-lg"
          >
            {LAYER_NAMES.map(([name, label]) => (
              <Tick key={name} label={label} on={layer[name]} onTick={(next) => onLayer({ ...layer, [name]: next })} />
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
