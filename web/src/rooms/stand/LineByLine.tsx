import type { StandLine } from '@aurora/core';
import { useEffect, useRef } from 'react';
import { StandLineView } from './StandLines.tsx';

interface LineByLineProps {
  readonly lines: readonly StandLine[];
  readonly size: number;
  readonly width: number;
  readonly at: number;
}

/** Lines before and after that stand in sight. */
const BEFORE = 2;
const AFTER = 4;
/** What is not played just now is set smaller. */
const BESIDE = 0.72;

/** One line after the other: the one that is played bright and large, the next one lit, the others dim. */
export function LineByLine({ lines, size, width, at }: LineByLineProps) {
  const current = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another line, or another type, is brought into the middle
  useEffect(() => {
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    current.current?.scrollIntoView({ block: 'center', behavior: still ? 'auto' : 'smooth' });
  }, [at, size]);
  return (
    <div className="absolute inset-0 overflow-hidden px-6 phone:px-2" style={{ fontSize: size }}>
      <div className="h-[34%]" />
      {lines.slice(Math.max(0, at - BEFORE), at + AFTER + 1).map((line, place) => {
        const index = Math.max(0, at - BEFORE) + place;
        const isHere = index === at;
        return (
          <div
            key={index}
            ref={isHere ? current : null}
            aria-current={isHere ? 'step' : undefined}
            className={lightOf(index - at)}
            style={isHere ? undefined : { fontSize: `${BESIDE}em` }}
          >
            <StandLineView line={line} width={width} />
          </div>
        );
      })}
      <div className="h-[50%]" />
    </div>
  );
}

function lightOf(ahead: number): string {
  if (ahead === 0) return 'rounded-xl bg-wash';
  return ahead === 1 ? '' : 'opacity-45';
}
