import { lazy, Suspense } from 'react';
import { ridgeList, ridgeWords } from '../../parts/analysis/analysis-view.ts';
import { Word } from '../../parts/glossary/Word.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import { RidgeLegend } from './RidgeLegend.tsx';
import type { RidgeProps } from './RidgePicture.tsx';

// what draws it is as large as a room
const RidgePicture = lazy(async () => ({ default: (await import('./RidgePicture.tsx')).RidgePicture }));

/** The song's profile: each chord a plateau as wide as it lasts and as high as it is far from home; keys are the floor it stands on. */
export function Ridge(picture: RidgeProps) {
  const { profile, names, isLow } = picture;
  if (profile.spans.length === 0) return null;
  return (
    <figure className="rounded-xl border border-hairline bg-sheet px-1 pt-1">
      <div aria-hidden="true" className={isLow ? 'h-12' : 'h-[140px]'}>
        <Suspense>
          <RidgePicture {...picture} />
        </Suspense>
      </div>
      <figcaption className={`pl-3 text-fine text-quiet ${isLow ? 'sr-only' : ''}`}>
        <Word term="ridge">{ANALYZE_WORDS.theRidge}</Word>. {ridgeWords(profile, names)} {!isLow && <RidgeLegend />}
        <span className="sr-only">
          {' '}
          {ANALYZE_WORDS.heightsAboveHomeChordByChord} {ridgeList(profile, names)}.
        </span>
      </figcaption>
    </figure>
  );
}
