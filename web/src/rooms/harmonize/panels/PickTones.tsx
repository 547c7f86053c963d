import { findTone, harmonize, type Key, type Naming, nameChord, nameNote, qualityName, withGlyphs } from '@aurora/core';
import { useState } from 'react';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';

/** Tones of the degree picked one by one: what they make is named. */
export function PickTones({ written, index, naming }: { readonly written: Key; readonly index: number; readonly naming: Naming }) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set([2, 5]));
  const stack = harmonize(written, 'thirteenth')[index];
  if (stack === undefined) return null;
  const taken = stack.tones.filter((_, place) => !left.has(place));
  const formula = taken.reduce((tones, tone) => tones | (findTone(tone.formula) ?? 0), 0);
  const toggle = (place: number) =>
    setLeft((before) => (before.has(place) ? new Set([...before].filter((other) => other !== place)) : new Set([...before, place])));
  return (
    <div>
      <div role="group" aria-label={HARMONIZE_WORDS.tones} className="flex flex-wrap gap-1.5">
        {stack.tones.map((tone, place) => (
          <button
            key={tone.formula}
            type="button"
            aria-pressed={!left.has(place)}
            disabled={place === 0}
            onClick={() => toggle(place)}
            className="music-glyph min-h-11 min-w-12 rounded-lg border border-edge bg-raised px-2 leading-tight aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
          >
            <b>{withGlyphs(tone.formula)}</b>
            <span className="block text-fine">{nameNote(tone.note, naming.notes)}</span>
          </button>
        ))}
      </div>
      <p role="status" className="mt-2">
        <b className="music-glyph text-lead">{nameChord({ root: stack.chord.root, formula, bass: null }, naming)}</b>{' '}
        <span className="text-quiet">{qualityName(formula)}</span>
      </p>
    </div>
  );
}
