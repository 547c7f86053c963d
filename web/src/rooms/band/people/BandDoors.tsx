import type { BandSeat, People } from '@aurora/wire';
import { usePeopleChanges } from '../../../api/me.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import { AuditList } from './AuditList.tsx';
import { BandItself } from './BandItself.tsx';
import { GuestForm } from './GuestForm.tsx';
import { LinkLine } from './LinkLine.tsx';
import type { MadeLink } from './made-link.ts';
import { SeatLine } from './SeatLine.tsx';
import { SentLinks } from './SentLinks.tsx';

interface BandDoorsProps {
  readonly band: BandSeat;
  readonly people: People;
  readonly onMade: (link: MadeLink) => void;
}

/** The links that open the band or something of it, who is a guest, and the band itself. */
export function BandDoors({ band, people: { people, invitations }, onMade }: BandDoorsProps) {
  const leads = band.role === 'leader';
  const guests = people.filter(({ role }) => role === 'guest');
  return (
    <div className="grid items-start gap-x-10 gap-y-8 border-t border-hairline pt-5 lg:grid-cols-2">
      <div className="flex flex-col gap-8">
        {leads && <OpenInvitations invitations={invitations} />}
        <SentLinks />
        {guests.length > 0 && (
          <ul aria-label={PEOPLE_WORDS.guests} className="flex flex-col divide-y divide-hairline">
            {guests.map((guest) => (
              <li key={guest.memberId}>
                <span className="text-lead font-bold">{guest.name}</span>
                <SeatLine person={guest} leads={leads} onMade={onMade} />
              </li>
            ))}
          </ul>
        )}
        {leads && <GuestForm onMade={onMade} />}
      </div>
      <div className="flex flex-col gap-8">
        <BandItself band={band} />
        {leads ? <AuditList bandId={band.id} /> : <p className="text-base text-quiet">{PEOPLE_WORDS.onlyTheLeader}</p>}
      </div>
    </div>
  );
}

function OpenInvitations({ invitations }: { readonly invitations: People['invitations'] }) {
  const { revoke } = usePeopleChanges();
  return (
    <section aria-labelledby="people-links" className="flex flex-col gap-2">
      <h2 id="people-links" className="font-numeral text-lead font-bold">
        {PEOPLE_WORDS.openInvitations}
      </h2>
      {invitations.length === 0 && <p className="text-base text-quiet">{PEOPLE_WORDS.noLinkIsOpen}</p>}
      <ul className="flex flex-col divide-y divide-hairline">
        {invitations.map(({ id, name, madeBy, expiresAt }) => (
          <LinkLine
            key={id}
            name={name}
            about={PEOPLE_WORDS.madeBy(madeBy, sayDay(expiresAt))}
            onTakeBack={() => revoke.mutate(id, { onError: (error) => void sayFault(error.message) })}
          />
        ))}
      </ul>
    </section>
  );
}
