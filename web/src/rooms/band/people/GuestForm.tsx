import { type FormEvent, useState } from 'react';
import { usePeopleChanges } from '../../../api/me.ts';
import { useSets } from '../../../api/sets.ts';
import { Button } from '../../../ui/Button.tsx';
import { SelectField } from '../../../ui/SelectField.tsx';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import type { MadeLink } from './made-link.ts';

/** Invites somebody who reads one set, until the next noon. */
export function GuestForm({ onMade }: { readonly onMade: (link: MadeLink) => void }) {
  const { data: sets = [] } = useSets();
  const { invite } = usePeopleChanges();
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState('');
  const setId = sets.find(({ id }) => id === chosen)?.id ?? sets[0]?.id ?? '';
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const guest = name.trim();
    invite.mutate(
      { role: 'guest', name: guest, setId },
      {
        onError: (error) => void sayFault(error.message),
        onSuccess: ({ token, expiresAt }) => {
          onMade({ name: guest, token, expiresAt });
          setName('');
        },
      },
    );
  };
  return (
    <form onSubmit={submit} aria-labelledby="people-guest" className="flex flex-col gap-3">
      <h2 id="people-guest" className="font-numeral text-lead font-bold">
        {PEOPLE_WORDS.guestForOneEvening}
      </h2>
      <p className="text-base text-quiet">{sets.length === 0 ? PEOPLE_WORDS.thereIsNoSet : PEOPLE_WORDS.guestReadsOneSet}</p>
      <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
        {PEOPLE_WORDS.nameOfTheGuest}
        <input
          required
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.target.value)}
          className="min-h-11 rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink"
        />
      </label>
      <SelectField
        label={PEOPLE_WORDS.whichSet}
        value={setId}
        options={sets.map((set) => [set.id, set.name] as const)}
        onChange={setChosen}
      />
      <Button type="submit" disabled={setId === '' || name.trim() === '' || invite.isPending} className="self-start">
        {PEOPLE_WORDS.inviteTheGuest}
      </Button>
    </form>
  );
}
