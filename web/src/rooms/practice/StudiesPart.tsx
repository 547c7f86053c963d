import {
  ALOUD_STUDIES,
  type BlockKind,
  chainLinks,
  chainUnits,
  depthStood,
  drillFor,
  EAR_KINDS,
  fits,
  type Item,
  isSafe,
  itemId,
  itemIn,
  itemWords,
  type Key,
  keyOfItem,
  lastWords,
  NIGHT_STAGES,
  nextUnit,
  RECALL_KINDS,
  type RoadStep,
  RUN_STUDIES,
  roadOf,
  SHAPE_STUDIES,
  whatWords,
  wholeKeyWords,
} from '@aurora/core';
import { useMemo, useState } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../session/lens.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { NextIcon } from '../../ui/icons.ts';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { KeySelect } from './KeySelect.tsx';
import { StepChip } from './StepChip.tsx';
import { blockOf, type RunItem } from './session/session-run.ts';
import { useSession } from './session/use-session.ts';
import type { PartProps } from './use-practice.ts';

const GROUPS = ['road', 'recall', 'aloud', 'programme', 'shapes', 'runs', 'chain', 'ear'] as const;
type Group = (typeof GROUPS)[number];

const WHATS: Readonly<Record<Exclude<Group, 'chain' | 'road'>, readonly string[]>> = {
  recall: RECALL_KINDS,
  aloud: ALOUD_STUDIES,
  programme: NIGHT_STAGES,
  shapes: SHAPE_STUDIES,
  runs: RUN_STUDIES,
  ear: EAR_KINDS,
};

const STUDY_MINUTES = 5;

const OF_A_DEPTH: readonly Group[] = ['recall', 'aloud', 'chain', 'ear'];

/** Every study there is, in the key one chooses, with what is known of it. */
export function StudiesPart({ practice }: PartProps) {
  const [group, setGroup] = useState<Group>('road');
  const [key, setKey] = useState<Key>({ tonic: 0, scale: 'major' });
  const { tuning } = practice.instrument;
  const items =
    group === 'chain' || group === 'road' ? [] : WHATS[group].filter((what) => fits(what, tuning)).map((what) => itemIn(group, what, key));
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label={PRACTICE_WORDS.studies}
          value={group}
          options={GROUPS.map((one) => [one, PRACTICE_WORDS.groups[one]] as const)}
          onChange={setGroup}
        />
        <KeySelect value={key} onChange={setKey} />
        {OF_A_DEPTH.includes(group) && <AskedAs practice={practice} />}
      </div>
      <p className="max-w-[75ch] text-base text-quiet">{PRACTICE_WORDS.groupWords[group]}</p>
      {group === 'road' ? (
        <RoadStudy practice={practice} home={key} />
      ) : group === 'chain' ? (
        <ChainStudy practice={practice} start={key} />
      ) : (
        <StudyList items={items} practice={practice} />
      )}
    </div>
  );
}

const AS_FAR_AS = 'stood';

/** Triads, sevenths or both; until somebody chooses, as far as they are. */
function AskedAs({ practice: { settings, change, passes } }: PartProps) {
  const options = [
    [AS_FAR_AS, PRACTICE_WORDS.asFarAs[depthStood(passes)]],
    ['triad', PRACTICE_WORDS.triads],
    ['seventh', PRACTICE_WORDS.sevenths],
    ['both', PRACTICE_WORDS.both],
  ] as const;
  return (
    <Choice
      label={PRACTICE_WORDS.askedAs}
      value={settings.depth ?? AS_FAR_AS}
      options={options}
      onChange={(next) => change((before) => ({ ...before, depth: next === AS_FAR_AS ? null : next }))}
    />
  );
}

function useBegin(): (kind: BlockKind, item: Item, depth?: RunItem['depth']) => void {
  const { begin } = useSession();
  return (kind, item, depth) => begin([blockOf(kind, item, STUDY_MINUTES, depth)]);
}

/** A name that begins with a numeral keeps it: the case says the quality. */
const capital = (text: string) => (/^[iv]+–/.test(text) ? text : text.charAt(0).toUpperCase() + text.slice(1));

/** Which block of a plan a study would stand in. */
const KINDS: Readonly<Partial<Record<Item['study'], BlockKind>>> = { aloud: 'recall' };
const kindOf = (study: Item['study']): BlockKind => KINDS[study] ?? (study as BlockKind);

/** The road from the triads of a key to all keys: where one is, what comes next, and what may be shown once and left behind. */
function RoadStudy({ practice, home }: PartProps & { readonly home: Key }) {
  const begin = useBegin();
  const { passes, instrument } = practice;
  const road = useMemo(() => roadOf(passes, home, instrument.tuning), [passes, home, instrument]);
  const start = ({ item, depth }: RoadStep) => begin(kindOf(item.study), item, depth ?? undefined);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-3 rounded-xl bg-wash px-4 py-3">
        <p className="mr-auto text-lead">
          {road.next === null ? (
            PRACTICE_WORDS.roadWalked
          ) : (
            <>
              {PRACTICE_WORDS.nextIs}{' '}
              <b>
                <Glyphs text={stepWords(road.next)} />
              </b>
            </>
          )}
        </p>
        {road.next !== null && (
          <Button look="strong" onClick={() => road.next !== null && start(road.next)}>
            {PRACTICE_WORDS.start}
          </Button>
        )}
      </div>
      <ol className="flex flex-col gap-4">
        {road.legs.map(({ name, steps }, at) => (
          <li key={name}>
            <h2 className="flex items-baseline gap-2 text-lead font-bold">
              <span className="font-numeral text-quiet">{at + 1}</span> {PRACTICE_WORDS.legs[name]}
              <span className="text-fine font-normal text-quiet">
                {PRACTICE_WORDS.stepsDone(steps.filter(({ isDone }) => isDone).length, steps.length)}
              </span>
            </h2>
            <ol aria-label={PRACTICE_WORDS.legs[name]} className="mt-1.5 flex flex-wrap gap-1.5">
              {steps.map((step) => (
                <li key={`${itemId(step.item)} ${step.depth}`} aria-current={step === road.next ? 'step' : undefined}>
                  <StepChip
                    words={stepWords(step)}
                    done={step.isDone ? PRACTICE_WORDS.done : null}
                    isNext={step === road.next}
                    onStart={() => start(step)}
                  />
                </li>
              ))}
            </ol>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** A step in words; the keys of the last leg are what tells theirs apart. */
function stepWords({ item, depth }: RoadStep): string {
  const key = keyOfItem(item);
  if (item.study === 'aloud' && item.what === 'number and name' && key !== null) return wholeKeyWords(key);
  const what = capital(whatWords(item));
  return depth === null ? what : PRACTICE_WORDS.inDepth(what, depth);
}

interface ListProps extends PartProps {
  readonly items: readonly Item[];
}

function StudyList({ items, practice }: ListProps) {
  const begin = useBegin();
  const { instrument, memories } = practice;
  return (
    <ul aria-label={PRACTICE_WORDS.studies} className="grid gap-2 md:grid-cols-2 xl:grid-cols-3">
      {items.map((item) => {
        const drill = drillFor(item, { instrument, seed: 1, isCalled: false });
        const isPlayed = ['shapes', 'runs', 'programme', 'aloud'].includes(item.study);
        const memory = memories.get(itemId(item));
        return (
          <li key={itemId(item)}>
            <button
              type="button"
              disabled={isPlayed && drill === null}
              onClick={() => begin(kindOf(item.study), item)}
              className="flex min-h-20 w-full flex-col items-start gap-0.5 rounded-xl border border-hairline bg-raised px-4 py-2.5 text-left hover:border-accent disabled:opacity-50"
            >
              <span className="flex w-full items-center text-lead font-bold">
                <Glyphs text={capital(whatWords(item))} />
                <NextIcon size={18} aria-hidden="true" className="ml-auto shrink-0 text-quiet" />
              </span>
              <span className="text-fine text-quiet">{memory === undefined ? PRACTICE_WORDS.neverYet : lastWords(memory, Date.now())}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

const DOWNS = [
  ['2', PRACTICE_WORDS.wholeStep],
  ['1', PRACTICE_WORDS.halfStep],
  ['5', PRACTICE_WORDS.fourth],
] as const;

/** The chain from key to key: what of it is safe, what comes next, and what may not be joined yet. */
function ChainStudy({ practice, start }: PartProps & { readonly start: Key }) {
  const naming = useNaming();
  const begin = useBegin();
  const [down, setDown] = useState<(typeof DOWNS)[number][0]>('2');
  const links = chainLinks({ start, down: Number(down), easier: false });
  const units = chainUnits(links);
  const next = nextUnit(links, practice.memories);
  const stepsUp = units.findIndex(({ item }) => itemId(item) === itemId(next.item));
  return (
    <div className="flex flex-col gap-3">
      <div>
        <Choice label={PRACTICE_WORDS.downBy} value={down} options={DOWNS} onChange={setDown} />
      </div>
      <div className="flex flex-wrap items-center gap-3 rounded-xl bg-wash px-4 py-3">
        <p className="mr-auto text-lead">
          {PRACTICE_WORDS.nextIs}{' '}
          <b>
            <Glyphs text={itemWords(next.item, naming)} />
          </b>
        </p>
        <Button look="strong" onClick={() => begin('chain', next.item)}>
          {PRACTICE_WORDS.start}
        </Button>
      </div>
      <ol aria-label={PRACTICE_WORDS.theChain} className="flex flex-wrap gap-2">
        {units.map(({ item }, at) => (
          <li key={itemId(item)}>
            <Button disabled={at > stepsUp} onClick={() => begin('chain', item)} aria-current={at === stepsUp ? 'step' : undefined}>
              <span>
                <Glyphs text={itemWords(item, naming)} />
              </span>
              {isSafe(practice.memories.get(itemId(item))) && <span className="text-fine text-accent">{PRACTICE_WORDS.safe}</span>}
            </Button>
          </li>
        ))}
      </ol>
    </div>
  );
}
