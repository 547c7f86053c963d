import { WarningIcon } from '../../ui/icons.ts';
import { PRACTICE_WORDS } from '../../wording/practice.ts';

/** What hands and ears should know before they begin. */
export function Cautions() {
  return (
    <p className="flex max-w-[80ch] items-start gap-2.5 text-base text-quiet">
      <WarningIcon size={18} aria-hidden="true" className="mt-0.5 shrink-0" />
      {PRACTICE_WORDS.cautions}
    </p>
  );
}
