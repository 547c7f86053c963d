import { Link } from 'react-router';
import { beDemoPlayer, signOut, useMe } from '../../api/me.ts';
import { goToBand, openAnew } from '../../api/page-change.ts';
import { useBand } from '../../api/songs.ts';
import { Button } from '../../ui/Button.tsx';
import { sayFault } from '../../ui/say.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DataGroup } from './DataGroup.tsx';
import { DevicesGroup } from './DevicesGroup.tsx';
import { NameAndMail } from './NameAndMail.tsx';
import { Group } from './YouGroup.tsx';

/** Who one is: bands, devices, ways back in, and what is kept about oneself. */
export function YouRoom() {
  const { data: me } = useMe();
  if (me === undefined || me.person === null) return null;
  return (
    <div className="mx-auto flex w-full max-w-5xl flex-col gap-4 px-5 py-4 phone:px-3">
      <BandsGroup />
      {me.demo !== null && <DemoGroup players={me.demo} />}
      {me.deviceId === null ? (
        <p className="text-lead text-quiet">{PEOPLE_WORDS.signInFirst}</p>
      ) : (
        <>
          <NameAndMail person={me.person} mailbox={me.mailbox} />
          <DevicesGroup />
          <DataGroup person={me.person} />
        </>
      )}
    </div>
  );
}

function BandsGroup() {
  const { data: me } = useMe();
  const { data: open } = useBand();
  const leave = () => void signOut().then(() => openAnew());
  return (
    <Group title={PEOPLE_WORDS.yourBands}>
      <ul className="flex flex-wrap gap-2">
        {me?.bands.map(({ id, name, playerName }) => (
          <li key={id}>
            <Button aria-current={id === open?.id ? 'true' : undefined} onClick={() => goToBand(id)}>
              {name} <span className="font-normal">· {playerName}</span>
            </Button>
          </li>
        ))}
      </ul>
      {me?.deviceId !== null && (
        <div className="flex flex-wrap gap-2">
          <Link to="/welcome/band" className="inline-flex min-h-11 items-center font-semibold text-accent underline">
            {PEOPLE_WORDS.beginAnotherBand}
          </Link>
          <Button look="bare" onClick={leave} className="ml-auto">
            {PEOPLE_WORDS.signOut}
          </Button>
        </div>
      )}
    </Group>
  );
}

interface DemoProps {
  readonly players: readonly { readonly memberId: string; readonly name: string; readonly plays: string }[];
}

function DemoGroup({ players }: DemoProps) {
  const { data: band } = useBand();
  const be = (memberId: string) =>
    void beDemoPlayer(memberId).then(
      () => openAnew(),
      (error: Error) => sayFault(error.message),
    );
  return (
    <Group title={PEOPLE_WORDS.beAnotherPlayer}>
      <ul className="flex flex-wrap gap-2">
        {players.map(({ memberId, name, plays }) => (
          <li key={memberId}>
            <Button aria-current={memberId === band?.memberId ? 'true' : undefined} onClick={() => be(memberId)}>
              {name} <span className="font-normal">· {plays}</span>
            </Button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
