import { type FormEvent, useState } from 'react';
import { Link, Navigate } from 'react-router';
import { sendSignInLink, signIn, useMe } from '../../api/me.ts';
import { openAnew } from '../../api/page-change.ts';
import { Button } from '../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorFault, DoorField } from './DoorField.tsx';
import { DoorPage } from './DoorPage.tsx';
import { NewBandForm } from './NewBandForm.tsx';
import { useSending } from './use-door.ts';

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

function LostPhone() {
  const [email, setEmail] = useState('');
  const [isSent, setSent] = useState(false);
  const { fault, isSending, send } = useSending(async () => {
    await sendSignInLink(email.trim());
    setSent(true);
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send();
  };
  return (
    <form onSubmit={submit} aria-label={PEOPLE_WORDS.lostYourPhone} className="flex flex-col gap-3 border-t border-hairline pt-5">
      <h2 className="text-lead font-bold">{PEOPLE_WORDS.lostYourPhone}</h2>
      <p className="text-base text-quiet">{PEOPLE_WORDS.haveALinkSentToTheAddress}</p>
      <DoorField
        label={PEOPLE_WORDS.email}
        type="email"
        required
        autoComplete="email"
        value={email}
        onChange={(event) => setEmail(event.target.value)}
      />
      <DoorFault text={fault} />
      <Button type="submit" disabled={isSending} className="self-start">
        {PEOPLE_WORDS.sendMeALink}
      </Button>
      <p role="status" className="text-base empty:hidden">
        {isSent ? PEOPLE_WORDS.ifTheAddressIsKnown : ''}
      </p>
    </form>
  );
}

function WithPassword() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const { fault, isSending, send } = useSending(async () => {
    await signIn({ email: email.trim(), password });
    await openAnew();
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send();
  };
  return (
    <form onSubmit={submit} aria-label={PEOPLE_WORDS.withAPassword} className="flex flex-col gap-3 border-t border-hairline pt-5">
      <h2 className="text-lead font-bold">{PEOPLE_WORDS.withAPassword}</h2>
      <DoorField
        label={PEOPLE_WORDS.email}
        type="email"
        required
        autoComplete="username"
        value={email}
        onChange={(event) => setEmail(event.target.value)}
      />
      <DoorField
        label={PEOPLE_WORDS.password}
        type="password"
        required
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
      />
      <DoorFault text={fault} />
      <Button type="submit" disabled={isSending} className="self-start">
        {PEOPLE_WORDS.signIn}
      </Button>
    </form>
  );
}
