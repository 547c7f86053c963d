import { type ChartClash, mergeCharts, type Side } from '@aurora/core';
import { useState } from 'react';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useDraftState } from '../../document/use-song-draft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';

const SIDES: readonly (readonly [Side, string])[] = [
  ['mine', 'mine'],
  ['theirs', 'theirs'],
  ['both', 'both'],
];

/** The same section was changed here and elsewhere: nothing is decided until somebody chooses. */
export function Conflict({ draft }: { readonly draft: ChartDraft }) {
  const { value, status } = useDraftState(draft);
  const [choices, setChoices] = useState<Readonly<Record<string, Side>>>({});
  if (status.kind !== 'conflict') return null;
  const { base, theirs, clashes } = status;
  const open = clashes.filter(({ id }) => choices[id] === undefined);
  const keep = () => draft.resolve(mergeCharts(base, value, theirs.value, choices).text);
  return (
    <section aria-label={PARTS_WORDS.savedElsewhere} className="max-h-[60vh] overflow-auto border-b-2 border-alarm bg-raised px-5 py-3">
      <p role="alert" className="font-semibold">
        {clashes.length === 1 ? PARTS_WORDS.onePartOfThisSongWas : PARTS_WORDS.somePartsOfThisSongWere}{' '}
        {PARTS_WORDS.changedHereAndElsewhereBothAre}
      </p>
      <ul>
        {clashes.map((clash) => (
          <li key={clash.id} className="grid gap-2 border-b border-hairline py-2 md:grid-cols-[8rem_1fr_1fr_auto]">
            <b>{nameOf(clash)}</b>
            <Text label={PARTS_WORDS.mine} text={clash.mine} />
            <Text label={PARTS_WORDS.theirs} text={clash.theirs} />
            <Choice
              label={PARTS_WORDS.which(nameOf(clash))}
              value={choices[clash.id] ?? null}
              options={clash.isHead || clash.mine === null || clash.theirs === null ? SIDES.slice(0, 2) : SIDES}
              onChange={(side) => setChoices({ ...choices, [clash.id]: side })}
            />
          </li>
        ))}
      </ul>
      <Button look="strong" className="mt-2" disabled={open.length > 0} onClick={keep}>
        {open.length === 0 ? PARTS_WORDS.saveMyChoice : PARTS_WORDS.choose(open.map(nameOf).join(', '))}
      </Button>
    </section>
  );
}

function nameOf({ name, isHead }: ChartClash): string {
  return isHead ? PARTS_WORDS.head : name === '' ? PARTS_WORDS.theBeginning : name;
}

function Text({ label, text }: { readonly label: string; readonly text: string | null }) {
  return (
    <figure className="min-w-0">
      <figcaption className="text-fine font-semibold text-quiet">{label}</figcaption>
      <pre className="overflow-auto rounded border border-hairline bg-sheet p-2 font-text text-fine whitespace-pre-wrap">
        {text ?? 'deleted'}
      </pre>
    </figure>
  );
}
