import { explainTerm, GLOSSARY, type Naming, type Note } from '@aurora/core';
import { useState } from 'react';
import { findTerms } from '../parts/glossary/glossary-view.ts';
import { Sheet } from '../ui/Sheet.tsx';
import { HELP_WORDS } from '../wording/help.ts';

interface GlossarySheetProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  /** The term it opens at, empty for all. */
  readonly wanted: string;
  readonly tonic: Note;
  readonly naming: Naming;
}

/** Every term with its other names, one plain sentence, and an example in the key at hand. */
export function GlossarySheet({ open, onOpenChange, wanted, tonic, naming }: GlossarySheetProps) {
  const [text, setText] = useState(wanted);
  const found = findTerms(GLOSSARY, text);
  return (
    <Sheet title={HELP_WORDS.glossary} open={open} onOpenChange={onOpenChange}>
      <input
        type="search"
        aria-label={HELP_WORDS.findAWord}
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder={HELP_WORDS.aWordOrAnotherNameFor}
        className="mb-4 min-h-11 w-full rounded-lg border border-edge bg-sheet px-3 placeholder:text-quiet"
      />
      <dl className="space-y-4">
        {found.map((entry) => {
          const { term, also, sentence, example } = explainTerm(entry, tonic, naming);
          return (
            <div key={term}>
              <dt className="text-lead font-bold">
                {term} <span className="music-glyph text-base font-normal text-quiet">{also.join(', ')}</span>
              </dt>
              <dd>
                {sentence} <span className="music-glyph block text-accent">{example}</span>
              </dd>
            </div>
          );
        })}
      </dl>
      {found.length === 0 && (
        <p className="text-quiet">
          {HELP_WORDS.noWordHereMatches}
          {text}”.
        </p>
      )}
    </Sheet>
  );
}
