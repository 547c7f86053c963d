import {
  type BandPart,
  type BandSound,
  type ChartReading,
  type GrooveName,
  grooveOf,
  hasDrums,
  printLength,
  secondsOf,
  type TimedBar,
} from '@aurora/core';
import { useEffect, useState } from 'react';
import type { ChartOnDesk } from '../../parts/sheet/use-chart-sheet.ts';
import { changeSong, playSong, type SongSound, stopSong, useSongPlayer } from '../../transport/song-player.ts';
import { CHART_WORDS } from '../../wording/chart.ts';

const USUAL_TEMPO = 100;
const SLOWEST = 30;
const FASTEST = 300;

/** A band in a groove. */
export interface BandPlay {
  readonly groove: GrooveName;
  /** The one the chart's feel asks for. */
  readonly written: GrooveName;
  /** Another one for now; null for the chart's own. */
  readonly setGroove: (groove: GrooveName | null) => void;
  readonly parts: Readonly<Record<BandPart, boolean>>;
  readonly setPart: (part: BandPart, isOn: boolean) => void;
  /** The meter the song begins in. */
  readonly meter: TimedBar['meter'];
}

const EVERYBODY: Readonly<Record<BandPart, boolean>> = { guitar: true, bass: true, drums: true };

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
  readonly band: BandPlay;
  /** Part of the performance that goes round and round; null to play through. */
  readonly loop: number | null;
  readonly setLoop: (part: number | null) => void;
  readonly toggle: () => void;
}

/** Plays the open song as its form says, from the chosen bar; what is changed meanwhile is heard at once. */
export function useSongPlay(
  id: string,
  { reading, timeline, chordAt }: ChartOnDesk,
  scaleAt: BandSound['scaleAt'],
  from: number | null,
): SongPlay {
  const playing = useSongPlayer((state) => state.playing === id);
  const at = useSongPlayer((state) => state.at);
  const fault = useSongPlayer((state) => state.fault);
  const written = reading.head.tempo ?? USUAL_TEMPO;
  const [tempo, setTempo] = useState(written);
  const band = useBandPlay(reading);
  // drums keep the time themselves
  const [wishedClick, setClick] = useState<boolean | null>(null);
  const click = wishedClick ?? !(hasDrums(band.groove) && band.parts.drums);
  const [countIn, setCountIn] = useState(true);
  const [loop, setLoop] = useState<number | null>(null);
  useEffect(() => setTempo(written), [written]);
  const part = loop === null ? undefined : reading.performance.parts[loop];
  const how: SongSound = {
    timeline,
    chordAt,
    scaleAt,
    groove: band.groove,
    parts: band.parts,
    tempo: written,
    pace: tempo / written,
    click,
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
    band,
    loop,
    setLoop,
    toggle: () => (playing ? stopSong() : start()),
  };
}

/** The groove of the chart's feel, or another one for now, and who plays in it. */
function useBandPlay({ head, bars }: ChartReading): BandPlay {
  const [wished, setGroove] = useState<GrooveName | null>(null);
  const [parts, setParts] = useState(EVERYBODY);
  const written = grooveOf(head.feel);
  return {
    groove: wished ?? written,
    written,
    setGroove,
    parts,
    setPart: (part, isOn) => setParts((before) => ({ ...before, [part]: isOn })),
    meter: bars[0]?.meter ?? head.meter,
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
