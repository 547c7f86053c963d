import { useId, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import type { Desk } from './use-desk.ts';

/** A first section is that long, even where nobody has named it. */
const A_SECTION = 4;
/** Songs whose name was asked for while this page was open. */
const ASKED = new Set<string>();

/** After its first section a song without a title is asked for its name, once; nothing that is typed goes astray for it. */
export function NameOnce({ desk }: { readonly desk: Desk }) {
  const { songId, mayWrite, state } = desk;
  const { head, bars } = desk.desk.reading;
  const [gone, setGone] = useState(ASKED.has(songId));
  const [name, setName] = useState('');
  const id = useId();
  if (gone || !mayWrite || head.title !== '' || bars.length < A_SECTION || state.typing !== null) return null;
  const done = (title: string) => {
    ASKED.add(songId);
    setGone(true);
    if (title !== '') desk.edit({ kind: 'head-line', name: 'title', value: title });
  };
  return (
    <form
      className="flex shrink-0 flex-wrap items-center gap-2 border-b border-hairline bg-wash px-5 py-1.5 phone:px-3"
      onSubmit={(event) => {
        event.preventDefault();
        done(name.trim());
      }}
    >
      <label htmlFor={id} className="font-semibold">
        {CHART_WORDS.whatIsItCalled}
      </label>
      <input
        id={id}
        value={name}
        maxLength={200}
        onChange={({ target }) => setName(target.value)}
        className="min-h-10 min-w-40 flex-1 rounded-lg border border-edge bg-sheet px-3"
      />
      <Button type="submit" disabled={name.trim() === ''}>
        {CHART_WORDS.nameIt}
      </Button>
      <Button look="bare" type="button" onClick={() => done('')}>
        {CHART_WORDS.later}
      </Button>
    </form>
  );
}
