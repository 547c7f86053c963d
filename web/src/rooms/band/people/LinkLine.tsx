import { Button } from '../../../ui/Button.tsx';
import { PEOPLE_WORDS } from '../../../wording/people.ts';

interface LinkLineProps {
  /** Whose, or to what. */
  readonly name: string;
  /** The same as it is shown, where that says more. */
  readonly shown?: string;
  /** Who made it, and how long it opens. */
  readonly about: string;
  readonly onTakeBack: () => void;
}

/** A link that opens just now, and the way to take it back. */
export function LinkLine({ name, shown = name, about, onTakeBack }: LinkLineProps) {
  return (
    <li className="flex min-h-12 flex-wrap items-center gap-x-3">
      <span className="font-semibold">{shown}</span>
      <span className="text-fine text-quiet">{about}</span>
      <Button look="bare" className="ml-auto" aria-label={PEOPLE_WORDS.takeBackName(name)} onClick={onTakeBack}>
        {PEOPLE_WORDS.takeBack}
      </Button>
    </li>
  );
}
