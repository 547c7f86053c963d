import { type BarCell, type CellSection, type Fade, isShown } from '@aurora/core';
import { useTonightSet } from '../../../document/use-evening.ts';
import { useOpensTonight, useTonightsSong } from '../../../parts/evening/tonights-song.ts';
import { ChordSymbol, LetterSymbol } from '../../../parts/notation/ChordSymbol.tsx';
import { useChartSheet } from '../../../parts/sheet/use-chart-sheet.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { PlayIcon, StopIcon } from '../../../ui/icons.ts';
import { Tick } from '../../../ui/Tick.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { ItemProps, PartProps } from '../use-practice.ts';
import { Hidden } from './DrillView.tsx';
import { LastMark } from './LastMark.tsx';
import { MarkLine, markKeys, pedalKeys } from './MarkLine.tsx';
import { turnRun, useRun } from './run-store.ts';
import { skipped } from './session-run.ts';
import { type SongOnStand, useSongPractice } from './use-song-practice.ts';

/** A song of the set in tonight's key: it plays, and its bars vanish step by step. */
export function SongItem(props: ItemProps) {
  const { tonight, waiting } = useTonightSet();
  const song = useTonightsSong(tonight, (entry) => entry.song?.songId === props.item.item.what);
  useOpensTonight(song);
  if (waiting) return <p className="flex-1 px-5 py-8 text-lead text-quiet">{PRACTICE_WORDS.fetching}</p>;
  if (song === null || song.entry.song === null)
    return (
      <div className="flex flex-1 flex-col items-start gap-4 px-5 py-8">
        <p className="text-lead">{PRACTICE_WORDS.songIsGone}</p>
        <Button look="strong" onClick={() => turnRun((run) => skipped(run, Date.now()))}>
          {PRACTICE_WORDS.goOn}
        </Button>
      </div>
    );
  return <FadingSong {...props} source={song.entry.song.source} title={song.entry.name} tempo={song.entry.tempo} />;
}

interface FadingProps extends ItemProps {
  readonly source: string;
  readonly title: string;
  readonly tempo: number | null;
}

function FadingSong({ source, title, tempo, ...props }: FadingProps) {
  const desk = useChartSheet(props.item.item.what, source);
  const stand = useSongPractice(props, desk, tempo);
  const { isPlaying, start, halt, marking } = stand;
  useShortcuts({
    ...markKeys(marking),
    ' ': isPlaying ? halt : start,
    Enter: isPlaying ? halt : start,
    ...pedalKeys(marking, isPlaying ? () => marking.give('clean') : start),
  });
  return (
    <>
      <div className="shrink-0 grow basis-auto px-5 py-3 phone:px-3">
        <h2 className="font-numeral text-numeral font-bold phone:text-figure">{title}</h2>
        <p className="text-lead text-quiet">
          {PRACTICE_WORDS.fades[stand.fade]}
          {stand.failing !== null && ` · ${PRACTICE_WORDS.onceMore(stand.failing)}`}
        </p>
        {desk.sheet.sections.map((section) => (
          <FadingSection
            key={section.index ?? 'lead'}
            section={section}
            fade={stand.fade}
            now={stand.bar}
            onBroke={(bar) => marking.give('stopped', bar + 1)}
          />
        ))}
      </div>
      <footer className="sticky bottom-0 flex shrink-0 flex-col gap-2 border-t border-hairline bg-ground px-5 py-3 phone:px-3 phone:py-2 lying:flex-row lying:items-center">
        <SongTransport stand={stand} practice={props.practice} />
        <MarkLine marking={marking} places={NO_PLACES} at={null} brokeAt={null} />
      </footer>
    </>
  );
}

function SongTransport({ stand: { isPlaying, start, halt, tempo, marking }, practice }: { readonly stand: SongOnStand } & PartProps) {
  const heard = useRun((state) => state.heard);
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
      <p>
        <b className="font-numeral text-figure">{tempo}</b> <span className="text-base text-quiet">{PRACTICE_WORDS.bpm}</span>
      </p>
      <Tick label={PRACTICE_WORDS.bandPlays} on={heard} onTick={(on) => useRun.setState({ heard: on })} />
      <LastMark practice={practice} />
    </div>
  );
}

interface FadingSectionProps {
  readonly section: CellSection;
  readonly fade: Fade;
  readonly now: number | null;
  readonly onBroke: (bar: number) => void;
}

function FadingSection({ section, fade, now, onBroke }: FadingSectionProps) {
  return (
    <section className="mt-3">
      <h3 className="text-base font-bold text-accent">{section.name}</h3>
      {section.rows.map((row, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are their places
        <ol key={at} className="grid grid-cols-4 border-b border-hairline phone:grid-cols-2">
          {row.bars.map((bar, place) => (
            <FadingBar
              key={bar.index}
              bar={bar}
              isSeen={isShown(fade, place)}
              isNow={bar.index === now}
              onBroke={() => onBroke(bar.index)}
            />
          ))}
        </ol>
      ))}
    </section>
  );
}

interface FadingBarProps {
  readonly bar: BarCell;
  readonly isSeen: boolean;
  readonly isNow: boolean;
  readonly onBroke: () => void;
}

/** A bar of the song; pressed where it broke. */
function FadingBar({ bar, isSeen, isNow, onBroke }: FadingBarProps) {
  return (
    <li aria-current={isNow ? 'step' : undefined} className="flex min-w-0 border-l-2 border-edge aria-[current=step]:bg-wash">
      <button
        type="button"
        title={PRACTICE_WORDS.brokeHere(bar.index + 1)}
        onClick={onBroke}
        className="flex min-h-16 min-w-0 flex-1 flex-wrap items-center gap-x-4 px-3 py-1 text-figure font-bold hover:bg-wash"
      >
        {!isSeen && <Hidden />}
        {isSeen && bar.chords.length === 0 && <span className="text-quiet">{PRACTICE_WORDS.asBefore}</span>}
        {isSeen &&
          bar.chords.map(({ main, under }, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: chords are their places
            <span key={at} className="flex flex-col items-start">
              {main === null ? <b className="text-lead">N.C.</b> : <ChordSymbol view={main} />}
              {under !== null && <LetterSymbol view={under} className="text-base font-semibold text-quiet" />}
            </span>
          ))}
      </button>
    </li>
  );
}

/** The bars themselves are pressed. */
const NO_PLACES: readonly string[] = [];
