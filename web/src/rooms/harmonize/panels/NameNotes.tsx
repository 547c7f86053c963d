import {
  type ChordCandidate,
  COMMON_COST,
  faultWords,
  identify,
  type Key,
  type Naming,
  type Note,
  nameChord,
  nameNote,
  parseNote,
} from '@aurora/core';
import { useId, useState } from 'react';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';

const MOST_SHOWN = 5;
const MOST_NOTES = 24;

/** Notes typed from the lowest up are named: every name they can have, the likeliest first. */
export function NameNotes({ heardIn, naming }: { readonly heardIn: Key; readonly naming: Naming }) {
  const [text, setText] = useState('');
  const answerId = useId();
  const read = readNotes(text);
  return (
    <div>
      <input
        value={text}
        onChange={(event) => setText(event.target.value)}
        aria-label={HARMONIZE_WORDS.notesToNameLowestFirst}
        aria-describedby={answerId}
        placeholder={HARMONIZE_WORDS.notesToNameLowestFirstA}
        className="min-h-11 w-full max-w-md rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet"
      />
      <div id={answerId} role="status" className="mt-2 min-h-6">
        {'fault' in read ? (
          <p>{read.fault}</p>
        ) : (
          read.notes.length > 0 && <Names candidates={identify(read.notes, heardIn)} naming={naming} />
        )}
      </div>
    </div>
  );
}

function Names({ candidates, naming }: { readonly candidates: readonly ChordCandidate[]; readonly naming: Naming }) {
  const common = (candidates[0]?.cost ?? 0) <= COMMON_COST;
  return (
    <>
      {!common && <p className="font-semibold">{HARMONIZE_WORDS.noCommonChordFitsTheseNotes}</p>}
      <ol className="flex flex-wrap gap-x-6 gap-y-1">
        {candidates.slice(0, MOST_SHOWN).map(({ chord, missing }) => (
          <li key={`${chord.root} ${chord.formula}`}>
            <b className="music-glyph text-lead">{nameChord(chord, naming)}</b>
            {missing.length > 0 && (
              <span className="ml-1 text-quiet">
                {HARMONIZE_WORDS.without} {missing.map((note) => nameNote(note, naming.notes)).join(' and ')}
              </span>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

function readNotes(text: string): { readonly notes: readonly Note[] } | { readonly fault: string } {
  const words = text.split(/[\s,]+/).filter((word) => word !== '');
  if (words.length > MOST_NOTES) return { fault: HARMONIZE_WORDS.thatIsMoreThanNotesLeave(MOST_NOTES) };
  const notes: Note[] = [];
  for (const word of words) {
    const note = parseNote(word);
    if (!note.ok) return { fault: faultWords(note.fault) };
    notes.push(note.value);
  }
  return { notes };
}
