import { clockAfter, nameKey, printLength, songFacts } from '@aurora/core';
import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { KeyboardEvent } from 'react';
import { useMembers } from '../../../api/members.ts';
import { movedEntry } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { RidgeThread } from '../../../parts/ridge/RidgeStrip.tsx';
import { useNaming } from '../../../session/lens.ts';
import { Hint } from '../../../ui/Hint.tsx';
import { GripIcon } from '../../../ui/icons.ts';
import { BAND_WORDS } from '../../../wording/band.ts';
import { JoinLine } from '../people/JoinLine.tsx';

interface SetOrderProps {
  readonly tonight: Tonight;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}

/** The songs and breaks in order: dragged, or moved with Alt and the arrows. */
export function SetOrder({ tonight, chosen, onChoose }: SetOrderProps) {
  const { desk, evening } = tonight;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = evening.entries.map(({ id }) => id);
  const move = (from: number, to: number) => desk.change((body) => ({ ...body, entries: movedEntry(body.entries, from, to) }));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over !== null && active.id !== over.id) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  const onKeyDown = (at: number) => (event: KeyboardEvent) => {
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    if (event.altKey) move(at, at + step);
    else focusRow(event.currentTarget, step);
  };
  const titleOf = (id: string | number) => evening.entries.find((one) => one.id === id)?.name ?? '';
  const placeOf = (id: string | number) => BAND_WORDS.placeOf(ids.indexOf(String(id)) + 1, ids.length);
  // said to those who do not see it
  const announcements: Announcements = {
    onDragStart: ({ active }) => BAND_WORDS.pickedUp(titleOf(active.id), placeOf(active.id)),
    onDragOver: ({ active, over }) => (over === null ? undefined : BAND_WORDS.draggedOver(titleOf(active.id), placeOf(over.id))),
    onDragEnd: ({ active, over }) => (over === null ? undefined : BAND_WORDS.putDownAt(titleOf(active.id), placeOf(over.id))),
    onDragCancel: ({ active }) => BAND_WORDS.staysWhereItWas(titleOf(active.id)),
  };
  const songNumber = (at: number) => evening.entries.slice(0, at + 1).filter(({ song }) => song !== null).length;
  return (
    <DndContext accessibility={{ announcements }} sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol aria-label={BAND_WORDS.orderOfTheSet} className="min-w-0">
          {evening.entries.map(({ id }, at) => (
            <SetRow
              key={id}
              tonight={tonight}
              at={at}
              number={songNumber(at)}
              chosen={id === chosen}
              onChoose={() => onChoose(id)}
              onKeyDown={onKeyDown(at)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function focusRow(row: EventTarget & Element, step: number): void {
  const rows = [...(row.closest('ol')?.querySelectorAll<HTMLElement>('[data-entry]') ?? [])];
  rows[rows.indexOf(row as HTMLElement) + step]?.focus();
}

interface SetRowProps {
  readonly tonight: Tonight;
  readonly at: number;
  readonly number: number;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

function SetRow({ tonight, at, number, chosen, onChoose, onKeyDown }: SetRowProps) {
  const { evening, times, state } = tonight;
  const one = evening.entries[at] as Tonight['evening']['entries'][number];
  const time = times[at] as Tonight['times'][number];
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: one.id });
  const style = transform === null ? undefined : { transform: `translate3d(0, ${transform.y}px, 0)`, transition };
  const clock = clockAfter(state.body.startsAt, time.at);
  const begins = `${time.known ? '' : '~'}${clock ?? printLength(time.at)}`;
  return (
    <li ref={setNodeRef} style={style} className={isDragging ? 'relative z-10 rounded-xl bg-raised shadow-lg' : ''}>
      <div className={`flex items-stretch rounded-xl ${chosen ? 'bg-wash shadow-[inset_3px_0_0_var(--accent)]' : 'hover:bg-wash/60'}`}>
        <Hint text={BAND_WORDS.move(one.name)}>
          <button
            type="button"
            aria-label={BAND_WORDS.move(one.name)}
            className="grid w-9 shrink-0 cursor-grab touch-none place-items-center rounded-l-xl text-quiet"
            {...attributes}
            {...listeners}
          >
            <GripIcon size={18} />
          </button>
        </Hint>
        <button
          type="button"
          data-entry={one.id}
          aria-pressed={chosen}
          onClick={onChoose}
          onKeyDown={onKeyDown}
          className="flex min-h-13 min-w-0 flex-1 items-center gap-3 rounded-r-xl py-1 pr-3 text-left"
        >
          <span className="w-14 shrink-0 text-right text-base text-quiet max-sm:hidden">{begins}</span>
          {one.song === null ? (
            <BreakWords name={one.name} seconds={time.seconds} />
          ) : (
            <SongWords tonight={tonight} at={at} number={number} begins={begins} />
          )}
        </button>
      </div>
      <JoinLine tonight={tonight} at={at} isQuiet={!chosen} />
    </li>
  );
}

function BreakWords({ name, seconds }: { readonly name: string; readonly seconds: number }) {
  return (
    <span className="flex flex-1 items-center gap-3 text-quiet">
      <span className="h-px w-7 bg-edge" /> {name || BAND_WORDS.break}, {Math.round(seconds / 60)} {BAND_WORDS.minutesCounted}{' '}
      <span className="h-px flex-1 bg-edge" />
    </span>
  );
}

interface SongWordsProps {
  readonly tonight: Tonight;
  readonly at: number;
  readonly number: number;
  readonly begins: string;
}

function SongWords({ tonight, at, number, begins }: SongWordsProps) {
  const { evening, state } = tonight;
  const naming = useNaming();
  const members = useMembers() ?? [];
  const one = evening.entries[at] as Tonight['evening']['entries'][number];
  if (one.song === null || one.entry.kind === 'break') return null;
  const { key, reading } = one.song;
  const home = reading.head.key;
  const facts = [...songFacts(one, (id) => members.find((member) => member.id === id)?.name), one.notes];
  const ridge = state.songs.find(({ id }) => id === one.song?.songId)?.ridge ?? [];
  return (
    <>
      <span className="w-7 shrink-0 text-right font-numeral text-head font-bold text-quiet">{number}</span>
      <span className="min-w-0 flex-1">
        <span className="block truncate text-lead leading-tight font-bold">{one.name}</span>
        <span className="block truncate text-fine text-quiet">
          <span className="sm:hidden">{begins} </span>
          {facts.filter((fact) => fact !== '').join('  ·  ')}
        </span>
      </span>
      <RidgeThread heights={ridge} className="h-6 w-24 shrink-0 max-sm:hidden" />
      <span className="w-20 shrink-0 text-right leading-none max-sm:w-14">
        <b className="music-glyph font-numeral text-figure">
          <Glyphs text={nameKey(key, naming)} />
        </b>
        {key.tonic !== home.tonic && (
          <span className="block text-fine text-quiet">
            {BAND_WORDS.home} <Glyphs text={nameKey(home, naming)} />
          </span>
        )}
      </span>
    </>
  );
}
