import type { CellSection } from '@aurora/core';
import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { Button } from '../../../ui/Button.tsx';
import { DeleteIcon, DuplicateIcon, LoopIcon, MoveDownIcon, MoveUpIcon } from '../../../ui/icons.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';

/** What can be done with a section. */
export interface SectionActions {
  readonly count: number;
  readonly onName: (section: number, heading: { readonly name: string; readonly times: number; readonly remark: string | null }) => void;
  readonly onMove: (section: number, before: number) => void;
  readonly onDuplicate: (section: number) => void;
  readonly onDelete: (section: number) => void;
  /** Plays the section round and round. */
  readonly onLoop: (section: number) => void;
}

/** A section's name, how often it is played and what is said of it; pressed, everything about it can be changed where one may. */
export function SectionHeading({
  section,
  index,
  actions,
}: {
  readonly section: CellSection;
  readonly index: number;
  readonly actions: SectionActions | null;
}) {
  return (
    <div className="flex items-center gap-3">
      <h2 className="flex items-center gap-3">
        {actions === null ? (
          <span className={NAME}>{section.name || CHART_WORDS.noName}</span>
        ) : (
          <ChangedHeading section={section} index={index} actions={actions} />
        )}
        {section.times > 1 && <span className="text-base font-bold">×{section.times}</span>}
      </h2>
      {section.remark !== null && <span className="text-base text-quiet">{section.remark}</span>}
      <span className="text-fine text-quiet">{playedWords(section.played)}</span>
    </div>
  );
}

const NAME = 'rounded-md bg-wash px-2.5 font-numeral text-base font-bold text-accent';

interface ChangedProps {
  readonly section: CellSection;
  readonly index: number;
  readonly actions: SectionActions;
}

function ChangedHeading({ section, index, actions }: ChangedProps) {
  const [open, setOpen] = useState(false);
  const leave = (action: () => void) => () => {
    setOpen(false);
    action();
  };
  const name = section.name ?? '';
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger aria-label={CHART_WORDS.sectionChangeIt(name)} className={`min-h-7 hover:outline-2 hover:outline-accent ${NAME}`}>
        {name || CHART_WORDS.noName}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          aria-label={CHART_WORDS.sectionNamed(name)}
          className="z-30 w-80 rounded-xl border border-edge bg-raised p-4 shadow-lg"
        >
          <HeadingForm section={section} onDone={(heading) => leave(() => actions.onName(index, heading))()} />
          <SectionSteps index={index} actions={actions} leave={leave} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

interface SectionStepsProps {
  readonly index: number;
  readonly actions: SectionActions;
  readonly leave: (action: () => void) => () => void;
}

/** Everything that may be done with a section as a whole. */
function SectionSteps({ index, actions, leave }: SectionStepsProps) {
  const steps = [
    [LoopIcon, CHART_WORDS.loopIt, () => actions.onLoop(index), false],
    [DuplicateIcon, CHART_WORDS.duplicate, () => actions.onDuplicate(index), false],
    [MoveUpIcon, CHART_WORDS.moveUp, () => actions.onMove(index, index - 1), index === 0],
    [MoveDownIcon, CHART_WORDS.moveDown, () => actions.onMove(index, index + 2), index === actions.count - 1],
  ] as const;
  return (
    <div className="mt-3 grid grid-cols-2 gap-1 border-t border-hairline pt-2">
      {steps.map(([Icon, name, onStep, disabled]) => (
        <Button key={name} look="bare" className="justify-start" disabled={disabled} onClick={leave(onStep)}>
          <Icon size={17} aria-hidden="true" /> {name}
        </Button>
      ))}
      <Button look="bare" className="justify-start text-alarm" onClick={leave(() => actions.onDelete(index))}>
        <DeleteIcon size={17} aria-hidden="true" /> {CHART_WORDS.deleteWord}
      </Button>
    </div>
  );
}

function playedWords(bars: number): string {
  if (bars === 0) return CHART_WORDS.notPlayed;
  return bars === 1 ? '1 bar' : CHART_WORDS.sectionBars(bars);
}

interface HeadingFormProps {
  readonly section: CellSection;
  readonly onDone: (heading: { readonly name: string; readonly times: number; readonly remark: string | null }) => void;
}

function HeadingForm({ section, onDone }: HeadingFormProps) {
  const [name, setName] = useState(section.name ?? '');
  const [times, setTimes] = useState(String(section.times));
  const [remark, setRemark] = useState(section.remark ?? '');
  const ids = { name: useId(), times: useId(), remark: useId() };
  const count = Number(times);
  const isCount = Number.isInteger(count) && count >= 1 && count <= 99;
  const field = 'min-h-11 w-full rounded-lg border border-edge bg-sheet px-3';
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (isCount && name.trim() !== '') onDone({ name: name.trim(), times: count, remark: remark.trim() === '' ? null : remark.trim() });
      }}
    >
      <div className="grid grid-cols-[1fr_5.5rem] gap-2">
        <label htmlFor={ids.name} className="text-fine font-semibold text-quiet">
          {CHART_WORDS.sectionLabel}
          <input
            id={ids.name}
            value={name}
            onChange={(event) => setName(event.target.value)}
            className={`${field} text-base font-bold text-ink`}
          />
        </label>
        <label htmlFor={ids.times} className="text-fine font-semibold text-quiet">
          {CHART_WORDS.times}
          <input
            id={ids.times}
            inputMode="numeric"
            value={times}
            aria-invalid={!isCount}
            onChange={(event) => setTimes(event.target.value)}
            className={`${field} text-base text-ink`}
          />
        </label>
      </div>
      <label htmlFor={ids.remark} className="text-fine font-semibold text-quiet">
        {CHART_WORDS.remark}
        <input
          id={ids.remark}
          value={remark}
          placeholder={CHART_WORDS.softlyBassAloneFirst}
          onChange={(event) => setRemark(event.target.value)}
          className={`${field} text-base text-ink placeholder:text-quiet`}
        />
      </label>
      {!isCount && <p className="text-fine font-semibold text-alarm">{CHART_WORDS.aSectionIsPlayed1To}</p>}
      <Button type="submit" look="strong" disabled={!isCount || name.trim() === ''}>
        {CHART_WORDS.doneButton}
      </Button>
    </form>
  );
}
