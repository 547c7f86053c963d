import { useState } from 'react';
import { chooseBand } from '../../api/chosen-band.ts';
import { beginFirstBand, useNewBand } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorField, DoorForm } from './DoorForm.tsx';

/** Begins a band; with the link of the first start, or as one who is signed in already. */
export function NewBandForm({ token, name: known }: { readonly token: string | null; readonly name: string }) {
  const [band, setBand] = useState('');
  const [name, setName] = useState(known);
  const [plays, setPlays] = useState('');
  const { mutateAsync: add } = useNewBand();
  const begin = async () => {
    const body = { band: band.trim(), name: name.trim(), plays: plays.trim() };
    const me = token === null ? await add(body) : await beginFirstBand({ ...body, token });
    chooseBand(me.bands.at(-1)?.id ?? null);
    await openAnew();
  };
  return (
    <DoorForm label={PEOPLE_WORDS.beginYourBand} send={PEOPLE_WORDS.begin} look="strong" onSend={begin}>
      <DoorField label={PEOPLE_WORDS.nameOfTheBand} required maxLength={60} value={band} onType={setBand} />
      <DoorField label={PEOPLE_WORDS.yourName} required maxLength={60} autoComplete="name" value={name} onType={setName} />
      <DoorField label={PEOPLE_WORDS.whatYouPlay} maxLength={60} value={plays} onType={setPlays} />
    </DoorForm>
  );
}
