import { useState } from 'react';
import { Link, Navigate } from 'react-router';
import { sendSignInLink, signIn, useMe } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorField, DoorForm } from './DoorForm.tsx';
import { DoorPage } from './DoorPage.tsx';
import { NewBandForm } from './NewBandForm.tsx';

/** Where one is who is not signed in, or plays in no band. */
export function Welcome() {
  const { data: me } = useMe();
  if (me === undefined) return null;
  if (me.bands.length > 0) return <Navigate to="/" replace />;
  if (me.person !== null)
    return (
      <DoorPage title={PEOPLE_WORDS.youPlayInNoBand}>
        <p className="text-lead">{PEOPLE_WORDS.askForAnInvitation}</p>
        <NewBandForm token={null} name={me.person.name} />
      </DoorPage>
    );
  if (me.isEmpty)
    return (
      <DoorPage title={PEOPLE_WORDS.thereIsNoBandYet}>
        <p className="text-lead leading-relaxed">{PEOPLE_WORDS.theServerPrintedALink}</p>
      </DoorPage>
    );
  return (
    <DoorPage title={PEOPLE_WORDS.nobodyIsSignedInHere}>
      <p className="text-lead leading-relaxed">{PEOPLE_WORDS.aBandsWayInIsALink}</p>
      <LostPhone />
      <WithPassword />
      {me.mailbox && (
        <Link to="/mailbox" className="inline-flex min-h-11 items-center font-semibold text-accent underline">
          {PEOPLE_WORDS.seeTheMailbox}
        </Link>
      )}
    </DoorPage>
  );
}

const PARTED = 'border-t border-hairline pt-5';

function LostPhone() {
  const [email, setEmail] = useState('');
  const [isSent, setSent] = useState(false);
  const ask = async () => {
    await sendSignInLink(email.trim());
    setSent(true);
  };
  return (
    <div className={PARTED}>
      <DoorForm label={PEOPLE_WORDS.lostYourPhone} send={PEOPLE_WORDS.sendMeALink} onSend={ask}>
        <h2 className="text-lead font-bold">{PEOPLE_WORDS.lostYourPhone}</h2>
        <p className="text-base text-quiet">{PEOPLE_WORDS.haveALinkSentToTheAddress}</p>
        <DoorField label={PEOPLE_WORDS.email} type="email" required autoComplete="email" value={email} onType={setEmail} />
      </DoorForm>
      <p role="status" className="mt-3 text-base empty:hidden">
        {isSent ? PEOPLE_WORDS.ifTheAddressIsKnown : ''}
      </p>
    </div>
  );
}

function WithPassword() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const enter = async () => {
    await signIn({ email: email.trim(), password });
    await openAnew();
  };
  return (
    <DoorForm label={PEOPLE_WORDS.withAPassword} send={PEOPLE_WORDS.signIn} onSend={enter} className={PARTED}>
      <h2 className="text-lead font-bold">{PEOPLE_WORDS.withAPassword}</h2>
      <DoorField label={PEOPLE_WORDS.email} type="email" required autoComplete="username" value={email} onType={setEmail} />
      <DoorField
        label={PEOPLE_WORDS.password}
        type="password"
        required
        autoComplete="current-password"
        value={password}
        onType={setPassword}
      />
    </DoorForm>
  );
}
