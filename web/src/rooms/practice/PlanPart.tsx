import { BLOCK_NAMES, itemWords, type Key, type Naming, type PlannedItem, planPractice, planReasonWords } from '@aurora/core';
import { useMemo, useState } from 'react';
import { useTonightSet } from '../../document/use-evening.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useNaming } from '../../session/lens.ts';
import { Button } from '../../ui/Button.tsx';
import { Chip } from '../../ui/Chip.tsx';
import { AgainIcon, PlayIcon, SkipIcon, StepDownIcon, StepUpIcon } from '../../ui/icons.ts';
import { NumberField } from '../../ui/NumberField.tsx';
import { PRACTICE_WORDS } from '../../wording/practice.ts';
import { Cautions } from './Cautions.tsx';
import { type EditedBlock, longer, shorter, skipBlock, swapped } from './plan-edit.ts';
import { useRun } from './session/run-store.ts';
import { blocksOf, minutesDone } from './session/session-run.ts';
import { useSession } from './session/use-session.ts';
import type { PartProps } from './use-practice.ts';

const MINUTES = [10, 20, 30, 45, 60];

/** “I have 20 minutes”: a plan, with why each thing is in it; every block can be swapped, shortened, skipped. */
export function PlanPart({ practice }: PartProps) {
  const minutes = useRun((state) => state.minutes);
  const { passes, programme, instrument, isKnown } = practice;
  const songs = useSetSongs();
  const [seed, setSeed] = useState(() => Math.floor(Date.now() / 60_000));
  const plan = useMemo(
    () => planPractice({ minutes, passes, programme, songs, tuning: instrument.tuning, now: Date.now(), seed }),
    [minutes, passes, programme, songs, instrument, seed],
  );
  const [edited, setEdited] = useState<{ readonly of: typeof plan; readonly blocks: readonly EditedBlock[] } | null>(null);
  const blocks: readonly EditedBlock[] = edited?.of === plan ? edited.blocks : plan;
  const change = (to: readonly EditedBlock[]) => setEdited({ of: plan, blocks: to });
  if (!isKnown) return <p className="py-6 text-quiet">{PRACTICE_WORDS.fetching}</p>;
  return (
    <div className="flex flex-col gap-4">
      <Unfinished />
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <Start blocks={blocks} />
        <h2 className="mx-1 self-center font-numeral text-head font-bold">{PRACTICE_WORDS.iHave}</h2>
        <Minutes minutes={minutes} />
        <Button look="bare" onClick={() => setSeed(seed + 1)}>
          <AgainIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.anotherPlan}
        </Button>
      </div>
      <ol aria-label={PRACTICE_WORDS.thePlan} className="flex flex-col divide-y divide-hairline border-y border-hairline">
        {blocks.map((block, at) => (
          <BlockRow
            // biome-ignore lint/suspicious/noArrayIndexKey: blocks are their places
            key={at}
            block={block}
            at={at}
            blocks={blocks}
            onChange={change}
            onSwap={() => change(swapped(blocks, at, { practice, songs, seed }))}
          />
        ))}
      </ol>
      <Cautions />
    </div>
  );
}

interface SetSong {
  readonly id: string;
  readonly title: string;
  readonly key: Key;
}

/** The songs of the set this device works on, in tonight's keys: another list only where another song or key is in it. */
function useSetSongs(): readonly SetSong[] {
  const evening = useTonightSet().tonight?.evening;
  const songs = (evening?.entries ?? []).flatMap(({ name, song }) =>
    song === null ? [] : [{ id: song.songId, title: name, key: song.key }],
  );
  const text = JSON.stringify(songs);
  return useMemo(() => JSON.parse(text) as readonly SetSong[], [text]);
}

function Minutes({ minutes }: { readonly minutes: number }) {
  const set = (wanted: number | null) => wanted !== null && useRun.setState({ minutes: Math.round(wanted) });
  return (
    <>
      <div role="group" aria-label={PRACTICE_WORDS.minutes} className="flex flex-wrap gap-1.5">
        {MINUTES.map((one) => (
          <Chip key={one} on={one === minutes} onClick={() => set(one)}>
            {PRACTICE_WORDS.minutesShort(one)}
          </Chip>
        ))}
      </div>
      <div className="w-28">
        <NumberField label={PRACTICE_WORDS.minutes} value={minutes} min={3} max={180} placeholder="20" onChange={set} />
      </div>
    </>
  );
}

function Start({ blocks }: { readonly blocks: readonly EditedBlock[] }) {
  const { begin } = useSession();
  return (
    <Button look="strong" onClick={() => begin(blocksOf(blocks))} disabled={blocks.length === 0}>
      <PlayIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.start}
    </Button>
  );
}

/** A session that was left in the middle is gone on with. */
function Unfinished() {
  const run = useRun((state) => state.run);
  const { goOn } = useSession();
  if (run === null || run.phase === 'over') return null;
  return (
    <div className="flex flex-wrap items-center gap-3 rounded-xl bg-wash px-4 py-2">
      <p className="mr-auto">{PRACTICE_WORDS.unfinished(Math.round(minutesDone(run)))}</p>
      <Button look="strong" onClick={goOn}>
        {PRACTICE_WORDS.goOn}
      </Button>
      <Button onClick={() => useRun.setState({ run: null })}>{PRACTICE_WORDS.letItBe}</Button>
    </div>
  );
}

interface BlockRowProps {
  readonly block: EditedBlock;
  readonly at: number;
  readonly blocks: readonly EditedBlock[];
  readonly onChange: (blocks: readonly EditedBlock[]) => void;
  readonly onSwap: () => void;
}

function BlockRow({ block, at, blocks, onChange, onSwap }: BlockRowProps) {
  const naming = useNaming();
  const [isOpen, setIsOpen] = useState(false);
  const name = BLOCK_NAMES[block.kind];
  return (
    <li className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-x-4 py-2 phone:grid-cols-[3rem_1fr_auto] phone:gap-x-2">
      <p className="text-right font-numeral">
        <b className="text-figure">{block.minutes}</b> <span className="text-fine text-quiet">{PRACTICE_WORDS.min}</span>
      </p>
      <div className="min-w-0">
        <h3 className="text-lead font-bold">{name}</h3>
        <ul className="text-base">
          {block.items.length === 0 && <li className="text-quiet">{PRACTICE_WORDS.handsRest}</li>}
          {grouped(block.items).map(({ planned, times }) => (
            <ItemLine key={itemKey(planned)} planned={planned} times={times} naming={naming} />
          ))}
        </ul>
      </div>
      <Button
        look="bare"
        aria-expanded={isOpen}
        aria-label={PRACTICE_WORDS.changeBlock(name)}
        className="self-start"
        onClick={() => setIsOpen(!isOpen)}
      >
        {PRACTICE_WORDS.change}
      </Button>
      {isOpen && <BlockChanges block={block} at={at} blocks={blocks} onChange={onChange} onSwap={onSwap} />}
    </li>
  );
}

/** What can be done about a block: another one, shorter, longer, none. */
function BlockChanges({ block, at, blocks, onChange, onSwap }: BlockRowProps) {
  const name = BLOCK_NAMES[block.kind];
  const isFixed = block.kind === 'break' || block.kind === 'warm-up';
  return (
    <div
      role="group"
      aria-label={PRACTICE_WORDS.changeBlock(name)}
      className="col-start-2 col-end-4 flex flex-wrap gap-2 pt-2 phone:col-start-1"
    >
      {!isFixed && (
        <Button onClick={onSwap}>
          <AgainIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.swap}
        </Button>
      )}
      <Button disabled={block.minutes <= 1} onClick={() => onChange(shorter(blocks, at))}>
        <StepDownIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.shorten}
      </Button>
      <Button onClick={() => onChange(longer(blocks, at))}>
        <StepUpIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.lengthen}
      </Button>
      <Button onClick={() => onChange(skipBlock(blocks, at))}>
        <SkipIcon size={18} aria-hidden="true" /> {PRACTICE_WORDS.skip}
      </Button>
    </div>
  );
}

function ItemLine({
  planned: { item, why },
  times,
  naming,
}: {
  readonly planned: PlannedItem;
  readonly times: number;
  readonly naming: Naming;
}) {
  return (
    <li className="flex flex-wrap gap-x-2">
      <span>
        <Glyphs text={itemWords(item, naming, why.kind === 'set' ? why.title : '')} />
        {times > 1 && <span className="text-quiet">{PRACTICE_WORDS.times(times)}</span>}
      </span>
      <span className="text-quiet">
        <Glyphs text={planReasonWords(why)} />
      </span>
    </li>
  );
}

const itemKey = ({ item: { study, what, key } }: PlannedItem) => `${study}/${what}/${key}`;

/** The same item several times over is one line. */
function grouped(items: readonly PlannedItem[]): readonly { readonly planned: PlannedItem; readonly times: number }[] {
  const lines = new Map<string, { planned: PlannedItem; times: number }>();
  for (const planned of items) {
    const line = lines.get(itemKey(planned));
    if (line === undefined) lines.set(itemKey(planned), { planned, times: 1 });
    else line.times += 1;
  }
  return [...lines.values()];
}
