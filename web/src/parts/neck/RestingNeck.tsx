import { type Chord, difficultyWord, FAMILY_NAMES, letterView, printFrets } from '@aurora/core';
import { useNaming } from '../../session/lens.ts';
import { usePlaying } from '../../session/playing.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { LetterSymbol } from '../notation/ChordSymbol.tsx';
import { useShapeWalk } from './use-shape-walk.ts';

/** The neck in a few words: the chosen chord and the shape it is held with. */
export function RestingNeck({ chord }: { readonly chord: Chord | null }) {
  const naming = useNaming();
  const { instrument } = usePlaying();
  const { shape } = useShapeWalk(chord, instrument);
  if (chord === null) return <span className="truncate text-fine text-quiet">{PARTS_WORDS.theNeckChooseAChordTo}</span>;
  const family = shape?.families[0];
  return (
    <span className="flex min-w-0 items-baseline gap-2.5">
      <LetterSymbol view={letterView(chord, naming)} className="text-lead font-bold" />
      {shape !== null && (
        <>
          <span className="font-semibold whitespace-nowrap" data-testid="resting-shape">
            {printFrets(shape.frets, instrument.capo)}
          </span>
          <span className="truncate text-fine text-quiet">
            {family === undefined ? '' : `${FAMILY_NAMES[family]}, `}
            {difficultyWord(shape.difficulty)}
          </span>
        </>
      )}
    </span>
  );
}
