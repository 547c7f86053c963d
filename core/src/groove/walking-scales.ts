import type { Analysis } from '../analysis/analysis.ts';
import { chroma } from '../pitch/note.ts';
import { chordScaleIntervals } from '../scale/scale.ts';
import type { BandSound } from './band-bar.ts';

const OCTAVE = 12;

/** The first scale of each chord of an analysis, as half steps over its root: they hold in every key it is played in. */
export function walkingScales({ progression, chords }: Analysis): BandSound['scaleAt'] {
  const scales = new Map<string, readonly number[]>();
  progression.chords.forEach(({ bar, place }, index) => {
    const analyzed = chords[index];
    const scale = analyzed?.scales[0];
    if (analyzed === undefined || scale === undefined) return;
    const root = chroma(analyzed.chord.root);
    scales.set(
      `${bar}.${place}`,
      chordScaleIntervals(scale.scale).map((interval) => (chroma(scale.tonic + interval) - root + OCTAVE) % OCTAVE),
    );
  });
  return (bar, place) => scales.get(`${bar}.${place}`) ?? null;
}
