import { type Chord, letterView, replaceChord, symbolText, type WhatIfKind, whatIf } from '@aurora/core';
import { Button } from '../../ui/Button.tsx';
import { PlayIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import type { AnalyzePartProps } from './analyze-part.ts';

const KIND_WORDS: Readonly<Record<WhatIfKind, string>> = {
  'secondary-dominant': ANALYZE_WORDS.itsDominantBeforeIt,
  'related-two': ANALYZE_WORDS.the2ThatBelongsToIt,
  'tritone-substitute': ANALYZE_WORDS.itsTritoneSubstitute,
  borrowed: ANALYZE_WORDS.itsFormInTheParallelKey,
  'diminished-approach': ANALYZE_WORDS.aDiminishedChordAHalfStep,
  'modal-substitute': ANALYZE_WORDS.aChordOfTheSameMode,
  thicker: ANALYZE_WORDS.withTheKeysSeventh,
  thinner: ANALYZE_WORDS.asAPlainTriad,
};

/** What else could stand here: heard in its place, and put into the song when it is liked. */
export function WhatIfPart({ analysis, index, source, naming, onWrite, onHear }: AnalyzePartProps) {
  const ideas = whatIf(analysis, index);
  const around = (inside: readonly Chord[]): readonly Chord[] => {
    const near = (at: number) => analysis.chords[at]?.chord ?? null;
    return [near(index - 2), near(index - 1), ...inside, near(index + 1), near(index + 2)].filter((chord) => chord !== null);
  };
  const here = analysis.chords[index]?.chord;
  if (here === undefined) return <p className="text-quiet">{ANALYZE_WORDS.chooseAChordAbove}</p>;
  const put = (chords: readonly Chord[]) => {
    const text = replaceChord(source, analysis.progression, index, chords);
    if (text === null) void sayFault(ANALYZE_WORDS.theBarIsTooShortTo);
    else onWrite(text);
  };
  return (
    <div className="flex flex-col gap-1">
      <Button look="bare" className="self-start" onClick={() => onHear('before', around([here]))}>
        <PlayIcon size={17} aria-hidden="true" /> {ANALYZE_WORDS.hearItAsItIs}
      </Button>
      {ideas.length === 0 && <p className="text-quiet">{ANALYZE_WORDS.nothingCommonFitsInItsPlace}</p>}
      <ul aria-label={ANALYZE_WORDS.suggestions}>
        {ideas.map(({ kind, chords }, place) => {
          const names = chords.map((chord) => symbolText(letterView(chord, naming))).join('  ');
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a suggestion has no name but its place
            <li key={place} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-hairline py-1">
              <b className="music-glyph min-w-40 text-lead whitespace-pre">{names}</b>
              <span className="flex-1 text-base text-quiet">{KIND_WORDS[kind]}</span>
              <Button
                look="bare"
                aria-label={ANALYZE_WORDS.hearInItsPlace(names)}
                onClick={() => onHear(ANALYZE_WORDS.after(place), around(chords))}
              >
                <PlayIcon size={17} aria-hidden="true" /> {ANALYZE_WORDS.hear}
              </Button>
              <Button aria-label={ANALYZE_WORDS.putInItsPlace(names)} onClick={() => put(chords)}>
                {ANALYZE_WORDS.putItIn}
              </Button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
