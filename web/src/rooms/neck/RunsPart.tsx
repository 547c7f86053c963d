import { type Instrument, type Key, printTuning, runEvents, type ScaleLayout, stackedLines, stringSets } from '@aurora/core';
import { type ReactNode, useMemo, useState } from 'react';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { runDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { DrawingView } from '../../parts/paper/DrawingView.tsx';
import { StudySheet } from '../../parts/paper/StudySheet.tsx';
import { useStudyLines } from '../../parts/paper/use-study.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { play, stop, usePlayer } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PlayIcon, StopIcon, StudyIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { FirstFretField } from './FirstFretField.tsx';
import type { RoomPartProps } from './room-part.ts';
import { COUNT_IN_STEPS, FIRST_PLAN, planRun, type RunKind, type RunPlan, runSteps, type Scope, SWEEP_SETS } from './run-plan.ts';
import { TempoField } from './TempoField.tsx';

const KINDS: readonly (readonly [RunKind, string])[] = [
  ['scale', NECK_WORDS.scale],
  ['arpeggio', NECK_WORDS.arpeggios],
  ['sweep', NECK_WORDS.sweep],
];
const SCREEN_WIDTH = 860;

/** Scales, arpeggios and sweeps as tab and staff, on the neck, with a click, and on paper. */
export function RunsPart({ chord, instrument, naming, labels }: RoomPartProps) {
  const key = keyInForce(useLens());
  const [plan, setPlan] = useState<RunPlan>(FIRST_PLAN);
  const [tempo, setTempo] = useState(72);
  const [staff, setStaff] = useState(false);
  const [sheet, setSheet] = useState(false);
  const change = (part: Partial<RunPlan>) => setPlan({ ...plan, ...part });
  const { run, title, beatsPerBar, root } = useMemo(
    () => planRun(plan, { chord, key, instrument, naming }),
    [plan, chord, key, instrument, naming],
  );
  const study = useRunStudy({ title, tempo, run, beatsPerBar, instrument, naming, key });
  const { lines, waiting, failed } = useStudyLines(study, SCREEN_WIDTH, staff);
  const playing = usePlayer((state) => state.playing === 'run');
  const step = usePlayer((state) => state.step);
  const sounding = playing ? (run.notes[step - COUNT_IN_STEPS] ?? null) : null;
  return (
    <div className="flex flex-col gap-3">
      <RoomNeck instrument={instrument} dots={runDots(run.notes, root, { labels, naming })} sounding={sounding}>
        <b className="text-lead">{title}</b>
        {run.notes.length > 0 && (
          <span>
            {run.notes.length} {NECK_WORDS.notes}
          </span>
        )}
      </RoomNeck>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Choice label={NECK_WORDS.whatToRunThrough} value={plan.kind} options={KINDS} onChange={(kind) => change({ kind })} />
        {plan.kind === 'scale' && <ScaleFields plan={plan} instrument={instrument} onChange={change} />}
        {plan.kind === 'arpeggio' && <ArpeggioFields plan={plan} instrument={instrument} onChange={change} />}
        {plan.kind === 'sweep' && <SweepFields plan={plan} instrument={instrument} onChange={change} />}
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button
          look="strong"
          onClick={() => (playing ? stop() : void play('run', runSteps(run.notes), tempo))}
          disabled={run.notes.length === 0}
        >
          {playing ? <StopIcon size={17} /> : <PlayIcon size={17} />} {playing ? NECK_WORDS.stop : NECK_WORDS.playWithAClick}
        </Button>
        <TempoField tempo={tempo} onTempo={setTempo} />
        <Tick label={NECK_WORDS.staff} on={staff} onTick={setStaff} />
        <Button onClick={() => setSheet(true)} disabled={run.notes.length === 0}>
          <StudyIcon size={17} /> {NECK_WORDS.studySheet}
        </Button>
        {waiting && <span role="status">{NECK_WORDS.fetchingTheStaff}</span>}
        {failed && <span role="alert">{NECK_WORDS.theStaffCouldNotBeFetched}</span>}
        <p className="ml-auto text-fine text-quiet">{NECK_WORDS.startSlowAndLooseStopWhen}</p>
      </div>
      <RunTab none={run.notes.length === 0} title={title} lines={lines} instrument={instrument} />
      {run.left > 0 && (
        <p>
          {run.left} {NECK_WORDS.notesHaveNoPlaceOnThis}
        </p>
      )}
      {sheet && <StudySheet study={study} staff={staff} onStaff={setStaff} onClose={() => setSheet(false)} />}
    </div>
  );
}

interface RunStudyWish
  extends Pick<RoomPartProps, 'instrument' | 'naming'>,
    Pick<ReturnType<typeof planRun>, 'run' | 'title' | 'beatsPerBar'> {
  readonly tempo: number;
  readonly key: Key;
}

/** The run as a study sheet. */
function useRunStudy({ title, tempo, run, beatsPerBar, instrument, naming, key }: RunStudyWish) {
  return useMemo(
    () => ({
      title,
      facts: NECK_WORDS.runFacts(
        tempo,
        instrument.name,
        printTuning(instrument.tuning),
        instrument.capo > 0 ? NECK_WORDS.capo(instrument.capo) : '',
      ),
      events: runEvents(run, (index) => {
        const of = run.chords[index];
        return of === undefined ? '' : chordTitle(of, instrument, naming);
      }),
      beatsPerBar,
      instrument,
      key,
    }),
    [title, tempo, instrument, run, naming, beatsPerBar, key],
  );
}

interface RunTabProps extends Pick<RoomPartProps, 'instrument'> {
  readonly none: boolean;
  readonly title: string;
  readonly lines: ReturnType<typeof useStudyLines>['lines'];
}

/** The run as tab, and as notes where they are wanted. */
function RunTab({ none, title, lines, instrument }: RunTabProps) {
  if (none) return <p className="py-4">{NECK_WORDS.thereIsNoRoomForThis}</p>;
  return (
    <section aria-label={NECK_WORDS.tab} className="overflow-x-auto rounded-xl border border-hairline bg-raised p-4">
      <DrawingView
        drawing={stackedLines(lines, instrument, SCREEN_WIDTH + 4, NECK_WORDS.asTab(title))}
        className="w-full min-w-[640px] max-w-[1080px]"
      />
    </section>
  );
}

interface FieldsProps {
  readonly plan: RunPlan;
  readonly instrument: Instrument;
  readonly onChange: (part: Partial<RunPlan>) => void;
}

const LAYOUTS: readonly (readonly [ScaleLayout, string])[] = [
  ['position', NECK_WORDS.inPosition],
  ['three-a-string', NECK_WORDS.threeAString],
  ['one-string', NECK_WORDS.oneString],
];

function ScaleFields({ plan, instrument, onChange }: FieldsProps) {
  return (
    <>
      <Choice label={NECK_WORDS.howItLies} value={plan.layout} options={LAYOUTS} onChange={(layout) => onChange({ layout })} />
      {plan.layout === 'one-string' ? (
        <Pick label={NECK_WORDS.string} value={plan.string} onChange={(value) => onChange({ string: Number(value) })}>
          {instrument.tuning.map((_, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: strings are counted
            <option key={index} value={index + 1}>
              {NECK_WORDS.stringWord} {index + 1}
            </option>
          ))}
        </Pick>
      ) : (
        <FirstFretField fret={plan.position} instrument={instrument} onFret={(position) => onChange({ position })} />
      )}
      <Pick label={NECK_WORDS.startsOn} value={plan.from} onChange={(value) => onChange({ from: value as RunPlan['from'] })}>
        <option value="key">{NECK_WORDS.fromTheTonic}</option>
        <option value="chord">{NECK_WORDS.fromTheChordsRoot}</option>
        {plan.layout === 'three-a-string' && <option value="position">{NECK_WORDS.fromTheFret}</option>}
      </Pick>
      <Tick label={NECK_WORDS.toTheOctave} on={plan.octave} onTick={(octave) => onChange({ octave })} />
      <Tick label={NECK_WORDS.andBack} on={plan.back} onTick={(back) => onChange({ back })} />
      <Slurs plan={plan} onChange={onChange} />
    </>
  );
}

function ArpeggioFields({ plan, instrument, onChange }: FieldsProps) {
  const sets = stringSets('triad', instrument.tuning.length);
  const place = plan.strings === null ? -1 : sets.findIndex((set) => set.join() === plan.strings?.join());
  return (
    <>
      <ScopeField scope={plan.scope} onScope={(scope) => onChange({ scope })} />
      <Pick label={NECK_WORDS.where} value={place} onChange={(value) => onChange({ strings: sets[Number(value)] ?? null })}>
        <option value={-1}>{NECK_WORDS.inPositionLower}</option>
        {sets.map((set, index) => (
          <option key={set.join()} value={index}>
            {NECK_WORDS.stringsWord} {set.join(' ')}
          </option>
        ))}
      </Pick>
      {plan.strings === null && (
        <FirstFretField fret={plan.position} instrument={instrument} onFret={(position) => onChange({ position })} />
      )}
      <Tick label={NECK_WORDS.upOneDownTheNext} on={plan.turning} onTick={(turning) => onChange({ turning })} />
      {!plan.turning && <Tick label={NECK_WORDS.andBack} on={plan.back} onTick={(back) => onChange({ back })} />}
      <Tick label={NECK_WORDS.toTheOctave} on={plan.octave} onTick={(octave) => onChange({ octave })} />
      <Tick label={NECK_WORDS.withAScaleFragment} on={plan.fragment} onTick={(fragment) => onChange({ fragment })} />
      <Slurs plan={plan} onChange={onChange} />
    </>
  );
}

function SweepFields({ plan, instrument, onChange }: FieldsProps) {
  return (
    <>
      <ScopeField scope={plan.sweepScope} onScope={(sweepScope) => onChange({ sweepScope })} />
      <Pick label={NECK_WORDS.strings} value={plan.sweep} onChange={(value) => onChange({ sweep: Number(value) })}>
        {SWEEP_SETS.map((sets, index) => (
          <option key={sets.join(' then ')} value={index}>
            {sets.map((set) => set.join(' ')).join(', then ')}
          </option>
        ))}
      </Pick>
      <Tick label={NECK_WORDS.fromTheRoot} on={plan.rooted} onTick={(rooted) => onChange({ rooted })} />
      <FirstFretField fret={plan.position} instrument={instrument} onFret={(position) => onChange({ position })} />
    </>
  );
}

function ScopeField({ scope, onScope }: { readonly scope: Scope; readonly onScope: (scope: Scope) => void }) {
  return (
    <Pick label={NECK_WORDS.whichChords} value={scope} onChange={(value) => onScope(value as Scope)}>
      <option value="chord">{NECK_WORDS.thisChord}</option>
      <option value="triads">{NECK_WORDS.theKeysTriads}</option>
      <option value="sevenths">{NECK_WORDS.theKeysSevenths}</option>
    </Pick>
  );
}

function Slurs({ plan, onChange }: Pick<FieldsProps, 'plan' | 'onChange'>) {
  return (
    <Tick
      label={NECK_WORDS.slurredInPairs}
      on={plan.picking === 'slurred'}
      onTick={(on) => onChange({ picking: on ? 'slurred' : 'alternate' })}
    />
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string | number;
  readonly onChange: (value: string) => void;
  readonly children: ReactNode;
}

function Pick({ label, value, onChange, children }: PickProps) {
  return (
    <Select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {children}
    </Select>
  );
}
