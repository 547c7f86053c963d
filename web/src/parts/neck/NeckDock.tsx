import {
  type Chord,
  chordScaleName,
  difficultyWord,
  type Instrument,
  inversionWord,
  letterView,
  type Naming,
  nameNote,
  printFrets,
} from '@aurora/core';
import { type ReactNode, useState } from 'react';
import { Link, useParams } from 'react-router';
import { setDevice, useDevice } from '../../session/device-store.ts';
import { useLens, useLensLinks } from '../../session/lens.ts';
import type { PlayedScale } from '../../session/lens-store.ts';
import { usePlaying } from '../../session/playing.ts';
import { neckPath } from '../../session/rooms.ts';
import { useMedia } from '../../session/use-media.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { BeforeIcon, FoldIcon, NeckIcon, NextIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { LetterSymbol } from '../notation/ChordSymbol.tsx';
import { NeckBoard } from './NeckBoard.tsx';
import { groupName, type ShapeGroup, useNeck } from './neck-store.ts';
import { type NeckLabels, shapeDots, toneDots } from './neck-view.ts';
import { rootPosition, SCALE_FRETS, scaleDots } from './scale-dots.ts';
import { type ShapeWalk, useShapeWalk } from './use-shape-walk.ts';

interface NeckDockProps {
  /** Lets it rest again; null as long as it is only held up. */
  readonly onFold: (() => void) | null;
}

/** Frets drawn at the foot of a room: as many as most players use, and the whole neck where the screen is wide. */
const DOCKED_FRETS = 12;
const WIDE = '(min-width: 1600px)';

/** The neck along the bottom of a room: all tones of whatever is selected, or one shape of it. */
export function NeckDock({ onFold }: NeckDockProps) {
  const { selection, naming } = useLens();
  const labels = useDevice((state) => state.neckLabels);
  const chord = selection?.chord ?? null;
  const scale = selection?.scale ?? null;
  const { instrument } = usePlaying();
  const show = useShown(scale !== null && chord !== null);
  const position = useScalePosition(show === 'scale' ? scale : null, instrument);
  const walk = useShapeWalk(show === 'shape' ? chord : null, instrument);
  const shape = show === 'shape' ? walk.shape : null;
  const cut = useDockedFrets(instrument, shape?.frets ?? null, show === 'scale' ? position.from + SCALE_FRETS : 0);
  const dots = dotsOf({
    chord,
    scale: show === 'scale' ? scale : null,
    from: position.from,
    instrument,
    walk,
    lastFret: cut.lastFret,
    labels,
    naming,
    show,
  });
  return (
    <section
      aria-label={PARTS_WORDS.neck}
      onKeyDown={walk.onKeyDown}
      className="flex shrink-0 items-stretch gap-3 border-t border-edge bg-sheet py-2 pr-3 pl-4 max-lg:flex-col"
    >
      <div className="flex w-[300px] shrink-0 flex-col justify-between gap-1 max-lg:w-auto max-lg:flex-row max-lg:flex-wrap max-lg:items-center">
        <DockHead onFold={onFold}>
          {chord === null ? (
            PARTS_WORDS.selectAChordToSeeIt
          ) : (
            <DockTitle chord={chord} naming={naming} walk={walk} shown={shape !== null} capo={instrument.capo} />
          )}
        </DockHead>
        <DockChoice show={show} hasScale={scale !== null} labels={labels} />
        {show === 'shape' && <ShapeStepper walk={walk} />}
        {show === 'scale' && scale !== null && <ScaleStepper scale={scale} position={position} naming={naming} />}
      </div>
      <Scroll>
        <NeckBoard
          instrument={instrument}
          {...cut}
          dots={dots}
          muted={shape === null ? [] : mutedIn(shape.frets)}
          barres={shape === null ? [] : (walk.fingering?.barres ?? [])}
          label={PARTS_WORDS.neckOf(instrument.name)}
          sideways={show !== 'shape'}
        />
      </Scroll>
    </section>
  );
}

/** Which frets are drawn: the first twelve, or so many further up where a shape or a scale lies there. */
function useDockedFrets({ frets, capo }: Instrument, shape: readonly (number | null)[] | null, reach: number) {
  const isWide = useMedia(WIDE);
  const highest = Math.max(reach, capo + 5, ...(shape ?? []).map((fret) => fret ?? 0));
  if (isWide || highest <= DOCKED_FRETS) return { firstFret: 1, lastFret: isWide ? frets : Math.min(frets, DOCKED_FRETS) };
  const lastFret = Math.min(frets, highest + 1);
  return { firstFret: Math.max(1, lastFret - DOCKED_FRETS + 1), lastFret };
}

function DockHead({ onFold, children }: NeckDockProps & { readonly children: ReactNode }) {
  const { songId } = useParams();
  const linkTo = useLensLinks();
  return (
    <div className="flex items-center gap-1">
      <h2 className="min-w-0 flex-1 text-fine leading-snug font-medium text-quiet">{children}</h2>
      <Hint text={PARTS_WORDS.openTheNeck} keys="N">
        <Link
          to={linkTo(neckPath(songId))}
          aria-label={PARTS_WORDS.openTheNeck}
          className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-wash"
        >
          <NeckIcon size={18} />
        </Link>
      </Hint>
      {onFold !== null && (
        <Hint text={PARTS_WORDS.foldTheNeckAway} keys="n">
          <button
            type="button"
            aria-label={PARTS_WORDS.foldTheNeckAway}
            onClick={onFold}
            className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-wash"
          >
            <FoldIcon size={20} />
          </button>
        </Hint>
      )}
    </div>
  );
}

interface DockChoiceProps {
  readonly labels: NeckLabels;
  readonly show: 'tones' | 'shape' | 'scale';
  readonly hasScale: boolean;
}

/** What the neck shows, and what stands on its dots. */
function DockChoice({ show, hasScale, labels }: DockChoiceProps) {
  return (
    <div className="flex items-center gap-2">
      <Choice
        label={PARTS_WORDS.whatTheNeckShows}
        value={show}
        options={hasScale ? [...SHOW_CHOICES, SCALE_CHOICE] : SHOW_CHOICES}
        onChange={(next) => useNeck.setState({ show: next })}
      />
      {show !== 'scale' && (
        <>
          <label className="sr-only" htmlFor="neck-labels">
            {PARTS_WORDS.whatTheDotsShow}
          </label>
          <Select
            id="neck-labels"
            value={labels}
            onChange={(event) => setDevice({ neckLabels: event.target.value as NeckLabels })}
            className="min-w-0 flex-1"
          >
            <option value="notes">{PARTS_WORDS.notes}</option>
            <option value="formula">{PARTS_WORDS.formula}</option>
            {show === 'shape' && <option value="fingers">{PARTS_WORDS.fingers}</option>}
          </Select>
        </>
      )}
    </div>
  );
}

const SHOW_CHOICES: readonly (readonly ['tones' | 'shape' | 'scale', string])[] = [
  ['tones', PARTS_WORDS.allNotes],
  ['shape', PARTS_WORDS.shapeTab],
];
const SCALE_CHOICE = ['scale', PARTS_WORDS.scale] as const;

/** What is shown: a scale only where one is chosen. */
function useShown(hasScale: boolean): 'tones' | 'shape' | 'scale' {
  const { show } = useNeck();
  return show === 'scale' && !hasScale ? 'tones' : show;
}

interface ScalePosition {
  readonly from: number;
  readonly go: (frets: number) => void;
}

/** Where on the neck the scale is shown: around its root on the lowest string, until the player goes elsewhere. */
function useScalePosition(scale: PlayedScale | null, instrument: Instrument): ScalePosition {
  const of = `${scale?.tonic} ${scale?.scale}`;
  const [moved, setMoved] = useState({ of, frets: 0 });
  const shift = moved.of === of ? moved.frets : 0;
  const root = scale === null ? 0 : rootPosition(scale.tonic, instrument);
  const from = Math.max(instrument.capo, Math.min(instrument.frets - SCALE_FRETS, root + shift));
  return { from, go: (frets) => setMoved({ of, frets: from + frets - root }) };
}

/** Back and on along the neck, and which scale it is. */
function ScaleStepper({
  scale,
  position,
  naming,
}: {
  readonly scale: PlayedScale;
  readonly position: ScalePosition;
  readonly naming: Naming;
}) {
  return (
    <div className="flex items-center gap-1">
      <Hint text={PARTS_WORDS.lowerOnTheNeck}>
        <button type="button" aria-label={PARTS_WORDS.lowerOnTheNeck} onClick={() => position.go(-SCALE_STEP)} className={STEP}>
          <BeforeIcon size={19} />
        </button>
      </Hint>
      <span role="status" className="flex-1 text-center text-fine leading-tight font-semibold">
        {nameNote(scale.tonic, naming.notes)} {chordScaleName(scale.scale)}
        <span className="block font-medium text-quiet">
          {PARTS_WORDS.fretsWord} {position.from} {PARTS_WORDS.to} {position.from + SCALE_FRETS}
        </span>
      </span>
      <Hint text={PARTS_WORDS.higherOnTheNeck}>
        <button type="button" aria-label={PARTS_WORDS.higherOnTheNeck} onClick={() => position.go(SCALE_STEP)} className={STEP}>
          <NextIcon size={19} />
        </button>
      </Hint>
    </div>
  );
}

const SCALE_STEP = 2;

function DockTitle({
  chord,
  naming,
  walk,
  shown,
  capo,
}: {
  readonly chord: Chord;
  readonly naming: Naming;
  readonly walk: ShapeWalk;
  readonly shown: boolean;
  readonly capo: number;
}) {
  const { shape } = walk;
  return (
    <>
      <LetterSymbol view={letterView(chord, naming)} className="mr-2 text-head leading-tight font-bold text-ink" />
      {shown && shape !== null ? (
        <span className="whitespace-nowrap">
          {printFrets(shape.frets, capo)} · {difficultyWord(shape.difficulty)}
        </span>
      ) : (
        PARTS_WORDS.asItSounds
      )}
    </>
  );
}

/** Back and on through the shapes, and the families to choose from. */
function ShapeStepper({ walk }: { readonly walk: ShapeWalk }) {
  const { family, inversion } = useNeck();
  const { left, at, shape } = walk;
  return (
    <div className="flex items-center gap-1">
      <Hint text={PARTS_WORDS.theShapeBefore} keys="←">
        <button
          type="button"
          aria-label={PARTS_WORDS.theShapeBefore}
          onClick={() => walk.go(-1)}
          className={STEP}
          disabled={left.length < 2}
        >
          <BeforeIcon size={19} />
        </button>
      </Hint>
      <span role="status" className="min-w-[4.6rem] text-center text-fine leading-tight font-semibold">
        {left.length === 0 ? (walk.busy ? PARTS_WORDS.looking : 'none') : PARTS_WORDS.placeOf(at + 1, left.length)}
        {shape !== null && <span className="block font-medium text-quiet">{inversionWord(shape.inversion)}</span>}
      </span>
      <Hint text={PARTS_WORDS.theNextShape} keys="→">
        <button type="button" aria-label={PARTS_WORDS.theNextShape} onClick={() => walk.go(1)} className={STEP} disabled={left.length < 2}>
          <NextIcon size={19} />
        </button>
      </Hint>
      <label className="sr-only" htmlFor="dock-family">
        {PARTS_WORDS.family}
      </label>
      <Select
        id="dock-family"
        value={family ?? ''}
        title={inversion === null ? PARTS_WORDS.familyF : PARTS_WORDS.familyFOnlyI(inversionWord(inversion))}
        onChange={(event) => useNeck.setState({ family: event.target.value === '' ? null : (event.target.value as ShapeGroup) })}
        className="min-w-0 flex-1"
      >
        <option value="">{PARTS_WORDS.allShapes}</option>
        {walk.families.map(([name, count]) => (
          <option key={name} value={name}>
            {groupName(name)} ({count})
          </option>
        ))}
      </Select>
    </div>
  );
}

const STEP = 'grid size-10 shrink-0 place-items-center rounded-lg border border-edge bg-raised hover:border-accent disabled:opacity-45';

function Scroll({ children }: { readonly children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: where the neck is wider than the window, the keyboard must be able to scroll it
    <section aria-label={PARTS_WORDS.frets} tabIndex={0} className="min-w-0 flex-1 overflow-x-auto">
      {children}
    </section>
  );
}

interface DotSource {
  readonly chord: Chord | null;
  readonly scale: PlayedScale | null;
  /** The first fret of the scale's position. */
  readonly from: number;
  readonly instrument: Instrument;
  readonly walk: ShapeWalk;
  readonly lastFret: number;
  readonly labels: NeckLabels;
  readonly naming: Naming;
  readonly show: 'tones' | 'shape' | 'scale';
}

function dotsOf({ chord, scale, from, instrument, walk, lastFret, labels, naming, show }: DotSource) {
  if (chord === null) return [];
  if (scale !== null) return scaleDots(scale, chord, instrument, from, naming);
  if (show === 'tones') return toneDots(chord, instrument, lastFret, { labels: labels === 'fingers' ? 'notes' : labels, naming });
  return walk.shape === null || walk.fingering === null ? [] : shapeDots(walk.shape, walk.fingering, { labels, naming });
}

/** Muted strings of a shape, 1 the thinnest. */
export function mutedIn(frets: readonly (number | null)[]): readonly number[] {
  return frets.flatMap((fret, index) => (fret === null ? [frets.length - index] : []));
}
