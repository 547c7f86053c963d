import { useEffect, useRef, useState } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';

const SHOWN_MS = 2000;

/** The key and the capo, large for two seconds after either has changed. */
export function KeyFlash({ name, said, under }: { readonly name: string; readonly said: string; readonly under: string }) {
  const before = useRef(`${name} ${under}`);
  const [shown, setShown] = useState(false);
  useEffect(() => {
    if (before.current === `${name} ${under}`) return;
    before.current = `${name} ${under}`;
    setShown(true);
    const timer = window.setTimeout(() => setShown(false), SHOWN_MS);
    return () => window.clearTimeout(timer);
  }, [name, under]);
  return (
    <div role="status" className="pointer-events-none fixed inset-0 z-20 grid place-items-center">
      {shown && (
        <div className="rounded-2xl border border-edge bg-raised px-12 py-6 text-center shadow-lg">
          <p className="music-glyph font-numeral text-great leading-none font-bold">
            <Glyphs text={name} />
          </p>
          {under !== '' && <p className="music-glyph mt-2 text-figure">{under}</p>}
          {said !== '' && <p className="mt-1 text-lead text-quiet">{said}</p>}
        </div>
      )}
    </div>
  );
}
