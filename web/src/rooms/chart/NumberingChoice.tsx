import { openChart, renumber } from '@aurora/core';
import { useMemo } from 'react';
import { Button } from '../../ui/Button.tsx';

/** Minor keys can be numbered from their tonic or from the relative major; nothing is lost either way. */
export function NumberingChoice({ text, onWrite }: { readonly text: string; readonly onWrite: (text: string) => void }) {
  const chart = useMemo(() => openChart(text), [text]);
  const { key, numbering } = chart.reading.head;
  if (key.scale === 'major') return null;
  const isTonic = numbering === 'tonic';
  return (
    <p className="flex flex-wrap items-center gap-2 border-t border-hairline px-4 py-1 text-[15px]">
      {isTonic ? 'Numbered from the minor tonic.' : 'Numbered from the relative major.'}
      <Button look="bare" className="text-accent" onClick={() => onWrite(renumber(chart, isTonic ? 'relative' : 'tonic'))}>
        {isTonic ? 'Number it from the relative major' : 'Number it from the minor tonic'}
      </Button>
    </p>
  );
}
