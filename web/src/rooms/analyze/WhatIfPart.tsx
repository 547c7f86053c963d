import { type Chord, letterView, replaceChord, symbolText, type WhatIfKind, whatIf } from '@aurora/core';
import { Button } from '../../ui/Button.tsx';
import { PlayIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import type { AnalyzePartProps } from './analyze-part.ts';

const KIND_WORDS: Readonly<Record<WhatIfKind, string>> = {
  'secondary-dominant': 'Its dominant before it',
  'related-two': 'The 2 that belongs to it before it',
  'tritone-substitute': 'Its tritone substitute',
  borrowed: 'Its form in the parallel key',
  'diminished-approach': 'A diminished chord a half step below, before it',
  'modal-substitute': 'A chord of the same mode over its root',
  thicker: 'With the key’s seventh',
  thinner: 'As a plain triad',
};

/** What else could stand here: heard in its place, and put into the song when it is liked. */
export function WhatIfPart({ analysis, index, source, naming, onWrite, onHear }: AnalyzePartProps) {
  const ideas = whatIf(analysis, index);
  const around = (inside: readonly Chord[]): readonly Chord[] => {
    const near = (at: number) => analysis.chords[at]?.chord ?? null;
    return [near(index - 2), near(index - 1), ...inside, near(index + 1), near(index + 2)].filter((chord) => chord !== null);
  };
  const here = analysis.chords[index]?.chord;
  if (here === undefined) return <p className="text-quiet">Choose a chord above.</p>;
  const put = (chords: readonly Chord[]) => {
    const text = replaceChord(source, analysis.progression, index, chords);
    if (text === null) void sayFault('The bar is too short to be shared by two chords.');
    else onWrite(text);
  };
  return (
    <div className="flex flex-col gap-1">
      <Button look="bare" className="self-start" onClick={() => onHear('before', around([here]))}>
        <PlayIcon size={17} aria-hidden="true" /> Hear it as it is
      </Button>
      {ideas.length === 0 && <p className="text-quiet">Nothing common fits in its place.</p>}
      <ul aria-label="Suggestions">
        {ideas.map(({ kind, chords }, place) => {
          const names = chords.map((chord) => symbolText(letterView(chord, naming))).join('  ');
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a suggestion has no name but its place
            <li key={place} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-hairline py-1">
              <b className="music-glyph min-w-40 text-lead whitespace-pre">{names}</b>
              <span className="flex-1 text-base text-quiet">{KIND_WORDS[kind]}</span>
              <Button look="bare" aria-label={`Hear ${names} in its place`} onClick={() => onHear(`after ${place}`, around(chords))}>
                <PlayIcon size={17} aria-hidden="true" /> Hear
              </Button>
              <Button aria-label={`Put ${names} in its place`} onClick={() => put(chords)}>
                Put it in
              </Button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
