import type { SymbolView } from '@aurora/core';
import { memo } from 'react';
import { Glyphs } from './Glyphs.tsx';

interface SymbolProps {
  readonly view: SymbolView;
  /** Where a long quality is set: raised beside its number, or on a line of its own under it. */
  readonly tail?: 'raised' | 'below';
  readonly className?: string;
}

/** A number chord in real glyphs, its quality raised, sized by the text around it. */
export const ChordSymbol = memo(function ChordSymbol({ view, tail = 'raised', className = '' }: SymbolProps) {
  const isBelow = tail === 'below' && view.raised !== '';
  return (
    <span data-symbol className={`music-glyph inline-flex flex-col items-center leading-none whitespace-nowrap ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true" className="inline-flex items-baseline">
        {view.prefix !== '' && (
          <span className="mr-[0.04em]">
            <Glyphs text={view.prefix} />
          </span>
        )}
        <Glyphs text={view.main} />
        {view.sign !== '' && <span className="ml-[0.05em]">{view.sign}</span>}
        {view.raised !== '' && !isBelow && (
          <span className="ml-[0.05em] -translate-y-[0.52em] text-[0.52em] font-bold">
            <Glyphs text={view.raised} />
          </span>
        )}
        {view.bass !== null && (
          <span className="text-[0.74em]">
            <span className="mx-[0.06em] font-normal text-quiet">/</span>
            <Glyphs text={view.bass} />
          </span>
        )}
      </span>
      {isBelow && (
        <span aria-hidden="true" className="mt-0.5 text-fine leading-tight font-bold">
          <Glyphs text={view.raised} />
        </span>
      )}
    </span>
  );
});

/** A letter chord set on one line, as under a number or in a sentence; its quality under it where the line is short. */
export function LetterSymbol({ view, tail = 'raised', className = '' }: SymbolProps) {
  const isBelow = tail === 'below' && view.raised !== '';
  const bass = view.bass === null ? '' : `/${view.bass}`;
  return (
    <span data-symbol className={`music-glyph whitespace-nowrap ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true">
        <Glyphs text={isBelow ? `${view.main}${bass}` : `${view.main}${view.raised}${bass}`} />
        {isBelow && (
          <span className="block text-fine leading-tight">
            <Glyphs text={view.raised} />
          </span>
        )}
      </span>
    </span>
  );
}
