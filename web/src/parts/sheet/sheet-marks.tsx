import { PARTS_WORDS } from '../../wording/parts.ts';

/** The signs of a chart, drawn: no text face has all of them. */

const STROKE = { fill: 'none', stroke: 'currentColor', strokeLinecap: 'round' } as const;

/** Let ring: a diamond, small above the number, so that it covers no part of the symbol however long that is. */
export function Diamond() {
  return (
    <svg viewBox="0 0 20 20" className="block size-[15px] text-ink" aria-hidden="true">
      <path d="M10 1.5 18.5 10 10 18.5 1.5 10Z" fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinejoin="round" />
    </svg>
  );
}

/** Pushed: a tie reaching back over the bar line. */
export function PushMark() {
  return (
    <svg viewBox="0 0 22 22" className="-ml-3 w-5 shrink-0 text-dominant" aria-hidden="true">
      <path d="M2 9q9 10 18 0" strokeWidth="2.4" {...STROKE} />
    </svg>
  );
}

/** Stop: a wedge, short and choked. */
export function StopMark() {
  return (
    <svg viewBox="0 0 12 18" className="ml-1.5 w-2.5 shrink-0 self-start text-dominant" aria-hidden="true">
      <path d="M1 1h10L6 17Z" fill="currentColor" />
    </svg>
  );
}

/** The same bar, or the same two bars, again. */
export function AgainSign({ twice }: { readonly twice: boolean }) {
  return (
    <svg
      viewBox="0 0 48 36"
      role="img"
      aria-label={twice ? PARTS_WORDS.theTwoBarsBeforeAgain : PARTS_WORDS.theBarBeforeAgain}
      className="m-auto w-14 text-quiet"
    >
      <path d={twice ? 'M10 32 28 4M20 32 38 4' : 'M14 32 34 4'} stroke="currentColor" strokeWidth="4.5" strokeLinecap="round" />
      <circle cx="11" cy="10" r="4" fill="currentColor" />
      <circle cx="37" cy="26" r="4" fill="currentColor" />
    </svg>
  );
}

export function SegnoSign() {
  return (
    <svg viewBox="0 0 24 24" role="img" aria-label={PARTS_WORDS.segno} className="size-[22px] text-ink">
      <path d="M17.5 6.5Q12 2 8 5.5 5 10 12 12 19 14 16 18.5 12 22 6.5 17.5" strokeWidth="2.6" {...STROKE} />
      <path d="M5 21 19 3" strokeWidth="1.4" {...STROKE} />
      <circle cx="4.5" cy="12" r="1.5" fill="currentColor" />
      <circle cx="19.5" cy="12" r="1.5" fill="currentColor" />
    </svg>
  );
}

export function CodaSign() {
  return (
    <svg viewBox="0 0 24 24" role="img" aria-label={PARTS_WORDS.coda} className="size-[22px] text-ink">
      <ellipse cx="12" cy="12" rx="6" ry="7.5" strokeWidth="2.2" {...STROKE} />
      <path d="M12 1.5v21M2 12h20" strokeWidth="1.4" {...STROKE} />
    </svg>
  );
}

/** The bar lines of a repeat: thick, thin, two dots, towards the bars that are repeated. */
export function RepeatLine({ end, within = false }: { readonly end: boolean; readonly within?: boolean }) {
  const dots = (
    <span aria-hidden="true" className="flex flex-col justify-center gap-2">
      {[0, 1].map((dot) => (
        <span key={dot} className="size-[5px] rounded-full bg-ink" />
      ))}
    </span>
  );
  const thin = <span aria-hidden="true" className="w-[1.5px] bg-ink" />;
  const thick = <span aria-hidden="true" className="w-[4px] bg-ink" />;
  return (
    <span
      className={`absolute inset-y-0 flex gap-[3px] ${end ? 'right-0 flex-row' : 'left-0 flex-row-reverse'} ${within ? '' : end ? '-mr-[2px]' : '-ml-[2px]'}`}
    >
      {dots}
      {thin}
      {thick}
    </span>
  );
}

/** Beats of a chord in a bar that is shared unequally: a stroke each, a short one for half a beat. */
export function BeatMarks({ beats }: { readonly beats: number }) {
  const whole = Array.from({ length: Math.floor(beats) }, (_, beat) => beat);
  return (
    <span aria-hidden="true" className="flex h-3 items-end gap-1">
      {whole.map((beat) => (
        <span key={beat} className="h-[11px] w-[3px] skew-x-[-18deg] rounded-sm bg-ink" />
      ))}
      {beats % 1 !== 0 && <span className="h-[6px] w-[3px] skew-x-[-18deg] rounded-sm bg-ink" />}
    </span>
  );
}

const PHRASE = 4;

/** Bars of time that a drummer only counts: how many, and a stroke for each, in fours; as large as the type around it. */
export function CountSign({ bars }: { readonly bars: number }) {
  return (
    <span className="flex items-end gap-[0.3em]">
      <span className="sr-only">{PARTS_WORDS.barsOfTime(bars)}</span>
      <b aria-hidden="true" className="font-numeral leading-tight">
        {bars}
      </b>
      <span aria-hidden="true" className="mb-[0.3em] flex items-end gap-[0.12em]">
        {Array.from({ length: bars }, (_, bar) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a stroke has no name but its place
          <span key={bar} className={`h-[0.42em] w-[0.06em] bg-quiet ${bar > 0 && bar % PHRASE === 0 ? 'ml-[0.14em]' : ''}`} />
        ))}
      </span>
    </span>
  );
}
