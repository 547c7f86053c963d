import { type Chord, chordMidi, climbingMidi, type Key, printKey, printNumber, scaleMidi, writtenKey } from '@aurora/core';
import { type ComponentType, useEffect, useState } from 'react';
import { addBars } from '../../document/progression-store.ts';
import { setDevice, useDevice } from '../../session/device-store.ts';
import { stepKey } from '../../session/key-view.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce, select, setKey } from '../../session/lens-store.ts';
import { usePhone } from '../../session/use-media.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { type PlayStep, play, stop, usePlayer } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { DeeperIcon, HearIcon, StopIcon } from '../../ui/icons.ts';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { Select } from '../../ui/Select.tsx';
import { InSlot } from '../../ui/Slot.tsx';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';
import { BUILD_CHOICES, type Build, type BuildName, buildName, buildOf, deepen, nextBuild } from './depth.ts';
import { type ColumnView, columnsOf } from './harmonize-view.ts';
import { ProgressionTray } from './ProgressionTray.tsx';
import { AllKeys } from './panels/AllKeys.tsx';
import { BuildUp } from './panels/BuildUp.tsx';
import { Compare } from './panels/Compare.tsx';
import { Homes } from './panels/Homes.tsx';
import { Modes } from './panels/Modes.tsx';
import { Moves } from './panels/Moves.tsx';
import { OneString } from './panels/OneString.tsx';
import { PANELS, type PanelName, type PanelProps } from './panels/panel.ts';
import { WhyKey } from './panels/WhyKey.tsx';
import { ScaleRuler } from './ScaleRuler.tsx';
import { Stage } from './Stage.tsx';

const TEMPO = 88;
const CHORD_BEATS = 3;

const BODIES: Readonly<Record<PanelName, ComponentType<PanelProps>>> = {
  progression: ({ sounding, written, naming }) => <ProgressionTray sounding={sounding} written={written} naming={naming} />,
  why: WhyKey,
  moves: Moves,
  compare: Compare,
  keys: AllKeys,
  modes: Modes,
  homes: Homes,
  string: OneString,
  climb: BuildUp,
};

/** A key's seven chords on the ridge: seen, heard, understood, gathered into a progression. */
export function Harmonize() {
  const lens = useLens();
  const isPhone = usePhone();
  const sounding = keyInForce(lens);
  const written = writtenKey(lens.reader.reader, sounding);
  const [build, setBuild] = useState<Build>(buildOf('triad'));
  const [index, setIndex] = useState(0);
  const [panel, setPanel] = useState<PanelName>('progression');
  const player = usePlayer();
  const columns = columnsOf(sounding, written, build, lens.naming);
  const selected = columns[index] as ColumnView;
  const hearKey = () => (player.playing === 'key' ? stop() : void play('key', keySteps(columns, scaleMidi(sounding)), TEMPO));
  const choose = (at: number) => {
    setIndex(at);
    const { chord } = columns[at] as ColumnView;
    void play(`degree-${at}`, [{ midi: chordMidi(chord), beats: CHORD_BEATS }], TEMPO);
  };
  useSelection(selected.chord, sounding);
  useShortcuts({
    ...partKeys(PANELS, setPanel),
    ...Object.fromEntries(columns.map((_, at) => [String(at + 1), () => choose(at)])),
    ArrowLeft: () => setIndex((index + columns.length - 1) % columns.length),
    ArrowRight: () => setIndex((index + 1) % columns.length),
    ArrowUp: () => setKey(stepKey(sounding, 1)),
    ArrowDown: () => setKey(stepKey(sounding, -1)),
    t: () => setBuild(nextBuild(build)),
    T: () => setBuild(deepen(build, index, sounding)),
    a: hearKey,
    Enter: () => addBars([printNumber(selected.number)]),
  });
  const props: PanelProps = { sounding, written, naming: lens.naming, build, columns, index };

  const Body = BODIES[panel];
  return (
    <div className="mx-auto flex h-full max-w-6xl flex-col gap-2 px-5 pt-2 phone:h-auto phone:px-3 3xl:max-w-[1500px]">
      <InSlot name="tools">
        <KeyTools build={build} onBuild={setBuild} onDeepen={() => setBuild(deepen(build, index, sounding))} onHear={hearKey} />
      </InSlot>
      <ScaleRuler scale={written} naming={lens.naming} />
      <Stage
        columns={columns}
        index={index}
        compact={panel !== 'progression'}
        playing={player.playing === 'key' ? player.step - keyScaleSteps(scaleMidi(sounding)) : null}
        onSelect={choose}
        onAdd={(at) => {
          setIndex(at);
          addBars([printNumber((columns[at] as ColumnView).number)]);
        }}
      />
      <PartTabs fills={!isPhone} label={HARMONIZE_WORDS.whatToLookAt} parts={PANELS} open={panel} onOpen={setPanel}>
        <Body {...props} />
      </PartTabs>
    </div>
  );
}

interface KeyToolsProps {
  readonly build: Build;
  readonly onBuild: (build: Build) => void;
  readonly onDeepen: () => void;
  readonly onHear: () => void;
}

/** How deep the chords are built, and how they sound. */
function KeyTools({ build, onBuild, onDeepen, onHear }: KeyToolsProps) {
  const strum = useDevice((state) => state.strum);
  const isPhone = usePhone();
  const playing = usePlayer((state) => state.playing === 'key');
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <Select
        aria-label={HARMONIZE_WORDS.chordsBuiltOf}
        className="max-w-34"
        value={buildName(build)}
        onChange={(event) => onBuild(buildOf(event.target.value as BuildName))}
      >
        {BUILD_CHOICES.map(([name, label]) => (
          <option key={name} value={name}>
            {label}
          </option>
        ))}
      </Select>
      <Hint text={HARMONIZE_WORDS.thisDegreeAloneAThirdDeeper} keys="T">
        <Button onClick={onDeepen} disabled={build.kind === 'fourths'} aria-label={HARMONIZE_WORDS.thisDegreeAloneAThirdDeeper}>
          <DeeperIcon size={18} aria-hidden="true" /> <span className="phone:hidden">{HARMONIZE_WORDS.aThirdMore}</span>
        </Button>
      </Hint>
      {!isPhone && (
        <Choice
          label={HARMONIZE_WORDS.howChordsSound}
          value={strum}
          options={STRUM_CHOICES}
          onChange={(next) => setDevice({ strum: next })}
        />
      )}
      <Hint text={HARMONIZE_WORDS.theScaleThenItsChords} keys="a">
        <Button onClick={onHear} aria-label={playing ? HARMONIZE_WORDS.stop : HARMONIZE_WORDS.hearTheKey}>
          {playing ? <StopIcon size={17} aria-hidden="true" /> : <HearIcon size={17} aria-hidden="true" />}{' '}
          {playing ? HARMONIZE_WORDS.stop : HARMONIZE_WORDS.hear}
        </Button>
      </Hint>
    </div>
  );
}

const STRUM_CHOICES = [
  ['strum', HARMONIZE_WORDS.strum],
  ['arpeggio', HARMONIZE_WORDS.pick],
] as const;

/** What is selected here is shown on the neck and in the why. */
function useSelection(chord: Chord, sounding: Key): void {
  const place = `${printKey(sounding)} ${chord.root} ${chord.formula}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `place` stands for the values, which are new objects at every drawing
  useEffect(() => select({ chord, heardIn: sounding }), [place]);
}

/** The scale up and down note by note, then its chords, climbing to the upper 1. */
function keySteps(columns: readonly ColumnView[], scale: readonly number[]): readonly PlayStep[] {
  const run = [...scale, ...scale.slice(0, -1).reverse()];
  return [
    ...run.map((midi) => ({ midi: [midi], beats: 0.5 })),
    ...climbingMidi(columns.map(({ chord }) => chord)).map((midi) => ({ midi, beats: 1.5 })),
  ];
}

function keyScaleSteps(scale: readonly number[]): number {
  return 2 * scale.length - 1;
}
