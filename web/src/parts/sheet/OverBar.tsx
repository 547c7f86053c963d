import type { BarCell } from '@aurora/core';
import { CodaSign, SegnoSign } from './sheet-marks.tsx';

interface OverBarProps {
  readonly bar: BarCell;
  /** Its type, and how far it keeps from the bar's lines. */
  readonly className: string;
  /** How high the bracket of an ending is, and how far it ends before the bar does. */
  readonly bracket: string;
}

/** What stands over a bar, on the sheet and on the stand: endings and signs, what is new, and where it goes on. */
export function OverBar({ bar, className, bracket }: OverBarProps) {
  const { ending, signs, heading, after, closesRepeat } = bar;
  const end = [...after, ...(closesRepeat !== null && closesRepeat !== 2 ? [`×${closesRepeat}`] : [])].join(' · ');
  return (
    <div className={`relative flex flex-wrap items-center self-start font-bold text-accent ${ending === null ? '' : 'pt-1'} ${className}`}>
      {ending !== null && (
        <span
          aria-hidden="true"
          className={`absolute inset-x-0 top-0 border-t-2 border-ink ${bracket} ${ending.begins ? 'border-l-2' : ''} ${ending.ends ? 'border-r-2' : ''}`}
        />
      )}
      {ending?.begins && <span className="text-ink">{ending.label}</span>}
      {signs.map((sign) => (sign === 'segno' ? <SegnoSign key={sign} /> : <CodaSign key={sign} />))}
      {heading !== '' && <span className="music-glyph min-w-0">{heading}</span>}
      {end !== '' && <span className="ml-auto min-w-0 text-right text-ink">{end}</span>}
    </div>
  );
}
