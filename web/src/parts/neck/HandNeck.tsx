import { difficultyWord, letterView, printFrets } from '@aurora/core';
import { useDevice } from '../../session/device-store.ts';
import { useLens } from '../../session/lens.ts';
import { usePlaying } from '../../session/playing.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { BeforeIcon, HearIcon, NextIcon } from '../../ui/icons.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { LetterSymbol } from '../notation/ChordSymbol.tsx';
import { NeckBoard } from './NeckBoard.tsx';
import { mutedIn } from './NeckDock.tsx';
import { fretsAround, shapeDots } from './neck-view.ts';
import { hearShape, useShapeWalk } from './use-shape-walk.ts';

/** How the chosen chord is held, for a phone: the neck where the shape lies, and the next one a press away. */
export function HandNeck() {
  const { selection, naming } = useLens();
  const labels = useDevice((state) => state.neckLabels);
  const { instrument } = usePlaying();
  const chord = selection?.chord ?? null;
  const { shape, fingering, left, at, go } = useShapeWalk(chord, instrument);
  if (chord === null) return <p className="p-4 text-quiet">{PARTS_WORDS.chooseAChordToSeeHow}</p>;
  if (shape === null || fingering === null) return <p className="p-4 text-quiet">{PARTS_WORDS.lookingForShapes}</p>;
  return (
    <div className="px-3 py-2">
      <div className="flex items-center gap-2">
        <LetterSymbol view={letterView(chord, naming)} className="text-head font-bold" />
        <b>{printFrets(shape.frets, instrument.capo)}</b>
        <span className="text-fine text-quiet">{difficultyWord(shape.difficulty)}</span>
        <Hint text={PARTS_WORDS.hearIt}>
          <Button look="bare" aria-label={PARTS_WORDS.hearIt} className="ml-auto px-2.5!" onClick={() => hearShape(shape)}>
            <HearIcon size={18} />
          </Button>
        </Hint>
        <Hint text={PARTS_WORDS.theShapeBefore}>
          <Button aria-label={PARTS_WORDS.theShapeBefore} className="px-2.5!" disabled={left.length < 2} onClick={() => go(-1)}>
            <BeforeIcon size={18} />
          </Button>
        </Hint>
        <span className="min-w-12 text-center text-fine">
          {at + 1} {PARTS_WORDS.ofWord} {left.length}
        </span>
        <Hint text={PARTS_WORDS.theNextShape}>
          <Button aria-label={PARTS_WORDS.theNextShape} className="px-2.5!" disabled={left.length < 2} onClick={() => go(1)}>
            <NextIcon size={18} />
          </Button>
        </Hint>
      </div>
      <div className="overflow-x-auto pt-2">
        <NeckBoard
          instrument={instrument}
          {...fretsAround(shape.frets, instrument)}
          dots={shapeDots(shape, fingering, { labels, naming })}
          muted={mutedIn(shape.frets)}
          barres={fingering.barres}
          label={PARTS_WORDS.neckOf(instrument.name)}
          roomy
        />
      </div>
    </div>
  );
}
