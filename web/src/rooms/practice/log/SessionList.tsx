import type { PracticeSession } from '@aurora/wire';
import { useState } from 'react';
import { sessionsOutbox } from '../../../document/practice-outbox.ts';
import { Button } from '../../../ui/Button.tsx';
import { DeleteIcon, EditIcon } from '../../../ui/icons.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { Practice } from '../use-practice.ts';

interface ListProps {
  readonly practice: Practice;
  readonly sessions: readonly PracticeSession[];
}

/** The sessions with what the player said of them: a note can be changed, a session taken out and brought back. */
export function SessionList({ practice, sessions }: ListProps) {
  const [changed, setChanged] = useState<ReadonlyMap<string, PracticeSession>>(new Map());
  const [last, setLast] = useState<PracticeSession | null>(null);
  const shown = merged(sessions, [...practice.notes, ...changed.values()]);
  const keep = (session: PracticeSession) => {
    setChanged((before) => new Map(before).set(session.id, session));
    sessionsOutbox.add(practice.player, session);
  };
  const change = (before: PracticeSession, after: PracticeSession) => {
    keep(after);
    setLast(before);
  };
  const undo = () => {
    if (last !== null) keep(last);
    setLast(null);
  };
  return (
    <section aria-label={PRACTICE_WORDS.sessions}>
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="font-numeral text-head font-bold">{PRACTICE_WORDS.sessions}</h2>
        {last !== null && (
          <Button onClick={undo} className="ml-auto">
            {PRACTICE_WORDS.undo}
          </Button>
        )}
      </div>
      {shown.length === 0 && <p className="text-quiet">{PRACTICE_WORDS.noSessions}</p>}
      <ol className="flex flex-col divide-y divide-hairline">
        {shown.map((session) => (
          <SessionRow key={session.id} session={session} onChange={(after) => change(session, after)} />
        ))}
      </ol>
    </section>
  );
}

function merged(sessions: readonly PracticeSession[], over: readonly PracticeSession[]): readonly PracticeSession[] {
  const byId = new Map([...sessions, ...over].map((session) => [session.id, session]));
  return [...byId.values()].filter(({ gone }) => !gone).sort((a, b) => (a.at < b.at ? 1 : -1));
}

function SessionRow({ session, onChange }: { readonly session: PracticeSession; readonly onChange: (after: PracticeSession) => void }) {
  const [text, setText] = useState<string | null>(null);
  const when = PRACTICE_WORDS.day(new Date(session.at));
  const take = () => {
    if (text !== null && text.trim() !== session.note) onChange({ ...session, note: text.trim() });
    setText(null);
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <p className="w-40 shrink-0 text-base">
        <b>{when}</b> <span className="text-quiet">{PRACTICE_WORDS.minutesShort(Math.round(session.minutes))}</span>
      </p>
      {text === null ? (
        <p className="min-w-0 flex-1">{session.note === '' ? <span className="text-quiet">{PRACTICE_WORDS.noNote}</span> : session.note}</p>
      ) : (
        <input
          ref={(input) => input?.focus()}
          value={text}
          maxLength={2000}
          aria-label={PRACTICE_WORDS.noteOf(when)}
          onChange={(event) => setText(event.target.value)}
          onBlur={take}
          onKeyDown={(event) => (event.key === 'Enter' ? take() : event.key === 'Escape' && setText(null))}
          className="min-h-11 min-w-0 flex-1 rounded-lg border border-edge bg-raised px-3"
        />
      )}
      <Button look="bare" aria-label={PRACTICE_WORDS.editNote(when)} onClick={() => setText(session.note)}>
        <EditIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.change}
      </Button>
      <Button look="bare" aria-label={PRACTICE_WORDS.takeOut(when)} onClick={() => onChange({ ...session, gone: true })}>
        <DeleteIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.remove}
      </Button>
    </li>
  );
}
