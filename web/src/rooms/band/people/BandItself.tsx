import type { BandSeat } from '@aurora/wire';
import { usePeopleChanges } from '../../../api/me.ts';
import { openAnew } from '../../../api/page-change.ts';
import { sayDay } from '../../../parts/people/say-day.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button } from '../../../ui/Button.tsx';
import { sayFault } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { PEOPLE_WORDS } from '../../../wording/people.ts';

const onError = (error: Error) => void sayFault(error.message);

/** The band's name, and the ways out of it. */
export function BandItself({ band }: { readonly band: BandSeat }) {
  const { name, leave, leaving } = usePeopleChanges();
  const leads = band.role === 'leader';
  return (
    <section aria-labelledby="people-band" className="flex flex-col gap-3">
      <h2 id="people-band" className="font-numeral text-lead font-bold">
        {PEOPLE_WORDS.theBandItself}
      </h2>
      {leads && (
        <TextField
          label={PEOPLE_WORDS.nameOfTheBand}
          value={band.name}
          most={60}
          onChange={(next) => next.trim() !== '' && name.mutate(next.trim(), { onError })}
        />
      )}
      {band.leavesAt !== null && (
        <p role="status" className="flex flex-wrap items-center gap-3 rounded-lg bg-caution px-3 py-2 text-on-caution">
          {PEOPLE_WORDS.theBandGoesOn(sayDay(band.leavesAt))}
          {leads && <Button onClick={() => leaving.mutate(false, { onError })}>{PEOPLE_WORDS.keepTheBand}</Button>}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <AskOnce
          title={PEOPLE_WORDS.leaveTheBand}
          yes={PEOPLE_WORDS.leaveTheBand}
          no={PEOPLE_WORDS.cancel}
          onYes={() => leave.mutate(undefined, { onError, onSuccess: () => void openAnew() })}
          trigger={<Button look="bare">{PEOPLE_WORDS.leaveTheBand}</Button>}
        >
          {PEOPLE_WORDS.leaveQuestion}
        </AskOnce>
        {leads && band.leavesAt === null && (
          <AskOnce
            title={PEOPLE_WORDS.deleteTheBand}
            yes={PEOPLE_WORDS.delete}
            no={PEOPLE_WORDS.cancel}
            onYes={() => leaving.mutate(true, { onError })}
            trigger={<Button look="bare">{PEOPLE_WORDS.deleteTheBand}</Button>}
          >
            {PEOPLE_WORDS.bandIsDeletedInAFortnight}
          </AskOnce>
        )}
      </div>
    </section>
  );
}
