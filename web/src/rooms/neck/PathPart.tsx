import {
  chordNotes,
  chroma,
  costWords,
  type Fingering,
  holdsAlong,
  type Instrument,
  type Key,
  keyNotes,
  type Naming,
  type Path,
  type PathChord,
  type PathLimits,
  type PathStep,
  printFrets,
  printTuning,
  shapeEvents,
} from '@aurora/core';
import { type ReactNode, useMemo, useState } from 'react';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { shapeDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { hearShape } from '../../parts/neck/use-shape-walk.ts';
import { StudySheet } from '../../parts/paper/StudySheet.tsx';
import { sheetDiagram } from '../../parts/paper/sheet-diagram.ts';
import type { Study } from '../../parts/paper/use-study.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { play, stop, usePlayer } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { PlayIcon, StopIcon, StudyIcon } from '../../ui/icons.ts';
import { NECK_WORDS } from '../../wording/neck.ts';
import { DiagramCard } from './DiagramCard.tsx';
import { FIRST_LIMITS, PathLimitsForm } from './PathLimitsForm.tsx';
import type { RoomPartProps } from './room-part.ts';
import { type Settled, StepDetails } from './StepDetails.tsx';
import { MOST_CHORDS, type SongChord } from './song-chords.ts';
import { type ChordSource, useChordSource } from './use-chord-source.tsx';
import { type PathState, usePath } from './use-path.ts';

const FREE: Settled = { melody: null, locked: null };
const BAR_BEATS = 4;

/** One shape for every chord of the song with the least movement, under the player's limits. */
export function PathPart(room: RoomPartProps) {
  const { instrument, naming } = room;
  const key = keyInForce(useLens());
  const source = useChordSource(key);
  const [limits, setLimits] = useState<PathLimits>(FIRST_LIMITS);
  const [settled, setSettled] = useState<ReadonlyMap<string, Settled>>(new Map());
  const [at, setAt] = useState(0);
  const [sheet, setSheet] = useState(false);
  const [staff, setStaff] = useState(false);
  const settledAt = (index: number) => settled.get(placeOf(index, source)) ?? FREE;
  const chords = source.chords.map(({ chord }, index): PathChord => ({ chord, ...settledAt(index) }));
  const { search, steps, holds } = useHeldPath(chords, limits, instrument);
  const study = useMemo(
    () => studyOf({ source, steps, holds, total: search.path?.total ?? 0, instrument, naming, key }),
    [source, steps, holds, search.path, instrument, naming, key],
  );
  const playing = usePlayer((state) => state.playing === 'path');
  const sounding = usePlayer((state) => state.step);
  const shown = playing ? sounding : at;
  const step = steps[at];
  return (
    <div className="flex flex-col gap-3">
      <PathNeck step={steps[shown]} hold={holds[shown] ?? null} path={search.path} {...room} />
      <PathActions
        field={source.field}
        playing={playing}
        none={steps.length === 0}
        onHear={() => (playing ? stop() : hearPath(steps, source))}
        onSheet={() => setSheet(true)}
      />
      <PathLimitsForm limits={limits} instrument={instrument} onChange={setLimits} />
      <SearchState search={search} />
      {source.chords.length >= MOST_CHORDS && (
        <p>
          {NECK_WORDS.onlyTheFirst} {MOST_CHORDS} {NECK_WORDS.chordsAreTaken}
        </p>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_23rem]">
        <PathSteps steps={steps} holds={holds} source={source} shown={shown} settledAt={settledAt} onChoose={setAt} {...room} />
        {step !== undefined && (
          <StepDetails
            step={step}
            before={steps[at - 1]}
            next={steps[at + 1]?.voicing ?? null}
            holds={[holds[at - 1] ?? null, holds[at] ?? null]}
            settled={settledAt(at)}
            onSettle={(change) => setSettled(new Map([...settled, [placeOf(at, source), { ...settledAt(at), ...change }]]))}
            {...room}
            notes={topNotes(source.chords[at] as SongChord, key)}
          />
        )}
      </div>
      {sheet && <StudySheet study={study} staff={staff} onStaff={setStaff} onClose={() => setSheet(false)} />}
    </div>
  );
}

/** The path with how each of its shapes is held; no steps while one for other chords is being looked for. */
function useHeldPath(chords: readonly PathChord[], limits: PathLimits, instrument: RoomPartProps['instrument']) {
  const search = usePath(chords, limits, instrument);
  const steps = useMemo(() => (search.path?.steps.length === chords.length ? search.path.steps : []), [search.path, chords.length]);
  const holds = useMemo(() => holdsOfSteps(steps, instrument), [steps, instrument]);
  return { search, steps, holds };
}

interface PathActionsProps {
  readonly field: ReactNode;
  readonly playing: boolean;
  readonly none: boolean;
  readonly onHear: () => void;
  readonly onSheet: () => void;
}

/** Where the chords come from, and what can be done with the path. */
function PathActions({ field, playing, none, onHear, onSheet }: PathActionsProps) {
  return (
    <div className="flex flex-wrap items-start gap-3">
      {field}
      <span className="ml-auto flex gap-2">
        <Button onClick={onHear} disabled={none}>
          {playing ? <StopIcon size={17} /> : <PlayIcon size={17} />} {playing ? NECK_WORDS.stop : NECK_WORDS.hearIt}
        </Button>
        <Button onClick={onSheet} disabled={none}>
          <StudyIcon size={17} /> {NECK_WORDS.studySheet}
        </Button>
      </span>
    </div>
  );
}

interface PathStepsProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly steps: readonly PathStep[];
  readonly holds: readonly (Fingering | null)[];
  readonly source: ReturnType<typeof useChordSource>;
  readonly shown: number;
  readonly settledAt: (index: number) => Settled;
  readonly onChoose: (index: number) => void;
}

/** Every chord with its shape, in the order of the song. */
function PathSteps({ steps, holds, source, shown, settledAt, onChoose, instrument, naming, labels }: PathStepsProps) {
  return (
    <ol aria-label={NECK_WORDS.thePath} className="grid grid-cols-[repeat(auto-fill,minmax(104px,1fr))] gap-2">
      {steps.map(({ voicing }, index) => {
        const of = source.chords[index] as SongChord;
        const title = chordTitle(of.chord, instrument, naming);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a chord of a song has no name but its place
          <li key={index} className="flex flex-col">
            {voicing === null ? (
              <NothingFits title={title} chosen={index === shown} onChoose={() => onChoose(index)} />
            ) : (
              <DiagramCard
                voicing={voicing}
                fingering={holds[index] ?? voicing.fingering}
                instrument={instrument}
                naming={naming}
                labels={labels}
                title={title}
                chosen={index === shown}
                onChoose={() => {
                  onChoose(index);
                  hearShape(voicing);
                }}
              />
            )}
            <span className="text-center text-fine text-quiet">
              {NECK_WORDS.bar} {of.bar}
              {settledAt(index).locked === null ? '' : ', kept'}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

interface PathNeckProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly step: PathStep | undefined;
  readonly hold: Fingering | null;
  readonly path: Path | null;
}

function PathNeck({ step, hold, path, instrument, naming, labels }: PathNeckProps) {
  const voicing = step?.voicing ?? null;
  return (
    <RoomNeck
      instrument={instrument}
      dots={voicing === null ? [] : shapeDots(voicing, hold ?? voicing.fingering, { labels, naming })}
      frets={voicing?.frets ?? null}
      barres={hold?.barres ?? []}
    >
      <b className="text-lead">{voicing === null ? NECK_WORDS.aPathThroughTheSong : chordTitle(voicing.chord, instrument, naming)}</b>
      {voicing !== null && <span>{printFrets(voicing.frets, instrument.capo)}</span>}
      {step !== undefined && <span className="text-quiet">{costWords(step.cost)}</span>}
      {path !== null && (
        <span className="ml-auto font-semibold">
          {NECK_WORDS.movementInAll} {oneDecimal(path.total)}
        </span>
      )}
    </RoomNeck>
  );
}

function SearchState({ search: { progress, stopped, stop: stopSearch, again } }: { readonly search: PathState }) {
  if (progress !== null) {
    return (
      <div role="status" className="flex items-center gap-3">
        <progress value={progress} max={1} aria-label={NECK_WORDS.lookingForThePath} className="h-2 w-56 accent-accent" />
        <Button look="bare" onClick={stopSearch}>
          {NECK_WORDS.stopLooking}
        </Button>
      </div>
    );
  }
  return stopped ? (
    <p>
      {NECK_WORDS.stopped}{' '}
      <Button look="bare" onClick={again}>
        {NECK_WORDS.lookAgain}
      </Button>
    </p>
  ) : null;
}

function NothingFits({ title, chosen, onChoose }: { readonly title: string; readonly chosen: boolean; readonly onChoose: () => void }) {
  return (
    <button type="button" onClick={onChoose} className="rounded-xl border border-dashed border-alarm p-3 text-center" aria-pressed={chosen}>
      <b>{title}</b>
      <span className="block text-fine">{NECK_WORDS.nothingFitsWidenTheFretsThe}</span>
    </button>
  );
}

function oneDecimal(value: number): string {
  return value.toFixed(1);
}

/** What is settled belongs to a chord at its place: with other chords it is forgotten, not forced on them. */
function placeOf(index: number, { chords }: ChordSource): string {
  return JSON.stringify([index, chords[index]?.chord]);
}

function hearPath(steps: readonly PathStep[], { chords, tempo }: ChordSource): void {
  const played = steps.map(({ voicing }, index) => ({
    midi: voicing?.tones.map(({ midi }) => midi) ?? [],
    beats: chords[index]?.beats ?? BAR_BEATS,
    click: true,
  }));
  void play('path', played, tempo);
}

/** How each shape is held, the fingers chosen so that most of them stay. */
function holdsOfSteps(steps: readonly PathStep[], instrument: Instrument): readonly (Fingering | null)[] {
  const there = steps.flatMap(({ voicing }, index) => (voicing === null ? [] : [{ voicing, index }]));
  const ways = holdsAlong(
    there.map(({ voicing }) => voicing),
    instrument,
  );
  return steps.map((_, index) => ways[there.findIndex((one) => one.index === index)] ?? null);
}

interface StudySource {
  readonly source: ChordSource;
  readonly steps: readonly PathStep[];
  readonly holds: readonly (Fingering | null)[];
  readonly total: number;
  readonly instrument: Instrument;
  readonly naming: Naming;
  readonly key: Key;
}

function studyOf({ source, steps, holds, total, instrument, naming, key }: StudySource): Study {
  const capo = instrument.capo > 0 ? NECK_WORDS.capo(instrument.capo) : '';
  const shapes = steps.flatMap(({ voicing }, index) => {
    if (voicing === null) return [];
    const fingering = holds[index] ?? voicing.fingering;
    const name = chordTitle(voicing.chord, instrument, naming);
    return [{ voicing, fingering, name, diagram: sheetDiagram(voicing, fingering, instrument, { title: name, naming }) }];
  });
  return {
    title: NECK_WORDS.aPath(source.title),
    facts: NECK_WORDS.pathFacts(instrument.name, printTuning(instrument.tuning), capo, oneDecimal(total)),
    events: shapeEvents(shapes, BAR_BEATS),
    beatsPerBar: BAR_BEATS,
    instrument,
    key,
  };
}

/** The notes a melody may have over the chord: the chord's and the key's own, upward from C. */
function topNotes({ chord }: SongChord, key: Key): readonly number[] {
  return [...new Set([...chordNotes(chord), ...keyNotes(key)])].sort((a, b) => chroma(a) - chroma(b));
}
