import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { KeyCap } from '../../../ui/Hint.tsx';
import { BeforeIcon } from '../../../ui/icons.ts';
import { sayFault } from '../../../ui/say.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { PartProps } from '../use-practice.ts';
import { takeMarkBack, useGivenMarks } from './given-marks.ts';

/** The last mark, and the way back from it. */
export function LastMark({ practice }: PartProps) {
  const last = useGivenMarks((given) => given.at(-1));
  const back = () => {
    if (last !== undefined && !takeMarkBack(practice)) void sayFault(PRACTICE_WORDS.sentAlready);
  };
  useShortcuts({ z: back, 'Ctrl+z': back });
  if (last === undefined) return null;
  return (
    <Button look="bare" className="px-2! text-quiet!" onClick={back}>
      <BeforeIcon size={16} aria-hidden="true" />
      {PRACTICE_WORDS.takeMarkBack(last.outcome)}
      <span aria-hidden="true" className="pointer-coarse:hidden">
        <KeyCap keys="Z" />
      </span>
    </Button>
  );
}
