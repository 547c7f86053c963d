import { useSentChanges, useSentLinks } from '../../../api/sent.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { sayFault } from '../../../ui/say.ts';
import { PEOPLE_WORDS } from '../../../wording/people.ts';
import { LinkLine } from './LinkLine.tsx';

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
          <LinkLine
            key={id}
            name={name}
            shown={PEOPLE_WORDS.sentLink(name, key)}
            about={expiresAt === null ? PEOPLE_WORDS.sentUntilTakenBack(madeBy) : PEOPLE_WORDS.madeBy(madeBy, sayDay(expiresAt))}
            onTakeBack={() => takeBack.mutate(id, { onError: (error) => void sayFault(error.message) })}
          />
        ))}
      </ul>
    </section>
  );
}
