import { useEffect, useState } from 'react';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { Cautions } from '../Cautions.tsx';
import { turnRun } from './run-store.ts';
import { blockNow, type Run, skipped } from './session-run.ts';

const SECOND = 1000;

/** A break: how long it lasts still, and what hands do in it. It ends when somebody says so. */
export function RestItem({ run }: { readonly run: Run }) {
  const minutes = blockNow(run)?.minutes ?? 0;
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), SECOND);
    return () => window.clearInterval(timer);
  }, []);
  const left = Math.max(0, Math.ceil((run.since + minutes * 60 * SECOND - now) / SECOND));
  const on = () => turnRun((before) => skipped(before, Date.now()));
  useShortcuts({ ' ': on, Enter: on, PageDown: on });
  return (
    <div className="flex flex-1 flex-col items-start gap-5 px-5 py-8 phone:px-3">
      <h2 className="font-numeral text-great font-bold">{left === 0 ? PRACTICE_WORDS.restedEnough : PRACTICE_WORDS.rest}</h2>
      <p className="font-numeral text-numeral font-bold" role="timer">
        {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
      </p>
      <p className="max-w-[50ch] text-lead">{PRACTICE_WORDS.inTheBreak}</p>
      <Button look="strong" className="min-h-20! min-w-56 text-head!" onClick={on}>
        {PRACTICE_WORDS.goOn}
      </Button>
      <Cautions />
    </div>
  );
}
