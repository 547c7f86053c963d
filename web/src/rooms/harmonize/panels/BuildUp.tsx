import { nameNote, printScaleNumber, scaleIntervals, scaleMidi } from '@aurora/core';
import { useState } from 'react';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { type PlayStep, play, stop, usePlayer } from '../../../transport/player.ts';
import { Button } from '../../../ui/Button.tsx';
import { PlayIcon, StopIcon } from '../../../ui/icons.ts';
import { Slider } from '../../../ui/Slider.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import { growingOrder } from './growing-order.ts';
import type { PanelProps } from './panel.ts';

const SLOWEST = 40;
const FASTEST = 160;

/** Play 1, then 1 2, then 1 2 3 … with a click: the scale is said aloud as it grows. */
export function BuildUp({ sounding, written, naming }: PanelProps) {
  const [tempo, setTempo] = useState(80);
  const [aloud, setAloud] = useState(true);
  const { playing, step } = usePlayer();
  const on = playing === 'build-up';
  const order = growingOrder();
  const midi = scaleMidi(sounding);
  const steps: PlayStep[] = order.map((place) => ({ midi: place === null ? [] : [midi[place] as number], beats: 1, click: true }));
  const now = on ? (order[step] ?? null) : null;
  const intervals = scaleIntervals(written.scale);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-4">
        <Button look="strong" onClick={() => (on ? stop() : void play('build-up', steps, tempo))}>
          {on ? <StopIcon size={17} /> : <PlayIcon size={17} />} {on ? HARMONIZE_WORDS.stop : HARMONIZE_WORDS.start}
        </Button>
        <span className="flex items-center gap-3">
          {HARMONIZE_WORDS.tempo}
          <Slider
            label={HARMONIZE_WORDS.tempo}
            min={SLOWEST}
            max={FASTEST}
            step={4}
            value={tempo}
            said={HARMONIZE_WORDS.bpm(tempo)}
            onChange={setTempo}
          />
          <b className="w-20">
            {tempo} {HARMONIZE_WORDS.bpmUnit}
          </b>
        </span>
        <Tick label={HARMONIZE_WORDS.showWhatToSay} on={aloud} onTick={setAloud} />
      </div>
      <ol className="mt-4 grid grid-cols-8 text-center" aria-label={HARMONIZE_WORDS.theScale}>
        {[...intervals, 0].map((interval, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the tonic stands twice
          <li key={place} className={`rounded-xl py-3 ${now === place ? 'bg-wash shadow-[inset_0_-3px_0_var(--accent)]' : ''}`}>
            <span className="music-glyph block text-figure font-bold">
              {aloud || !on ? <Glyphs text={printScaleNumber(interval, 'glyph')} /> : '·'}
            </span>
            <span className="music-glyph text-lead">
              {aloud || !on ? <Glyphs text={nameNote(written.tonic + interval, naming.notes)} /> : ' '}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-3 text-quiet">{HARMONIZE_WORDS.sayTheNumberAndTheName}</p>
    </div>
  );
}
