import { type BarChange, barAsWritten, comparedParts, readChart, type WrittenBar } from '@aurora/core';
import { useMemo } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

/** What became of a chart's bars until another, section by section. */
export function Comparison({ before, after }: { readonly before: string; readonly after: string }) {
  const { parts, old, now } = useMemo(() => {
    const [first, second] = [readChart(before), readChart(after)];
    return { parts: comparedParts(first, second), old: first.bars, now: second.bars };
  }, [before, after]);
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

function nameOf(change: BarChange): string {
  return `${'before' in change ? change.before : '–'} ${'after' in change ? change.after : '–'}`;
}

interface ChangedBarProps {
  readonly change: BarChange;
  readonly old: readonly WrittenBar[];
  readonly now: readonly WrittenBar[];
}

const SAID = { same: CHART_WORDS.asItIs, changed: 'changed', removed: CHART_WORDS.deletedSince, added: CHART_WORDS.newSince } as const;

function ChangedBar({ change, old, now }: ChangedBarProps) {
  const was = 'before' in change ? writtenIn(old[change.before]) : null;
  const is = 'after' in change ? writtenIn(now[change.after]) : null;
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
      {was !== null &&
        (change.kind === 'same' ? (
          <Glyphs text={was} />
        ) : (
          <del className="text-alarm">
            <Glyphs text={was} />
          </del>
        ))}
      {change.kind !== 'same' && is !== null && (
        <ins className="block text-accent no-underline">
          <Glyphs text={is} />
        </ins>
      )}
    </span>
  );
}

function writtenIn(bar: WrittenBar | undefined): string {
  return bar === undefined ? '' : barAsWritten(bar);
}
