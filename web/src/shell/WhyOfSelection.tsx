import { chordMidi } from '@aurora/core';
import { lazy } from 'react';
import { useLens } from '../session/lens.ts';
import { play } from '../transport/player.ts';

const WhyPanel = lazy(async () => ({ default: (await import('../parts/why/WhyPanel.tsx')).WhyPanel }));

const CHORD_BEATS = 3;
const CHORD_TEMPO = 80;

/** Why the chosen chord works where it stands. */
export function WhyOfSelection() {
  const { selection, reader, naming } = useLens();
  const hear = () => selection !== null && void play('selection', [{ midi: chordMidi(selection.chord), beats: CHORD_BEATS }], CHORD_TEMPO);
  return <WhyPanel selection={selection} reader={reader.reader} naming={naming} onHear={hear} />;
}
