import type { Me } from '@aurora/wire';
import { useMeLeaving } from '../../api/me.ts';
import { sayDay } from '../../parts/people/say-day.ts';
import { AskOnce } from '../../ui/AskOnce.tsx';
import { Button, buttonLook } from '../../ui/Button.tsx';
import { BackUpIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { Group } from './YouGroup.tsx';

const onError = (error: Error) => void sayFault(error.message);

/** What is kept about oneself: as a file, and gone in a fortnight. */
export function DataGroup({ person }: { readonly person: NonNullable<Me['person']> }) {
  const { mutate: leave } = useMeLeaving();
  return (
    <Group title={PEOPLE_WORDS.yourData}>
      <p className="text-base text-quiet">{PEOPLE_WORDS.everythingThatIsKept}</p>
      <div className="flex flex-wrap gap-3">
        <a href="/api/v1/me/export.json" download className={buttonLook('plain')}>
          <BackUpIcon size={17} aria-hidden="true" /> {PEOPLE_WORDS.takeItOut}
        </a>
        {person.leavesAt === null && (
          <AskOnce
            title={PEOPLE_WORDS.deleteYourAccount}
            yes={PEOPLE_WORDS.delete}
            no={PEOPLE_WORDS.cancel}
            onYes={() => leave(true, { onError })}
            trigger={<Button look="bare">{PEOPLE_WORDS.deleteYourAccount}</Button>}
          >
            {PEOPLE_WORDS.accountIsDeletedInAFortnight}
          </AskOnce>
        )}
      </div>
      {person.leavesAt !== null && (
        <p role="status" className="flex flex-wrap items-center gap-3 rounded-lg bg-caution px-3 py-2 text-on-caution">
          {PEOPLE_WORDS.yourAccountGoesOn(sayDay(person.leavesAt))}
          <Button onClick={() => leave(false, { onError })}>{PEOPLE_WORDS.keepMyAccount}</Button>
        </p>
      )}
    </Group>
  );
}
