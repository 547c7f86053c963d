import type { Me } from '@aurora/wire';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { useMeChange } from '../../api/me.ts';
import { Button } from '../../ui/Button.tsx';
import { sayDone, sayFault } from '../../ui/say.ts';
import { TextField } from '../../ui/TextField.tsx';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { Group } from './YouGroup.tsx';

interface PersonProps {
  readonly person: NonNullable<Me['person']>;
}

const onError = (error: Error) => void sayFault(error.message);
const FIELD = 'min-h-11 w-72 max-w-full rounded-lg border border-edge bg-raised px-3 text-base font-medium text-ink';

/** What one is called, and the ways back in: neither is needed to play. */
export function NameAndMail({ person, mailbox }: PersonProps & { readonly mailbox: boolean }) {
  const { mutate: change } = useMeChange();
  return (
    <>
      <Group title={PEOPLE_WORDS.yourName}>
        <TextField
          label={PEOPLE_WORDS.yourName}
          value={person.name}
          most={60}
          onChange={(name) => name.trim() !== '' && change({ name }, { onError })}
          className="w-72 max-w-full"
        />
        <p className="text-base text-quiet">{PEOPLE_WORDS.yourNameIsSeenIn}</p>
      </Group>
      <Mail person={person} mailbox={mailbox} />
      <Password person={person} />
    </>
  );
}

function Mail({ person, mailbox }: PersonProps & { readonly mailbox: boolean }) {
  const { mutate: change, isPending } = useMeChange();
  const [email, setEmail] = useState('');
  const [isSent, setSent] = useState(false);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change({ email: email.trim() }, { onError, onSuccess: () => setSent(true) });
  };
  return (
    <Group title={PEOPLE_WORDS.email}>
      <p className="text-base text-quiet">{PEOPLE_WORDS.emailIsOnlyForALostPhone}</p>
      {person.email !== null && (
        <p className="flex flex-wrap items-center gap-3 text-lead">
          {person.email}
          <Button look="bare" onClick={() => change({ email: null }, { onError })}>
            {PEOPLE_WORDS.takeTheAddressAway}
          </Button>
        </p>
      )}
      <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
        <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
          {PEOPLE_WORDS.email}
          <input
            type="email"
            required
            autoComplete="email"
            value={email}
            onChange={(event) => setEmail(event.target.value)}
            className={FIELD}
          />
        </label>
        <Button type="submit" disabled={isPending}>
          {PEOPLE_WORDS.keepTheAddress}
        </Button>
      </form>
      <p role="status" className="text-base empty:hidden">
        {isSent ? PEOPLE_WORDS.aLinkIsOnItsWay : ''}
      </p>
      {mailbox && (
        <Link to="/mailbox" className="inline-flex min-h-11 items-center self-start font-semibold text-accent underline">
          {PEOPLE_WORDS.seeTheMailbox}
        </Link>
      )}
    </Group>
  );
}

function Password({ person }: PersonProps) {
  const { mutate: change, isPending } = useMeChange();
  const [password, setPassword] = useState('');
  const done = () => {
    setPassword('');
    void sayDone(PEOPLE_WORDS.passwordIsKept);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change({ password }, { onError, onSuccess: done });
  };
  return (
    <Group title={PEOPLE_WORDS.password}>
      <p className="text-base text-quiet">{person.hasPassword ? PEOPLE_WORDS.thereIsAPassword : PEOPLE_WORDS.aPasswordIsPossible}</p>
      <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
        <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
          {PEOPLE_WORDS.newPassword}
          <input
            type="password"
            required
            minLength={10}
            autoComplete="new-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            className={FIELD}
          />
        </label>
        <Button type="submit" disabled={isPending}>
          {PEOPLE_WORDS.keepThePassword}
        </Button>
        {person.hasPassword && (
          <Button look="bare" onClick={() => change({ password: null }, { onError })}>
            {PEOPLE_WORDS.takeThePasswordAway}
          </Button>
        )}
      </form>
    </Group>
  );
}
