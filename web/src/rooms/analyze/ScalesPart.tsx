import { chordScaleIntervals, chordScaleName, nameNote, parseNote, scaleWords } from '@aurora/core';
import { useState } from 'react';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import type { AnalyzePartProps } from './analyze-part.ts';

/** Scales to play over the chord, best first; the chosen one is shown on the neck. */
export function ScalesPart({ analysis, index, naming, scale, onScale, melody, onMelody }: AnalyzePartProps) {
  const chord = analysis.chords[index];
  const [text, setText] = useState('');
  if (chord === undefined) return <p className="text-quiet">{ANALYZE_WORDS.chooseAChordAbove}</p>;
  const chosen = chord.scales.find((one) => one.tonic === scale?.tonic && one.scale === scale.scale) ?? chord.scales[0];
  const read = text.trim() === '' ? null : parseNote(text);
  return (
    <div className="grid gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,1fr)_15rem]">
      <ol aria-label={ANALYZE_WORDS.scales} className="flex flex-col">
        {chord.scales.map((one) => (
          <li key={`${one.tonic} ${one.scale}`}>
            <button
              type="button"
              aria-pressed={one === chosen}
              onClick={() => onScale(one)}
              className="flex min-h-11 w-full flex-wrap items-baseline gap-x-3 rounded-lg border-b border-hairline px-2 py-1.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_3px_0_0_var(--accent)]"
            >
              <b className="music-glyph text-lead">
                {nameNote(one.tonic, naming.notes)} {chordScaleName(one.scale)}
              </b>
              <span className="music-glyph text-base text-quiet">
                {chordScaleIntervals(one.scale)
                  .map((interval) => nameNote(one.tonic + interval, naming.notes))
                  .join(' ')}
              </span>
              <span className="w-full text-fine text-quiet">{scaleWords(one, naming)}</span>
            </button>
          </li>
        ))}
      </ol>
      <div className="flex flex-col gap-2">
        <AnsweringField
          label={ANALYZE_WORDS.melodyNoteOverThisChord}
          value={text}
          placeholder={ANALYZE_WORDS.melodyNoteE}
          fault={read === null || read.ok ? null : ANALYZE_WORDS.writeANoteSuchAsE}
          onChange={(value) => {
            setText(value);
            const note = parseNote(value);
            onMelody(note.ok ? note.value : null);
          }}
        />
        <p className="text-fine text-quiet">
          {melody === null ? ANALYZE_WORDS.aNoteThatTheMelodyHolds : ANALYZE_WORDS.onlyScalesWith(nameNote(melody, naming.notes))}
        </p>
      </div>
    </div>
  );
}
