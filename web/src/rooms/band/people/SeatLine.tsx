import type { People } from '@aurora/wire';
import { usePeopleChanges } from '../../../api/me.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button } from '../../../ui/Button.tsx';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import type { MadeLink } from './made-link.ts';

interface SeatLineProps {
  readonly person: People['people'][number];
  /** Whether whoever looks leads the band. */
  readonly leads: boolean;
  readonly onMade: (link: MadeLink) => void;
}

const ROLES = { leader: PEOPLE_WORDS.leader, member: PEOPLE_WORDS.member, guest: PEOPLE_WORDS.guest } as const;
const onError = (error: Error) => void sayFault(error.message);

/** What somebody is in the band, and whether they are in. */
function seatWords({ role, isIn, guestUntil }: SeatLineProps['person']): string {
  const until = guestUntil === null ? [] : [PEOPLE_WORDS.guestUntil(sayDay(guestUntil))];
  return [ROLES[role], isIn ? PEOPLE_WORDS.isIn : PEOPLE_WORDS.isNotIn, ...until].join(' · ');
}

/** The same as far as it is not what all of a band are: in it, and a member. */
export function seatSigns({ role, isIn }: SeatLineProps['person']): string {
  return [...(role === 'leader' ? [ROLES.leader] : []), ...(isIn ? [] : [PEOPLE_WORDS.isNotIn])].join(' · ');
}

/** One of the band: what they are, whether they are in, and what a leader does about it. */
export function SeatLine({ person, leads, onMade }: SeatLineProps) {
  const { role, isIn, isYou } = person;
  return (
    <div className="flex min-h-11 flex-wrap items-center gap-x-3 gap-y-1">
      <span className="text-base text-quiet">{seatWords(person)}</span>
      {leads && (
        <span className="flex flex-wrap items-center gap-1">
          {role !== 'guest' && !isYou && <InviteButton person={person} onMade={onMade} />}
          {role !== 'guest' && isIn && <RoleButton person={person} />}
          {!isYou && <TakeOut person={person} />}
        </span>
      )}
    </div>
  );
}

type Person = Pick<SeatLineProps, 'person'>;

function InviteButton({ person: { memberId, name, role, isIn }, onMade }: Omit<SeatLineProps, 'leads'>) {
  const { invite } = usePeopleChanges();
  const make = () =>
    invite.mutate(
      { role: role === 'leader' ? 'leader' : 'member', memberId },
      { onError, onSuccess: ({ token, expiresAt }) => onMade({ name, token, expiresAt }) },
    );
  if (!isIn)
    return (
      <Button aria-label={PEOPLE_WORDS.inviteName(name)} onClick={make}>
        {PEOPLE_WORDS.invite}
      </Button>
    );
  return (
    <AskOnce
      title={PEOPLE_WORDS.newLinkFor(name)}
      yes={PEOPLE_WORDS.newLink}
      no={PEOPLE_WORDS.cancel}
      onYes={make}
      trigger={
        <Button look="bare" aria-label={PEOPLE_WORDS.newLinkFor(name)}>
          {PEOPLE_WORDS.newLink}
        </Button>
      }
    >
      {PEOPLE_WORDS.whoeverWasSignedIn(name)}
    </AskOnce>
  );
}

function RoleButton({ person: { memberId, name, role } }: Person) {
  const { role: change } = usePeopleChanges();
  const next = role === 'leader' ? 'member' : 'leader';
  return (
    <Button
      look="bare"
      aria-label={next === 'leader' ? PEOPLE_WORDS.makeLeaderName(name) : PEOPLE_WORDS.makeMemberName(name)}
      onClick={() => change.mutate({ memberId, role: next }, { onError })}
    >
      {next === 'leader' ? PEOPLE_WORDS.makeLeader : PEOPLE_WORDS.makeMember}
    </Button>
  );
}

function TakeOut({ person: { memberId, name } }: Person) {
  const { takeOut } = usePeopleChanges();
  return (
    <AskOnce
      title={PEOPLE_WORDS.takeOutName(name)}
      yes={PEOPLE_WORDS.takeOut}
      no={PEOPLE_WORDS.cancel}
      onYes={() => takeOut.mutate(memberId, { onError })}
      trigger={
        <Button look="bare" aria-label={PEOPLE_WORDS.takeOutName(name)}>
          {PEOPLE_WORDS.takeOut}
        </Button>
      }
    >
      {PEOPLE_WORDS.takeOutQuestion(name)}
    </AskOnce>
  );
}
