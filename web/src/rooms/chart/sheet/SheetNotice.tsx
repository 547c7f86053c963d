import { MOST_CHART_BYTES } from '@aurora/wire';
import { usePhone } from '../../../session/use-media.ts';
import { Button } from '../../../ui/Button.tsx';
import { Notice } from '../../../ui/Notice.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { BarInput } from './BarInput.tsx';
import { chartText, type Typing } from './bar-typing.ts';
import type { SheetInput } from './sheet-input.ts';
import type { SheetInputState } from './sheet-state.ts';

/** A text that is too long is kept and not drawn. */
export function TooLongNotice({ text }: { readonly text: string }) {
  return (
    <Notice title={CHART_WORDS.tooLongForAChart}>
      <p>
        {CHART_WORDS.thisTextIs} {Math.round(text.length / 1024)} {CHART_WORDS.kBAChartCanBe} {MOST_CHART_BYTES / 1024}{' '}
        {CHART_WORDS.kBItStaysInTheText}
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
  const isPhone = usePhone();
  return (
    <div className="px-6 py-4">
      <div className="grid grid-cols-4 border-b border-hairline py-0.5">
        {typing === null ? (
          <Button look="plain" className="min-h-[84px]" onClick={() => input.openNew(0)}>
            {CHART_WORDS.writeTheFirstBar}
          </Button>
        ) : (
          <BarInput key={typing.bar} typing={typing} input={input} />
        )}
      </div>
      <p className="mt-4 max-w-xl text-base text-quiet">
        {CHART_WORDS.oneChordABarAsA} <b>1</b>, <b>4</b>, <b>6</b>{' '}
        {isPhone ? CHART_WORDS.andAMinusForMinorThumb : CHART_WORDS.andAMinusForMinorTab}
      </p>
      <Button className="mt-3" onClick={onPaste}>
        {CHART_WORDS.pasteASong}
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
      {CHART_WORDS.writtenAs} {chartText(charted.asCharted)}
      {CHART_WORDS.asTheKeyHasIt}
      <Button onClick={input.keepTyped}>
        {CHART_WORDS.keep} {chartText(charted.asTyped)}
      </Button>
    </p>
  );
}
