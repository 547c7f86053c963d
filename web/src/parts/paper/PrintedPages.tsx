import type { Drawing, Paper } from '@aurora/core';
import { createPortal } from 'react-dom';
import { DrawingView } from './DrawingView.tsx';

/** Out of sight until the browser prints; then the only thing there is. */
export function PrintedPages({ pages, paper }: { readonly pages: readonly Drawing[]; readonly paper: Paper }) {
  return createPortal(
    <div className="print-pages" aria-hidden="true">
      <style>{`@page { size: ${paper}; margin: 0; }`}</style>
      {pages.map((page) => (
        <DrawingView key={page.label} drawing={page} printed decorative />
      ))}
    </div>,
    document.body,
  );
}
