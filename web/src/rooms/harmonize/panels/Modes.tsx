import { type Mode, modesOf, type Note, nameChord, nameNote, printScale, printScaleNumber, scaleMidi } from '@aurora/core';
import { useEffect } from 'react';
import { Word } from '../../../parts/glossary/Word.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { play, stop, stopDrone, toggleDrone, usePlayer } from '../../../transport/player.ts';
import { Button } from '../../../ui/Button.tsx';
import { Hint } from '../../../ui/Hint.tsx';
import { DroneIcon, PlayIcon, StopIcon } from '../../../ui/icons.ts';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { PanelProps } from './panel.ts';

const TEMPO = 100;
const DRONE_FROM = 36;

/** The scale that belongs to each chord: the same notes, a new home. */
export function Modes({ written, sounding, naming, columns, index }: PanelProps) {
  const heard = modesOf(sounding);
  // a drone without its panel could not be ended
  useEffect(() => stopDrone, []);
  return (
    <table className="w-full text-left">
      <thead className="text-fine text-quiet">
        <tr>
          <th className="pb-1 font-semibold">{HARMONIZE_WORDS.chord}</th>
          <th className="pb-1 font-semibold">
            <Word term="mode">{HARMONIZE_WORDS.scale}</Word>
          </th>
          <th className="pb-1 font-semibold max-md:hidden">{HARMONIZE_WORDS.notesFromTheNewHome}</th>
          <th className="pb-1 font-semibold">{HARMONIZE_WORDS.whatTellsItApart}</th>
          <th>
            <span className="sr-only">{HARMONIZE_WORDS.hearIt}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {modesOf(written).map((mode, place) => (
          <tr key={mode.tonic} className={`border-t border-hairline ${place === index ? 'bg-wash' : ''}`}>
            <td className="music-glyph py-1 font-bold">
              {nameChord({ root: mode.tonic, formula: columns[place]?.number.formula ?? 0, bass: null }, naming)}
            </td>
            <td className="music-glyph py-1 font-semibold">
              <Glyphs
                text={`${nameNote(mode.tonic, naming.notes)} ${mode.scale === null ? HARMONIZE_WORDS.modeOf(place + 1, printScale(written.scale, 'glyph')) : printScale(mode.scale, 'glyph')}`}
              />
            </td>
            <td className="music-glyph py-1 max-md:hidden">
              {mode.intervals.map((interval) => nameNote(mode.tonic + interval, naming.notes)).join(' ')}
            </td>
            <td className="music-glyph py-1">{apartWords(mode)}</td>
            <td className="py-1">
              <HearMode mode={heard[place] as Mode} name={nameNote(mode.tonic, naming.notes)} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function apartWords({ apart, intervals }: Mode): string {
  const plain = intervals[2] === -3 ? 'minor' : 'major';
  return apart.length === 0
    ? HARMONIZE_WORDS.plain(plain)
    : HARMONIZE_WORDS.withWord(plain, apart.map((interval) => printScaleNumber(interval, 'glyph')).join(' '));
}

function HearMode({ mode, name }: { readonly mode: Mode; readonly name: string }) {
  const { playing, drone } = usePlayer();
  const id = `mode-${mode.tonic}`;
  const pitches = modeMidi(mode);
  const low = droneOf(pitches[0] as number);
  return (
    <span className="flex justify-end gap-1">
      <Hint text={HARMONIZE_WORDS.hearTheScaleOn(name)}>
        <Button
          look="bare"
          aria-label={HARMONIZE_WORDS.hearTheScaleOn(name)}
          onClick={() =>
            playing === id
              ? stop()
              : void play(
                  id,
                  pitches.map((midi) => ({ midi: [midi], beats: 0.5 })),
                  TEMPO,
                )
          }
        >
          {playing === id ? <StopIcon size={17} /> : <PlayIcon size={17} />}
        </Button>
      </Hint>
      <Hint text={HARMONIZE_WORDS.droneOn(name)}>
        <Button
          look="bare"
          aria-pressed={drone === low}
          aria-label={HARMONIZE_WORDS.droneOn(name)}
          className="aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
          onClick={() => void toggleDrone(low)}
        >
          <DroneIcon size={17} />
        </Button>
      </Hint>
    </span>
  );
}

/** The mode up and down. */
function modeMidi({ tonic, intervals }: Mode): readonly number[] {
  const start = scaleMidi({ tonic, scale: 'major' })[0] as number;
  const up = [...intervals.map((interval) => start + ((((interval * 7) % 12) + 12) % 12)), start + 12];
  return [...up, ...up.slice(0, -1).reverse()];
}

function droneOf(midi: Note): number {
  return midi - 12 < DRONE_FROM ? midi : midi - 12;
}
