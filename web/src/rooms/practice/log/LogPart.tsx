import { type SheetTable, tablePages, wholeKeyWords } from '@aurora/core';
import type { PracticeLog } from '@aurora/wire';
import { lazy, Suspense, useState } from 'react';
import { passesTablePath, usePracticeLog, usePracticeSessions } from '../../../api/practice.ts';
import { useNaming } from '../../../session/lens.ts';
import { setPaper, usePaper } from '../../../session/paper-store.ts';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { FetchIcon, PrintIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { PartProps } from '../use-practice.ts';
import { KeyMapPicture } from './KeyMapPicture.tsx';
import { keyMap, MAP_STAGES, medianLine } from './log-view.ts';
import { RefusedList } from './RefusedList.tsx';
import { SessionList } from './SessionList.tsx';

// pictures come with the library that draws them, and paper with its own: neither is wanted to begin with
const LogPictures = lazy(async () => ({ default: (await import('./LogPictures.tsx')).LogPictures }));
const PagesSheet = lazy(async () => ({ default: (await import('../../../parts/paper/PagesSheet.tsx')).PagesSheet }));

/** What was practised and what it came to: sessions in one's own words, and pictures that each can be read as text. */
export function LogPart({ practice }: PartProps) {
  const { data: log, error } = usePracticeLog(practice.player);
  const sessions = usePracticeSessions(practice.player);
  const [printing, setPrinting] = useState(false);
  const hasRefused = practice.refused.passes.length + practice.refused.sessions.length > 0;
  if (log === undefined) return <p className="py-6 text-quiet">{error === null ? PRACTICE_WORDS.fetching : PRACTICE_WORDS.logIsAway}</p>;
  if (log.passes === 0 && sessions.length === 0 && practice.waiting === 0 && !hasRefused)
    return (
      <Notice title={PRACTICE_WORDS.nothingYet}>
        <p>{PRACTICE_WORDS.firstSession}</p>
      </Notice>
    );
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-center gap-3">
        <p className="mr-auto text-lead">{PRACTICE_WORDS.logOf(practice.playerName, log.passes)}</p>
        {practice.waiting > 0 && <p role="status">{PRACTICE_WORDS.waiting(practice.waiting)}</p>}
        <Button onClick={() => setPrinting(true)}>
          <PrintIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.printSummary}
        </Button>
        <a href={passesTablePath(practice.player)} download className={buttonLook('plain')}>
          <FetchIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.table}
        </a>
      </div>
      <RefusedList refused={practice.refused} />
      <KeyMapPicture log={log} />
      <Suspense fallback={<p className="text-quiet">{PRACTICE_WORDS.fetching}</p>}>
        <LogPictures log={log} />
      </Suspense>
      <SessionList practice={practice} sessions={sessions} />
      <Suspense>{printing && <LogPaper log={log} name={practice.playerName} onClose={() => setPrinting(false)} />}</Suspense>
    </div>
  );
}

/** The log on one page: the map of keys, times, mistakes, minutes. */
function LogPaper({ log, name, onClose }: { readonly log: PracticeLog; readonly name: string; readonly onClose: () => void }) {
  const naming = useNaming();
  const { paper } = usePaper();
  const map: SheetTable = {
    name: PRACTICE_WORDS.keyMap,
    head: MAP_STAGES.map((stage) => PRACTICE_WORDS.mapStages[stage]),
    rows: keyMap(log, 'major', Date.now()).map(({ key, stages }) => ({
      name: wholeKeyWords(key, naming),
      cells: stages.map(({ share }) => (share === null ? '' : PRACTICE_WORDS.percent(share))),
    })),
    isWritten: false,
  };
  const weeks = log.weeks.slice(-8);
  const medians = new Map(medianLine(log).map(({ week, seconds }) => [week, seconds]));
  const time: SheetTable = {
    name: PRACTICE_WORDS.weeks,
    head: weeks.map(({ week }) => week.slice(5)),
    rows: [
      { name: PRACTICE_WORDS.minutesAWeek, cells: weeks.map(({ minutes }) => String(Math.round(minutes))) },
      { name: PRACTICE_WORDS.secondsToAnswer, cells: weeks.map(({ week }) => (medians.has(week) ? String(medians.get(week)) : '')) },
    ],
    isWritten: false,
  };
  const notes = [
    ...log.mistaken.slice(0, 5).map(({ wanted, said, times }) => PRACTICE_WORDS.mistakenLine(wanted, said, times)),
    ...log.seams
      .filter(({ failed }) => failed > 0)
      .slice(0, 4)
      .map(({ from, to, failed, passes }) => PRACTICE_WORDS.seamLine(from, to, failed, passes)),
  ];
  const title = PRACTICE_WORDS.summaryOf(name);
  const facts = PRACTICE_WORDS.summaryFacts(new Date(), log.passes);
  return (
    <PagesSheet
      name={PRACTICE_WORDS.printSummary}
      title={title}
      pages={tablePages({ title, facts, tables: [map, time], notes }, paper)}
      paper={paper}
      onPaper={setPaper}
      onClose={onClose}
    >
      {null}
    </PagesSheet>
  );
}
