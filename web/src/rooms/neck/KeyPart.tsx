import {
  COMFORTABLE,
  comfortOf,
  FAMILIES_OF_BOTH,
  FAMILY_NAMES,
  type Family,
  type Fingering,
  holdsAlong,
  type Instrument,
  inversionWord,
  type Key,
  type KeyDepth,
  type KeyShape,
  movesBetween,
  moveWords,
  nameKey,
  numberView,
  type OpenKeyShape,
  printFrets,
  printTuning,
  shapeEvents,
  shiftBetween,
  stringSets,
  type Voicing,
} from '@aurora/core';
import { useMemo, useState } from 'react';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { type KeyPlace, useKeyShapes, useShapes } from '../../parts/neck/neck-engine.ts';
import { shapeDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { hearShape } from '../../parts/neck/use-shape-walk.ts';
import { ChordSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { StudySheet } from '../../parts/paper/StudySheet.tsx';
import { sheetDiagram } from '../../parts/paper/sheet-diagram.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { play, stop, usePlayer } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PlayIcon, StopIcon, StudyIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { DiagramCard } from './DiagramCard.tsx';
import { FirstFretField } from './FirstFretField.tsx';
import { keySteps } from './key-hearing.ts';
import type { RoomPartProps } from './room-part.ts';
import { TempoField } from './TempoField.tsx';

const KEY_FAMILIES: readonly Family[] = ['open', 'barre-6', 'barre-5', 'triad', 'spread', 'shell', 'drop-2', 'drop-3', 'quartal'];
/** Families whose shapes are turned over; in the others the root is lowest. */
const TURNED: readonly Family[] = ['triad', 'spread', 'drop-2', 'drop-3'];
const TEMPO = 76;

const DEPTH_CHOICES = [
  ['triad', NECK_WORDS.triads],
  ['seventh', NECK_WORDS.sevenths],
] as const;

const PLACE_CHOICES = [
  ['along', NECK_WORDS.upTheNeck],
  ['position', NECK_WORDS.inOnePosition],
  ['ladder', NECK_WORDS.oneRootToneByTone],
] as const;

/** Families with four tones, which go down the ladder on one root. */
const LADDER_FAMILIES: readonly Family[] = ['drop-2', 'drop-3'];

/** The seven chords of the key as shapes of one family: up the neck, or without moving the hand. */
export function KeyPart({ instrument, naming, labels }: RoomPartProps) {
  const key = keyInForce(useLens());
  const [wish, setWish] = useState<KeyWish>(FIRST_WISH);
  const { kind, family, depth, set, inversion, position } = wish;
  const [at, setAt] = useState(0);
  const [sheet, setSheet] = useState(false);
  const [staff, setStaff] = useState(true);
  const [tempo, setTempo] = useState(TEMPO);
  const playing = usePlayer((state) => state.playing === 'key-shapes');
  const step = usePlayer((state) => state.step);
  const sets = stringSets(family, instrument.tuning.length);
  const strings = sets[Math.min(set, sets.length - 1)] ?? null;
  const place: KeyPlace =
    family === 'open'
      ? { kind: 'open', depth }
      : kind === 'along'
        ? { kind, wish: { family, strings, inversion, depth, octave: true } }
        : kind === 'ladder'
          ? { kind, wish: { family, strings, inversion } }
          : { kind, family, depth, position };
  const shapes = useKeyShapes(key, place, instrument).data ?? [];
  const held = useMemo(() => heldAlong(shapes, instrument), [shapes, instrument]);
  const current = shapes[playing ? (held[step % held.length]?.at ?? at) : at];
  const next = shapes[(at + 1) % Math.max(1, shapes.length)];
  const name = `${nameKey(key, naming)}: ${FAMILY_NAMES[family].toLowerCase()}`;
  const study = useKeyStudy({ name, place: placeWords(wish), held, instrument, naming, key });
  const hear = () => (playing ? stop() : void play('key-shapes', keySteps(held.map(({ voicing }) => voicing)), tempo));
  return (
    <div className="flex flex-col gap-3">
      <KeyNeck current={current} held={held} next={playing ? undefined : next} instrument={instrument} naming={naming} labels={labels} />
      <div className="flex flex-wrap items-center gap-3">
        <KeyFields wish={wish} sets={sets} instrument={instrument} onChange={(part) => setWish({ ...wish, ...part })} />
        <span className="ml-auto flex flex-wrap items-center gap-2">
          <TempoField tempo={tempo} onTempo={setTempo} />
          <Button onClick={hear} disabled={held.length === 0}>
            {playing ? <StopIcon size={17} /> : <PlayIcon size={17} />} {playing ? NECK_WORDS.stop : NECK_WORDS.hearThem}
          </Button>
          <Button onClick={() => setSheet(true)} disabled={held.length === 0}>
            <StudyIcon size={17} /> {NECK_WORDS.studySheet}
          </Button>
        </span>
      </div>
      <KeyShapeList
        name={name}
        shapes={shapes}
        held={held}
        current={current}
        family={family}
        onChoose={setAt}
        {...{ instrument, naming, labels }}
      />
      {sheet && <StudySheet study={study} staff={staff} onStaff={setStaff} onClose={() => setSheet(false)} />}
    </div>
  );
}

function placeWords({ kind, family, position }: KeyWish): string {
  if (family === 'open') return NECK_WORDS.openChords;
  if (kind === 'ladder') return NECK_WORDS.oneRootToneByTone;
  return kind === 'along' ? NECK_WORDS.upTheNeck : NECK_WORDS.position(position);
}

interface KeyStudyWish extends Pick<RoomPartProps, 'instrument' | 'naming'> {
  readonly name: string;
  readonly place: string;
  readonly held: ReturnType<typeof heldAlong>;
  readonly key: Key;
}

/** The key's shapes as a study sheet. */
function useKeyStudy({ name, place, held, instrument, naming, key }: KeyStudyWish) {
  return useMemo(
    () => ({
      title: name,
      facts: `${place}. ${instrument.name}, ${printTuning(instrument.tuning)}${instrument.capo > 0 ? NECK_WORDS.capo(instrument.capo) : ''}.`,
      events: shapeEvents(
        held.map(({ voicing, fingering }) => {
          const title = chordTitle(voicing.chord, instrument, naming);
          return { voicing, fingering, name: title, diagram: sheetDiagram(voicing, fingering, instrument, { title, naming }) };
        }),
        4,
      ),
      beatsPerBar: 4,
      instrument,
      key,
    }),
    [name, place, instrument, held, key, naming],
  );
}

interface KeyShapeListProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly name: string;
  readonly shapes: readonly (KeyShape | OpenKeyShape)[];
  /** How each is held, as the sheet prints it. */
  readonly held: ReturnType<typeof heldAlong>;
  readonly current: KeyShape | undefined;
  readonly family: KeyWish['family'];
  readonly onChoose: (index: number) => void;
}

/** The seven shapes side by side; where there is none it is said what comes nearest. */
function KeyShapeList({ name, shapes, held, current, family, onChoose, instrument, naming, labels }: KeyShapeListProps) {
  return (
    <ol aria-label={name} className={`grid grid-cols-4 gap-2 ${shapes.length > 7 ? 'lg:grid-cols-8' : 'lg:grid-cols-7'}`}>
      {shapes.map((shape, index) => {
        const shown = shownShape(shape);
        return (
          <li key={`${shape.number.degree} ${shape.number.formula} ${shape === shapes.at(-1) ? 'last' : ''}`} className="flex flex-col">
            <p className="text-center font-numeral text-base text-quiet">
              <ChordSymbol view={numberView(shape.number, naming)} />
            </p>
            {shown === null ? (
              <Missing shape={shape} family={family} instrument={instrument} naming={naming} labels={labels} />
            ) : (
              <DiagramCard
                voicing={shown}
                fingering={fingeringIn(held, index) ?? shown.fingering}
                instrument={instrument}
                naming={naming}
                labels={labels}
                title={chordTitle(shape.chord, instrument, naming)}
                chosen={shape === current}
                large
                onChoose={() => {
                  onChoose(index);
                  hearShape(shown);
                }}
              />
            )}
            {shape.folded && <p className="mt-1 text-center text-fine text-quiet">{NECK_WORDS.theNeckRunsOutAnOctave}</p>}
            {shape.voicing === null && shown !== null && (
              <p className="mt-1 text-center text-fine text-quiet">
                {family === 'open' ? NECK_WORDS.noOpenChord : NECK_WORDS.asItIsTaught}
              </p>
            )}
            {shown !== null && shown.difficulty > COMFORTABLE && (
              <p className="mt-1 text-center text-fine text-quiet">{NECK_WORDS.aHardOne}</p>
            )}
            {'easier' in shape && <OtherForms shape={shape} capo={instrument.capo} />}
          </li>
        );
      })}
    </ol>
  );
}

/** An open chord's easier and fuller forms, to be heard. */
function OtherForms({ shape: { easier, fuller }, capo }: { readonly shape: OpenKeyShape; readonly capo: number }) {
  const forms = [
    ['easier', easier],
    ['fuller', fuller],
  ] as const;
  return (
    <p className="mt-1 flex flex-wrap justify-center gap-x-2 text-fine text-quiet">
      {forms.map(
        ([word, voicing]) =>
          voicing !== null && (
            <button key={word} type="button" className="min-h-8 underline" onClick={() => hearShape(voicing)}>
              {word} {printFrets(voicing.frets, capo)}
            </button>
          ),
      )}
    </p>
  );
}

/** The family's own shape, or the grip that stands in for it. */
function shownShape({ voicing, standIn }: KeyShape): Voicing | null {
  return voicing ?? standIn;
}

function fingeringIn(held: ReturnType<typeof heldAlong>, at: number): Fingering | undefined {
  return held.find((one) => one.at === at)?.fingering;
}

/** The shapes there are, each held so that the most fingers stay for the next one. */
function heldAlong(shapes: readonly KeyShape[], instrument: Instrument) {
  const there = shapes.flatMap((shape, at) => {
    const voicing = shownShape(shape);
    return voicing === null ? [] : [{ voicing, at }];
  });
  const ways = holdsAlong(
    there.map(({ voicing }) => voicing),
    instrument,
  );
  return there.map(({ voicing, at }, index) => ({ voicing, at, fingering: ways[index] ?? voicing.fingering }));
}

/** A chord the family has no shape of here, and the best replacement. */
function Missing({
  shape,
  family,
  instrument,
  naming,
  labels,
}: { readonly shape: KeyShape; readonly family: Family } & Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'>) {
  const found = useShapes(shape.chord, instrument, { maxFret: instrument.comfortFret });
  const { instead } = comfortOf(family, found.data?.voicings ?? [], instrument);
  const title = chordTitle(shape.chord, instrument, naming);
  return (
    <>
      {instead === null ? (
        <p className="rounded-xl border border-dashed border-edge p-3 text-center font-bold">{title}</p>
      ) : (
        <DiagramCard
          voicing={instead}
          instrument={instrument}
          naming={naming}
          labels={labels}
          title={title}
          large
          onChoose={() => hearShape(instead)}
        />
      )}
      <p className="mt-1 text-center text-fine text-quiet">
        {NECK_WORDS.noComfortableFormInThisFamily}
        {instead === null ? '' : NECK_WORDS.theBestReplacement}
      </p>
    </>
  );
}

interface KeyWish {
  readonly kind: 'along' | 'position' | 'ladder';
  readonly family: Family;
  /** For families of triads and of sevenths. */
  readonly depth: KeyDepth;
  /** Place of the string set among those of the family. */
  readonly set: number;
  readonly inversion: number;
  readonly position: number;
}

const FIRST_WISH: KeyWish = { kind: 'along', family: 'open', depth: 'triad', set: 0, inversion: 0, position: 5 };

interface KeyFieldsProps {
  readonly wish: KeyWish;
  readonly sets: readonly (readonly number[])[];
  readonly instrument: Instrument;
  readonly onChange: (part: Partial<KeyWish>) => void;
}

/** Down the ladder go families of four tones. */
function placeChosen(kind: KeyWish['kind'], { family }: KeyWish): Partial<KeyWish> {
  return kind !== 'ladder' || LADDER_FAMILIES.includes(family) ? { kind } : { kind, family: 'drop-2', set: 1, inversion: 0 };
}

function KeyFields({ wish, sets, instrument, onChange }: KeyFieldsProps) {
  return (
    <>
      {wish.family !== 'open' && (
        <Choice label={NECK_WORDS.where} value={wish.kind} options={PLACE_CHOICES} onChange={(kind) => onChange(placeChosen(kind, wish))} />
      )}
      <Select
        aria-label={NECK_WORDS.family}
        value={wish.family}
        onChange={(event) => onChange({ family: event.target.value as Family, set: 0, inversion: 0 })}
      >
        {(wish.kind === 'ladder' ? LADDER_FAMILIES : KEY_FAMILIES).map((option) => (
          <option key={option} value={option}>
            {FAMILY_NAMES[option]}
          </option>
        ))}
      </Select>
      {FAMILIES_OF_BOTH.includes(wish.family) && (
        <Choice label={NECK_WORDS.depth} value={wish.depth} options={DEPTH_CHOICES} onChange={(depth) => onChange({ depth })} />
      )}
      {wish.family === 'open' ? null : wish.kind !== 'position' ? (
        <>
          {sets.length > 0 && (
            <Select
              aria-label={NECK_WORDS.strings}
              value={Math.min(wish.set, sets.length - 1)}
              onChange={(event) => onChange({ set: Number(event.target.value) })}
            >
              {sets.map((option, index) => (
                <option key={option.join()} value={index}>
                  {NECK_WORDS.stringsWord} {option.join(' ')}
                </option>
              ))}
            </Select>
          )}
          {TURNED.includes(wish.family) && (
            <Select
              aria-label={NECK_WORDS.lowestNote}
              value={wish.inversion}
              onChange={(event) => onChange({ inversion: Number(event.target.value) })}
            >
              {[0, 1, 2, 3].map((option) => (
                <option key={option} value={option}>
                  {inversionWord(option)}
                </option>
              ))}
            </Select>
          )}
        </>
      ) : (
        <FirstFretField fret={wish.position} instrument={instrument} onFret={(position) => onChange({ position })} />
      )}
    </>
  );
}

interface KeyNeckProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly current: KeyShape | undefined;
  readonly held: ReturnType<typeof heldAlong>;
  /** The chord after it, to say what moves. */
  readonly next: KeyShape | undefined;
}

function KeyNeck({ current, held, next, instrument, naming, labels }: KeyNeckProps) {
  const voicing = current === undefined ? null : shownShape(current);
  const after = next === undefined ? null : shownShape(next);
  const fingering = held.find((one) => one.voicing === voicing)?.fingering ?? voicing?.fingering;
  return (
    <RoomNeck
      instrument={instrument}
      dots={voicing === null || fingering === undefined ? [] : shapeDots(voicing, fingering, { labels, naming })}
      frets={voicing?.frets ?? null}
      barres={fingering?.barres ?? []}
    >
      <b className="text-lead">{current === undefined ? '' : chordTitle(current.chord, instrument, naming)}</b>
      {voicing !== null && <span>{printFrets(voicing.frets, instrument.capo)}</span>}
      {voicing !== null && next !== undefined && after !== null && (
        <span className="text-quiet">
          {NECK_WORDS.to} {chordTitle(next.chord, instrument, naming)}:{' '}
          {moveWords(movesBetween(voicing, after), shiftBetween(voicing, after, instrument.capo))}
        </span>
      )}
    </RoomNeck>
  );
}
