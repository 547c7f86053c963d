import { type Chord, type Frets, type Key, type Naming, nameChord, nameFrets, nameNote, noteName } from '@aurora/core';
import { useState } from 'react';
import { tapDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { usePlaying } from '../../session/playing.ts';
import { play } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

const MOST_NAMES = 4;
const TEMPO = 80;

/** Tap a chord on the neck and add it to the chords by one of its names. */
export function TapChord({
  heardIn,
  naming,
  onAdd,
}: {
  readonly heardIn: Key;
  readonly naming: Naming;
  readonly onAdd: (chord: Chord) => void;
}) {
  const { instrument } = usePlaying();
  const silent: Frets = instrument.tuning.map(() => null);
  const [held, setHeld] = useState<Frets>(silent);
  const frets = held.length === instrument.tuning.length ? held : silent;
  const names = nameFrets(frets, instrument, heardIn).slice(0, MOST_NAMES);
  const tap = (string: number, fret: number) => {
    const index = instrument.tuning.length - string;
    setHeld(frets.map((before, at) => (at === index ? (before === fret ? null : fret) : before)));
    void play('tap', [{ midi: [(instrument.tuning[index] as number) + fret], beats: 1 }], TEMPO);
  };
  return (
    <RoomNeck
      instrument={instrument}
      dots={tapDots(frets, instrument.tuning, (midi) => nameNote(noteName(midi, heardIn), naming.notes))}
      onTap={tap}
    >
      <span className="text-quiet">{names.length === 0 ? ANALYZE_WORDS.tapTheNotesOfAChord : ANALYZE_WORDS.addItAs}</span>
      {names.map(({ chord }) => (
        <Button
          key={`${chord.root} ${chord.formula} ${chord.bass}`}
          onClick={() => {
            onAdd(chord);
            setHeld(silent);
          }}
        >
          <span className="music-glyph">{nameChord(chord, naming)}</span>
        </Button>
      ))}
    </RoomNeck>
  );
}
