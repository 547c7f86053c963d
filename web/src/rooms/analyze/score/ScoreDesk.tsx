import {
  type AccentSchool,
  type Column,
  columnWords,
  gestureWords,
  type Key,
  nameKey,
  pieceProfile,
  REDUCTION_DEPTHS,
  type ReductionDepth,
  RHYTHMS,
  type Rhythm,
  timeOf,
} from '@aurora/core';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { useNaming } from '../../../session/lens.ts';
import { select } from '../../../session/lens-store.ts';
import { open } from '../../../session/opened.ts';
import { partKeys, useShortcuts } from '../../../session/use-shortcuts.ts';
import { usePlayer } from '../../../transport/player.ts';
import { Button } from '../../../ui/Button.tsx';
import { PlayIcon, RedoIcon, StopIcon, UndoIcon } from '../../../ui/icons.ts';
import { PartTabs } from '../../../ui/PartTabs.tsx';
import { SelectField } from '../../../ui/SelectField.tsx';
import { SignButton } from '../../../ui/SignButton.tsx';
import { InSlot } from '../../../ui/Slot.tsx';
import { sayFault } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import { Ridge } from '../Ridge.tsx';
import { joinBefore, moveBorder, splitColumn, stepFrom } from './border-edit.ts';
import { ColumnStrip } from './ColumnStrip.tsx';
import { EngravedScore } from './EngravedScore.tsx';
import { HarmonyPart } from './HarmonyPart.tsx';
import { KeysPart } from './KeysPart.tsx';
import { NotesPart } from './NotesPart.tsx';
import { OutPart } from './OutPart.tsx';
import { PIECE_SOUNDS, type PieceSound, playPiece } from './piece-sound.ts';
import { SCORE_PARTS, type ScorePartName, type ScorePartProps } from './score-part.ts';
import { columnBars, ridgeNamesOf } from './score-view.ts';
import { type ScoreWork, useChosenColumn } from './use-score-desk.ts';

const BODIES: Readonly<Record<ScorePartName, (props: ScorePartProps) => ReactNode>> = {
  harmony: HarmonyPart,
  notes: NotesPart,
  keys: KeysPart,
  out: OutPart,
};

/** A written-out piece: engraved with its reduction, harmony by harmony, and what may be said of each. */
export function ScoreDesk({ work, isBusy }: { readonly work: ScoreWork; readonly isBusy: boolean }) {
  const { reduction, xml, value } = work;
  const naming = useNaming();
  const chosen = useChosenColumn(reduction);
  const [depth, setDepth] = useState<ReductionDepth>('every');
  const [school, setSchool] = useState<AccentSchool>('by-approach');
  const [part, setPart] = useState<ScorePartName | null>(null);
  const bars = useMemo(() => columnBars(reduction, depth, naming), [reduction, depth, naming]);
  useScoreKeys(work, chosen, (name) => setPart(part === name ? null : name));
  useSelectedColumn(work, chosen.index);
  usePieceKey(reduction.keys[0]?.key ?? null);
  return (
    <>
      <InSlot name="tools">
        <PieceTools work={work} from={chosen.column?.from ?? 0} />
      </InSlot>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 phone:order-1">
        <TextField
          label={SCORE_WORDS.piece}
          value={value.title}
          most={200}
          onChange={(title) => work.change({ title })}
          className="min-w-48 flex-1"
        />
        <Looks
          depth={depth}
          onDepth={setDepth}
          school={school}
          onSchool={setSchool}
          rhythm={value.rhythm}
          onRhythm={(rhythm) => work.change({ rhythm })}
        />
      </div>
      <Stale work={work} />
      <p className="text-base text-quiet empty:hidden" role="status">
        {isBusy ? SCORE_WORDS.workingItOut : gestureWords(reduction, school)}
      </p>
      <PieceRidge work={work} at={chosen.index} onGo={chosen.choose} />
      <EngravedScore
        reduction={reduction}
        xml={xml}
        chosen={chosen.index}
        onColumn={chosen.choose}
        onNote={(note) => chosen.chooseTime(reduction.score.notes[note]?.from ?? 0)}
      />
      <ColumnStrip
        bars={bars}
        chosen={chosen.index}
        onChoose={chosen.choose}
        onDrag={(index, bar, beat) => dragBorder(work, index, bar, beat)}
      />
      <PartDrawer
        open={part}
        onOpen={setPart}
        props={{ work, index: chosen.index, column: chosen.column, naming, school, depth, onChoose: chosen.choose }}
      />
    </>
  );
}

/** The border before a harmony goes to where it was dragged, when that is a place of the piece. */
function dragBorder({ reduction, say }: ScoreWork, index: number, bar: number, beat: number): void {
  const measure = reduction.score.measures[bar];
  const time = measure === undefined ? undefined : timeOf(reduction.score, { bar: measure.number, beat: beat + 1 });
  if (time !== undefined) say(...moveBorder(reduction, index, time));
}

interface PartDrawerProps {
  readonly open: ScorePartName | null;
  readonly onOpen: (part: ScorePartName | null) => void;
  readonly props: ScorePartProps;
}

/** What is to be said of the chosen harmony, a part at a time. */
function PartDrawer({ open, onOpen, props }: PartDrawerProps) {
  const Body = open === null ? null : BODIES[open];
  return (
    <div className="no-print sticky bottom-0 z-10 -mx-5 mt-auto flex max-h-[min(42vh,290px)] flex-col border-t border-edge bg-ground px-5 phone:static phone:-mx-3 phone:max-h-none phone:px-3">
      <PartTabs label={SCORE_WORDS.theChosenHarmony} parts={SCORE_PARTS} open={open} onOpen={onOpen} onFold={() => onOpen(null)}>
        {Body !== null && <Body {...props} />}
      </PartTabs>
    </div>
  );
}

const RHYTHM_NAMES: Readonly<Record<Rhythm, string>> = {
  auto: SCORE_WORDS.anywhere,
  beat: SCORE_WORDS.onBeats,
  half: SCORE_WORDS.onHalfBars,
  bar: SCORE_WORDS.onBars,
};
const DEPTH_NAMES: Readonly<Record<ReductionDepth, string>> = {
  every: SCORE_WORDS.everyChord,
  main: SCORE_WORDS.mainChords,
  cadences: SCORE_WORDS.cadencesOnly,
};

interface LooksProps {
  readonly depth: ReductionDepth;
  readonly onDepth: (depth: ReductionDepth) => void;
  readonly school: AccentSchool;
  readonly onSchool: (school: AccentSchool) => void;
  readonly rhythm: Rhythm;
  readonly onRhythm: (rhythm: Rhythm) => void;
}

/** How the piece is reduced, and how much of it is shown. */
function Looks({ depth, onDepth, school, onSchool, rhythm, onRhythm }: LooksProps) {
  return (
    <div className="no-print flex flex-wrap gap-2">
      <SelectField
        label={SCORE_WORDS.harmonyMayChange}
        value={rhythm}
        options={RHYTHMS.map((name) => [name, RHYTHM_NAMES[name]] as const)}
        onChange={onRhythm}
      />
      <SelectField
        label={SCORE_WORDS.show}
        value={depth}
        options={REDUCTION_DEPTHS.map((name) => [name, DEPTH_NAMES[name]] as const)}
        onChange={onDepth}
      />
      <SelectField
        label={SCORE_WORDS.accentsAre}
        value={school}
        options={[
          ['by-approach', SCORE_WORDS.byTheirName],
          ['all-appoggiaturas', SCORE_WORDS.asAppoggiaturas],
        ]}
        onChange={onSchool}
      />
    </div>
  );
}

/** What may be done with the whole piece, beside its title. */
function PieceTools({ work, from }: { readonly work: ScoreWork; readonly from: number }) {
  const playing = usePlayer((state) => state.playing);
  const names: Readonly<Record<PieceSound, string>> = {
    piece: SCORE_WORDS.piece,
    reduction: SCORE_WORDS.reduction,
    both: SCORE_WORDS.both,
  };
  return (
    <>
      {PIECE_SOUNDS.map((sound) => (
        <Button
          key={sound}
          look={playing === `score ${sound}` ? 'strong' : 'plain'}
          className="px-2.5!"
          onClick={() => playPiece(work.reduction, sound, from)}
        >
          {playing === `score ${sound}` ? <StopIcon size={17} aria-hidden="true" /> : <PlayIcon size={17} aria-hidden="true" />}{' '}
          {names[sound]}
        </Button>
      ))}
      <SignButton name={SCORE_WORDS.undo} keys="Ctrl Z" disabled={work.undo === null} onClick={() => work.undo?.()}>
        <UndoIcon size={18} />
      </SignButton>
      <SignButton name={SCORE_WORDS.redo} keys="Ctrl Y" disabled={work.redo === null} onClick={() => work.redo?.()}>
        <RedoIcon size={18} />
      </SignButton>
    </>
  );
}

/** What was said of notes that are no longer there. */
function Stale({ work }: { readonly work: ScoreWork }) {
  const { stale } = work.reduction;
  if (stale.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-2 rounded-lg border border-alarm px-3 py-1 text-base">
      {SCORE_WORDS.noLongerFits} {stale.length}
      <Button look="bare" onClick={() => work.takeBack(...stale.map(({ said }) => said))}>
        {SCORE_WORDS.dropWhatNoLongerFits}
      </Button>
    </p>
  );
}

/** The ridge of the piece. */
function PieceRidge({
  work: { reduction },
  at,
  onGo,
}: {
  readonly work: ScoreWork;
  readonly at: number;
  readonly onGo: (index: number) => void;
}) {
  const naming = useNaming();
  const profile = useMemo(() => pieceProfile(reduction), [reduction]);
  const names = useMemo(() => ridgeNamesOf(reduction, naming), [reduction, naming]);
  const regions =
    reduction.keys.length < 2
      ? []
      : reduction.keys.map(({ from, key }) => ({
          from: reduction.columns.findIndex((column) => column.from === from),
          name: nameKey(key, naming),
        }));
  return <Ridge profile={profile} names={names} selected={at} regions={regions} isLow onGo={onGo} />;
}

type Chosen = ReturnType<typeof useChosenColumn>;

/** The keys of the desk. */
function useScoreKeys(work: ScoreWork, { index, choose }: Chosen, onPart: (name: ScorePartName) => void): void {
  const { reduction } = work;
  const go = (next: number) => {
    choose(next);
    document.querySelector<HTMLElement>(`[data-column="${next}"]`)?.focus();
  };
  const shift = (by: 1 | -1) => {
    const time = stepFrom(reduction, index, by);
    if (time !== null) work.say(...moveBorder(reduction, index, time));
  };
  useShortcuts({
    ArrowLeft: () => go(Math.max(0, index - 1)),
    ArrowRight: () => go(Math.min(reduction.columns.length - 1, index + 1)),
    '<': () => shift(-1),
    '>': () => shift(1),
    m: () => work.say(...joinBefore(reduction, index)),
    s: () => work.say(...splitColumn(reduction, index)),
    a: () => playPiece(reduction, 'piece', reduction.columns[index]?.from ?? 0),
    'Ctrl+z': () => work.undo?.(),
    'Ctrl+Z': () => work.redo?.(),
    'Ctrl+y': () => work.redo?.(),
    ...partKeys(SCORE_PARTS, onPart),
  });
}

/** The chosen harmony is what the neck and the why show. */
function useSelectedColumn({ reduction }: ScoreWork, index: number): void {
  const naming = useNaming();
  useEffect(() => {
    const column: Column | undefined = reduction.columns[index];
    const span = reduction.keys[column?.key ?? -1];
    select(
      column === undefined || column.chord === null || span === undefined
        ? null
        : { chord: column.chord, heardIn: span.key, why: columnWords(reduction, index, naming) },
    );
  }, [reduction, index, naming]);
  useEffect(() => () => select(null), []);
}

/** The key of the piece is the one the lens shows; a score stays in the key it is written in. */
function usePieceKey(home: Key | null): void {
  useEffect(() => {
    const opened = {
      home,
      resting: null,
      capos: {},
      rehome: null,
      isEmpty: false,
      onKey: () => void sayFault(SCORE_WORDS.aScoreStaysInItsKey),
    };
    return open({ get: () => opened, subscribe: () => () => undefined });
  }, [home]);
}
