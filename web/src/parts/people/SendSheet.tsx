import type { SendRequest, SentLink } from '@aurora/wire';
import { useEffect, useRef, useState } from 'react';
import { useSentChanges } from '../../api/sent.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { LinkCard } from './LinkCard.tsx';

type Until = SendRequest['until'];
/** A song, or a set, without how long its link opens. */
type Sent =
  | { readonly what: 'song'; readonly songId: string; readonly key: string | null }
  | { readonly what: 'set'; readonly setId: string };

const UNTIL: readonly (readonly [Until, string])[] = [
  ['evening', PEOPLE_WORDS.forThisEvening],
  ['taken back', PEOPLE_WORDS.untilTakenBack],
];

interface SendSheetProps {
  readonly name: string;
  readonly sent: Sent;
  readonly onClose: () => void;
}

/** A chart, or a set, as a code to scan and a link: made as it opens. */
export default function SendSheet({ name, sent, onClose }: SendSheetProps) {
  const [until, setUntil] = useState<Until>('evening');
  const { link, fault, again } = useLink(sent, until);
  return (
    <Sheet title={PEOPLE_WORDS.sendName(name)} open onOpenChange={(open) => !open && onClose()}>
      <div className="flex flex-col gap-4 pt-2">
        <Choice label={PEOPLE_WORDS.howLongItOpens} value={until} options={UNTIL} onChange={setUntil} />
        {fault !== null && (
          <p role="alert" className="flex flex-wrap items-center gap-3 text-alarm">
            {fault} <Button onClick={again}>{PEOPLE_WORDS.tryAgain}</Button>
          </p>
        )}
        {link === null && fault === null && <p className="text-quiet">{PEOPLE_WORDS.makingTheLink}</p>}
        {link !== null && (
          <LinkCard key={link.token} title={PEOPLE_WORDS.linkTo(name)} path="/read" token={link.token} expiresAt={link.expiresAt}>
            {PEOPLE_WORDS.whoeverHasItReads}
          </LinkCard>
        )}
      </div>
    </Sheet>
  );
}

/** One link for each choice: another choice makes another one, and the one before opens no more. */
function useLink(sent: Sent, until: Until) {
  const { send, takeBack } = useSentChanges();
  const [made, setMade] = useState<{ readonly link: SentLink; readonly until: Until } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const asked = useRef<Until | null>(null);
  const make = () => {
    setFault(null);
    asked.current = until;
    send.mutate(
      { ...sent, until },
      {
        onSuccess: (link) => {
          if (made !== null) takeBack.mutate(made.link.id);
          setMade({ link, until });
        },
        onError: (error) => setFault(error.message),
      },
    );
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each choice
  useEffect(() => {
    if (asked.current !== until) make();
  }, [until]);
  return { link: made?.until === until ? made.link : null, fault, again: make };
}
