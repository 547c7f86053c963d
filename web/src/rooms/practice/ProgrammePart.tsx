import {
  itemIn,
  KEY_ORDERS,
  type KeyOrder,
  MOST_NIGHTS,
  NIGHT_STAGES,
  type Night,
  type NightStage,
  nightsOf,
  ORDER_NAMES,
  printNote,
  programmeKeys,
  USUAL_NIGHTS,
  wholeKeyWords,
} from '@aurora/core';
import { useState } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../session/lens.ts';
import { AskOnce } from '../../ui/AskOnce.tsx';
import { Button } from '../../ui/Button.tsx';
import { ChosenIcon, SkipIcon } from '../../ui/icons.ts';
import { NumberField } from '../../ui/NumberField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { StepChip } from './StepChip.tsx';
import { useSession } from './session/use-session.ts';
import type { PartProps } from './use-practice.ts';

/** A night lasts ten minutes, shared by its stages. */
const NIGHT_MINUTES = 10;
const NIGHT_MS = NIGHT_MINUTES * 60_000;

/** A key a night: tonight or the night that was chosen, which are done, which is next, and the programme itself. */
export function ProgrammePart(props: PartProps) {
  const { programme, passes } = props.practice;
  const nights = programme === null ? [] : nightsOf(programme, passes, Date.now());
  const [chosen, setChosen] = useState<number | null>(null);
  const next = nights.find(({ state }) => state === 'next');
  const shown = nights.find(({ night }) => night === chosen) ?? next;
  return (
    <div className="flex flex-col gap-5">
      {programme === null ? (
        <p className="max-w-[65ch] text-lead">{PRACTICE_WORDS.programmeWords}</p>
      ) : (
        <>
          {shown === undefined ? (
            <p className="text-lead">{PRACTICE_WORDS.programmeDone}</p>
          ) : (
            <OneNight night={shown} isTonight={shown === next} onTonight={() => setChosen(null)} {...props} />
          )}
          <Calendar nights={nights} shown={shown?.night ?? null} onChoose={setChosen} />
        </>
      )}
      <ProgrammeForm {...props} isBegun={programme !== null} />
    </div>
  );
}

interface OneNightProps extends PartProps {
  readonly night: Night;
  readonly isTonight: boolean;
  readonly onTonight: () => void;
}

/** A night with its stages: what was played and what is left, to be gone on with from any of them. */
function OneNight({ night, isTonight, onTonight, practice }: OneNightProps) {
  const naming = useNaming();
  const session = useSession();
  const { left } = night;
  const isBegun = night.playedAt !== null;
  const begin = (stages: readonly NightStage[]) => {
    const items = stages.map((stage) => ({
      item: itemIn('programme', stage, night.key),
      title: '',
      night: night.night,
      ms: NIGHT_MS / NIGHT_STAGES.length,
    }));
    const minutes = Math.max(1, Math.round((NIGHT_MINUTES * stages.length) / NIGHT_STAGES.length));
    session.begin([{ kind: 'programme', minutes, items }]);
  };
  const skip = () =>
    practice.change((before) =>
      before.programme === null
        ? before
        : { ...before, programme: { ...before.programme, skipped: [...before.programme.skipped, night.night] } },
    );
  return (
    <section aria-label={PRACTICE_WORDS.night(night.night)} className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="mr-auto font-numeral text-figure font-bold">
          <Glyphs text={PRACTICE_WORDS.nightIs(night.night, wholeKeyWords(night.key, naming))} />
        </h2>
        <Button look="strong" onClick={() => begin(left.length > 0 ? left : NIGHT_STAGES)}>
          {left.length === 0
            ? PRACTICE_WORDS.playAgain
            : isBegun
              ? PRACTICE_WORDS.goOnWith(left.length)
              : PRACTICE_WORDS.playNight(isTonight)}
        </Button>
        {isTonight && !isBegun && (
          <Button onClick={skip}>
            <SkipIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.skipNight}
          </Button>
        )}
        {!isTonight && <Button onClick={onTonight}>{PRACTICE_WORDS.backToTonight}</Button>}
      </div>
      <NightStages left={left} onBegin={begin} />
    </section>
  );
}

interface NightStagesProps {
  readonly left: readonly NightStage[];
  readonly onBegin: (stages: readonly NightStage[]) => void;
}

/** The exercises of a night, those that were played marked; one that is pressed is played first, what is left behind it after it. */
function NightStages({ left, onBegin }: NightStagesProps) {
  return (
    <ol aria-label={PRACTICE_WORDS.stages} className="flex flex-wrap gap-1.5">
      {NIGHT_STAGES.map((stage, at) => (
        <li key={stage}>
          <StepChip
            words={PRACTICE_WORDS.nightStages[stage]}
            done={left.includes(stage) ? null : PRACTICE_WORDS.played}
            onStart={() => onBegin([stage, ...left.filter((one) => NIGHT_STAGES.indexOf(one) > at)])}
          />
        </li>
      ))}
    </ol>
  );
}

const LOOKS: Readonly<Record<Night['state'], string>> = {
  done: 'border-transparent bg-wash',
  begun: 'border-transparent bg-wash',
  next: 'border-accent bg-raised',
  skipped: 'border-dashed border-edge bg-transparent text-quiet',
  ahead: 'border-hairline bg-raised text-quiet',
};

interface CalendarProps {
  readonly nights: readonly Night[];
  readonly shown: number | null;
  readonly onChoose: (night: number) => void;
}

/** All nights; each is opened by a press, so that what is left of it can be played. */
function Calendar({ nights, shown, onChoose }: CalendarProps) {
  const naming = useNaming();
  return (
    <ol aria-label={PRACTICE_WORDS.nights} className="grid grid-cols-[repeat(auto-fill,minmax(6.5rem,1fr))] gap-2">
      {nights.map(({ night, key, state, playedAt, left }) => (
        <li key={night} aria-current={state === 'next' ? 'step' : undefined}>
          <button
            type="button"
            aria-pressed={night === shown}
            onClick={() => onChoose(night)}
            className={`flex min-h-24 w-full flex-col rounded-xl border-2 px-2.5 py-2 text-left ${LOOKS[state]} ${night === shown ? 'shadow-[inset_0_-4px_0_var(--accent)]' : ''}`}
          >
            <span className="flex w-full items-center text-fine">
              {PRACTICE_WORDS.night(night)}
              {state === 'done' && <ChosenIcon size={16} aria-hidden="true" className="ml-auto text-accent" />}
            </span>
            <b className="font-numeral text-lead text-ink">
              <Glyphs text={wholeKeyWords(key, naming)} />
            </b>
            <span className="mt-auto text-fine">
              {PRACTICE_WORDS.nightState(state, playedAt === null ? null : new Date(playedAt), {
                played: NIGHT_STAGES.length - left.length,
                all: NIGHT_STAGES.length,
              })}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

const STARTS = [0, -1, -2, -3, -4, -5, 6, 5, 4, 3, 2, 1];

/** Neighbouring strings, the lowest first. */
function pairsOf(strings: number): readonly (readonly [number, number])[] {
  return Array.from({ length: strings - 1 }, (_, at) => [strings - 1 - at, strings - at] as const);
}

interface ProgrammeWish {
  readonly nights: number;
  readonly order: KeyOrder;
  /** The first tonic, a point on the line of fifths. */
  readonly first: number;
  readonly minor: boolean;
  readonly strings: readonly [number, number];
}

/** Begins the nights anew in the order wished. */
function beginProgramme({ memories, change }: PartProps['practice'], { nights, order, first, minor, strings }: ProgrammeWish): void {
  const scales = minor ? (['major', 'natural minor'] as const) : (['major'] as const);
  const keys = programmeKeys({ nights, order, first, scales }, memories).map(({ tonic, scale }) => ({ tonic: printNote(tonic), scale }));
  const programme = { order, keys, skipped: [], since: new Date().toISOString(), strings: [...strings] as [number, number] };
  change((before) => ({ ...before, programme }));
}

/** So many nights, in which order, beginning where; begun anew it leaves everything that was played remembered. */
function ProgrammeForm({ practice, isBegun }: PartProps & { readonly isBegun: boolean }) {
  const naming = useNaming();
  const [nights, setNights] = useState(USUAL_NIGHTS);
  const [order, setOrder] = useState<KeyOrder>('fourths');
  const [first, setFirst] = useState('0');
  const [minor, setMinor] = useState(true);
  const strings = pairsOf(practice.instrument.tuning.length);
  const [pair, setPair] = useState('0');
  const begin = () => beginProgramme(practice, { nights, order, first: Number(first), minor, strings: strings[Number(pair)] ?? [5, 6] });
  return (
    <section aria-label={PRACTICE_WORDS.programme} className="flex flex-wrap items-end gap-x-4 gap-y-3 border-t border-hairline pt-4">
      <div className="w-28">
        <NumberField
          label={PRACTICE_WORDS.nights}
          value={nights}
          min={1}
          max={MOST_NIGHTS}
          placeholder="30"
          onChange={(next) => setNights(next ?? USUAL_NIGHTS)}
        />
      </div>
      <SelectField
        label={PRACTICE_WORDS.order}
        value={order}
        options={KEY_ORDERS.map((one) => [one, ORDER_NAMES[one]] as const)}
        onChange={setOrder}
      />
      <SelectField
        label={PRACTICE_WORDS.beginsOn}
        value={first}
        options={STARTS.map((tonic) => [String(tonic), wholeKeyWords({ tonic, scale: 'major' }, naming)] as const)}
        onChange={setFirst}
      />
      <SelectField
        label={PRACTICE_WORDS.strings}
        value={pair}
        options={strings.map(([upper, lower], at) => [String(at), PRACTICE_WORDS.twoStrings(upper, lower)] as const)}
        onChange={setPair}
      />
      <Tick label={PRACTICE_WORDS.andMinor} on={minor} onTick={setMinor} />
      {isBegun ? (
        <AskOnce
          title={PRACTICE_WORDS.beginAnewAsked}
          yes={PRACTICE_WORDS.beginAnew}
          no={PRACTICE_WORDS.cancel}
          onYes={begin}
          trigger={<Button>{PRACTICE_WORDS.beginAnew}</Button>}
        >
          {PRACTICE_WORDS.nothingIsForgotten}
        </AskOnce>
      ) : (
        <Button look="strong" onClick={begin}>
          {PRACTICE_WORDS.start}
        </Button>
      )}
      <LadderFields practice={practice} />
    </section>
  );
}

const MOST_STEP = 20;

/** By how much three clean passes raise the tempo, and a stop lowers it. */
function LadderFields({ practice: { settings, change } }: PartProps) {
  const { up, down } = settings.ladder;
  const set = (ladder: Partial<typeof settings.ladder>) => change((before) => ({ ...before, ladder: { ...before.ladder, ...ladder } }));
  return (
    <div className="flex w-full flex-wrap items-end gap-3">
      <div className="w-48">
        <NumberField
          label={PRACTICE_WORDS.stepUp}
          value={up}
          min={1}
          max={MOST_STEP}
          placeholder="4"
          onChange={(next) => set({ up: Math.round(next ?? 4) })}
        />
      </div>
      <div className="w-48">
        <NumberField
          label={PRACTICE_WORDS.stepDown}
          value={down}
          min={1}
          max={MOST_STEP}
          placeholder="6"
          onChange={(next) => set({ down: Math.round(next ?? 6) })}
        />
      </div>
    </div>
  );
}
