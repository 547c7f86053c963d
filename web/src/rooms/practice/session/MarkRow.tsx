import { KeyCap } from '../../../ui/Hint.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';

export type Marked = 'clean' | 'shaky' | 'stopped';

const MARKS: readonly (readonly [mark: Marked, key: string, look: string])[] = [
  ['clean', '1', 'border-accent bg-accent text-on-accent'],
  ['shaky', '2', 'border-edge bg-raised text-ink'],
  ['stopped', '3', 'border-edge bg-raised text-ink'],
];

/** How it went: three targets that cannot be missed, with their keys. */
export function MarkRow({ onMark }: { readonly onMark: (mark: Marked) => void }) {
  return (
    <div role="group" aria-label={PRACTICE_WORDS.howDidItGo} className="grid flex-1 grid-cols-3 gap-2">
      {MARKS.map(([mark, key, look]) => (
        <button
          key={mark}
          type="button"
          onClick={() => onMark(mark)}
          className={`flex min-h-20 items-center justify-center gap-2.5 rounded-2xl border-2 px-2 font-numeral text-head font-bold hover:border-accent phone:min-h-24 phone:flex-col phone:gap-1 lying:min-h-14 ${look}`}
        >
          {PRACTICE_WORDS.marks[mark]}
          <span aria-hidden="true" className="phone:hidden">
            <KeyCap keys={key} />
          </span>
        </button>
      ))}
    </div>
  );
}

/** The keys of the three marks. */
export function markKeys(onMark: (mark: Marked) => void): Readonly<Record<string, () => void>> {
  return Object.fromEntries(
    MARKS.flatMap(([mark, key]) => [key, mark === 'stopped' ? 'x' : mark.charAt(0)].map((name) => [name, () => onMark(mark)] as const)),
  );
}
