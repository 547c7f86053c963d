import { type ChartReading, printLength, secondsOf, type TimedBar } from '@aurora/core';
import { useEffect, useState } from 'react';
import type { ChartOnDesk } from '../../parts/sheet/use-chart-sheet.ts';
import { changeSong, playSong, type SongSound, stopSong, useSongPlayer } from '../../transport/song-player.ts';
import { CHART_WORDS } from '../../wording/chart.ts';

const USUAL_TEMPO = 100;
const SLOWEST = 30;
const FASTEST = 300;

/** What sounds when a song is played. */
export type Sounds = 'both' | 'guitar' | 'bass';

/** How the open song is played, and whether it is. */
export interface SongPlay {
  readonly playing: boolean;
  /** The written bar that sounds; null in silence and while it is counted in. */
  readonly bar: number | null;
  /** Where it is, or how long it is. */
  readonly said: string;
  readonly fault: string | null;
  readonly tempo: number;
  readonly setTempo: (tempo: number) => void;
  readonly click: boolean;
  readonly setClick: (click: boolean) => void;
  readonly countIn: boolean;
  readonly setCountIn: (countIn: boolean) => void;
  readonly sounds: Sounds;
  readonly setSounds: (sounds: Sounds) => void;
  /** Part of the performance that goes round and round; null to play through. */
  readonly loop: number | null;
  readonly setLoop: (part: number | null) => void;
  readonly toggle: () => void;
}

/** Plays the open song as its form says, from the chosen bar; what is changed meanwhile is heard at once. */
export function useSongPlay(id: string, { reading, timeline, chordAt }: ChartOnDesk, from: number | null): SongPlay {
  const playing = useSongPlayer((state) => state.playing === id);
  const at = useSongPlayer((state) => state.at);
  const fault = useSongPlayer((state) => state.fault);
  const written = reading.head.tempo ?? USUAL_TEMPO;
  const [tempo, setTempo] = useState(written);
  const [click, setClick] = useState(true);
  const [countIn, setCountIn] = useState(true);
  const [sounds, setSounds] = useState<Sounds>('both');
  const [loop, setLoop] = useState<number | null>(null);
  useEffect(() => setTempo(written), [written]);
  const part = loop === null ? undefined : reading.performance.parts[loop];
  const how: SongSound = {
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
  const start = () => void playSong(id, how, part?.from ?? beginning(timeline, from), countIn);
  return {
    playing,
    bar: playing && at >= 0 ? (timeline[at]?.bar ?? null) : null,
    said: playing ? whereWords(at, timeline) : lengthWords(reading, timeline, tempo),
    fault,
    tempo,
    setTempo: (wanted) => setTempo(Math.max(SLOWEST, Math.min(FASTEST, Math.round(wanted)))),
    click,
    setClick,
    countIn,
    setCountIn,
    sounds,
    setSounds,
    loop,
    setLoop,
    toggle: () => (playing ? stopSong() : start()),
  };
}

/** Where a written bar is first played. */
function beginning(timeline: readonly TimedBar[], from: number | null): number {
  return Math.max(0, from === null ? 0 : timeline.findIndex(({ bar }) => bar === from));
}

function whereWords(at: number, timeline: readonly TimedBar[]): string {
  return at < 0 ? CHART_WORDS.countingIn : CHART_WORDS.barOf(at + 1, timeline.length);
}

function lengthWords({ head }: ChartReading, timeline: readonly TimedBar[], tempo: number): string {
  const seconds = secondsOf(timeline, head.tempo === null ? tempo : null);
  return seconds === null ? '' : printLength(seconds);
}
