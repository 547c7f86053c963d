import { clockAfter, lengthWords } from '@aurora/core';
import { Trash2 } from 'lucide-react';
import { useSetChanges, useSets } from '../api/sets.ts';
import { AskOnce } from '../ui/AskOnce.tsx';
import { Button } from '../ui/Button.tsx';
import { SelectField } from '../ui/SelectField.tsx';
import { sayFault } from '../ui/say.ts';
import { TextField } from '../ui/TextField.tsx';
import { useTonight } from './tonight-store.ts';
import type { Tonight } from './use-evening.ts';

/** Which set, where and when, and how long it lasts. */
export function SetHead({ tonight, onNew }: { readonly tonight: Tonight; readonly onNew: () => void }) {
  const { desk, state, times, setId } = tonight;
  const { name, place, startsAt } = state.body;
  const sets = useSets().data ?? [];
  const { open } = useTonight();
  const last = times.at(-1);
  const end = last === undefined ? null : clockAfter(startsAt, last.at + last.seconds);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <TextField
        label="Set"
        value={name}
        most={80}
        onChange={(next) => desk.change((body) => ({ ...body, name: next }))}
        className="min-w-56 flex-1"
      />
      <TextField
        label="Where"
        value={place}
        most={80}
        onChange={(next) => desk.change((body) => ({ ...body, place: next }))}
        className="min-w-44 flex-1"
      />
      <label className="flex flex-col gap-1 text-sm font-semibold text-quiet">
        Begins
        <input
          type="time"
          value={startsAt}
          onChange={(event) => desk.change((body) => ({ ...body, startsAt: event.target.value }))}
          className="min-h-11 rounded-lg border border-edge bg-raised px-3 text-[16px] font-medium text-ink"
        />
      </label>
      <p className="min-h-11 content-center text-[15px]" data-testid="set-length">
        <b>{lengthWords(times)}</b>
        {end !== null && <span className="text-quiet">, until {end}</span>}
      </p>
      <SelectField
        label="Other sets"
        value={setId}
        options={[...sets.map((set) => [set.id, set.id === setId ? name : set.name] as const), ['', 'New set…']]}
        onChange={(id) => (id === '' ? onNew() : open(id))}
        className="max-w-52"
      />
      <TakeAway setId={setId} name={name} />
    </div>
  );
}

/** A set that is taken away is gone: it is asked for once more. */
function TakeAway({ setId, name }: { readonly setId: string; readonly name: string }) {
  const { remove } = useSetChanges();
  const { open } = useTonight();
  const takeAway = () => remove.mutate(setId, { onSuccess: () => open(null), onError: (error) => void sayFault(error.message) });
  return (
    <AskOnce
      title={`Take “${name}” away?`}
      yes="Take it away"
      no="Keep it"
      onYes={takeAway}
      trigger={
        <Button look="bare" aria-label="Take the set away">
          <Trash2 size={18} />
        </Button>
      }
    >
      The order, tonight’s keys and the notes go. The songs stay on the shelf. This cannot be taken back.
    </AskOnce>
  );
}
