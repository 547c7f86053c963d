import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { ChosenIcon } from '../../ui/icons.ts';

interface StepChipProps {
  readonly words: string;
  /** What is said of one that is done; null while it is not. */
  readonly done: string | null;
  /** Whether it is what comes next. */
  readonly isNext?: boolean;
  readonly onStart: () => void;
}

/** One step of several: pressed to begin it. */
export function StepChip({ words, done, isNext = false, onStart }: StepChipProps) {
  const look = isNext
    ? 'border-accent bg-raised font-semibold shadow-[inset_0_-3px_0_var(--accent)]'
    : done === null
      ? 'border-edge bg-raised'
      : 'border-transparent bg-wash';
  return (
    <button type="button" onClick={onStart} className={`flex min-h-11 items-center gap-1.5 rounded-lg border px-2.5 text-base ${look}`}>
      {done !== null && <ChosenIcon size={16} aria-label={done} className="text-accent" />}
      <Glyphs text={words} />
    </button>
  );
}
