import { MOST_CHART_BYTES } from '@aurora/wire';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { BarInput } from './BarInput.tsx';
import { chartText, type Typing } from './bar-typing.ts';
import type { SheetInput, SheetInputState } from './sheet-input.ts';

/** A text that is too long is kept and not drawn. */
export function TooLongNotice({ text }: { readonly text: string }) {
  return (
    <Notice title="Too long for a chart">
      <p>
        This text is {Math.round(text.length / 1024)} KB; a chart can be {MOST_CHART_BYTES / 1024} KB. It stays in the text pane and on this
        device. Take something out and it is saved again.
      </p>
    </Notice>
  );
}

interface EmptyChartProps {
  readonly typing: Typing | null;
  readonly input: SheetInput;
  readonly onPaste: () => void;
}

/** A chart without bars: the first one is open to be typed. */
export function EmptyChart({ typing, input, onPaste }: EmptyChartProps) {
  return (
    <div className="px-6 py-4">
      <div className="grid grid-cols-4 border-b border-hairline py-0.5">
        {typing === null ? (
          <Button look="plain" className="min-h-[84px]" onClick={() => input.openNew(0)}>
            Write the first bar
          </Button>
        ) : (
          <BarInput key={typing.bar} typing={typing} input={input} />
        )}
      </div>
      <p className="mt-4 max-w-xl text-base text-quiet">
        One chord a bar, as a number: <b>1</b>, <b>4</b>, <b>6</b> and a minus for minor. Tab goes on to the next bar. Letters work too;
        they are read in the key over the chart.
      </p>
      <Button className="mt-3" onClick={onPaste}>
        Paste a song
      </Button>
    </div>
  );
}

/** Says that letters were written as another degree than typed, with the way back. */
export function ChartedNotice({ charted, input }: { readonly charted: SheetInputState['charted']; readonly input: SheetInput }) {
  if (charted === null) return null;
  return (
    <p
      role="status"
      className="sticky bottom-2 z-10 mx-auto mt-2 flex w-fit items-center gap-3 rounded-lg border border-hairline bg-raised px-3 py-1 text-base"
    >
      Written as {chartText(charted.asCharted)}, as the key has it.
      <Button onClick={input.keepTyped}>Keep {chartText(charted.asTyped)}</Button>
    </p>
  );
}
