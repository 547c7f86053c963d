import { useState } from 'react';
import { useMembers } from '../../../api/members.ts';
import { readOnce } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { useNaming } from '../../../session/lens.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { clashWords } from './set-clash.ts';

type Side = 'mine' | 'theirs';

/** Two people gave the set different values for the same: nothing is decided until somebody chooses. */
export function SetConflict({ tonight: { desk, state } }: { readonly tonight: Tonight }) {
  const { status, body, songs } = state;
  const members = useMembers() ?? [];
  const naming = useNaming();
  const [choices, setChoices] = useState<Readonly<Record<string, Side>>>({});
  if (status.kind !== 'conflict') return null;
  const titles = new Map(songs.map(({ id, source }) => [id, readOnce(source).head.title]));
  const nameOf = (id: string) => titles.get(id) ?? members.find((one) => one.id === id)?.name;
  const clashes = status.clashes.map((clash) => ({ clash, id: clash.path.join('/'), words: clashWords(clash, body, nameOf, naming) }));
  const open = clashes.filter(({ id }) => choices[id] === undefined).length;
  const keep = () => desk.settle(clashes.flatMap(({ clash, id }) => (choices[id] === 'theirs' ? [clash] : [])));
  return (
    <section aria-label={BAND_WORDS.savedElsewhere} className="rounded-xl border border-alarm px-4 py-3 text-base">
      <p role="alert" className="font-semibold">
        {BAND_WORDS.thisWasChangedHereAndElsewhere}
      </p>
      <ul>
        {clashes.map(({ id, words: { what, mine, theirs } }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-3 border-b border-hairline py-2">
            <b>{what}</b>
            <Choice
              label={BAND_WORDS.which(what)}
              value={choices[id] ?? null}
              options={[
                ['mine', `mine: ${mine}`],
                ['theirs', `theirs: ${theirs}`],
              ]}
              onChange={(side) => setChoices({ ...choices, [id]: side })}
            />
          </li>
        ))}
      </ul>
      <Button look="strong" className="mt-2" disabled={open > 0} onClick={keep}>
        {open === 0 ? BAND_WORDS.saveMyChoice : open === 1 ? BAND_WORDS.oneMoreToChoose : BAND_WORDS.moreToChoose(open)}
      </Button>
    </section>
  );
}
