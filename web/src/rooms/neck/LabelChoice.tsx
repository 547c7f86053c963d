import { setDevice, useDevice } from '../../session/device-store.ts';
import { Choice } from '../../ui/Choice.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';

const LABEL_CHOICES = [
  ['fingers', NECK_WORDS.fingers],
  ['formula', NECK_WORDS.formula],
  ['notes', NECK_WORDS.notesOnDots],
] as const;

/** What stands in the dots, on this device. */
export function LabelChoice() {
  const labels = useDevice((state) => state.neckLabels);
  return (
    <Choice
      label={NECK_WORDS.whatTheDotsShow}
      value={labels}
      options={LABEL_CHOICES}
      onChange={(neckLabels) => setDevice({ neckLabels })}
    />
  );
}
