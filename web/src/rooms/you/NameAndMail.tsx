import type { Me } from '@aurora/wire';
import { type FormEvent, type InputHTMLAttributes, type ReactNode, useState } from 'react';
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

interface OneFieldProps extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  readonly label: string;
  /** What its button says. */
  readonly keep: string;
  readonly isKeeping: boolean;
  /** Keeps what was written; once it is kept the field is empty again. */
  readonly onKeep: (text: string, done: () => void) => void;
  /** What else may be pressed beside it. */
  readonly children?: ReactNode;
}

/** A field that is kept by its button. */
function OneField({ label, keep, isKeeping, onKeep, children, ...rest }: OneFieldProps) {
  const [text, setText] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onKeep(text, () => setText(''));
  };
  return (
    <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
      <label className="flex flex-col gap-1 text-fine font-semibold text-quiet">
        {label}
        <input required value={text} onChange={(event) => setText(event.target.value)} className={FIELD} {...rest} />
      </label>
      <Button type="submit" disabled={isKeeping}>
        {keep}
      </Button>
      {children}
    </form>
  );
}

function Mail({ person, mailbox }: PersonProps & { readonly mailbox: boolean }) {
  const { mutate: change, isPending, isSuccess, variables } = useMeChange();
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
      <OneField
        label={PEOPLE_WORDS.email}
        keep={PEOPLE_WORDS.keepTheAddress}
        type="email"
        autoComplete="email"
        isKeeping={isPending}
        onKeep={(email, done) => change({ email: email.trim() }, { onError, onSuccess: done })}
      />
      <p role="status" className="text-base empty:hidden">
        {isSuccess && variables.email !== null ? PEOPLE_WORDS.aLinkIsOnItsWay : ''}
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
  const keep = (password: string, done: () => void) => {
    const onSuccess = () => {
      done();
      void sayDone(PEOPLE_WORDS.passwordIsKept);
    };
    change({ password }, { onError, onSuccess });
  };
  return (
    <Group title={PEOPLE_WORDS.password}>
      <p className="text-base text-quiet">{person.hasPassword ? PEOPLE_WORDS.thereIsAPassword : PEOPLE_WORDS.aPasswordIsPossible}</p>
      <OneField
        label={PEOPLE_WORDS.newPassword}
        keep={PEOPLE_WORDS.keepThePassword}
        type="password"
        minLength={10}
        autoComplete="new-password"
        isKeeping={isPending}
        onKeep={keep}
      >
        {person.hasPassword && (
          <Button look="bare" onClick={() => change({ password: null }, { onError })}>
            {PEOPLE_WORDS.takeThePasswordAway}
          </Button>
        )}
      </OneField>
    </Group>
  );
}
