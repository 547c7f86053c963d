import { type Chord, faultWords, harmonize, type Key, letterView, type Naming, nameKey, parseChord, transposeChord } from '@aurora/core';
import { type ComponentType, useEffect, useRef, useState } from 'react';
import { InstrumentForm } from '../../parts/instrument/InstrumentForm.tsx';
import { useNeck } from '../../parts/neck/neck-store.ts';
import { useShapeWalk } from '../../parts/neck/use-shape-walk.ts';
import { LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { useDevice } from '../../session/device-store.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce, select, useLensStore } from '../../session/lens-store.ts';
import { usePlaying } from '../../session/playing.ts';
import { usePhone } from '../../session/use-media.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { KeyPart } from './KeyPart.tsx';
import { LabelChoice } from './LabelChoice.tsx';
import { NamePart } from './NamePart.tsx';
import { PathPart } from './PathPart.tsx';
import { RunsPart } from './RunsPart.tsx';
import { ROOM_PARTS, type RoomPartName, type RoomPartProps } from './room-part.ts';
import { ShapesPart } from './ShapesPart.tsx';

const BODIES: Readonly<Record<RoomPartName, ComponentType<RoomPartProps>>> = {
  shapes: ShapesPart,
  key: KeyPart,
  path: PathPart,
  runs: RunsPart,
  name: NamePart,
  instrument: InstrumentForm,
};

/** The parts that are about one chord. */
const NEEDS_CHORD: readonly RoomPartName[] = ['shapes', 'runs'];
const HEADINGS: Readonly<Partial<Record<RoomPartName, string>>> = {
  key: NECK_WORDS.wholeKeyAsShapes,
  path: NECK_WORDS.leastMovement,
  name: NECK_WORDS.whatIsThisChord,
  instrument: NECK_WORDS.whoPlaysAndOnWhat,
};

/** The neck in a room of its own: shapes, the key, a path through a song, runs, names for what is tapped. */
export function NeckRoom() {
  const lens = useLens();
  const sounding = keyInForce(lens);
  const { instrument } = usePlaying();
  const isPhone = usePhone();
  const labels = useDevice((state) => state.neckLabels);
  const [part, setPart] = useState<RoomPartName>('shapes');
  const chord = lens.selection?.chord ?? (harmonize(sounding, 'triad')[0] as { chord: Chord }).chord;
  const heardIn = lens.selection?.heardIn ?? sounding;
  const walk = useShapeWalk(chord, instrument);
  useChordFollowsKey(sounding);
  useEffect(() => useNeck.setState({ show: 'shape' }), []);
  useShortcuts(partKeys(ROOM_PARTS, setPart));
  const props: RoomPartProps = { chord, heardIn, instrument, naming: lens.naming, labels, walk };
  const Body = BODIES[part];
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: in this room the keys of the neck work everywhere
    <div className="mx-auto flex max-w-[1240px] flex-col gap-2 px-5 py-3" onKeyDown={part === 'shapes' ? walk.onKeyDown : undefined}>
      <div className="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-2">
        {NEEDS_CHORD.includes(part) ? (
          <ChordChooser sounding={sounding} chord={chord} naming={lens.naming} />
        ) : (
          <h2 className="font-numeral text-lead font-bold">{HEADINGS[part]}</h2>
        )}
        {!(isPhone && part === 'shapes') && (
          <div className="ml-auto">
            <LabelChoice />
          </div>
        )}
      </div>
      <PartTabs label={NECK_WORDS.theNeck} parts={ROOM_PARTS} open={part} onOpen={setPart}>
        <Body {...props} />
      </PartTabs>
    </div>
  );
}

interface ChordChooserProps {
  readonly sounding: Key;
  readonly chord: Chord;
  readonly naming: Naming;
}

/** A chord keeps its place in the key when the key changes: the singer says “down a step”, and the shape follows. */
function useChordFollowsKey(sounding: Key): void {
  const before = useRef(sounding);
  useEffect(() => {
    const fifths = sounding.tonic - before.current.tonic;
    before.current = sounding;
    const { selection } = useLensStore.getState();
    if (fifths === 0 || selection === null) return;
    const { chord, heardIn } = selection;
    select({ chord: transposeChord(chord, fifths), heardIn: { ...heardIn, tonic: heardIn.tonic + fifths } });
  }, [sounding]);
}

/** The seven chords of the key, and any other by its name. */
function ChordChooser({ sounding, chord, naming }: ChordChooserProps) {
  const [depth, setDepth] = useState<'triad' | 'seventh'>(() => (hasSeventh(chord) ? 'seventh' : 'triad'));
  const [text, setText] = useState('');
  const typed = text.trim() === '' ? null : parseChord(text.trim());
  // biome-ignore lint/correctness/useExhaustiveDependencies: in another key the letters typed before stand for another chord
  useEffect(() => setText(''), [sounding]);
  const write = (next: string) => {
    setText(next);
    const read = parseChord(next.trim());
    if (read.ok) select({ chord: read.value, heardIn: sounding });
  };
  return (
    <>
      <Choice label={NECK_WORDS.chordsOfTheKey} value={depth} options={DEPTH_CHOICES} onChange={setDepth} />
      <div
        role="group"
        aria-label={NECK_WORDS.chordsOf(nameKey(sounding, naming))}
        className="relative flex flex-wrap gap-1 phone:order-last phone:w-full phone:flex-nowrap phone:overflow-x-auto phone:p-0.5"
      >
        {harmonize(sounding, depth).map(({ chord: of, number }) => (
          <button
            key={number.degree}
            type="button"
            aria-pressed={of.root === chord.root && of.formula === chord.formula && chord.bass === null}
            onClick={() => {
              setText('');
              select({ chord: of, heardIn: sounding });
            }}
            className="min-h-11 min-w-11 shrink-0 rounded-lg border border-edge bg-raised px-2.5 font-bold aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
          >
            <LetterSymbol view={letterView(of, naming)} />
          </button>
        ))}
      </div>
      <div className="w-44 phone:w-auto phone:min-w-0 phone:flex-1">
        <AnsweringField
          label={NECK_WORDS.anyOtherChord}
          value={text}
          placeholder={NECK_WORDS.anyChordDF}
          fault={typed === null || typed.ok ? null : faultWords(typed.fault)}
          onChange={write}
        />
      </div>
    </>
  );
}

const DEPTH_CHOICES = [
  ['triad', NECK_WORDS.triads],
  ['seventh', NECK_WORDS.sevenths],
] as const;

function hasSeventh({ formula }: Chord): boolean {
  return harmonize({ tonic: 0, scale: 'major' }, 'seventh').some(({ chord }) => chord.formula === formula);
}
