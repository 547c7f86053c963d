import type { SymbolView } from '@aurora/core';
import { memo } from 'react';
import { Glyphs } from './Glyphs.tsx';

interface SymbolProps {
  readonly view: SymbolView;
  readonly className?: string;
}

/** A number chord in real glyphs, its quality raised, sized by the text around it. */
export const ChordSymbol = memo(function ChordSymbol({ view, className = '' }: SymbolProps) {
  return (
    <span className={`music-glyph inline-flex items-baseline whitespace-nowrap leading-none ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true" className="inline-flex items-baseline">
        {view.prefix !== '' && (
          <span className="mr-[0.05em] text-[0.8em]">
            <Glyphs text={view.prefix} />
          </span>
        )}
        <Glyphs text={view.main} />
        {view.sign !== '' && <span className="ml-[0.05em]">{view.sign}</span>}
        {view.raised !== '' && (
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
    </span>
  );
});

/** A letter chord set on one line, as under a number or in a sentence. */
export function LetterSymbol({ view, className = '' }: SymbolProps) {
  return (
    <span className={`music-glyph whitespace-nowrap ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true">
        <Glyphs text={`${view.main}${view.raised}${view.bass === null ? '' : `/${view.bass}`}`} />
      </span>
    </span>
  );
}
