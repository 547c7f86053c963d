import {
  colourWords,
  comfortOf,
  FAMILY_NAMES,
  holdsOf,
  holdWords,
  type Instrument,
  type Key,
  leftRinging,
  type Naming,
  nameNote,
  neighboursOf,
  newBasses,
  printFrets,
  type Reshaped,
  type Voicing,
  voiceUp,
} from '@aurora/core';
import type { ReactNode } from 'react';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { useColours } from '../../parts/neck/neck-engine.ts';
import { chooseShape, isFamily, placeName, useNeck } from '../../parts/neck/neck-store.ts';
import { hearShape, type ShapeWalk } from '../../parts/neck/use-shape-walk.ts';
import { select } from '../../session/lens-store.ts';
import { NECK_WORDS } from '../../wording/neck.ts';

interface ShapeDetailsProps {
  readonly voicing: Voicing;
  readonly heardIn: Key;
  readonly instrument: Instrument;
  readonly naming: Naming;
  readonly walk: ShapeWalk;
}

/** How to hold the shape, what is easier and fuller, and what it turns into. */
export function ShapeDetails({ voicing, heardIn, instrument, naming, walk }: ShapeDetailsProps) {
  const { easier, fuller } = neighboursOf(voicing, walk.all, instrument);
  const { family } = useNeck();
  const comfort = family !== null && isFamily(family) ? comfortOf(family, walk.all, instrument) : null;
  return (
    <aside aria-label={NECK_WORDS.aboutThisShape} className="rounded-xl border border-hairline bg-sheet px-4 py-3 text-base">
      {comfort !== null && !comfort.comfortable && (
        <p className="mb-3 rounded-lg bg-wash px-3 py-2">
          {FAMILY_NAMES[comfort.family]}
          {NECK_WORDS.noComfortableFormWithTheRoot}
          {comfort.instead !== null && (
            <>
              {' '}
              {NECK_WORDS.bestInstead}{' '}
              <Pick capo={instrument.capo} onPick={() => walk.choose(comfort.instead as Voicing)} frets={comfort.instead.frets} />
            </>
          )}
        </p>
      )}
      <Group title={NECK_WORDS.fingers}>
        <Holds voicing={voicing} instrument={instrument} walk={walk} />
      </Group>
      <Group title={NECK_WORDS.easierAndFuller}>
        <Neighbour name={NECK_WORDS.nextEasier} shape={easier} none={NECK_WORDS.thisIsTheEasiestHere} capo={instrument.capo} walk={walk} />
        <Neighbour name={NECK_WORDS.nextFuller} shape={fuller} none={NECK_WORDS.nothingFullerHere} capo={instrument.capo} walk={walk} />
      </Group>
      <Colours voicing={voicing} heardIn={heardIn} instrument={instrument} naming={naming} />
      <Changes
        title={NECK_WORDS.aStringLeftRinging}
        changes={leftRinging(voicing, instrument, heardIn)}
        capo={instrument.capo}
        naming={naming}
      />
      <Changes
        title={NECK_WORDS.oneVoiceAnOctaveUp}
        changes={voiceUp(voicing, instrument, heardIn)}
        capo={instrument.capo}
        naming={naming}
      />
      <Changes
        title={NECK_WORDS.aNewBassUnderIt}
        changes={newBasses(voicing, instrument, heardIn)}
        capo={instrument.capo}
        naming={naming}
      />
    </aside>
  );
}

interface NeighbourProps {
  readonly name: string;
  readonly shape: Voicing | null;
  /** What is said where there is none. */
  readonly none: string;
  readonly capo: number;
  readonly walk: ShapeWalk;
}

/** The next easier or fuller shape, to be chosen. */
function Neighbour({ name, shape, none, capo, walk }: NeighbourProps) {
  return (
    <li>
      {name} {shape === null ? none : <Pick capo={capo} onPick={() => walk.choose(shape)} frets={shape.frets} />}
    </li>
  );
}

/** Shapes with open strings that add or leave out a note of the key. */
function Colours({ voicing, heardIn, instrument, naming }: Omit<ShapeDetailsProps, 'walk'>) {
  const colours = useColours(voicing, heardIn, instrument);
  return (
    <Group title={NECK_WORDS.easierByColour}>
      {colours.data === undefined && <li className="text-quiet">{NECK_WORDS.looking}</li>}
      {colours.data?.length === 0 && <li className="text-quiet">{NECK_WORDS.noEasierOpenShapeInThis}</li>}
      {colours.data?.map(({ voicing: other, added, left }) => (
        <li key={other.frets.join()}>
          <button
            type="button"
            className={LINK}
            onClick={() => {
              select({ chord: other.chord, heardIn });
              chooseShape(placeName(other.chord, instrument), other.frets);
              hearShape(other);
            }}
          >
            <b>{chordTitle(other.chord, instrument, naming)}</b> {printFrets(other.frets, instrument.capo)}
          </button>{' '}
          {colourWords(added, left)}
        </li>
      ))}
    </Group>
  );
}

const LINK = 'min-h-9 rounded-md px-1 text-left font-semibold text-accent underline decoration-2 underline-offset-4 hover:bg-wash';

function Pick({ frets, capo, onPick }: { readonly frets: Voicing['frets']; readonly capo: number; readonly onPick: () => void }) {
  return (
    <button type="button" className={LINK} onClick={onPick}>
      {printFrets(frets, capo)}
    </button>
  );
}

function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="mb-3">
      <h2 className="mb-0.5 text-fine font-semibold text-quiet">{title}</h2>
      <ul className="leading-snug">{children}</ul>
    </section>
  );
}

function Holds({ voicing, instrument, walk }: Pick<ShapeDetailsProps, 'voicing' | 'instrument' | 'walk'>) {
  return holdsOf(voicing, instrument).map(({ fingering, reasons }, place) => {
    const chosen = walk.fingering?.fingers.join() === fingering.fingers.join();
    return (
      <li key={fingering.fingers.join()}>
        <button
          type="button"
          aria-pressed={chosen}
          onClick={() => walk.choose(voicing, place)}
          className="flex min-h-9 w-full items-baseline gap-2 rounded-md px-1 text-left hover:bg-wash aria-pressed:bg-wash"
        >
          <b className="tracking-wider whitespace-nowrap">{fingering.fingers.map((finger) => finger ?? 'x').join(' ')}</b>
          <span className="text-quiet">{[...new Set(reasons.map(holdWords))].join('; ')}</span>
        </button>
      </li>
    );
  });
}

const MOST_CHANGES = 8;

/** What the shape is called with one string changed; changes nobody has a name for are left out. */
function Changes({
  title,
  changes,
  capo,
  naming,
}: {
  readonly title: string;
  readonly changes: readonly Reshaped[];
  readonly capo: number;
  readonly naming: Naming;
}) {
  const named = changes.filter(({ name }) => name !== null).slice(0, MOST_CHANGES);
  if (named.length === 0) return null;
  return (
    <Group title={title}>
      {named.map(({ frets, string, note, name }) => (
        <li key={frets.join()}>
          {nameNote(note, naming.notes)} {NECK_WORDS.onString} {string}:{' '}
          <b className="music-glyph">{name === null ? '' : chordTitle(name.chord, { capo }, naming)}</b>{' '}
          <span className="text-quiet">{printFrets(frets, capo)}</span>
        </li>
      ))}
    </Group>
  );
}
