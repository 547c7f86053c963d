/** A click of a metronome. */
export interface Click {
  /** Beats after the beginning. */
  readonly beat: number;
  /** The first of a bar, a beat, or between beats. */
  readonly kind: 'bar' | 'beat' | 'between';
}

/** How somebody wants to be clicked at. */
export interface ClickWish {
  /** Clicks in a beat: 1 to 4. */
  readonly subdivision: 1 | 2 | 3 | 4;
  /** Only between the beats, where a backbeat falls: the player keeps the beat. */
  readonly offBeat: boolean;
  /** Every second pair of bars without a click. */
  readonly silentBars: boolean;
}

export const PLAIN_CLICK: ClickWish = { subdivision: 1, offBeat: false, silentBars: false };

export const BAR_BEATS = 4;
/** Two bars with a click, two without. */
const SILENT_ROUND = 4;
const SOUNDING_BARS = 2;

/** The clicks of so many beats after a count-in of one bar, which is always counted plainly. */
export function clicksFor(beats: number, { subdivision, offBeat, silentBars }: ClickWish): readonly Click[] {
  const counted = Array.from({ length: BAR_BEATS }, (_, beat): Click => ({ beat, kind: beat === 0 ? 'bar' : 'beat' }));
  const whole = Math.ceil(beats);
  const played = Array.from({ length: whole }, (_, beat) => beat).filter((beat) => !silentBars || isSounding(beat));
  const within = offBeat ? [0.5] : Array.from({ length: subdivision }, (_, part) => part / subdivision);
  const clicks = played.flatMap((beat) =>
    within.map((part): Click => ({ beat: BAR_BEATS + beat + part, kind: part > 0 ? 'between' : beat % BAR_BEATS === 0 ? 'bar' : 'beat' })),
  );
  return [...counted, ...clicks];
}

function isSounding(beat: number): boolean {
  return Math.floor(beat / BAR_BEATS) % SILENT_ROUND < SOUNDING_BARS;
}
