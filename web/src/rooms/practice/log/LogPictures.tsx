import { findItem, itemWords } from '@aurora/core';
import type { PracticeLog } from '@aurora/wire';
import type { ReactNode } from 'react';
import { Bar, BarChart, CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../../session/lens.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { medianLine, recallLines, tempoRows } from './log-view.ts';

const MOST_LINES = 4;
const MOST_TEMPOS = 6;
const MOST_MISTAKEN = 6;
const MOST_SEAMS = 6;
const AXIS = { stroke: 'var(--quiet)', tick: { fill: 'var(--quiet)', fontSize: 13 }, tickLine: false } as const;
const ROOM = { top: 8, right: 16, bottom: 0, left: -18 };
/** Told apart by how they are broken, not by their colour. */
const DASHES = ['2 3', '8 4', '12 3 3 3', '5 5'];

/** The pictures of the log; under each stands what it shows in words. */
export function LogPictures({ log }: { readonly log: PracticeLog }) {
  return (
    <div className="grid gap-x-8 gap-y-6 md:grid-cols-2">
      <Minutes log={log} />
      <Recall log={log} />
      <Tempos log={log} />
      <Mistaken log={log} />
      <Seams log={log} />
    </div>
  );
}

function Picture({ title, words, children }: { readonly title: string; readonly words: string; readonly children: ReactNode }) {
  return (
    <figure className="min-w-0">
      <h2 className="mb-1 font-numeral text-head font-bold">{title}</h2>
      {children}
      <figcaption className="mt-1 text-base text-quiet">
        <Glyphs text={words} />
      </figcaption>
    </figure>
  );
}

const shortWeek = (week: string) => week.slice(5);

function Minutes({ log: { weeks } }: { readonly log: PracticeLog }) {
  return (
    <Picture title={PRACTICE_WORDS.minutesAWeek} words={PRACTICE_WORDS.minutesWords(weeks)}>
      <div aria-hidden="true" className="h-44">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={weeks} margin={ROOM} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="week" tickFormatter={shortWeek} {...AXIS} />
            <YAxis {...AXIS} />
            <Bar dataKey="minutes" fill="var(--accent)" isAnimationActive={false} maxBarSize={36} radius={[4, 4, 0, 0]} />
          </BarChart>
        </ResponsiveContainer>
      </div>
    </Picture>
  );
}

function Recall({ log }: { readonly log: PracticeLog }) {
  const lines = recallLines(log, MOST_LINES);
  const median = medianLine(log);
  const data = median.map(({ week, seconds }) => ({
    week,
    median: seconds,
    ...Object.fromEntries(lines.map(({ kind, points }) => [kind, points.find((point) => point.week === week)?.seconds ?? null])),
  }));
  return (
    <Picture title={PRACTICE_WORDS.secondsToAnswer} words={PRACTICE_WORDS.recallWords(lines, median)}>
      <div aria-hidden="true" className="h-44">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={ROOM} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="week" tickFormatter={shortWeek} {...AXIS} />
            <YAxis {...AXIS} />
            {lines.map(({ kind }, at) => (
              <Line
                key={kind}
                dataKey={kind}
                stroke="var(--quiet)"
                strokeDasharray={DASHES[at] ?? ''}
                dot={false}
                isAnimationActive={false}
                connectNulls
              />
            ))}
            <Line dataKey="median" stroke="var(--accent)" strokeWidth={3} dot isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex flex-wrap gap-x-4 text-fine text-quiet">
        {lines.map(({ kind, name }, at) => (
          <li key={kind} className="flex items-center gap-1.5">
            <svg width="28" height="4" aria-hidden="true">
              <line x1="0" y1="2" x2="28" y2="2" stroke="var(--quiet)" strokeWidth="2" strokeDasharray={DASHES[at] ?? ''} />
            </svg>
            {name}
          </li>
        ))}
      </ul>
    </Picture>
  );
}

function Tempos({ log }: { readonly log: PracticeLog }) {
  const naming = useNaming();
  const rows = tempoRows(log, MOST_TEMPOS);
  return (
    <Picture title={PRACTICE_WORDS.tempos} words={rows.length === 0 ? PRACTICE_WORDS.noneYet : PRACTICE_WORDS.temposWords}>
      <ul className="flex flex-col divide-y divide-hairline">
        {rows.map(({ item, first, last, points }) => {
          const found = findItem(item);
          return (
            <li key={item} className="flex items-center gap-3 py-1.5">
              <span className="min-w-0 flex-1 truncate">
                <Glyphs text={found === undefined ? item : itemWords(found, naming)} />
              </span>
              <Spark points={points} />
              <b className="w-24 text-right tabular-nums">{PRACTICE_WORDS.fromTo(first, last)}</b>
            </li>
          );
        })}
      </ul>
    </Picture>
  );
}

const SPARK = { width: 88, height: 24 };

/** The way of a tempo, day by day. */
function Spark({ points }: { readonly points: readonly number[] }) {
  const [low, high] = [Math.min(...points), Math.max(...points)];
  const y = (value: number) => SPARK.height - 3 - ((value - low) / Math.max(1, high - low)) * (SPARK.height - 6);
  const path = points
    .map((value, at) => `${at === 0 ? 'M' : 'L'}${(at / Math.max(1, points.length - 1)) * SPARK.width} ${y(value)}`)
    .join(' ');
  return (
    <svg viewBox={`0 0 ${SPARK.width} ${SPARK.height}`} width={SPARK.width} height={SPARK.height} aria-hidden="true">
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth="2" />
    </svg>
  );
}

function Mistaken({ log: { mistaken } }: { readonly log: PracticeLog }) {
  const rows = mistaken.slice(0, MOST_MISTAKEN);
  return (
    <Picture title={PRACTICE_WORDS.mistaken} words={rows.length === 0 ? PRACTICE_WORDS.noneYet : PRACTICE_WORDS.mistakenWords}>
      <ul className="flex flex-col divide-y divide-hairline">
        {rows.map(({ wanted, said, times }) => (
          <Counted key={`${wanted} ${said}`} words={PRACTICE_WORDS.takenFor(wanted, said)} count={times} most={rows[0]?.times ?? 1} />
        ))}
      </ul>
    </Picture>
  );
}

function Seams({ log: { seams } }: { readonly log: PracticeLog }) {
  const rows = seams.filter(({ failed }) => failed > 0).slice(0, MOST_SEAMS);
  return (
    <Picture title={PRACTICE_WORDS.seams} words={rows.length === 0 ? PRACTICE_WORDS.noneYet : PRACTICE_WORDS.seamsWords}>
      <ul className="flex flex-col divide-y divide-hairline">
        {rows.map(({ from, to, failed, passes }) => (
          <Counted
            key={`${from} ${to}`}
            words={PRACTICE_WORDS.seamLine(from, to, failed, passes)}
            count={failed}
            most={rows[0]?.failed ?? 1}
          />
        ))}
      </ul>
    </Picture>
  );
}

function Counted({ words, count, most }: { readonly words: string; readonly count: number; readonly most: number }) {
  return (
    <li className="flex items-center gap-3 py-1.5">
      <span className="min-w-0 flex-1">
        <Glyphs text={words} />
      </span>
      <span aria-hidden="true" className="h-2 w-24 rounded-full bg-edge/40">
        <span style={{ width: `${(count / most) * 100}%` }} className="block h-2 rounded-full bg-accent" />
      </span>
      <b className="w-8 text-right tabular-nums">{count}</b>
    </li>
  );
}
