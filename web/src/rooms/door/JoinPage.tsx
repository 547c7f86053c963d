import type { InvitationLook } from '@aurora/wire';
import { Link } from 'react-router';
import { chooseBand } from '../../api/chosen-band.ts';
import { openInvitation, useInvitation, useMe } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { sayDay } from '../../parts/people/say-day.ts';
import { Button } from '../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorFault } from './DoorForm.tsx';
import { DoorPage } from './DoorPage.tsx';
import { useSending, useToken } from './use-door.ts';

/** Where an invitation leads: opening it is the sign-in on this device. */
export function JoinPage() {
  const token = useToken();
  const { data, error } = useInvitation(token);
  if (token === '' || error !== null)
    return (
      <DoorPage title={PEOPLE_WORDS.thisLinkDoesNotOpen}>
        <p role="alert" className="text-lead leading-relaxed">
          {token === '' ? PEOPLE_WORDS.theLinkIsNotWhole : error?.message}
        </p>
        <Link to="/" className="inline-flex min-h-11 items-center font-semibold text-accent underline">
          {PEOPLE_WORDS.toTheSongs}
        </Link>
      </DoorPage>
    );
  if (data === undefined) return <DoorPage title={PEOPLE_WORDS.lookingAtTheLink}>{null}</DoorPage>;
  return <Invited token={token} look={data} />;
}

const CALLS: Readonly<Record<InvitationLook['role'], (look: InvitationLook) => string>> = {
  leader: ({ band }) => PEOPLE_WORDS.leadsBand(band),
  member: ({ band }) => PEOPLE_WORDS.playsInBand(band),
  guest: ({ band, set }) => PEOPLE_WORDS.readsForAnEvening(set ?? '', band),
};

function Invited({ token, look }: { readonly token: string; readonly look: InvitationLook }) {
  const { data: me } = useMe();
  const here = me?.deviceId === null ? null : (me?.person ?? null);
  const { fault, isSending, send } = useSending(async () => {
    const opened = await openInvitation(token);
    const known = new Set(me?.bands.map(({ id }) => id));
    chooseBand(opened.bands.find(({ id }) => !known.has(id))?.id ?? opened.bands.at(-1)?.id ?? null);
    await openAnew();
  });
  return (
    <DoorPage title={`${PEOPLE_WORDS.youAreInvited} ${CALLS[look.role](look)}`}>
      <div className="flex flex-col gap-1 text-lead leading-relaxed">
        <p>{PEOPLE_WORDS.invitedBy(look.madeBy, look.name)}</p>
        {look.until !== null && <p>{PEOPLE_WORDS.until(sayDay(look.until))}</p>}
        <p className="text-quiet">{here === null ? PEOPLE_WORDS.thisDeviceIsRemembered : PEOPLE_WORDS.youAreSignedInAs(here.name)}</p>
      </div>
      <DoorFault text={fault} />
      <Button look="strong" disabled={isSending} onClick={() => void send()} className="min-h-14! self-start px-6 text-lead">
        {here === null ? PEOPLE_WORDS.comeInAs(look.name) : PEOPLE_WORDS.comeIn}
      </Button>
    </DoorPage>
  );
}
