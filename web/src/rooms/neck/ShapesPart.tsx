import {
  diagram,
  difficultyWord,
  FAMILY_NAMES,
  type Fingering,
  inversionWord,
  letterView,
  nameNote,
  printFrets,
  printSvg,
  printTuning,
  shapeEvents,
  type Voicing,
  withGlyphs,
} from '@aurora/core';
import { type ReactNode, useMemo, useState } from 'react';
import { chordTitle, shapeTitle } from '../../parts/neck/chord-title.ts';
import { groupName, isAskedFirst, useNeck } from '../../parts/neck/neck-store.ts';
import { shapeDots, toneDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { hearShape, type ShapeWalk } from '../../parts/neck/use-shape-walk.ts';
import { LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { StudySheet } from '../../parts/paper/StudySheet.tsx';
import { fileName, saveFile } from '../../parts/paper/save-file.ts';
import { sheetDiagram } from '../../parts/paper/sheet-diagram.ts';
import { usePhone } from '../../session/use-media.ts';
import { Button } from '../../ui/Button.tsx';
import { Chip } from '../../ui/Chip.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { ExportIcon, HearIcon, StudyIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { DiagramCard } from './DiagramCard.tsx';
import { LabelChoice } from './LabelChoice.tsx';
import type { RoomPartProps } from './room-part.ts';
import { ShapeDetails } from './ShapeDetails.tsx';

const FIRST_SHOWN = 24;

/** Every playable shape of the chord: narrowed, walked through, held, heard, kept as a picture. */
export function ShapesPart({ chord, heardIn, instrument, naming, labels, walk }: RoomPartProps) {
  const { show } = useNeck();
  const isPhone = usePhone();
  const [sheet, setSheet] = useState(false);
  const [staff, setStaff] = useState(true);
  const { shape, fingering } = walk;
  const title = chordTitle(chord, instrument, naming);
  const overCapo = shapeTitle(chord, instrument, naming);
  const one = show === 'shape' && shape !== null && fingering !== null;
  const dots = one
    ? shapeDots(shape, fingering, { labels, naming })
    : toneDots(chord, instrument, instrument.frets, { labels: labels === 'fingers' ? 'notes' : labels, naming });
  const acts = one && <ShapeActs {...{ shape, fingering, title, labels, instrument, naming }} onSheet={() => setSheet(true)} />;
  const study = useShapesStudy({ title, instrument, naming, heardIn, walk });
  return (
    <div className="flex flex-col gap-3">
      <RoomNeck
        instrument={instrument}
        dots={dots}
        frets={one ? shape.frets : null}
        barres={one ? fingering.barres : []}
        sideways={!one}
        foot={
          isPhone && (
            <>
              {acts}
              <div className="py-1">
                <LabelChoice />
              </div>
            </>
          )
        }
      >
        <LetterSymbol view={letterView(chord, naming)} className="text-figure leading-none font-bold" />
        {overCapo !== null && <b className="music-glyph">= {overCapo}</b>}
        {one ? (
          <>
            <ShapeFacts shape={shape} instrument={instrument} />
            {!isPhone && acts}
          </>
        ) : (
          // on a phone as high as the lines of a shape, which come when it is found
          <span className="phone:min-h-16">{NECK_WORDS.everyPlaceItsNotesLie}</span>
        )}
      </RoomNeck>
      <Filters walk={walk} />
      <div className="flex flex-col gap-4 lg:grid lg:grid-cols-[minmax(0,1fr)_22rem] lg:items-start">
        <ShapeList title={title} walk={walk} instrument={instrument} naming={naming} labels={labels} />
        {shape !== null && <ShapeDetails voicing={shape} heardIn={heardIn} instrument={instrument} naming={naming} walk={walk} />}
      </div>
      {sheet && <StudySheet study={study} staff={staff} onStaff={setStaff} onClose={() => setSheet(false)} />}
    </div>
  );
}

interface StudyWish extends Pick<RoomPartProps, 'instrument' | 'naming' | 'heardIn' | 'walk'> {
  readonly title: string;
}

/** The chosen shape and the best of those left, as a study sheet. */
function useShapesStudy({ title, instrument, naming, heardIn, walk }: StudyWish) {
  const { family } = useNeck();
  const { left, shape, fingering } = walk;
  return useMemo(
    () => ({
      title: family === null ? `${title}: shapes` : `${title}: ${groupName(family).toLowerCase()}`,
      facts: `${instrument.name}, ${printTuning(instrument.tuning)}${instrument.capo > 0 ? NECK_WORDS.capo(instrument.capo) : ''}.`,
      events: shapeEvents(
        sheetShapes(left, shape).map((voicing) => {
          const held = voicing === shape && fingering !== null ? fingering : voicing.fingering;
          return { voicing, fingering: held, name: title, diagram: sheetDiagram(voicing, held, instrument, { title, naming }) };
        }),
        4,
      ),
      beatsPerBar: 4,
      instrument,
      key: heardIn,
    }),
    [title, family, instrument, left, shape, fingering, naming, heardIn],
  );
}

interface ShapeActsProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels'> {
  readonly shape: Voicing;
  readonly fingering: Fingering;
  readonly title: string;
  readonly onSheet: () => void;
}

/** What is held. */
function ShapeFacts({ shape, instrument }: Pick<ShapeActsProps, 'shape' | 'instrument'>) {
  return (
    <>
      <b data-testid="shape">{printFrets(shape.frets, instrument.capo)}</b>
      {instrument.capo > 0 && (
        <span>
          {NECK_WORDS.fromTheCapo} {printFrets(shape.frets)} {NECK_WORDS.fromTheNut}
        </span>
      )}
      <span>{shape.families.map((family) => FAMILY_NAMES[family]).join(', ')}</span>
      <span>{inversionWord(shape.inversion)}</span>
      <Hint text={NECK_WORDS.difficultyOf10(shape.difficulty)}>
        <button type="button" className="underline decoration-dotted underline-offset-4">
          {difficultyWord(shape.difficulty)}
        </button>
      </Hint>
      {shape.omitted.length > 0 && (
        <span>
          {NECK_WORDS.without} {shape.omitted.map(withGlyphs).join(' and ')}
        </span>
      )}
    </>
  );
}

/** What can be done with what is held. */
function ShapeActs({ shape, fingering, title, labels, instrument, naming, onSheet }: ShapeActsProps) {
  const save = () => {
    const drawing = diagram(shape, fingering, instrument, {
      labels,
      leftHanded: instrument.leftHanded,
      title,
      nameNote: (note) => nameNote(note, naming.notes),
    });
    saveFile(
      fileName(`${title} ${printFrets(shape.frets, instrument.capo)}`, 'svg'),
      new Blob([printSvg(drawing)], { type: 'image/svg+xml' }),
    );
  };
  return (
    <span className="ml-auto flex flex-wrap gap-1 phone:flex-nowrap phone:gap-0 phone:overflow-x-auto">
      <Button look="bare" className="shrink-0 phone:px-2!" onClick={() => hearShape(shape)}>
        <HearIcon size={17} /> {NECK_WORDS.hear}
      </Button>
      <Button look="bare" className="shrink-0 phone:px-2!" onClick={save}>
        <ExportIcon size={17} /> {NECK_WORDS.sVG}
      </Button>
      <Button look="bare" className="shrink-0 phone:px-2!" onClick={onSheet}>
        <StudyIcon size={17} /> {NECK_WORDS.studySheet}
      </Button>
    </span>
  );
}

interface ShapeListProps extends Pick<RoomPartProps, 'instrument' | 'naming' | 'labels' | 'walk'> {
  readonly title: string;
}

/** The shapes that are left, a page at a time. */
function ShapeList({ title, walk, instrument, naming, labels }: ShapeListProps) {
  const { left, shape } = walk;
  const [shown, setShown] = useState(FIRST_SHOWN);
  return (
    <section aria-label={NECK_WORDS.shapes}>
      {left.length === 0 && !walk.busy && (
        <p className="py-4">
          {NECK_WORDS.noShapeOf} {title} {NECK_WORDS.isLeftHereChooseAnotherFamily}
        </p>
      )}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))] gap-2">
        {left.slice(0, shown).map((voicing) => (
          <DiagramCard
            key={voicing.frets.join()}
            voicing={voicing}
            instrument={instrument}
            naming={naming}
            labels={labels}
            chosen={voicing === shape}
            onChoose={() => walk.choose(voicing)}
          />
        ))}
      </div>
      {left.length > shown && (
        <Button className="mt-3" onClick={() => setShown(shown + 2 * FIRST_SHOWN)}>
          {NECK_WORDS.more} {left.length - shown} {NECK_WORDS.left}
        </Button>
      )}
      {walk.partial && <p className="mt-2 text-quiet">{NECK_WORDS.theSearchWasCutShortOn}</p>}
      {walk.leftOut.length > 0 && (
        <p className="mt-2">
          {NECK_WORDS.thisChordHasMoreNotesThan} {instrument.tuning.length} {NECK_WORDS.stringsHoldLeftOut}{' '}
          {walk.leftOut.map(withGlyphs).join(', ')}.
        </p>
      )}
    </section>
  );
}

const MOST_ON_SHEET = 12;

/** The chosen shape first, then the best of those left. */
function sheetShapes(left: readonly Voicing[], chosen: Voicing | null): readonly Voicing[] {
  const others = left.filter((voicing) => voicing !== chosen);
  return (chosen === null ? others : [chosen, ...others]).slice(0, MOST_ON_SHEET);
}

/** What is asked for first; every family, the inversions and what may be left out behind one word. */
function Filters({ walk }: Pick<RoomPartProps, 'walk'>) {
  const { family, inversion, without } = useNeck();
  const [isOpen, setOpen] = useState(false);
  const first = walk.families.filter(([name]) => isAskedFirst(name));
  const chosenInMore = (family !== null && !isAskedFirst(family)) || inversion !== null || without.length > 0;
  const shown = isOpen || chosenInMore;
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-1.5">
        <Families of={first} label={NECK_WORDS.whatIsAskedFirst} />
        <Button look="bare" aria-expanded={shown} disabled={chosenInMore} onClick={() => setOpen(!isOpen)}>
          {shown ? NECK_WORDS.fewer : NECK_WORDS.moreShapes}
        </Button>
      </div>
      {shown && <MoreFilters walk={walk} />}
    </div>
  );
}

function Families({ of, label, children }: { readonly of: ShapeWalk['families']; readonly label: string; readonly children?: ReactNode }) {
  const { family } = useNeck();
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {children}
      {of.map(([name, count]) => (
        <Chip key={name} on={family === name} onClick={() => useNeck.setState({ family: family === name ? null : name })}>
          {groupName(name)} <span className="ml-1 font-normal">{count}</span>
        </Chip>
      ))}
    </div>
  );
}

function MoreFilters({ walk }: Pick<RoomPartProps, 'walk'>) {
  const { family, inversion, without } = useNeck();
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <Families of={walk.families.filter(([name]) => !isAskedFirst(name))} label={NECK_WORDS.family}>
        <Chip on={family === null} onClick={() => useNeck.setState({ family: null })}>
          {NECK_WORDS.all} <span className="ml-1 font-normal">{walk.all.length}</span>
        </Chip>
      </Families>
      <label className="flex items-center gap-2">
        {NECK_WORDS.lowestNote}
        <Select
          value={inversion ?? ''}
          onChange={(event) => useNeck.setState({ inversion: event.target.value === '' ? null : Number(event.target.value) })}
        >
          <option value="">{NECK_WORDS.any}</option>
          {walk.inversions.map((place) => (
            <option key={place} value={place}>
              {inversionWord(place)}
            </option>
          ))}
        </Select>
      </label>
      {(['root', 'fifth'] as const).map((tone) => (
        <Tick
          key={tone}
          label={tone === 'root' ? NECK_WORDS.rootless : NECK_WORDS.fifthOptional}
          on={without.includes(tone)}
          onTick={(on) => useNeck.setState({ without: on ? [...without, tone] : without.filter((other) => other !== tone) })}
        />
      ))}
    </div>
  );
}
