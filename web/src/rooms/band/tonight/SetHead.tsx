import { clockAfter, lengthWords } from '@aurora/core';
import { Popover } from 'radix-ui';
import { useSetChanges, useSets } from '../../../api/sets.ts';
import type { SetDeskState } from '../../../document/set-desk.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { sayDate } from '../../../parts/people/say-day.ts';
import { RoadLine } from '../../../parts/road/RoadLine.tsx';
import { useTonight } from '../../../session/tonight-store.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button } from '../../../ui/Button.tsx';
import { DeleteIcon, DuplicateIcon, EditIcon } from '../../../ui/icons.ts';
import { Select } from '../../../ui/Select.tsx';
import { sayFault } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';

interface Head {
  readonly tonight: Tonight;
  /** Whether it was begun on this device just now: then it asks for its name. */
  readonly isNew: boolean;
  readonly onNew: () => void;
}

/** Which set, how long it lasts, where and when. */
export function SetHead({ tonight, isNew, onNew }: Head) {
  const { state, times, setId } = tonight;
  const { name, place, startsAt, date } = state.body;
  const sets = useSets().data ?? [];
  const { open } = useTonight();
  const last = times.at(-1);
  const end = last === undefined ? null : clockAfter(startsAt, last.at + last.seconds);
  const facts = [date === '' ? '' : sayDate(date), end === null ? startsAt : BAND_WORDS.fromTo(startsAt, end), place].filter(
    (fact) => fact !== '',
  );
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <Select
        aria-label={BAND_WORDS.whichSet}
        value={setId}
        onChange={(event) => (event.target.value === '' ? onNew() : open(event.target.value))}
        className="-ml-1.5 max-w-[calc(100%-3.5rem)] border-transparent! bg-transparent! pl-1.5! text-head! font-bold! hover:border-edge!"
      >
        {sets.map((set) => (
          <option key={set.id} value={set.id}>
            {set.id === setId ? name : set.name}
          </option>
        ))}
        <option value="">{BAND_WORDS.newSetChoice}</option>
      </Select>
      <SetFacts key={setId} tonight={tonight} isNew={isNew} />
      <p className="text-base" data-testid="set-length">
        <b>{lengthWords(times)}</b>
        <span className="text-quiet">{facts.map((fact) => `  ·  ${fact}`)}</span>
      </p>
      <SavedLine state={state} by={sets.find(({ id }) => id === setId)?.savedBy ?? null} />
      <RoadLine />
    </div>
  );
}

const SAYS: Readonly<Record<'saved' | 'waiting' | 'saving' | 'conflict', string>> = {
  saved: BAND_WORDS.saved,
  waiting: BAND_WORDS.notSavedYet,
  saving: BAND_WORDS.saving,
  conflict: BAND_WORDS.changedElsewhereToo,
};

function SavedLine({ state: { status, isKept }, by }: { readonly state: SetDeskState; readonly by: string | null }) {
  const bad = status.kind === 'away' || status.kind === 'refused' || !isKept;
  return (
    <span
      role="status"
      data-testid="set-state"
      data-status={status.kind}
      className={`text-base ${bad ? 'font-semibold text-alarm' : 'text-quiet'}`}
    >
      {status.kind === 'away' || status.kind === 'refused' ? status.why : SAYS[status.kind]}
      {status.kind === 'saved' && by !== null && ` · ${PEOPLE_WORDS.savedBy(by)}`}
      {!isKept && BAND_WORDS.thisDeviceHasNoRoomFor}
    </span>
  );
}

/** What is written once for a set; a new one asks for it at once. */
function SetFacts({ tonight, isNew }: Omit<Head, 'onNew'>) {
  const { desk, state, setId } = tonight;
  const { name, place, startsAt, date } = state.body;
  return (
    <Popover.Root defaultOpen={isNew}>
      <Popover.Trigger asChild>
        <Button look="bare" aria-label={BAND_WORDS.namePlaceAndTime} title={BAND_WORDS.namePlaceAndTime} className="px-2.5!">
          <EditIcon size={17} aria-hidden="true" /> {BAND_WORDS.editWord}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          aria-label={BAND_WORDS.namePlaceAndTime}
          className="z-30 flex w-[min(24rem,92vw)] flex-col gap-3 rounded-2xl border border-edge bg-raised p-4"
        >
          <TextField
            label={BAND_WORDS.name}
            value={name}
            most={MOST_NAME}
            onChange={(next) => desk.change((body) => ({ ...body, name: next }))}
          />
          <TextField
            label={BAND_WORDS.where}
            value={place}
            most={80}
            onChange={(next) => desk.change((body) => ({ ...body, place: next }))}
          />
          <div className="grid grid-cols-2 gap-3">
            <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
              {BAND_WORDS.day}
              <input
                type="date"
                value={date}
                onChange={(event) => desk.change((body) => ({ ...body, date: event.target.value }))}
                className="min-h-11 min-w-0 rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink"
              />
            </label>
            <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
              {BAND_WORDS.begins}
              <input
                type="time"
                value={startsAt}
                onChange={(event) => desk.change((body) => ({ ...body, startsAt: event.target.value }))}
                className="min-h-11 rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink"
              />
            </label>
          </div>
          <CopySet tonight={tonight} />
          <TakeAway setId={setId} name={name} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const MOST_NAME = 80;

/** The next evening mostly begins with the last one. */
function CopySet({ tonight: { state } }: { readonly tonight: Tonight }) {
  const { add } = useSetChanges();
  const { open } = useTonight();
  const { name, place, startsAt, gapSeconds, entries } = state.body;
  const copied = `${name.slice(0, MOST_NAME - COPY.length)}${COPY}`;
  const copy = () =>
    add.mutate(
      // another evening: its day is not known yet
      { name: copied, place, startsAt, date: '', gapSeconds, entries },
      { onSuccess: ({ id }) => open(id), onError: (error) => void sayFault(error.message) },
    );
  return (
    <Button onClick={copy} disabled={add.isPending}>
      <DuplicateIcon size={17} aria-hidden="true" /> {BAND_WORDS.copyTheSet}
    </Button>
  );
}

const COPY = ', copy';

/** A set that is taken away is gone: it is asked for once more. */
function TakeAway({ setId, name }: { readonly setId: string; readonly name: string }) {
  const { remove } = useSetChanges();
  const { open } = useTonight();
  const takeAway = () => remove.mutate(setId, { onSuccess: () => open(null), onError: (error) => void sayFault(error.message) });
  return (
    <AskOnce
      title={BAND_WORDS.deleteSetAsked(name)}
      yes="Delete"
      no={BAND_WORDS.cancel}
      onYes={takeAway}
      trigger={
        <Button look="bare" className="self-start">
          <DeleteIcon size={18} aria-hidden="true" /> {BAND_WORDS.deleteTheSet}
        </Button>
      }
    >
      {BAND_WORDS.theOrderTonightsKeysAndThe}
    </AskOnce>
  );
}
