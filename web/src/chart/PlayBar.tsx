import { type ChartReading, type Chord, secondsOf, type TimedBar } from '@aurora/core';
import { Minus, Play, Plus, Repeat, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { changeSong, playSong, stopSong, useSongPlayer } from '../audio/song-player.ts';
import { Button } from '../ui/Button.tsx';
import { Hint } from '../ui/Hint.tsx';
import { minutesText } from './sheet-view.ts';

interface PlayBarProps {
  readonly id: string;
  readonly reading: ChartReading;
  readonly timeline: readonly TimedBar[];
  readonly chordAt: (bar: number, place: number) => Chord | null;
  /** The written bar to start from. */
  readonly from: number | null;
  /** Part of the performance that goes round; null to play through. */
  readonly loop: number | null;
  readonly onLoop: (part: number | null) => void;
}

const USUAL_TEMPO = 100;
const STEP = 4;

/** Hear the chart as it is played out: count-in, click, tempo, one section round and round. */
export function PlayBar({ id, reading, timeline, chordAt, from, loop, onLoop }: PlayBarProps) {
  const playing = useSongPlayer((state) => state.playing === id);
  const at = useSongPlayer((state) => state.at);
  const fault = useSongPlayer((state) => state.fault);
  const written = reading.head.tempo ?? USUAL_TEMPO;
  const [tempo, setTempo] = useState(written);
  const [click, setClick] = useState(true);
  const [countIn, setCountIn] = useState(true);
  const [sounds, setSounds] = useState<'both' | 'guitar' | 'bass'>('both');
  useEffect(() => setTempo(written), [written]);
  const { parts } = reading.performance;
  const part = loop === null ? undefined : parts[loop];
  const how = {
    timeline,
    chordAt,
    tempo: written,
    pace: tempo / written,
    click,
    guitar: sounds !== 'bass',
    bass: sounds !== 'guitar',
    loop: part === undefined ? null : { from: part.from, to: part.from + part.count - 1 },
  };
  useEffect(() => {
    if (playing) changeSong(how);
  });
  useEffect(() => () => stopSong(), []);
  const start = () => {
    const first = part?.from ?? Math.max(0, from === null ? 0 : timeline.findIndex(({ bar }) => bar === from));
    void playSong(id, how, first, countIn);
  };
  const seconds = secondsOf(timeline, reading.head.tempo === null ? tempo : null);
  return (
    <div role="group" aria-label="Play" className="flex flex-wrap items-center gap-x-1.5 gap-y-1">
      <Hint text={playing ? 'Stop' : 'Play from here'} keys="v">
        <Button
          look={playing ? 'strong' : 'plain'}
          disabled={timeline.length === 0}
          onClick={() => (playing ? stopSong() : start())}
          data-play=""
        >
          {playing ? <Square size={17} aria-hidden="true" /> : <Play size={17} aria-hidden="true" />} {playing ? 'Stop' : 'Play'}
        </Button>
      </Hint>
      <Button look="bare" aria-label="Slower" className="px-2" onClick={() => setTempo(Math.max(30, tempo - STEP))}>
        <Minus size={17} />
      </Button>
      <label className="flex items-center">
        <span className="sr-only">Tempo</span>
        <input
          type="number"
          min={30}
          max={300}
          value={tempo}
          onChange={(event) => {
            const next = event.target.valueAsNumber;
            if (next >= 30 && next <= 300) setTempo(next);
          }}
          className="min-h-11 w-[4.2rem] rounded-lg border border-edge bg-raised px-2 text-center text-[17px] font-bold"
        />
      </label>
      <Button look="bare" aria-label="Faster" className="px-2" onClick={() => setTempo(Math.min(300, tempo + STEP))}>
        <Plus size={17} />
      </Button>
      <Toggle label="Click" on={click} onToggle={setClick} />
      <Toggle label="Count-in" on={countIn} onToggle={setCountIn} />
      <label className="flex items-center">
        <span className="sr-only">What sounds</span>
        <select
          value={sounds}
          onChange={(event) => setSounds(event.target.value as typeof sounds)}
          className="min-h-11 rounded-lg border border-edge bg-raised px-2 text-[15px] font-semibold"
        >
          <option value="both">guitar and bass</option>
          <option value="guitar">guitar</option>
          <option value="bass">bass</option>
        </select>
      </label>
      {part !== undefined && (
        <Button look="bare" onClick={() => onLoop(null)}>
          <Repeat size={17} aria-hidden="true" /> {reading.sections[part.section ?? -1]?.name ?? 'the beginning'} round and round
        </Button>
      )}
      <span aria-live="off" className="ml-1 text-[14px] whitespace-nowrap text-quiet">
        {playing ? (at < 0 ? 'counting in' : `bar ${at + 1} of ${timeline.length}`) : seconds === null ? '' : minutesText(seconds)}
      </span>
      {fault !== null && <span role="status">{fault}</span>}
    </div>
  );
}

function Toggle({ label, on, onToggle }: { readonly label: string; readonly on: boolean; readonly onToggle: (on: boolean) => void }) {
  return (
    <Button
      look="bare"
      aria-pressed={on}
      onClick={() => onToggle(!on)}
      className="px-2.5 text-quiet aria-pressed:text-ink aria-pressed:underline aria-pressed:decoration-accent aria-pressed:decoration-[3px] aria-pressed:underline-offset-4"
    >
      {label}
    </Button>
  );
}
