import { type ChartReading, hasDrums } from '@aurora/core';
import { Popover } from 'radix-ui';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { LoopIcon, PlayIcon, StepDownIcon, StepUpIcon, StopIcon } from '../../ui/icons.ts';
import { Named } from '../../ui/Named.tsx';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import { BandChoice } from './BandChoice.tsx';
import type { SongPlay } from './use-song-play.ts';

const STEP = 4;
/** Hear the chart as it is played out: one press to start, the tempo beside it with everything about how. */
export function PlayBar({ play, reading }: { readonly play: SongPlay; readonly reading: ChartReading }) {
  const { parts } = reading.performance;
  const part = play.loop === null ? undefined : parts[play.loop];
  return (
    <div role="group" aria-label={CHART_WORDS.play} className="flex items-center gap-1">
      <Hint text={play.playing ? CHART_WORDS.stop : CHART_WORDS.playFromHere} keys="v">
        <Button look={play.playing ? 'strong' : 'plain'} className="px-3!" disabled={reading.bars.length === 0} onClick={play.toggle}>
          {play.playing ? <StopIcon size={17} aria-hidden="true" /> : <PlayIcon size={17} aria-hidden="true" />}{' '}
          {play.playing ? CHART_WORDS.stop : CHART_WORDS.play}
        </Button>
      </Hint>
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button look="bare" className="flex-col gap-0 px-2! leading-tight">
            <Named name={CHART_WORDS.tempoAndHowItIsPlayed(play.tempo)} className="flex flex-col items-center leading-tight">
              <span className="text-base">{play.tempo}</span>
              <span className="text-fine font-normal whitespace-nowrap text-quiet">
                {!play.playing && hasDrums(play.band.groove) && (
                  <span className="phone:hidden">{CHART_WORDS.grooveNames[play.band.groove]}, </span>
                )}
                {play.said || CHART_WORDS.tempo.toLowerCase()}
              </span>
            </Named>
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={6}
            aria-label={CHART_WORDS.howItIsPlayed}
            onOpenAutoFocus={(event) => {
              // on its frame, so that the hint of the first button does not cover what was opened
              event.preventDefault();
              if (event.currentTarget instanceof HTMLElement) event.currentTarget.focus();
            }}
            className="z-30 w-80 rounded-xl border border-edge bg-raised p-4 shadow-lg"
          >
            <HowPlayed play={play} reading={reading} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {part !== undefined && (
        <Hint text={CHART_WORDS.playThroughAgain} keys="">
          <Button
            look="bare"
            aria-label={CHART_WORDS.goesRoundPlayThroughAgain(reading.sections[part.section ?? -1]?.name ?? CHART_WORDS.theBeginning)}
            className="px-2! text-accent"
            onClick={() => play.setLoop(null)}
          >
            <LoopIcon size={17} />
          </Button>
        </Hint>
      )}
      {play.fault !== null && <span role="status">{play.fault}</span>}
    </div>
  );
}

/** Tempo, the band and its groove, click, and what goes round. */
function HowPlayed({ play, reading }: { readonly play: SongPlay; readonly reading: ChartReading }) {
  const { parts } = reading.performance;
  return (
    <>
      <Tempo play={play} />
      <BandChoice band={play.band} tempo={play.tempo} />
      <Tick label={CHART_WORDS.click} on={play.click} onTick={play.setClick} />
      <Tick label={CHART_WORDS.countInOneBar} on={play.countIn} onTick={play.setCountIn} />
      <label className="mt-3 flex items-center gap-2 text-base">
        {CHART_WORDS.roundAndRound}
        <Select
          value={play.loop ?? ''}
          onChange={({ target }) => play.setLoop(target.value === '' ? null : Number(target.value))}
          className="flex-1"
        >
          <option value="">{CHART_WORDS.nothing}</option>
          {parts.map(({ section, from, count }, index) => (
            <option key={from} value={index}>
              {reading.sections[section ?? -1]?.name ?? CHART_WORDS.theBeginningLower}, {count} {CHART_WORDS.barsWord}
            </option>
          ))}
        </Select>
      </label>
    </>
  );
}

function Tempo({ play }: { readonly play: SongPlay }) {
  return (
    <div className="flex items-center gap-2">
      <Hint text={CHART_WORDS.slower}>
        <Button aria-label={CHART_WORDS.slower} onClick={() => play.setTempo(play.tempo - STEP)}>
          <StepDownIcon size={17} />
        </Button>
      </Hint>
      <label className="flex-1">
        <span className="sr-only">{CHART_WORDS.tempo}</span>
        <input
          type="number"
          min={30}
          max={300}
          value={play.tempo}
          onChange={({ target }) => target.validity.valid && target.value !== '' && play.setTempo(target.valueAsNumber)}
          className="min-h-11 w-full rounded-lg border border-edge bg-sheet px-2 text-center text-lead font-bold"
        />
      </label>
      <Hint text={CHART_WORDS.faster}>
        <Button aria-label={CHART_WORDS.faster} onClick={() => play.setTempo(play.tempo + STEP)}>
          <StepUpIcon size={17} />
        </Button>
      </Hint>
    </div>
  );
}
