import { Link } from 'react-router';
import { useMailbox } from '../../api/me.ts';
import { sayDay } from '../../parts/people/say-day.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { DoorPage } from './DoorPage.tsx';

/** What would have been sent by mail, where nothing is. */
export function MailboxPage() {
  const { data: mail = [] } = useMailbox();
  return (
    <DoorPage title={PEOPLE_WORDS.mailbox}>
      <p className="text-lead leading-relaxed text-quiet">{PEOPLE_WORDS.whatWouldHaveBeenSent}</p>
      {mail.length === 0 && <p className="text-lead">{PEOPLE_WORDS.noMail}</p>}
      <ol className="flex flex-col gap-4">
        {mail.map(({ id, at, to, subject, body }) => (
          <li key={id} className="rounded-xl border border-hairline bg-sheet px-4 py-3">
            <h2 className="text-lead font-bold">{subject}</h2>
            <p className="text-fine text-quiet">
              {PEOPLE_WORDS.mailTo(to)} · {sayDay(at)}
            </p>
            <p className="mt-2 text-base break-words whitespace-pre-wrap">
              {body.split(/(https?:\/\/\S+)/).map((part) => (part.startsWith('http') ? <LinkIn key={part} href={part} /> : part))}
            </p>
          </li>
        ))}
      </ol>
    </DoorPage>
  );
}

/** Within this house, whatever name the mail knows it by. */
function LinkIn({ href }: { readonly href: string }) {
  const { pathname, hash } = new URL(href);
  return (
    <Link to={{ pathname, hash }} className="font-semibold break-all text-accent underline">
      {href}
    </Link>
  );
}
