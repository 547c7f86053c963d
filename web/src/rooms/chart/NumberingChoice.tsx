import type { Numbering } from '@aurora/core';
import { chartOf } from '../../document/open-chart.ts';
import { Button } from '../../ui/Button.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

/** Minor keys can be numbered from their tonic or from the relative major; nothing is lost either way. */
export function NumberingChoice({ text, onRenumber }: { readonly text: string; readonly onRenumber: (to: Numbering) => void }) {
  const { key, numbering } = chartOf(text).reading.head;
  if (key.scale === 'major') return null;
  const isTonic = numbering === 'tonic';
  return (
    <p className="flex flex-wrap items-center gap-2 border-t border-hairline px-4 py-1 text-base">
      {isTonic ? CHART_WORDS.numberedFromTheMinorTonic : CHART_WORDS.numberedFromTheRelativeMajor}
      <Button look="bare" className="text-accent" onClick={() => onRenumber(isTonic ? 'relative' : 'tonic')}>
        {isTonic ? CHART_WORDS.numberItFromTheRelativeMajor : CHART_WORDS.numberItFromTheMinorTonic}
      </Button>
    </p>
  );
}
