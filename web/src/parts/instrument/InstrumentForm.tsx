import {
  checkInstrument,
  FEWEST_FRETS,
  faultWords,
  INSTRUMENTS,
  type Instrument,
  MOST_FRETS,
  oddityWords,
  parseTuning,
  printTuning,
  tuningOddities,
} from '@aurora/core';
import { type ReactNode, useState } from 'react';
import { usePlaying } from '../../session/playing.ts';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { RoomNeck } from '../neck/RoomNeck.tsx';

const FIELD = 'min-h-11 w-full rounded-lg border border-edge bg-raised px-3 font-semibold';

/** Who plays at this device, and how their instrument is set up; kept with the player. */
export function InstrumentForm() {
  const { player, setUp, instrument } = usePlaying();
  const own = { ...instrument, capo: 0 };
  const [fault, setFault] = useState<string | null>(null);
  const change = (part: Partial<Instrument>) => {
    const next = { ...own, ...part };
    const fitted = { ...next, comfortFret: Math.min(next.comfortFret, next.frets) };
    const checked = checkInstrument(fitted);
    setFault(checked.ok ? null : faultWords(checked.fault));
    if (checked.ok) setUp(checked.value);
  };
  return (
    <div className="flex flex-col gap-4">
      <RoomNeck instrument={instrument} dots={[]}>
        <b className="text-lead">{instrument.name}</b>
        <span>{printTuning(instrument.tuning)}</span>
        <span>
          {instrument.frets} {PARTS_WORDS.fretsWord}
        </span>
        <span className="text-quiet">
          {instrument.capo > 0 ? PARTS_WORDS.capoFromTheReaderAbove(instrument.capo) : PARTS_WORDS.aCapoIsSetWithThe}
        </span>
      </RoomNeck>
      {fault !== null && (
        <p role="alert" className="font-semibold text-alarm">
          {fault}
        </p>
      )}
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        <WhoPlays />
        <Preset instrument={own} onChange={change} />
        <TuningRow key={`${player?.id} ${instrument.name}`} instrument={own} onChange={change} />
        <NumberRow label={PARTS_WORDS.frets} value={own.frets} range={[FEWEST_FRETS, MOST_FRETS]} onChange={(frets) => change({ frets })} />
        <NumberRow
          label={PARTS_WORDS.highestComfortableFret}
          value={own.comfortFret}
          range={[5, own.frets]}
          onChange={(comfortFret) => change({ comfortFret })}
        />
        <NumberRow
          label={PARTS_WORDS.scaleLengthMm}
          value={own.scaleLength}
          range={[300, 1000]}
          onChange={(scaleLength) => change({ scaleLength })}
        />
        <DotsAndHands instrument={own} onChange={change} />
      </div>
    </div>
  );
}

/** Whose instrument this is. */
function WhoPlays() {
  const { members, player, sitDown } = usePlaying();
  return (
    <Row label={PARTS_WORDS.whoPlaysHere}>
      <Select value={player?.id ?? ''} onChange={(event) => sitDown(event.target.value)}>
        {members.map(({ id, name, plays }) => (
          <option key={id} value={id}>
            {name}, {plays}
          </option>
        ))}
      </Select>
    </Row>
  );
}

interface SetUpProps {
  readonly instrument: Instrument;
  readonly onChange: (part: Partial<Instrument>) => void;
}

/** An instrument as it is usually set up. */
function Preset({ instrument, onChange }: SetUpProps) {
  const preset = INSTRUMENTS.find(({ name }) => name === instrument.name);
  return (
    <Row label={PARTS_WORDS.instrument}>
      <Select
        value={preset?.name ?? ''}
        onChange={(event) => {
          const chosen = INSTRUMENTS.find(({ name }) => name === event.target.value);
          if (chosen !== undefined) onChange({ ...chosen, leftHanded: instrument.leftHanded });
        }}
      >
        {preset === undefined && <option value="">{instrument.name}</option>}
        {INSTRUMENTS.map(({ name }) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </Select>
    </Row>
  );
}

/** Which frets are marked, and which hand holds the strings. */
function DotsAndHands({ instrument, onChange }: SetUpProps) {
  return (
    <>
      <div>
        <p className="mb-1 font-semibold">{PARTS_WORDS.positionDots}</p>
        <Choice label={PARTS_WORDS.positionDots} value={instrument.dots} options={DOT_CHOICES} onChange={(dots) => onChange({ dots })} />
      </div>
      <div>
        <p className="mb-1 font-semibold">{PARTS_WORDS.hands}</p>
        <Choice
          label={PARTS_WORDS.hands}
          value={instrument.leftHanded ? 'left' : 'right'}
          options={HAND_CHOICES}
          onChange={(hand) => onChange({ leftHanded: hand === 'left' })}
        />
      </div>
    </>
  );
}

const DOT_CHOICES = [
  ['ninth', PARTS_WORDS.atThe9th],
  ['tenth', PARTS_WORDS.atThe10th],
] as const;

const HAND_CHOICES = [
  ['right', 'Right-handed'],
  ['left', 'Left-handed'],
] as const;

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the control is what is inside
    <label className="block">
      <span className="mb-1 block font-semibold">{label}</span>
      {children}
    </label>
  );
}

/** Open strings as one types them; kept as soon as they can be read. */
function TuningRow({ instrument, onChange }: { readonly instrument: Instrument; readonly onChange: (part: Partial<Instrument>) => void }) {
  const [text, setText] = useState(() => printTuning(instrument.tuning));
  const read = parseTuning(text);
  const checked = read.ok ? checkInstrument({ ...instrument, tuning: read.value }) : read;
  const write = (typed: string) => {
    setText(typed);
    const tuning = parseTuning(typed);
    if (tuning.ok && checkInstrument({ ...instrument, tuning: tuning.value }).ok)
      onChange({ tuning: tuning.value, name: nameFor(tuning.value, instrument) });
  };
  return (
    <div>
      <p className="mb-1 font-semibold">{PARTS_WORDS.openStringsLowestFirst}</p>
      <AnsweringField
        label={PARTS_WORDS.openStringsLowestFirst}
        value={text}
        placeholder="E2 A2 D3 G3 B3 E4"
        fault={checked.ok ? null : faultWords(checked.fault)}
        onChange={write}
      />
      {read.ok &&
        tuningOddities(read.value).map((oddity) => (
          <p key={oddity.strings.join()} className="mt-1 text-fine text-quiet">
            {oddityWords(oddity)}
          </p>
        ))}
    </div>
  );
}

/** A preset's name for its tuning, else a name of its own. */
function nameFor(tuning: readonly number[], instrument: Instrument): string {
  const preset = INSTRUMENTS.find((one) => one.tuning.join() === tuning.join());
  if (preset !== undefined) return preset.name;
  return /own tuning/.test(instrument.name) ? instrument.name : PARTS_WORDS.ownTuning(instrument.name.split(',')[0] ?? '');
}

interface NumberRowProps {
  readonly label: string;
  readonly value: number;
  readonly range: readonly [number, number];
  readonly onChange: (value: number) => void;
}

/** A number that is kept while it lies in its range; half-typed ones are let be. */
function NumberRow({ label, value, range: [low, high], onChange }: NumberRowProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <div>
      <Row label={label}>
        <input
          type="number"
          min={low}
          max={high}
          value={typed ?? value}
          aria-invalid={typed !== null}
          onChange={(event) => {
            const wanted = Number(event.target.value);
            const fits = event.target.value !== '' && wanted >= low && wanted <= high;
            setTyped(fits ? null : event.target.value);
            if (fits) onChange(wanted);
          }}
          onBlur={() => setTyped(null)}
          className={`${FIELD} aria-invalid:border-alarm`}
        />
      </Row>
      {typed !== null && (
        <span role="alert" className="text-fine font-semibold text-alarm">
          {low} {PARTS_WORDS.to} {high}
        </span>
      )}
    </div>
  );
}
