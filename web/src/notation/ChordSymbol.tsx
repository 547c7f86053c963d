import type { SymbolView } from './symbol-view.ts';

/** A chord symbol in real glyphs, sized by the text around it. */
export function ChordSymbol({ view, className = '' }: { readonly view: SymbolView; readonly className?: string }) {
  return (
    <span className={`music-glyph inline-flex items-baseline whitespace-nowrap leading-none ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true" className="inline-flex items-baseline">
        {view.prefix !== '' && <span className="mr-[0.04em] text-[0.72em]">{view.prefix}</span>}
        <span>{view.main}</span>
        {view.sign !== '' && <span className="ml-[0.06em] font-normal">{view.sign}</span>}
        {view.raised !== '' && <span className="ml-[0.06em] -translate-y-[0.52em] text-[0.5em] font-semibold">{view.raised}</span>}
        {view.bass !== null && (
          <span className="text-[0.72em]">
            <span className="mx-[0.06em] font-normal text-quiet">/</span>
            {view.bass}
          </span>
        )}
      </span>
    </span>
  );
}

/** A letter chord set on one line, as under a number or in a sentence. */
export function LetterSymbol({ view, className = '' }: { readonly view: SymbolView; readonly className?: string }) {
  return (
    <span className={`music-glyph whitespace-nowrap ${className}`}>
      <span className="sr-only">{view.label}</span>
      <span aria-hidden="true">
        {view.main}
        <span className="text-[0.88em]">{view.raised}</span>
        {view.bass !== null && `/${view.bass}`}
      </span>
    </span>
  );
}
