import {
  type Fingering,
  holdsOf,
  holdWords,
  type Naming,
  nameNote,
  type PathChord,
  type PathStep,
  stayingFingers,
  type Voicing,
} from '@aurora/core';
import { Button } from '../../ui/Button.tsx';
import { LockedIcon, UnlockedIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { DiagramCard } from './DiagramCard.tsx';
import type { RoomPartProps } from './room-part.ts';

/** What one chord of a path is settled to: its shape, or the note on top. */
export type Settled = Pick<PathChord, 'melody' | 'locked'>;

interface StepDetailsProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly step: PathStep;
  readonly before: PathStep | undefined;
  /** The shape after it, for which fingers may stay. */
  readonly next: Voicing | null;
  /** How the chord before and this one are held. */
  readonly holds: readonly [Fingering | null, Fingering | null];
  readonly settled: Settled;
  readonly onSettle: (change: Partial<Settled>) => void;
  readonly notes: readonly number[];
}

/** One step of the path: what stays, what else there is, and what is kept whatever comes. */
export function StepDetails({ step, before, next, holds, settled, onSettle, instrument, naming, labels, notes }: StepDetailsProps) {
  const { voicing, alternatives } = step;
  const [heldBefore, heldNow] = holds;
  const staying =
    before?.voicing && voicing && heldBefore && heldNow
      ? stayingFingers({ fingering: heldBefore, frets: before.voicing.frets }, { fingering: heldNow, frets: voicing.frets })
      : [];
  return (
    <section aria-label={NECK_WORDS.thisChordTitle} className="rounded-xl border border-hairline bg-sheet px-4 py-3 lg:sticky lg:top-2">
      <div className="mb-2 flex flex-wrap items-center gap-4">
        {voicing !== null && (
          <Button
            aria-pressed={settled.locked !== null}
            onClick={() => onSettle({ locked: settled.locked === null ? voicing.frets : null })}
          >
            {settled.locked === null ? <UnlockedIcon size={17} /> : <LockedIcon size={17} />}
            {settled.locked === null ? NECK_WORDS.keepThisShape : NECK_WORDS.letItGo}
          </Button>
        )}
        <MelodyNote settled={settled} onSettle={onSettle} notes={notes} naming={naming} />
        {staying.length > 0 && (
          <p>
            {staying.length === 1 ? NECK_WORDS.finger : NECK_WORDS.fingers} {staying.join(' and ')}{' '}
            {staying.length === 1 ? 'stays' : 'stay'} {NECK_WORDS.downFromTheChordBefore}
          </p>
        )}
      </div>
      {voicing !== null && <Holds voicing={voicing} next={next} held={heldNow} instrument={instrument} />}
      {alternatives.length > 0 && <h3 className="text-fine font-semibold text-quiet">{NECK_WORDS.insteadAndHowMuchMoreThe}</h3>}
      <div className="mt-1 flex flex-wrap gap-2">
        {alternatives.map(({ voicing: other, extra }) => (
          <div key={other.frets.join()} className="flex flex-col items-center">
            <DiagramCard
              voicing={other}
              instrument={instrument}
              naming={naming}
              labels={labels}
              onChoose={() => onSettle({ locked: other.frets })}
            />
            <span className="text-fine text-quiet">+{Math.round(extra * 10) / 10}</span>
          </div>
        ))}
      </div>
    </section>
  );
}

/** The ways to hold it, with the one the path takes marked, and what speaks for each. */
function Holds({
  voicing,
  next,
  held,
  instrument,
}: {
  readonly voicing: Voicing;
  readonly next: Voicing | null;
  readonly held: Fingering | null;
} & Pick<StepDetailsProps, 'instrument'>) {
  return (
    <ul aria-label={NECK_WORDS.fingers} className="mb-3 text-base">
      {holdsOf(voicing, instrument, next).map(({ fingering, reasons }) => {
        const taken = fingering.fingers.join() === held?.fingers.join();
        return (
          <li key={fingering.fingers.join()} className={`flex gap-3 rounded-md px-1 py-0.5 ${taken ? 'bg-wash' : ''}`}>
            <b className="tracking-wider whitespace-nowrap">{fingering.fingers.map((finger) => finger ?? 'x').join(' ')}</b>
            <span className="text-quiet">
              {taken ? 'taken: ' : ''}
              {[...new Set(reasons.map(holdWords))].join('; ')}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

function MelodyNote({
  settled,
  onSettle,
  notes,
  naming,
}: Pick<StepDetailsProps, 'settled' | 'onSettle' | 'notes'> & { readonly naming: Naming }) {
  return (
    <label className="flex items-center gap-2">
      {NECK_WORDS.noteOnTop}
      <Select
        value={settled.melody ?? ''}
        onChange={(event) => onSettle({ melody: event.target.value === '' ? null : Number(event.target.value) })}
      >
        <option value="">{NECK_WORDS.any}</option>
        {notes.map((note) => (
          <option key={note} value={note}>
            {nameNote(note, naming.notes)}
          </option>
        ))}
      </Select>
    </label>
  );
}
