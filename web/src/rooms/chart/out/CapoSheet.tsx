import { type BarreLevel, type CapoOption, capoWords, type Naming, type Note, wishOf } from '@aurora/core';
import { useState } from 'react';
import { useCapoPlan } from '../../../parts/neck/neck-engine.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { BARRE_LEVELS } from '../../../parts/reading/barre-table.ts';
import { ShapeChip } from '../../../parts/reading/ShapeChip.tsx';
import { useLens } from '../../../session/lens.ts';
import { setReader } from '../../../session/lens-store.ts';
import { instrumentOf, usePlaying } from '../../../session/playing.ts';
import { isGuitar, MOST_CAPO, memberChoice, readerChoice } from '../../../session/reader-view.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';

interface CapoSheetProps {
  readonly text: string;
  /** The home tonic that sounds. */
  readonly sounding: Note;
  readonly onClose: () => void;
}

/** Every fret for a capo, the kindest first: what is held, what it sounds, and why it is ranked there. */
export function CapoSheet({ text, sounding, onClose }: CapoSheetProps) {
  const { reader, naming } = useLens();
  const { player: seated, members } = usePlaying();
  // whoever plays something else asks for the guitar
  const player = seated !== null && isGuitar(seated) ? seated : (members.find(isGuitar) ?? null);
  const instrument = instrumentOf(player);
  const [level, setLevel] = useState<BarreLevel>(player?.reads.barres ?? 'some');
  const strings = wishOf({ ...instrument, capo: 0 });
  // a player who reads for themselves, or whose strings are tuned away, is read as; anybody else as a guitar
  const asPlayer = player !== null && (reader.member?.id === player.id || strings.tuning !== 0) ? player : null;
  const maxFret = asPlayer?.reads.maxCapo ?? MOST_CAPO;
  const plan = useCapoPlan(text, { tonic: sounding, level, maxFret, ...strings });
  const choiceAt = (fret: number) => (asPlayer === null ? readerChoice(`capo-${fret}`) : memberChoice(asPlayer, fret));
  const read = (fret: number) => {
    setReader(choiceAt(fret).id);
    onClose();
  };
  return (
    <Sheet title={CHART_WORDS.whereToPutACapo} open onOpenChange={(is) => !is && onClose()}>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Choice label={CHART_WORDS.whatThePlayerHolds} value={level} options={BARRE_LEVELS} onChange={setLevel} />
        <p className="text-base text-quiet">
          {CHART_WORDS.theKindestFretFirstFor} {player === null ? '' : `${player.name}’s `}
          {instrument.name}
          {CHART_WORDS.aBoxedChordIsBarreOr}
        </p>
      </div>
      {plan.error !== null && (
        <p className="py-3 text-alarm">
          {CHART_WORDS.theFretsCouldNotBeWorked} {plan.error.message}
        </p>
      )}
      {plan.data === undefined ? (
        <p className="py-3 text-quiet">{CHART_WORDS.tryingEveryFret}</p>
      ) : (
        <ol aria-label={CHART_WORDS.frets} className="mt-3">
          {plan.data.map((option) => (
            <FretRow
              key={option.fret}
              option={option}
              naming={naming}
              isRead={reader.id === choiceAt(option.fret).id}
              onRead={() => read(option.fret)}
            />
          ))}
        </ol>
      )}
    </Sheet>
  );
}

interface FretRowProps {
  readonly option: CapoOption;
  readonly naming: Naming;
  readonly isRead: boolean;
  readonly onRead: () => void;
}

function FretRow({ option, naming, isRead, onRead }: FretRowProps) {
  const { fret, shapes } = option;
  return (
    <li className="grid grid-cols-[2.5rem_1fr] items-center gap-x-4 gap-y-2 border-t sm:grid-cols-[3.5rem_1fr_auto] border-hairline py-3">
      <span className="text-center font-numeral text-figure font-bold" aria-hidden="true">
        {fret}
      </span>
      <div className="min-w-0">
        <ul
          aria-label={fret === 0 ? CHART_WORDS.chordsWithoutACapo : CHART_WORDS.shapesWithTheCapoAt(fret)}
          className="flex flex-wrap gap-2"
        >
          {shapes.map((shape) => (
            <ShapeChip key={`${shape.shape.root} ${shape.shape.formula} ${shape.shape.bass}`} shape={shape} naming={naming} />
          ))}
        </ul>
        <p className="mt-1 text-base text-quiet">
          <Glyphs text={capoWords(option, naming)} />
        </p>
      </div>
      <Button
        aria-pressed={isRead}
        onClick={onRead}
        className="col-start-2 justify-self-start aria-pressed:border-accent aria-pressed:bg-wash sm:col-start-3"
      >
        {isRead ? CHART_WORDS.readSoNow : fret === 0 ? CHART_WORDS.readWithout : CHART_WORDS.readAt(fret)}
      </Button>
    </li>
  );
}
