import { type FormEvent, useState } from 'react';
import { chooseBand } from '../../api/chosen-band.ts';
import { beginFirstBand, useNewBand } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { Button } from '../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorFault, DoorField } from './DoorField.tsx';
import { useSending } from './use-door.ts';

/** Begins a band; with the link of the first start, or as one who is signed in already. */
export function NewBandForm({ token, name: known }: { readonly token: string | null; readonly name: string }) {
  const [band, setBand] = useState('');
  const [name, setName] = useState(known);
  const [plays, setPlays] = useState('');
  const { mutateAsync: add } = useNewBand();
  const { fault, isSending, send } = useSending(async () => {
    const body = { band: band.trim(), name: name.trim(), plays: plays.trim() };
    const me = token === null ? await add(body) : await beginFirstBand({ ...body, token });
    chooseBand(me.bands.at(-1)?.id ?? null);
    await openAnew();
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send();
  };
  return (
    <form onSubmit={submit} aria-label={PEOPLE_WORDS.beginYourBand} className="flex flex-col gap-3">
      <DoorField
        label={PEOPLE_WORDS.nameOfTheBand}
        required
        maxLength={60}
        value={band}
        onChange={(event) => setBand(event.target.value)}
      />
      <DoorField
        label={PEOPLE_WORDS.yourName}
        required
        maxLength={60}
        autoComplete="name"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <DoorField label={PEOPLE_WORDS.whatYouPlay} maxLength={60} value={plays} onChange={(event) => setPlays(event.target.value)} />
      <DoorFault text={fault} />
      <Button type="submit" look="strong" disabled={isSending} className="self-start">
        {PEOPLE_WORDS.begin}
      </Button>
    </form>
  );
}
