import { type BarChange, barAsWritten, comparedParts, readChart, type WrittenBar } from '@aurora/core';
import { useMemo } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';

/** What became of a chart's bars until another, section by section. */
export function Comparison({ before, after }: { readonly before: string; readonly after: string }) {
  const { parts, old, now } = useMemo(() => {
    const [first, second] = [readChart(before), readChart(after)];
    return { parts: comparedParts(first, second), old: first.bars, now: second.bars };
  }, [before, after]);
  const changed = parts.flatMap(({ changes }) => changes).filter(({ kind }) => kind !== 'same').length;
  return (
    <section aria-label="What changed since">
      <h3 className="mb-1 font-semibold">
        {changed === 0 ? 'The bars are as they are now.' : `Since then ${changed === 1 ? 'one bar' : `${changed} bars`} changed.`}
      </h3>
      <div className="max-h-72 overflow-auto">
        {parts.map(({ name, wasCalled, changes }) => (
          <section key={changes.map(nameOf).join()} aria-label={name || 'The beginning'} className="mb-2">
            <h4 className="text-fine font-semibold">
              {name || 'The beginning'}
              {wasCalled !== null && <span className="font-normal text-quiet"> was {wasCalled || 'without a name'}</span>}
              {changes.every(({ kind }) => kind === 'same') && <span className="font-normal text-quiet"> as it is</span>}
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

const SAID = { same: 'as it is', changed: 'changed', removed: 'deleted since', added: 'new since' } as const;

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
