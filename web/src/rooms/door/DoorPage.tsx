import type { ReactNode } from 'react';
import { useTheme, useThemeOnPage } from '../../session/use-theme.ts';
import { HOUSE_WORDS } from '../../wording/house.ts';

/** A page in front of the house: the sign, what it is about, and one way on. */
export function DoorPage({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  useThemeOnPage(useTheme().theme);
  return (
    <main className="flex h-full flex-col overflow-y-auto bg-ground text-ink">
      <div className="relative shrink-0 overflow-hidden bg-sky">
        <svg viewBox="0 0 1200 220" preserveAspectRatio="none" aria-hidden="true" className="h-40 w-full text-accent phone:h-28">
          <path d="M0 196h180l130-92 110 58 190-140 120 88 96-40 150 126h224v24H0z" fill="currentColor" opacity=".16" />
          <path
            d="M0 208h240l160-70 120 44 170-112 150 96 130-36 90 78h140"
            fill="none"
            stroke="currentColor"
            strokeWidth="5"
            strokeLinejoin="round"
          />
        </svg>
        <p className="absolute top-4 left-6 font-numeral text-lead font-bold phone:left-4">{HOUSE_WORDS.auroraRidge}</p>
      </div>
      <div className="mx-auto flex w-full max-w-xl flex-col gap-6 px-6 py-8 phone:px-4">
        <h1 className="font-numeral text-figure leading-tight font-bold">{title}</h1>
        {children}
      </div>
    </main>
  );
}
