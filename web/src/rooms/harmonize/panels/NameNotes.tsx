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
        aria-label="Notes to name, lowest first"
        aria-describedby={answerId}
        placeholder="notes to name, lowest first: A C Eb Gb"
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
      {!common && <p className="font-semibold">No common chord fits these notes. The nearest names:</p>}
      <ol className="flex flex-wrap gap-x-6 gap-y-1">
        {candidates.slice(0, MOST_SHOWN).map(({ chord, missing }) => (
          <li key={`${chord.root} ${chord.formula}`}>
            <b className="music-glyph text-lead">{nameChord(chord, naming)}</b>
            {missing.length > 0 && (
              <span className="ml-1 text-quiet">without {missing.map((note) => nameNote(note, naming.notes)).join(' and ')}</span>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

function readNotes(text: string): { readonly notes: readonly Note[] } | { readonly fault: string } {
  const words = text.split(/[\s,]+/).filter((word) => word !== '');
  if (words.length > MOST_NOTES) return { fault: `That is more than ${MOST_NOTES} notes: leave out the ones that repeat.` };
  const notes: Note[] = [];
  for (const word of words) {
    const note = parseNote(word);
    if (!note.ok) return { fault: faultWords(note.fault) };
    notes.push(note.value);
  }
  return { notes };
}
