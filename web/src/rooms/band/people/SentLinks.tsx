import { useSentChanges, useSentLinks } from '../../../api/sent.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { Button } from '../../../ui/Button.tsx';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';

/** Links to charts and sets that open, and the way to take each back. */
export function SentLinks() {
  const { data: sent } = useSentLinks();
  const { takeBack } = useSentChanges();
  if (sent === undefined) return null;
  return (
    <section aria-labelledby="people-sent" className="flex flex-col gap-2">
      <h2 id="people-sent" className="font-numeral text-lead font-bold">
        {PEOPLE_WORDS.linksThatAreSent}
      </h2>
      {sent.length === 0 && <p className="text-base text-quiet">{PEOPLE_WORDS.noChartIsSent}</p>}
      <ul className="flex flex-col divide-y divide-hairline">
        {sent.map(({ id, name, key, madeBy, expiresAt }) => (
          <li key={id} className="flex min-h-12 flex-wrap items-center gap-x-3">
            <span className="font-semibold">{PEOPLE_WORDS.sentLink(name, key)}</span>
            <span className="text-fine text-quiet">
              {expiresAt === null ? PEOPLE_WORDS.sentUntilTakenBack(madeBy) : PEOPLE_WORDS.madeBy(madeBy, sayDay(expiresAt))}
            </span>
            <Button
              look="bare"
              className="ml-auto"
              aria-label={PEOPLE_WORDS.takeBackName(name)}
              onClick={() => takeBack.mutate(id, { onError: (error) => void sayFault(error.message) })}
            >
              {PEOPLE_WORDS.takeBack}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
