import { Button } from '../ui/Button.tsx';
import type { DraftKeeper } from './draft-keeper.ts';

/** Somebody else saved first: both texts are shown, and one is chosen. */
export function Conflict({ keeper, theirs }: { readonly keeper: DraftKeeper; readonly theirs: string }) {
  return (
    <section aria-label="Saved elsewhere" className="border-b-2 border-alarm bg-raised px-5 py-3">
      <p className="font-semibold">
        This song was saved elsewhere while you were writing. Nothing is lost: both texts are here, and both stay in its history.
      </p>
      <details className="mt-1">
        <summary className="cursor-pointer py-1 text-quiet">Show theirs</summary>
        <pre className="max-h-48 overflow-auto rounded border border-hairline bg-sheet p-3 font-text text-sm whitespace-pre-wrap">
          {theirs}
        </pre>
      </details>
      <div className="mt-2 flex gap-2">
        <Button look="strong" onClick={() => keeper.resolve('mine')}>
          Keep mine on top
        </Button>
        <Button onClick={() => keeper.resolve('theirs')}>Take theirs</Button>
      </div>
    </section>
  );
}
