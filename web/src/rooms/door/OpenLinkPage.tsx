import { openLink } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { Button } from '../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorFault } from './DoorForm.tsx';
import { DoorPage } from './DoorPage.tsx';
import { useSending, useToken } from './use-door.ts';

/** Where a link leads that signs one in on this device. It is opened by a press: what only looks at links opens none. */
export function OpenLinkPage() {
  const token = useToken();
  const { fault, isSending, send } = useSending(async () => {
    await openLink(token);
    await openAnew();
  });
  return (
    <DoorPage title={PEOPLE_WORDS.signInOnThisDevice}>
      <p className="text-lead leading-relaxed">{token === '' ? PEOPLE_WORDS.theLinkIsNotWhole : PEOPLE_WORDS.thisLinkOpensOnce}</p>
      <DoorFault text={fault} />
      {token !== '' && (
        <Button look="strong" disabled={isSending} onClick={() => void send()} className="self-start">
          {PEOPLE_WORDS.openIt}
        </Button>
      )}
    </DoorPage>
  );
}
