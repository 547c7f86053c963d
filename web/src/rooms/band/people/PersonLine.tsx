import type { People } from '@aurora/wire';
import { usePeopleChanges } from '../../../api/me.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button } from '../../../ui/Button.tsx';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import type { MadeLink } from './made-link.ts';

interface PersonLineProps {
  readonly person: People['people'][number];
  /** Whether whoever looks leads the band. */
  readonly leads: boolean;
  readonly onMade: (link: MadeLink) => void;
}

const ROLES = { leader: PEOPLE_WORDS.leader, member: PEOPLE_WORDS.member, guest: PEOPLE_WORDS.guest } as const;
const onError = (error: Error) => void sayFault(error.message);

/** One of the band: what they are, whether they are in, and what a leader does about it. */
export function PersonLine({ person, leads, onMade }: PersonLineProps) {
  const { name, role, isIn, isYou, guestUntil } = person;
  const signs = [
    ROLES[role],
    isIn ? PEOPLE_WORDS.isIn : PEOPLE_WORDS.isNotIn,
    ...(guestUntil === null ? [] : [PEOPLE_WORDS.guestUntil(sayDay(guestUntil))]),
  ];
  return (
    <li className="flex min-h-14 flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <span className="text-lead font-bold">{name}</span>
      {isYou && <span className="rounded-full bg-wash px-2.5 py-0.5 text-fine font-semibold">{PEOPLE_WORDS.itIsYou}</span>}
      <span className="text-base text-quiet">{signs.join(' · ')}</span>
      {leads && (
        <span className="ml-auto flex flex-wrap items-center gap-1">
          {role !== 'guest' && !isYou && <InviteButton person={person} onMade={onMade} />}
          {role !== 'guest' && isIn && <RoleButton person={person} />}
          {!isYou && <TakeOut person={person} />}
        </span>
      )}
    </li>
  );
}

type Person = Pick<PersonLineProps, 'person'>;

function InviteButton({ person: { memberId, name, role, isIn }, onMade }: Omit<PersonLineProps, 'leads'>) {
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
