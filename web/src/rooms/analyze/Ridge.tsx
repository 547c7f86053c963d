import type { ReactNode } from 'react';
import { Area, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type RidgeDatum, ridgeList, ridgeWords } from '../../parts/analysis/analysis-view.ts';
import { Word } from '../../parts/glossary/Word.tsx';

interface RidgeProps {
  readonly data: readonly RidgeDatum[];
  readonly selected: number | null;
  /** The keys and where they begin. */
  readonly regions: readonly { readonly from: number; readonly name: string }[];
  readonly onGo: (index: number) => void;
  /** What may be done with the song, beside the caption. */
  readonly children: ReactNode;
}

/** Up to so many chords each has a mark of its own. */
const MOST_MARKS = 96;
/** A song that stays near home is not drawn as high as one that does not. */
const LEAST_TOP = 4;
const ROOM = { top: 18, right: 12, bottom: 2, left: 12 };

/** The song's profile: each chord as high as it is far from home, regions as the ground it stands on. */
export function Ridge({ data, selected, regions, onGo, children }: RidgeProps) {
  if (data.length === 0) return null;
  return (
    <figure className="rounded-xl border border-hairline bg-sheet px-1 pt-1">
      <div aria-hidden="true" className="h-[136px]">
        <RidgePicture data={data} selected={selected} regions={regions} onGo={onGo} />
      </div>
      <figcaption className="flex items-center gap-x-2 pr-1 pb-1 pl-3 text-fine text-quiet">
        <span className="min-w-0 flex-1">
          <Word term="ridge">The ridge</Word>. {ridgeWords(data)}
          <span className="sr-only"> Heights above home, chord by chord: {ridgeList(data)}.</span>
        </span>
        {children}
      </figcaption>
    </figure>
  );
}

function RidgePicture({ data, selected, regions, onGo }: Omit<RidgeProps, 'children'>) {
  const marked = data.length <= MOST_MARKS;
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart
        data={[...data]}
        margin={ROOM}
        accessibilityLayer={false}
        onClick={({ activeTooltipIndex }) => activeTooltipIndex != null && onGo(Number(activeTooltipIndex))}
        className="cursor-pointer"
      >
        <XAxis
          dataKey="index"
          tickLine={false}
          axisLine={{ stroke: 'var(--edge)' }}
          interval="equidistantPreserveStart"
          tickFormatter={(index: number) => data[index]?.number ?? ''}
          tick={{ fill: 'var(--quiet)', fontSize: 14, fontFamily: 'var(--font-numeral)' }}
          height={24}
        />
        <YAxis hide domain={[0, Math.max(LEAST_TOP, ...data.map(({ top }) => top))]} />
        <Area dataKey="top" type="linear" stroke="none" fill="var(--wash)" isAnimationActive={false} />
        <Area dataKey="ground" type="step" stroke="var(--edge)" strokeDasharray="2 3" fill="var(--hairline)" isAnimationActive={false} />
        {regions.map(({ from, name }) => (
          <ReferenceLine
            key={from}
            x={from}
            stroke={from === 0 ? 'none' : 'var(--edge)'}
            strokeDasharray="3 3"
            label={{ value: name, position: 'insideTopLeft', fill: 'var(--ink)', fontSize: 14, fontWeight: 700, dy: -14 }}
          />
        ))}
        {selected !== null && <ReferenceLine x={selected} stroke="var(--accent)" strokeWidth={2} />}
        <Line
          dataKey="top"
          type="linear"
          stroke="var(--accent)"
          strokeWidth={2.5}
          isAnimationActive={false}
          activeDot={false}
          dot={
            marked
              ? ({ cx, cy, index }: { readonly cx?: number; readonly cy?: number; readonly index?: number }) => (
                  <Mark key={index} x={cx ?? 0} y={cy ?? 0} role={data[index ?? 0]?.role ?? 'tonic'} chosen={index === selected} />
                )
              : false
          }
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** What a chord does, by shape: flat at rest, one slope moving away, a peak pulling back, a broken ring outside the key. */
function Mark({
  x,
  y,
  role,
  chosen,
}: {
  readonly x: number;
  readonly y: number;
  readonly role: RidgeDatum['role'];
  readonly chosen: boolean;
}) {
  const look = { fill: 'var(--sheet)', stroke: `var(--${COLOURS[role]})`, strokeWidth: chosen ? 3.4 : 2.2 };
  switch (role) {
    case 'tonic':
      return <rect x={x - 6} y={y - 3} width={12} height={6} {...look} />;
    case 'subdominant':
      return <path d={`M${x - 6} ${y + 5} L${x + 6} ${y + 5} L${x + 6} ${y - 5} Z`} {...look} />;
    case 'dominant':
      return <path d={`M${x - 7} ${y + 5} L${x} ${y - 6} L${x + 7} ${y + 5} Z`} {...look} />;
    case 'other':
      return <circle cx={x} cy={y} r={6} strokeDasharray="4 2.4" {...look} />;
  }
}

const COLOURS = { tonic: 'tonic', subdominant: 'subdominant', dominant: 'dominant', other: 'outside' } as const;
