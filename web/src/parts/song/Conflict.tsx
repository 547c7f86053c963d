import { leadText, openChart, sectionText } from '@aurora/core';
import { useMemo, useState } from 'react';
import type { DraftKeeper } from '../../document/draft-keeper.ts';
import { type Choices, mergeCharts, sectionsToChoose } from '../../document/merge-charts.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';

const SIDES = [
  ['mine', 'mine'],
  ['theirs', 'theirs'],
  ['both', 'both'],
] as const;

/** Somebody else saved first: both texts are shown, and one is chosen, or each section by itself. */
export function Conflict({ keeper, mine, theirs }: { readonly keeper: DraftKeeper; readonly mine: string; readonly theirs: string }) {
  const [choices, setChoices] = useState<Choices>({});
  const [choosing, setChoosing] = useState(false);
  const sections = useMemo(() => sectionsToChoose(mine, theirs), [mine, theirs]);
  return (
    <section aria-label="Saved elsewhere" className="max-h-[60vh] overflow-auto border-b-2 border-alarm bg-raised px-5 py-3">
      <p className="font-semibold">
        This song was saved elsewhere while you were writing. Nothing is lost: both texts are here, and both stay in its history.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button look="strong" onClick={() => keeper.resolve('mine')}>
          Keep mine on top
        </Button>
        <Button onClick={() => keeper.resolve('theirs')}>Take theirs</Button>
        {sections.length > 0 && (
          <Button aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
            Choose section by section
          </Button>
        )}
      </div>
      {choosing ? (
        <div className="mt-2">
          <ul>
            {sections.map((name) => (
              <li key={name} className="grid gap-2 border-b border-hairline py-2 md:grid-cols-[8rem_1fr_1fr_auto]">
                <b>{name === '' ? 'Head' : name}</b>
                <Text source={mine} name={name} />
                <Text source={theirs} name={name} />
                <Choice
                  label={`Which ${name === '' ? 'head' : name}`}
                  value={choices[name] ?? 'mine'}
                  options={name === '' ? SIDES.slice(0, 2) : SIDES}
                  onChange={(side) => setChoices({ ...choices, [name]: side })}
                />
              </li>
            ))}
          </ul>
          <Button look="strong" className="mt-2" onClick={() => keeper.merge(mergeCharts(mine, theirs, choices))}>
            Keep what I chose
          </Button>
        </div>
      ) : (
        <details className="mt-1">
          <summary className="cursor-pointer py-1 text-quiet">Show theirs</summary>
          <pre className="max-h-48 overflow-auto rounded border border-hairline bg-sheet p-3 font-text text-sm whitespace-pre-wrap">
            {theirs}
          </pre>
        </details>
      )}
    </section>
  );
}

function Text({ source, name }: { readonly source: string; readonly name: string }) {
  const chart = useMemo(() => openChart(source), [source]);
  const index = chart.reading.sections.findIndex((section) => section.name === name);
  const text = name === '' ? leadText(chart) : index < 0 ? '' : sectionText(chart, index);
  return (
    <pre className="min-w-0 overflow-auto rounded border border-hairline bg-sheet p-2 font-text text-[13px] whitespace-pre-wrap">
      {text || '—'}
    </pre>
  );
}
