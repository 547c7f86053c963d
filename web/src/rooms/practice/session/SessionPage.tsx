import { BLOCK_NAMES, itemWords, keyOfItem, whatWords, wholeKeyWords } from '@aurora/core';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { openSheet } from '../../../session/sheet-store.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { useTheme, useThemeOnPage } from '../../../session/use-theme.ts';
import { stop } from '../../../transport/player.ts';
import { stopSong } from '../../../transport/song-player.ts';
import { Button } from '../../../ui/Button.tsx';
import { BeforeIcon, CloseIcon, HelpIcon, SkipIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { SignButton } from '../../../ui/SignButton.tsx';
import { HOUSE_WORDS } from '../../../wording/house.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { type Practice, usePractice } from '../use-practice.ts';
import { AskItem } from './AskItem.tsx';
import { settleMarks } from './given-marks.ts';
import { OverItem } from './OverItem.tsx';
import { PlayItem } from './PlayItem.tsx';
import { RestItem } from './RestItem.tsx';
import { turnRun, useRun } from './run-store.ts';
import { SongItem } from './SongItem.tsx';
import { back, blockNow, ended, itemNext, itemNow, type Run, skipped, timeLeft } from './session-run.ts';

/** A session: one thing at a time, large enough to be read from where one sits, and everything within reach of one key, one thumb or one foot. */
export function SessionPage() {
  useThemeOnPage(useTheme().theme);
  const run = useRun((state) => state.run);
  const practice = usePractice();
  const navigate = useNavigate();
  const leave = () => {
    silence();
    void navigate('/practice');
  };
  useSettled(practice, run?.phase === 'over');
  useEffect(() => {
    document.title = HOUSE_WORDS.pageTitle(PRACTICE_WORDS.room);
    return silence;
  }, []);
  const turn = (to: (run: Run, now: number) => Run) => () => {
    silence();
    turnRun((before) => to(before, Date.now()));
  };
  useShortcuts({
    Escape: leave,
    ArrowRight: turn(skipped),
    ArrowLeft: turn(back),
    f: turn(ended),
    '?': () => openSheet({ kind: 'keys' }),
  });
  if (run === null)
    return (
      <main className="h-full">
        <Notice
          title={PRACTICE_WORDS.noSession}
          action={
            <Button look="strong" onClick={leave}>
              {PRACTICE_WORDS.toThePlan}
            </Button>
          }
        >
          <p>{PRACTICE_WORDS.makeAPlanFirst}</p>
        </Notice>
      </main>
    );
  return (
    <main className="flex h-full flex-col overflow-y-auto">
      <Head run={run} turn={turn} onLeave={leave} />
      <Body run={run} practice={practice} onLeave={leave} />
    </main>
  );
}

/** Marks stand once the session is over or left. */
function useSettled(practice: Practice, isOver: boolean): void {
  const latest = useRef(practice);
  useEffect(() => {
    latest.current = practice;
    if (isOver) settleMarks(practice);
  });
  useEffect(() => {
    const settle = () => settleMarks(latest.current);
    window.addEventListener('pagehide', settle);
    return () => {
      window.removeEventListener('pagehide', settle);
      settle();
    };
  }, []);
}

function silence(): void {
  stop();
  stopSong();
}

function Body({ run, practice, onLeave }: { readonly run: Run; readonly practice: Practice; readonly onLeave: () => void }) {
  const item = itemNow(run);
  if (run.phase === 'over') return <OverItem run={run} practice={practice} onLeave={onLeave} />;
  if (item === null) return <RestItem run={run} />;
  // every item begins anew, with nothing left over from the one before
  const key = `${run.block}.${run.place}`;
  if (run.phase === 'asking') return <AskItem key={key} run={run} item={item} practice={practice} />;
  if (item.item.study === 'song') return <SongItem key={key} run={run} item={item} practice={practice} />;
  return <PlayItem key={key} run={run} item={item} practice={practice} />;
}

interface HeadProps {
  readonly run: Run;
  /** What a press does to the session; whatever sounds falls silent. */
  readonly turn: (to: (run: Run, now: number) => Run) => () => void;
  readonly onLeave: () => void;
}

function Head({ run, turn, onLeave }: HeadProps) {
  const naming = useNaming();
  const item = itemNow(run);
  const next = itemNext(run);
  const key = item === null ? null : keyOfItem(item.item);
  return (
    <header className="sticky top-0 z-10 flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 bg-ground px-5 pt-2 pb-1 phone:px-3">
      <h1 className="min-w-0 font-numeral text-figure font-bold phone:text-head">
        {item === null ? (
          PRACTICE_WORDS.room
        ) : (
          <>
            {key !== null && (
              <b className="mr-3 text-accent">
                <Glyphs text={wholeKeyWords(key, naming)} />
              </b>
            )}
            <span className="font-medium">
              <Glyphs text={whatWords(item.item, item.title)} />
            </span>
          </>
        )}
      </h1>
      <div className="ml-auto flex items-center gap-1">
        <Button look="bare" className="px-2.5!" onClick={turn(back)} disabled={run.block === 0 && run.place === 0}>
          <BeforeIcon size={20} aria-hidden="true" /> {PRACTICE_WORDS.backOne}
        </Button>
        <Button look="bare" className="px-2.5!" onClick={turn(skipped)} disabled={run.phase === 'over'}>
          <SkipIcon size={20} aria-hidden="true" /> {PRACTICE_WORDS.skipThis}
        </Button>
        <SignButton
          name={PRACTICE_WORDS.keysWhilePractising}
          keys="?"
          className="pointer-coarse:hidden"
          onClick={() => openSheet({ kind: 'keys' })}
        >
          <HelpIcon size={20} />
        </SignButton>
        <Button onClick={turn(ended)} disabled={run.phase === 'over'}>
          {PRACTICE_WORDS.finish}
        </Button>
        <SignButton name={PRACTICE_WORDS.leave} keys="Esc" onClick={onLeave}>
          <CloseIcon size={20} />
        </SignButton>
      </div>
      <Where run={run}>{next === null ? null : <Glyphs text={PRACTICE_WORDS.thenComes(itemWords(next.item, naming, next.title))} />}</Where>
    </header>
  );
}

/** The blocks as a line of lengths, the present one filled, and what comes next. */
function Where({ run, children }: { readonly run: Run; readonly children: ReactNode }) {
  const now = blockNow(run);
  return (
    <div className="flex w-full items-center gap-3 text-base text-quiet">
      <span className="font-semibold text-ink">{now === null ? '' : BLOCK_NAMES[now.kind]}</span>
      <div aria-hidden="true" className="flex h-1.5 min-w-24 flex-1 gap-1">
        {run.blocks.map(({ minutes }, at) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: blocks are their places
            key={at}
            style={{ flexGrow: minutes }}
            className={`rounded-full ${at < run.block ? 'bg-accent' : at === run.block ? 'bg-accent/55' : 'bg-edge/50'}`}
          />
        ))}
      </div>
      <TimeLeft run={run} />
      <span className="truncate phone:hidden">{children}</span>
    </div>
  );
}

const TIME_MS = 5000;

/** Minutes left of the block and of all of it, as the plan means them. */
function TimeLeft({ run }: { readonly run: Run }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), TIME_MS);
    return () => window.clearInterval(timer);
  }, []);
  if (run.phase === 'over') return null;
  const { block, all } = timeLeft(run, Math.max(now, run.since));
  return <span className="shrink-0 whitespace-nowrap tabular-nums">{PRACTICE_WORDS.timeLeft(minutesOf(block), minutesOf(all))}</span>;
}

function minutesOf(ms: number): number {
  return Math.ceil(ms / 60_000);
}
