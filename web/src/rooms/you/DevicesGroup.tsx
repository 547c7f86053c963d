import { useDeviceChanges, useDevices } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { LinkCard } from '../../parts/people/LinkCard.tsx';
import { sayDay } from '../../parts/people/say-day.ts';
import { Button } from '../../ui/Button.tsx';
import { sayFault } from '../../ui/say.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { Group } from './YouGroup.tsx';

const onError = (error: Error) => void sayFault(error.message);

/** Where one is signed in; each of them can be signed out, and another one added. */
export function DevicesGroup() {
  const { data: devices = [] } = useDevices();
  const { remove, link } = useDeviceChanges();
  const signOut = (id: string, isThis: boolean) => remove.mutate(id, { onError, onSuccess: () => (isThis ? void openAnew() : undefined) });
  return (
    <Group title={PEOPLE_WORDS.devices}>
      <p className="text-base text-quiet">{PEOPLE_WORDS.whereYouAreSignedIn}</p>
      <ul aria-label={PEOPLE_WORDS.devices} className="flex flex-col divide-y divide-hairline">
        {devices.map(({ id, name, madeAt, seenAt, isThis }) => (
          <li key={id} className="flex min-h-13 flex-wrap items-center gap-x-3 py-1">
            <span className="text-lead font-semibold">{name}</span>
            {isThis && <span className="rounded-full bg-wash px-2.5 py-0.5 text-fine font-semibold">{PEOPLE_WORDS.thisDevice}</span>}
            <span className="text-fine text-quiet">{PEOPLE_WORDS.signedInSince(sayDay(madeAt), sayDay(seenAt))}</span>
            <Button look="bare" className="ml-auto" onClick={() => signOut(id, isThis)}>
              {PEOPLE_WORDS.signTheDeviceOut(name)}
            </Button>
          </li>
        ))}
      </ul>
      {link.data === undefined ? (
        <Button className="self-start" disabled={link.isPending} onClick={() => link.mutate(undefined, { onError })}>
          {PEOPLE_WORDS.addADevice}
        </Button>
      ) : (
        <LinkCard title={PEOPLE_WORDS.addADevice} path="/open" token={link.data.token} expiresAt={link.data.expiresAt}>
          {PEOPLE_WORDS.openThisOnTheOther}
        </LinkCard>
      )}
    </Group>
  );
}
