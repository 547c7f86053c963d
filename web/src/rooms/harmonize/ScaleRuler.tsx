import type { Key, Naming } from '@aurora/core';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';
import { rulerOf } from './harmonize-view.ts';

/** The scale laid out like frets on a string: a whole step is twice as long as a half step. */
export function ScaleRuler({ scale, naming }: { readonly scale: Key; readonly naming: Naming }) {
  const notes = rulerOf(scale, naming);
  return (
    <figure
      className="relative mx-4 h-[66px]"
      aria-label={HARMONIZE_WORDS.scaleSteps(
        notes.map(({ note }) => note).join(' '),
        notes
          .slice(0, -1)
          .map(({ step }) => step)
          .join(' '),
      )}
    >
      <div aria-hidden="true">
        <div className="absolute top-[30px] right-0 left-0 h-[3px] rounded bg-edge" />
        {notes.map(({ note, degree, at, step }, index) => {
          const next = notes[index + 1]?.at ?? at;
          return (
            <div key={at}>
              <div className="absolute flex -translate-x-1/2 flex-col items-center" style={{ left: `${at * 100}%` }}>
                <span className="music-glyph text-lead leading-6 font-bold">
                  <Glyphs text={note} />
                </span>
                <span className={`mt-[1px] block h-3 w-[3px] ${degree === '1' ? 'bg-accent' : 'bg-ink'}`} />
                <span className="music-glyph mt-0.5 text-base font-semibold text-quiet">{degree}</span>
              </div>
              {step !== '' && (
                <span
                  className={`absolute top-[34px] -translate-x-1/2 text-fine font-semibold ${step === 'W' || step === 'T' ? 'text-quiet' : 'text-dominant'}`}
                  style={{ left: `${((at + next) / 2) * 100}%` }}
                >
                  {step}
                </span>
              )}
            </div>
          );
        })}
      </div>
    </figure>
  );
}
