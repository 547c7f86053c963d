import { lazy, type ReactNode, Suspense } from 'react';
import { KeyLens } from './KeyLens.tsx';
import { ReaderLens } from './ReaderLens.tsx';

// nothing sounds before the page is there
const Loudness = lazy(async () => ({ default: (await import('./Loudness.tsx')).Loudness }));

interface TopBarProps {
  readonly title: string;
  readonly subtitle: ReactNode;
  readonly scaleIsFree: boolean;
  readonly volume: number;
  readonly onVolume: (volume: number) => void;
}

/** What is open, and the two lenses it is seen through. */
export function TopBar({ title, subtitle, scaleIsFree, volume, onVolume }: TopBarProps) {
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-hairline bg-sheet px-5 py-2.5">
      <div className="mr-auto min-w-0">
        <h1 className="truncate font-numeral text-head leading-tight font-bold">{title}</h1>
        <div className="flex gap-2 text-fine text-quiet">{subtitle}</div>
      </div>
      <KeyLens scaleIsFree={scaleIsFree} />
      <ReaderLens />
      <Suspense>
        <Loudness volume={volume} onVolume={onVolume} />
      </Suspense>
    </header>
  );
}
