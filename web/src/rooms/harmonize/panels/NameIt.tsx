import type { Chord, Naming } from '@aurora/core';
import { useId, useState } from 'react';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import { answerTo } from './name-answer.ts';

/** The player types the chord's notes or its name, and is told what is right and which letter belongs where. */
export function NameIt({ chord, naming }: { readonly chord: Chord; readonly naming: Naming }) {
  const [text, setText] = useState('');
  const answerId = useId();
  const answer = text.trim() === '' ? null : answerTo(text.trim(), chord, naming);
  return (
    <div>
      <input
        value={text}
        onChange={(event) => setText(event.target.value)}
        aria-label={HARMONIZE_WORDS.theChordsNotesOrItsName}
        aria-describedby={answerId}
        placeholder={HARMONIZE_WORDS.itsNotesSuchAsFAb}
        className="min-h-11 w-full max-w-md rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet"
      />
      <p id={answerId} role="status" className="mt-2 min-h-6">
        {answer}
      </p>
    </div>
  );
}
