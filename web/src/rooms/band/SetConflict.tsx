import type { SetDesk } from '../../document/set-desk.ts';
import { Button } from '../../ui/Button.tsx';

/** Two people changed the set: which of the two is kept, is said here. */
export function SetConflict({ desk }: { readonly desk: SetDesk }) {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 rounded-xl border border-alarm px-4 py-3">
      <p className="min-w-60 flex-1 text-[15px]">
        Somebody else saved this set while you changed it. Both are here; choose, and undo if you change your mind.
      </p>
      <Button look="strong" onClick={() => desk.settle('mine')}>
        Keep mine
      </Button>
      <Button onClick={() => desk.settle('theirs')}>Take theirs</Button>
    </div>
  );
}
