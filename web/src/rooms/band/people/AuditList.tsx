import { useAudit } from '../../../api/me.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { Button } from '../../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../../wording/people.ts';

/** What happened in the band that its leader may want to look up. */
export function AuditList({ bandId }: { readonly bandId: string }) {
  const { data, hasNextPage, fetchNextPage } = useAudit(bandId);
  const entries = data?.pages.flatMap((page) => page.entries) ?? [];
  return (
    <section aria-labelledby="people-audit" className="flex flex-col gap-2">
      <h2 id="people-audit" className="font-numeral text-lead font-bold">
        {PEOPLE_WORDS.whatHappened}
      </h2>
      {data !== undefined && entries.length === 0 && <p className="text-base text-quiet">{PEOPLE_WORDS.nothingYet}</p>}
      <ol aria-label={PEOPLE_WORDS.whatHappened} className="flex max-h-80 flex-col overflow-y-auto">
        {entries.map(({ at, who, what, about }) => (
          <li key={`${at} ${who} ${what}`} className="border-b border-hairline py-1.5 text-base">
            <span className="font-semibold">{who}</span> {what} {about}
            <span className="ml-2 text-fine text-quiet">{sayDay(at)}</span>
          </li>
        ))}
      </ol>
      {hasNextPage && (
        <Button look="bare" className="self-start" onClick={() => void fetchNextPage()}>
          {PEOPLE_WORDS.older}
        </Button>
      )}
    </section>
  );
}
