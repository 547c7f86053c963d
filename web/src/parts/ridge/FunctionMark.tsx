import type { RidgeRole } from '@aurora/core';

interface MarkLook {
  readonly path: string;
  readonly colour: string;
  readonly broken: boolean;
}

/** The four marks, in a box of 24 by 12: flat at rest, one slope away, a peak that pulls back, a broken line outside the key. */
const MARKS: Readonly<Record<RidgeRole, MarkLook>> = {
  tonic: { path: 'M2 10h20', colour: 'var(--tonic)', broken: false },
  subdominant: { path: 'M2 10h6L22 3', colour: 'var(--subdominant)', broken: false },
  dominant: { path: 'M2 10 12 2 22 10', colour: 'var(--dominant)', broken: false },
  outside: { path: 'M2 6h20', colour: 'var(--outside)', broken: true },
};

/** What a chord does, drawn the same wherever it is shown. */
export function FunctionMark({ role, className = '' }: { readonly role: RidgeRole; readonly className?: string }) {
  return (
    <svg viewBox="0 0 24 12" className={`inline-block h-3 w-6 ${className}`} aria-hidden="true">
      <MarkPath role={role} />
    </svg>
  );
}

/** The mark alone, to be placed in a picture; its box begins at 0, 0. */
export function MarkPath({ role }: { readonly role: RidgeRole }) {
  const { path, colour, broken } = MARKS[role];
  return (
    <path d={path} fill="none" stroke={colour} strokeWidth="2.6" strokeLinejoin="round" strokeDasharray={broken ? '5 3' : undefined} />
  );
}
