import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { PlayIcon, StepDownIcon, StepUpIcon, StopIcon } from '../../../ui/icons.ts';
import { SignButton } from '../../../ui/SignButton.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { ItemProps, PartProps } from '../use-practice.ts';
import { ClickChoice } from './ClickChoice.tsx';
import { DrillView } from './DrillView.tsx';
import { LastMark } from './LastMark.tsx';
import { MarkLine, markKeys, pedalKeys } from './MarkLine.tsx';
import { turnRun } from './run-store.ts';
import { placeNow, placesOf } from './say-view.ts';
import { skipped } from './session-run.ts';
import { type DrillOnStand, useDrill } from './use-drill.ts';

const TEMPO_STEP = 2;

/** Something to play: looked at, counted in, played, marked. */
export function PlayItem(props: ItemProps) {
  const stand = useDrill(props);
  const naming = useNaming();
  const { drill, isPlaying, start, halt, marking, tempo, setTempo } = stand;
  useShortcuts({
    ...markKeys(marking),
    ' ': isPlaying ? halt : start,
    Enter: isPlaying ? halt : start,
    ...pedalKeys(marking, isPlaying ? () => marking.give('clean') : start),
    '+': () => setTempo(tempo + TEMPO_STEP),
    '-': () => setTempo(tempo - TEMPO_STEP),
  });
  if (drill === null) return <NothingToPlay />;
  return (
    <>
      <div className="flex shrink-0 grow basis-auto flex-col justify-center px-5 py-3 phone:justify-start phone:px-3">
        <DrillView drill={drill} stand={stand} item={props.item} practice={props.practice} />
      </div>
      <footer className="sticky bottom-0 flex shrink-0 flex-col gap-2 border-t border-hairline bg-ground px-5 py-3 phone:px-3 phone:py-2 lying:flex-row lying:items-center">
        <Transport stand={stand} practice={props.practice} />
        <MarkLine marking={marking} places={placesOf(drill, stand.stage, naming)} at={placeNow(drill, stand.at)} brokeAt={stand.brokeAt} />
      </footer>
    </>
  );
}

function Transport({ stand, practice }: { readonly stand: DrillOnStand } & PartProps) {
  const { isPlaying, start, halt, tempo, setTempo, clean, stage, marking } = stand;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 lying:max-w-[50%] lying:gap-x-2">
      <Button
        look={marking.hasPlayed || marking.asked !== null ? 'plain' : 'strong'}
        className="min-h-14! min-w-32 text-lead! lying:min-w-0"
        onClick={isPlaying ? halt : start}
      >
        {isPlaying ? <StopIcon size={20} aria-hidden="true" /> : <PlayIcon size={20} aria-hidden="true" />}
        {isPlaying ? PRACTICE_WORDS.stop : PRACTICE_WORDS.play}
      </Button>
      <div className="flex items-center gap-1">
        <SignButton name={PRACTICE_WORDS.slower} keys="-" onClick={() => setTempo(tempo - TEMPO_STEP)}>
          <StepDownIcon size={20} />
        </SignButton>
        <p className="min-w-24 text-center" aria-live="polite">
          <b className="font-numeral text-figure">{tempo}</b> <span className="text-base text-quiet">{PRACTICE_WORDS.bpm}</span>
        </p>
        <SignButton name={PRACTICE_WORDS.faster} keys="+" onClick={() => setTempo(tempo + TEMPO_STEP)}>
          <StepUpIcon size={20} />
        </SignButton>
      </div>
      <p className="text-base text-quiet">
        {PRACTICE_WORDS.heldOf(clean)}
        {stage !== '' && <b className="ml-3 text-ink">{PRACTICE_WORDS.stageNames[stage] ?? stage}</b>}
      </p>
      <Beginning stand={stand} />
      <ClickChoice />
      <LastMark practice={practice} />
    </div>
  );
}

/** From where it broke, or from the top. */
function Beginning({ stand: { drill, stage, resume, from, setFrom } }: { readonly stand: DrillOnStand }) {
  const naming = useNaming();
  if (drill === null || resume === 0) return null;
  const name = placesOf(drill, stage, naming)[placeNow(drill, resume) ?? resume] ?? '';
  return (
    <Button look="bare" className="px-2!" onClick={() => setFrom(from === 0 ? resume : 0)}>
      <Glyphs text={from === 0 ? PRACTICE_WORDS.fromThere(name) : PRACTICE_WORDS.fromTheTop} />
    </Button>
  );
}

/** An item this instrument has no place for. */
function NothingToPlay() {
  return (
    <div className="flex flex-1 flex-col items-start gap-4 px-5 py-8">
      <p className="text-lead">{PRACTICE_WORDS.noPlaceOnThisInstrument}</p>
      <Button look="strong" onClick={() => turnRun((run) => skipped(run, Date.now()))}>
        {PRACTICE_WORDS.goOn}
      </Button>
    </div>
  );
}
