import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorPage } from './DoorPage.tsx';
import { NewBandForm } from './NewBandForm.tsx';
import { useToken } from './use-door.ts';

/** Where the link leads that the first start prints. */
export function FirstBandPage() {
  const token = useToken();
  return (
    <DoorPage title={PEOPLE_WORDS.beginYourBand}>
      <p className="text-lead leading-relaxed">{token === '' ? PEOPLE_WORDS.theLinkIsNotWhole : PEOPLE_WORDS.youLeadIt}</p>
      {token !== '' && <NewBandForm token={token} name="" />}
    </DoorPage>
  );
}
