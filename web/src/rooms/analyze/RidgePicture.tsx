import type { RidgeSpan, SongProfile } from '@aurora/core';
import { Area, ComposedChart, Line, ReferenceArea, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { RidgeNames } from '../../parts/analysis/analysis-view.ts';
import { MarkPath } from '../../parts/ridge/FunctionMark.tsx';
import { floorLine, plateau, type RidgePoint, ridgeLine, ridgeRuns, spanAt } from '../../parts/ridge/ridge-view.ts';

export interface RidgeProps {
  readonly profile: SongProfile;
  readonly names: RidgeNames;
  readonly selected: number;
  /** The keys and the chord each begins at. */
  readonly regions: readonly { readonly from: number; readonly name: string }[];
  /** Low, where something else needs the room. */
  readonly isLow: boolean;
  readonly onGo: (index: number) => void;
}

/** Up to so many chords each has a mark of its own. */
const MOST_MARKS = 64;
/** A song that stays near home is not drawn as high as one that does not. */
const LEAST_TOP = 3;
const ROOM = { top: 20, right: 10, bottom: 2, left: 10 };
const LOW_ROOM = { top: 4, right: 10, bottom: 2, left: 10 };
/** A section stands up so much behind its first time, as an echo, when it is repeated. */
const ECHO = 0.45;

/** A section that is repeated stands behind itself once more, faintly. */
function echoesOf({ spans, sections }: SongProfile): readonly { readonly points: readonly RidgePoint[] }[] {
  return sections
    .filter(({ times }) => times > 1)
    .map(({ from, to }) => ({
      points: ridgeLine(spans.filter((span) => span.from >= from && span.to <= to)).map(({ x, y }) => ({ x, y: y + ECHO })),
    }));
}

/** Several runs as one line, with nothing drawn between them. */
function brokenLine(
  runs: readonly { readonly points: readonly RidgePoint[] }[],
): readonly { readonly x: number; readonly y: number | null }[] {
  return runs.flatMap(({ points }) => [...points, { x: points.at(-1)?.x ?? 0, y: null }]);
}

const LINE = { dataKey: 'y', type: 'linear', isAnimationActive: false, dot: false, activeDot: false } as const;

/** The picture itself; it comes after the words, with what it is drawn by. */
export function RidgePicture({ profile, names, selected, regions, isLow, onGo }: RidgeProps) {
  const { spans, sections, beats } = profile;
  const line = ridgeLine(spans);
  const runs = ridgeRuns(spans);
  const chosen = spans[selected];
  const highest = Math.max(LEAST_TOP, ...spans.map(({ top }) => top)) + (isLow ? 0.4 : 0.8);
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart
        data={[...line]}
        margin={isLow ? LOW_ROOM : ROOM}
        accessibilityLayer={false}
        onClick={({ activeLabel }) => {
          const span = activeLabel === undefined ? undefined : spanAt(profile, Number(activeLabel) / beats);
          if (span !== undefined) onGo(span.index);
        }}
        className="cursor-pointer"
      >
        <XAxis
          dataKey="x"
          type="number"
          domain={[0, beats]}
          ticks={isLow ? [] : sections.map(({ from }) => from)}
          tickFormatter={(at: number) => sections.find(({ from }) => from === at)?.name ?? ''}
          tick={{ fill: 'var(--quiet)', fontSize: 13, textAnchor: 'start' }}
          tickLine={{ stroke: 'var(--edge)' }}
          axisLine={{ stroke: 'var(--edge)' }}
          interval="preserveStart"
          height={isLow || sections.length === 0 ? 1 : 22}
        />
        <YAxis hide domain={[0, highest]} />
        <Area {...LINE} data={[...line]} stroke="none" fill="var(--wash)" />
        <Area {...LINE} data={[...floorLine(spans)]} stroke="var(--edge)" fill="var(--hairline)" />
        <Line {...LINE} data={[...brokenLine(echoesOf(profile))]} stroke="var(--accent)" strokeOpacity={0.3} strokeWidth={1.5} />
        {regions.map(({ from, name }) => (
          <ReferenceLine
            key={from}
            x={spans[from]?.from ?? 0}
            stroke={from === 0 ? 'none' : 'var(--edge)'}
            strokeDasharray="3 3"
            label={{ value: isLow ? '' : name, position: 'insideTopLeft', fill: 'var(--ink)', fontSize: 13, fontWeight: 700, dy: -16 }}
          />
        ))}
        {chosen !== undefined && <Summit span={chosen} name={isLow ? '' : (names.numbers[selected] ?? '')} />}
        {[false, true].map((outside) => (
          <Line
            key={String(outside)}
            {...LINE}
            data={[...brokenLine(runs.filter((run) => run.outside === outside))]}
            stroke={outside ? 'var(--outside)' : 'var(--accent)'}
            strokeWidth={2.5}
            strokeDasharray={outside ? '5 3' : 'none'}
          />
        ))}
        {!isLow && spans.length <= MOST_MARKS && <Marks spans={spans} />}
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** The chosen chord: its plateau from floor to sky, with its number on top. */
function Summit({ span: { from, to }, name }: { readonly span: RidgeSpan; readonly name: string }) {
  return (
    <ReferenceArea
      x1={from}
      x2={to}
      fill="var(--accent)"
      fillOpacity={0.2}
      label={{
        value: name,
        position: 'insideTop',
        fill: 'var(--ink)',
        fontSize: 19,
        fontWeight: 700,
        fontFamily: 'var(--font-numeral)',
        dy: -6,
      }}
    />
  );
}

/** What each chord does, on its plateau. */
function Marks({ spans }: { readonly spans: readonly RidgeSpan[] }) {
  const data = spans.map((span) => {
    const [left, right] = plateau(span);
    return { x: (left.x + right.x) / 2, y: left.y };
  });
  return (
    <Line
      data={[...data]}
      dataKey="y"
      stroke="none"
      isAnimationActive={false}
      activeDot={false}
      dot={({ cx, cy, index }: { readonly cx?: number; readonly cy?: number; readonly index?: number }) => (
        <g key={index} transform={`translate(${(cx ?? 0) - 10} ${(cy ?? 0) - 15}) scale(0.83)`}>
          <MarkPath role={spans[index ?? 0]?.role ?? 'tonic'} />
        </g>
      )}
    />
  );
}
