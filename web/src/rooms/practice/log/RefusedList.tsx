import { Button } from '../../../ui/Button.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { RefusedWork } from '../use-practice.ts';

/** What the server would not take, with why: sent once more, or let go. Nothing when there is none. */
export function RefusedList({ refused: { passes, sessions, sendAgain, letGo } }: { readonly refused: RefusedWork }) {
  const lines = [
    ...passes.map(({ thing: { id, at, item }, why }) => ({ id, at, what: item, why })),
    ...sessions.map(({ thing: { id, at, note }, why }) => ({ id, at, what: note || PRACTICE_WORDS.noNote, why })),
  ];
  if (lines.length === 0) return null;
  return (
    <section aria-label={PRACTICE_WORDS.notTaken} className="rounded-xl border border-alarm px-4 py-3">
      <h2 className="text-lead font-bold">{PRACTICE_WORDS.notTaken}</h2>
      <p className="text-base text-quiet">{PRACTICE_WORDS.notTakenIsKept}</p>
      <ul className="my-2 flex flex-col divide-y divide-hairline">
        {lines.map(({ id, at, what, why }) => (
          <li key={id} className="flex flex-wrap gap-x-4 py-1.5 text-base">
            <b className="w-40 shrink-0">{PRACTICE_WORDS.day(new Date(at))}</b>
            <span>{what}</span>
            <span className="text-quiet">{why || PRACTICE_WORDS.noReason}</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" onClick={sendAgain}>
          {PRACTICE_WORDS.sendAgain}
        </Button>
        <Button onClick={letGo}>{PRACTICE_WORDS.letThemGo}</Button>
      </div>
    </section>
  );
}
