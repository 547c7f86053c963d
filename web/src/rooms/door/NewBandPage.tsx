import { useMe } from '../../api/me.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorPage } from './DoorPage.tsx';
import { NewBandForm } from './NewBandForm.tsx';

/** One who plays in a band already begins another. */
export function NewBandPage() {
  const { data: me } = useMe();
  if (me === undefined) return null;
  return (
    <DoorPage title={PEOPLE_WORDS.beginYourBand}>
      <p className="text-lead leading-relaxed">{PEOPLE_WORDS.youLeadIt}</p>
      <NewBandForm token={null} name={me.person?.name ?? ''} />
    </DoorPage>
  );
}
