import type { BandSeat } from '@aurora/wire';
import { useState } from 'react';
import { usePeople, usePeopleChanges } from '../../../api/me.ts';
import { useBand } from '../../../api/songs.ts';
import { LinkCard } from '../../../parts/people/LinkCard.tsx';
import { sayDay } from '../../../parts/people/say-day.ts';
import { Button } from '../../../ui/Button.tsx';
import { sayFault } from '../../../ui/say.ts';
import { BAND_WORDS } from '../../../wording/band.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import { AuditList } from './AuditList.tsx';
import { BandItself } from './BandItself.tsx';
import { GuestForm } from './GuestForm.tsx';
import type { MadeLink } from './made-link.ts';
import { PersonLine } from './PersonLine.tsx';
import { SentLinks } from './SentLinks.tsx';

/** Who is in the band, as what; who is invited; and the band itself. */
export function PeoplePart() {
  const { data: band } = useBand();
  if (band === undefined) return null;
  // a guest is told nothing of the others, and may go
  return band.role === 'guest' ? <BandItself band={band} /> : <People band={band} />;
}

function People({ band }: { readonly band: BandSeat }) {
  const { data, error } = usePeople(band);
  const [made, setMade] = useState<MadeLink | null>(null);
  const leads = band.role === 'leader';
  if (data === undefined) return <p className="py-6 text-quiet">{error?.message ?? BAND_WORDS.fetchingTheBand}</p>;
  return (
    <div className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[3fr_2fr]">
      <section aria-labelledby="people-in" className="flex flex-col gap-4">
        <h2 id="people-in" className="font-numeral text-lead font-bold">
          {PEOPLE_WORDS.whoIsIn}
        </h2>
        {made !== null && (
          <LinkCard key={made.token} title={PEOPLE_WORDS.linkFor(made.name)} path="/join" token={made.token} expiresAt={made.expiresAt}>
            {PEOPLE_WORDS.sendItOrShowIt}
          </LinkCard>
        )}
        <ul aria-label={PEOPLE_WORDS.whoIsIn} className="flex flex-col divide-y divide-hairline">
          {data.people.map((person) => (
            <PersonLine key={person.memberId} person={person} leads={leads} onMade={setMade} />
          ))}
        </ul>
        {leads ? <OpenInvitations invitations={data.invitations} /> : <p className="text-base text-quiet">{PEOPLE_WORDS.onlyTheLeader}</p>}
      </section>
      <div className="flex flex-col gap-8">
        <SentLinks />
        {leads && <GuestForm onMade={setMade} />}
        <BandItself band={band} />
        {leads && <AuditList bandId={band.id} />}
      </div>
    </div>
  );
}

type Invitations = NonNullable<ReturnType<typeof usePeople>['data']>['invitations'];

function OpenInvitations({ invitations }: { readonly invitations: Invitations }) {
  const { revoke } = usePeopleChanges();
  return (
    <section aria-labelledby="people-links" className="flex flex-col gap-2">
      <h3 id="people-links" className="text-base font-bold">
        {PEOPLE_WORDS.openInvitations}
      </h3>
      {invitations.length === 0 && <p className="text-base text-quiet">{PEOPLE_WORDS.noLinkIsOpen}</p>}
      <ul className="flex flex-col divide-y divide-hairline">
        {invitations.map(({ id, name, madeBy, expiresAt }) => (
          <li key={id} className="flex min-h-12 flex-wrap items-center gap-x-3">
            <span className="font-semibold">{name}</span>
            <span className="text-fine text-quiet">{PEOPLE_WORDS.madeBy(madeBy, sayDay(expiresAt))}</span>
            <Button
              look="bare"
              className="ml-auto"
              aria-label={PEOPLE_WORDS.takeBackName(name)}
              onClick={() => revoke.mutate(id, { onError: (error) => void sayFault(error.message) })}
            >
              {PEOPLE_WORDS.takeBack}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
