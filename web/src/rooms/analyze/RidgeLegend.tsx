import type { RidgeRole } from '@aurora/core';
import { useEffect, useState } from 'react';
import { FunctionMark } from '../../parts/ridge/FunctionMark.tsx';
import { isHintWanted, readHint, seeHint, useDevice } from '../../session/device-store.ts';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

const LEGEND = 'ridge-legend';
const ROLES: readonly (readonly [RidgeRole, string])[] = [
  ['tonic', ANALYZE_WORDS.markOfTonic],
  ['subdominant', ANALYZE_WORDS.markOfSubdominant],
  ['dominant', ANALYZE_WORDS.markOfDominant],
  ['outside', ANALYZE_WORDS.markOfOutside],
];

/** What the four marks mean, beside the ridge; folded once it is known, and always one press away. */
export function RidgeLegend() {
  const [isOpen, setIsOpen] = useState(() => isHintWanted(useDevice.getState(), LEGEND));
  useEffect(() => seeHint(LEGEND), []);
  return (
    <span className="inline-flex flex-wrap items-center gap-x-4">
      <button
        type="button"
        aria-expanded={isOpen}
        className="min-h-8 font-semibold text-accent underline"
        onClick={() => {
          setIsOpen(!isOpen);
          if (isOpen) readHint(LEGEND);
        }}
      >
        {ANALYZE_WORDS.whatTheMarksMean}
      </button>
      {isOpen &&
        ROLES.map(([role, words]) => (
          <span key={role} className="inline-flex items-center gap-1.5 whitespace-nowrap">
            <FunctionMark role={role} /> {words}
          </span>
        ))}
    </span>
  );
}
