import { insertSection, openChart, replaceSection, sectionText } from '@aurora/core';
import type { SongVersionHead } from '@aurora/wire';
import { useMemo, useState } from 'react';
import { useNameVersion, useVersion } from '../../../api/versions.ts';
import { Button } from '../../../ui/Button.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { Comparison } from './Comparison.tsx';

interface OpenVersionProps {
  readonly songId: string;
  readonly head: SongVersionHead;
  readonly text: string;
  readonly onWrite: (text: string) => void;
}

/** One save: its name, what became of its bars until now, and what can be taken from it. */
export function OpenVersion({ songId, head, text, onWrite }: OpenVersionProps) {
  const version = useVersion(songId, head.revision);
  const name = useNameVersion(songId);
  const [typed, setTyped] = useState(head.name ?? '');
  const source = version.data?.source;
  if (version.error !== null) return <p className="text-alarm">{version.error.message}</p>;
  if (source === undefined) return <p className="text-quiet">{CHART_WORDS.fetchingIt}</p>;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <form
        className="flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          name.mutate({ revision: head.revision, name: typed.trim() === '' ? null : typed.trim() });
        }}
      >
        <input
          aria-label={CHART_WORDS.nameOfThisVersion}
          value={typed}
          maxLength={80}
          onChange={(event) => setTyped(event.target.value)}
          placeholder={CHART_WORDS.aNameSuchAsTheChorus}
          className="min-h-11 min-w-0 flex-1 rounded-lg border border-edge bg-sheet px-3 placeholder:text-quiet"
        />
        <Button type="submit" disabled={name.isPending || typed.trim() === (head.name ?? '')}>
          {CHART_WORDS.nameIt}
        </Button>
        <Button look="strong" disabled={source === text} onClick={() => onWrite(source)}>
          {CHART_WORDS.restoreItWhole}
        </Button>
      </form>
      <Comparison before={source} after={text} />
      <Sections source={source} text={text} onWrite={onWrite} />
    </div>
  );
}

/** The sections of this version, each to be taken over by itself. */
function Sections({ source, text, onWrite }: Pick<OpenVersionProps, 'text' | 'onWrite'> & { readonly source: string }) {
  const then = useMemo(() => openChart(source), [source]);
  const now = useMemo(() => openChart(text), [text]);
  if (then.reading.sections.length === 0) return null;
  return (
    <section aria-label={CHART_WORDS.itsSections}>
      <h3 className="mb-1 font-semibold">{CHART_WORDS.useOneSection}</h3>
      <ul>
        {then.reading.sections.map(({ name, count, at }, index) => {
          const same = now.reading.sections.findIndex((section) => section.name === name);
          const copy = sectionText(then, index);
          return (
            <li key={at.line} className="flex min-h-11 flex-wrap items-center gap-2 border-b border-hairline py-1">
              <b className="min-w-24">{name || CHART_WORDS.noName}</b>
              <span className="flex-1 text-fine text-quiet">{count === 1 ? CHART_WORDS.oneBar : CHART_WORDS.barsCounted(count)}</span>
              {same >= 0 && copy !== sectionText(now, same) && (
                <Button onClick={() => onWrite(replaceSection(now, same, copy))}>
                  {CHART_WORDS.inPlaceOf} {name}
                </Button>
              )}
              <Button look="bare" onClick={() => onWrite(insertSection(now, now.reading.sections.length, copy))}>
                {CHART_WORDS.atTheEnd}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
