import { chordMidi, type Depth, printKey, printNumber, scaleMidi, writtenKey } from '@aurora/core';
import { Play, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { type PlayStep, play, stop, usePlayer } from '../audio/player.ts';
import { stepKey } from '../lens/key-view.ts';
import { keyInForce, useLens } from '../lens/lens-store.ts';
import { useShortcuts } from '../shell/use-shortcuts.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Hint } from '../ui/Hint.tsx';
import { ChordColumn } from './ChordColumn.tsx';
import { type ColumnView, columnsOf, ridgePath } from './harmonize-view.ts';
import { ProgressionTray } from './ProgressionTray.tsx';
import { useProgression } from './progression-store.ts';
import { ScaleRuler } from './ScaleRuler.tsx';

const RISE = 46;
const TEMPO = 88;
const DEPTH_CHOICES = [
  ['triad', 'Triads'],
  ['seventh', 'Sevenths'],
] as const;

/** A key's seven chords on the ridge: seen, heard, gathered into a progression. */
export function Harmonize() {
  const lens = useLens();
  const sounding = keyInForce(lens);
  const written = writtenKey(lens.reader.reader, sounding);
  const [depth, setDepth] = useState<Depth>('triad');
  const [index, setIndex] = useState(0);
  const player = usePlayer();
  const columns = columnsOf(sounding, written, depth);
  const { add } = useProgression();
  const choose = (at: number) => setIndex((at + columns.length) % columns.length);
  const hearKey = () => (player.playing === 'key' ? stop() : void play('key', keySteps(columns, scaleMidi(sounding)), TEMPO));
  const selected = columns[index] as ColumnView;

  const { select } = lens;
  const { chord } = selected;
  const place = `${printKey(sounding)} ${chord.root} ${chord.formula}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `place` stands for the values, which are new objects at every drawing
  useEffect(() => select({ chord, heardIn: sounding }), [select, place]);

  useShortcuts({
    ArrowLeft: () => choose(index - 1),
    ArrowRight: () => choose(index + 1),
    ArrowUp: () => lens.setKey(stepKey(sounding, 1)),
    ArrowDown: () => lens.setKey(stepKey(sounding, -1)),
    t: () => setDepth(depth === 'triad' ? 'seventh' : 'triad'),
    a: hearKey,
    Enter: () => add([printNumber(selected.number)]),
  });

  return (
    <div className="mx-auto flex max-w-6xl flex-col gap-2.5 px-5 py-3">
      <div className="flex items-center gap-4 max-lg:flex-wrap">
        <ScaleRuler scale={written} />
        <Choice label="Depth" value={depth as 'triad' | 'seventh'} options={DEPTH_CHOICES} onChange={setDepth} />
        <Hint text="The scale, then its chords" keys="a">
          <Button onClick={hearKey}>
            {player.playing === 'key' ? <Square size={17} /> : <Play size={17} />} {player.playing === 'key' ? 'Stop' : 'Hear the key'}
          </Button>
        </Hint>
      </div>
      <div className="relative">
        <Ridge columns={columns} />
        <div role="group" aria-label="The chords of the key" className="relative grid grid-cols-7 gap-2 pb-[3px] max-md:gap-1">
          {columns.map((view, at) => (
            <ChordColumn
              key={view.number.degree}
              view={view}
              rise={RISE}
              selected={at === index}
              sounding={player.playing === 'key' && player.step === at + 8}
              onSelect={() => {
                setIndex(at);
                void play(`degree-${at}`, [{ midi: chordMidi(view.chord), beats: 3 }], TEMPO);
              }}
              onAdd={() => {
                setIndex(at);
                add([printNumber(view.number)]);
              }}
            />
          ))}
        </div>
        <div aria-hidden="true" className="grid grid-cols-7 gap-2 pt-1 text-center text-[13px] font-semibold max-md:gap-1">
          {columns.map(({ number, function: role }) => (
            <span key={number.degree} className={FUNCTION_TEXT[role]}>
              {role}
            </span>
          ))}
        </div>
      </div>
      <ProgressionTray sounding={sounding} written={written} />
    </div>
  );
}

const FUNCTION_TEXT = { tonic: 'text-tonic', subdominant: 'text-subdominant', dominant: 'text-dominant' } as const;

/** The ground the chords stand on: flat at rest, a slope away from home, a peak that pulls back. */
function Ridge({ columns }: { readonly columns: readonly ColumnView[] }) {
  const roles = columns.map((column) => column.function);
  const path = ridgePath(roles, RISE);
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${columns.length * 100} ${RISE}`}
      preserveAspectRatio="none"
      className="absolute right-0 bottom-[24px] left-0 w-full overflow-visible"
      style={{ height: RISE }}
    >
      <path d={`${path} Z`} fill="var(--wash)" />
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth="2.5" vectorEffect="non-scaling-stroke" strokeLinejoin="round" />
    </svg>
  );
}

/** The scale note by note, then its chords. */
function keySteps(columns: readonly ColumnView[], scale: readonly number[]): readonly PlayStep[] {
  return [...scale.map((midi) => ({ midi: [midi], beats: 0.5 })), ...columns.map(({ chord }) => ({ midi: chordMidi(chord), beats: 1.5 }))];
}
