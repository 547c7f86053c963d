import { useEffect, useState } from 'react';
import { useRefreshPractice } from '../../../api/practice.ts';
import { sessionsOutbox } from '../../../document/practice-outbox.ts';
import { Button } from '../../../ui/Button.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { Practice } from '../use-practice.ts';
import { useRun } from './run-store.ts';
import type { Run } from './session-run.ts';

const MOST_NOTE = 2000;
const MOST_MINUTES = 600;

/** The end of a session: what it came to, and a note in the player's own words. */
export function OverItem({ run, practice, onLeave }: { readonly run: Run; readonly practice: Practice; readonly onLeave: () => void }) {
  const refresh = useRefreshPractice(practice.player);
  const [note, setNote] = useState('');
  const [endedAt] = useState(() => Date.now());
  const minutes = Math.min(MOST_MINUTES, Math.max(1, Math.round((endedAt - run.startedAt) / 60_000)));
  useEffect(() => refresh, [refresh]);
  const leave = () => {
    useRun.setState({ run: null });
    onLeave();
  };
  const keep = () => {
    const session = { id: run.id, at: new Date(run.startedAt).toISOString(), minutes, note: note.trim(), gone: false };
    // on the device first: without the server the note is not lost
    sessionsOutbox.add(practice.player, session);
    leave();
  };
  // without a mark there is nothing to keep
  if (run.passes === 0)
    return (
      <div className="flex flex-1 flex-col items-start gap-5 px-5 py-8 phone:px-3">
        <h2 className="font-numeral text-great font-bold">{PRACTICE_WORDS.nothingMarked}</h2>
        <p className="text-head">{PRACTICE_WORDS.notKept}</p>
        <Button look="strong" className="min-h-20! min-w-56 text-head!" onClick={leave}>
          {PRACTICE_WORDS.backToThePlan}
        </Button>
      </div>
    );
  return (
    <div className="flex flex-1 flex-col items-start gap-5 px-5 py-8 phone:px-3">
      <h2 className="font-numeral text-great font-bold">{PRACTICE_WORDS.done}</h2>
      <p className="text-head">{PRACTICE_WORDS.cameTo(minutes, run.passes, run.good)}</p>
      {practice.waiting > 0 && <p role="status">{PRACTICE_WORDS.waiting(practice.waiting)}</p>}
      <label className="flex w-full max-w-2xl flex-col gap-1 text-base font-semibold text-quiet">
        {PRACTICE_WORDS.noteOfTonight}
        <textarea
          rows={3}
          maxLength={MOST_NOTE}
          value={note}
          placeholder={PRACTICE_WORDS.noteExample}
          onChange={(event) => setNote(event.target.value)}
          className="rounded-lg border border-edge bg-raised px-3 py-2 text-lead font-medium text-ink placeholder:text-quiet"
        />
      </label>
      <Button look="strong" className="min-h-20! min-w-56 text-head!" onClick={keep}>
        {PRACTICE_WORDS.keepIt}
      </Button>
    </div>
  );
}
