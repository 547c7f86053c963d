import { type BarCell, type BarChange, type ChartReading, comparedParts, type Naming, projectChart, readChart } from '@aurora/core';
import { useMemo } from 'react';
import { ChordSymbol } from '../../../parts/notation/ChordSymbol.tsx';
import { Diamond, PushMark, StopMark } from '../../../parts/sheet/sheet-marks.tsx';
import { useNaming } from '../../../session/lens.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';

/** What became of a chart's bars until another, section by section. */
export function Comparison({ before, after }: { readonly before: string; readonly after: string }) {
  const naming = useNaming();
  const { parts, old, now } = useMemo(() => {
    const [first, second] = [readChart(before), readChart(after)];
    return { parts: comparedParts(first, second), old: cellsOf(first, naming), now: cellsOf(second, naming) };
  }, [before, after, naming]);
  const changed = parts.flatMap(({ changes }) => changes).filter(({ kind }) => kind !== 'same').length;
  return (
    <section aria-label={CHART_WORDS.whatChangedSince}>
      <h3 className="mb-1 font-semibold">
        {changed === 0
          ? CHART_WORDS.theBarsAreAsTheyAre
          : CHART_WORDS.sinceThenChanged(changed === 1 ? CHART_WORDS.oneBar : CHART_WORDS.bars(changed))}
      </h3>
      <div className="max-h-72 overflow-auto">
        {parts.map(({ name, wasCalled, changes }) => (
          <section key={changes.map(nameOf).join()} aria-label={name || CHART_WORDS.theBeginning} className="mb-2">
            <h4 className="text-fine font-semibold">
              {name || CHART_WORDS.theBeginning}
              {wasCalled !== null && (
                <span className="font-normal text-quiet">
                  {' '}
                  {CHART_WORDS.was} {wasCalled || CHART_WORDS.withoutAName}
                </span>
              )}
              {changes.every(({ kind }) => kind === 'same') && <span className="font-normal text-quiet"> {CHART_WORDS.asItIs}</span>}
            </h4>
            <ol className="grid grid-cols-4 gap-1 lg:grid-cols-8">
              {changes.map((change) => (
                <li key={nameOf(change)}>
                  <ChangedBar change={change} old={old} now={now} />
                </li>
              ))}
            </ol>
          </section>
        ))}
      </div>
    </section>
  );
}

/** The bars as they are drawn on the sheet, by their place. */
function cellsOf(reading: ChartReading, naming: Naming): ReadonlyMap<number, BarCell> {
  const { tonic } = reading.head.key;
  const look = { naming, sounding: tonic, written: tonic, show: 'numbers', kind: 'chart', words: false, cuesFor: null } as const;
  const cells = projectChart(reading, look).sections.flatMap(({ rows }) => rows.flatMap(({ bars }) => bars));
  return new Map(cells.map((cell) => [cell.index, cell]));
}

function nameOf(change: BarChange): string {
  return `${'before' in change ? change.before : '–'} ${'after' in change ? change.after : '–'}`;
}

interface ChangedBarProps {
  readonly change: BarChange;
  readonly old: ReadonlyMap<number, BarCell>;
  readonly now: ReadonlyMap<number, BarCell>;
}

const SAID = {
  same: CHART_WORDS.asItIs,
  changed: CHART_WORDS.changedSince,
  removed: CHART_WORDS.deletedSince,
  added: CHART_WORDS.newSince,
} as const;

function ChangedBar({ change, old, now }: ChangedBarProps) {
  const was = 'before' in change ? old.get(change.before) : undefined;
  const is = 'after' in change ? now.get(change.after) : undefined;
  const looks = {
    same: 'border-hairline text-quiet',
    changed: 'border-accent',
    removed: 'border-dashed border-alarm',
    added: 'border-2 border-accent',
  };
  return (
    <span
      title={SAID[change.kind]}
      className={`music-glyph block min-h-9 rounded-md border px-1.5 py-1 text-fine font-bold ${looks[change.kind]}`}
    >
      <span className="sr-only">{SAID[change.kind]}: </span>
      {was !== undefined &&
        (change.kind === 'same' ? (
          <DrawnBar bar={was} />
        ) : (
          <del className="block text-alarm decoration-2">
            <DrawnBar bar={was} />
          </del>
        ))}
      {change.kind !== 'same' && is !== undefined && (
        <ins className="block text-accent no-underline">
          <DrawnBar bar={is} />
        </ins>
      )}
    </span>
  );
}

/** A bar small, with everything that is heard in it. */
function DrawnBar({ bar: { chords } }: { readonly bar: BarCell }) {
  return (
    <span className="flex flex-wrap items-end gap-x-2 gap-y-1 text-lead">
      {chords.map(({ main, marks }, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
        <span key={place} className="inline-flex items-center">
          {marks.push && <PushMark />}
          {marks.ring && <Diamond />}
          {marks.optional && '('}
          {main === null ? <b className="font-numeral text-base">N.C.</b> : <ChordSymbol view={main} className="font-bold" />}
          {marks.optional && ')'}
          {marks.stop && <StopMark />}
        </span>
      ))}
    </span>
  );
}
