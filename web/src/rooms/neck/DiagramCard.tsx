import {
  type DotLabel,
  diagram,
  difficultyWord,
  type Fingering,
  type Instrument,
  inversionWord,
  type Naming,
  nameNote,
  printFrets,
  type Voicing,
} from '@aurora/core';
import { DrawingView } from '../../parts/paper/DrawingView.tsx';
import { Named } from '../../ui/Named.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';

interface DiagramCardProps {
  readonly voicing: Voicing;
  readonly fingering?: Fingering;
  readonly instrument: Instrument;
  readonly naming: Naming;
  readonly labels: DotLabel;
  readonly title?: string;
  readonly chosen?: boolean;
  /** Larger, where there are few. */
  readonly large?: boolean;
  readonly onChoose: () => void;
}

/** A shape as a diagram one can choose. */
export function DiagramCard({
  voicing,
  fingering,
  instrument,
  naming,
  labels,
  title = '',
  chosen = false,
  large = false,
  onChoose,
}: DiagramCardProps) {
  const held = fingering ?? voicing.fingering;
  const drawing = diagram(voicing, held, instrument, {
    labels,
    leftHanded: instrument.leftHanded,
    title,
    nameNote: (note) => nameNote(note, naming.notes),
  });
  const said = `${title} ${spokenFrets(voicing)}, ${inversionWord(voicing.inversion)}, ${difficultyWord(voicing.difficulty)}`.trim();
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      className="flex flex-col items-center rounded-xl border border-hairline bg-raised px-1 pt-1 pb-1.5 hover:border-accent aria-pressed:border-accent aria-pressed:shadow-[inset_0_0_0_2px_var(--accent)]"
    >
      <Named name={said} className="flex flex-col items-center">
        <DrawingView drawing={drawing} className={large ? 'h-[176px] w-auto max-w-full' : 'h-[118px] w-auto'} decorative />
        <span className="text-fine leading-tight font-medium text-quiet">{printFrets(voicing.frets, instrument.capo)}</span>
      </Named>
    </button>
  );
}

/** The frets as they are said: `muted, 3, 2, open, 1, open`. */
function spokenFrets({ frets }: Pick<Voicing, 'frets'>): string {
  return NECK_WORDS.fretsOf(frets.map((fret) => (fret === null ? 'muted' : fret === 0 ? 'open' : fret)).join(', '));
}
