import {
  CONCERT_READER,
  DEFAULT_NAMING,
  findVoicings,
  parseChord,
  requireValue,
  STANDARD_GUITAR,
  TRANSPOSITION_SEMITONES,
} from '@aurora/core';
import { type ReactNode, useMemo, useState, useSyncExternalStore } from 'react';
import { NeckBoard } from '../parts/neck/NeckBoard.tsx';
import { shapeDots, toneDots } from '../parts/neck/neck-view.ts';
import { SetOrder } from '../rooms/band/tonight/SetOrder.tsx';
import { DiagramCard } from '../rooms/neck/DiagramCard.tsx';
import { KeyLens } from '../shell/KeyLens.tsx';
import { ReaderLens } from '../shell/ReaderLens.tsx';
import { sampleDesk, sampleTonight } from './sample-band.ts';
import { WrittenSheet } from './WrittenSheet.tsx';

const EVERY_SIGN =
  'title: Every sign\nkey: G\n\n[A] x2 -- softly\n{segno} |: 1 (4.. 5/7. 6-.) >2-7 <1> 1.[ 5! ] 2.[ b7 ] :|\n~ words under the bars\n{key: +2} {3/4} 1? NC % {to coda} 4 {ds al coda}\n\n[B]\n{coda} 1 (1 4 5) 4 "everybody"\n';

/** The parts people touch most, each in its states, in the light of day and of the stage. For development only. */
export function PartsPage() {
  return (
    <main className="grid gap-8 p-6 xl:grid-cols-2">
      {(['paper', 'night'] as const).map((ground) => (
        <div key={ground} data-theme={ground} className="grid content-start gap-6 rounded-2xl border border-edge bg-ground p-5 text-ink">
          <h1 className="text-head font-bold">{ground === 'paper' ? 'Paper' : 'Night'}</h1>
          <Parts />
        </div>
      ))}
    </main>
  );
}

function Parts() {
  return (
    <>
      <Part name="Bar cell: every sign, a slip, a bar that sounds">
        <WrittenSheet source={EVERY_SIGN} playing={1} />
      </Part>
      <Part name="Bar cell: numbers alone; letters for an alto saxophone">
        <WrittenSheet source={'key: D\n1 4 6- 5\n'} show="numbers" />
        <WrittenSheet source={'key: D\n1 4 6- 5\n'} show="letters" reader={{ ...CONCERT_READER, transpose: TRANSPOSITION_SEMITONES.Eb }} />
      </Part>
      <Part name="Bar input: a first bar; a digit alone writes the key’s own chord">
        <WrittenSheet source={'key: G\n'} withText />
        <WrittenSheet source={'key: G\n'} ownChords withText />
      </Part>
      <Part name="Key lens and reader lens">
        <div className="flex flex-wrap gap-4">
          <KeyLens scaleIsFree />
          <ReaderLens />
        </div>
      </Part>
      <Part name="Set order: songs, a break, one chosen">
        <SampleSet />
      </Part>
      <Part name="Shape card: open, barre, chosen, left-handed">
        <Shapes />
      </Part>
      <Part name="Neck: tones, a shape, with a capo">
        <Necks />
      </Part>
    </>
  );
}

function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <section aria-label={name} className="rounded-xl border border-hairline bg-sheet p-3">
      <h2 className="mb-2 text-fine font-semibold text-quiet">{name}</h2>
      {children}
    </section>
  );
}

function SampleSet() {
  const desk = useMemo(sampleDesk, []);
  useSyncExternalStore(desk.subscribe, desk.get);
  const [chosen, setChosen] = useState<string | null>('in-kelp');
  return <SetOrder tonight={sampleTonight(desk)} chosen={chosen} onChoose={setChosen} />;
}

const LOOK = { labels: 'notes', naming: DEFAULT_NAMING } as const;
const F = requireValue(parseChord('F'));
const SHAPES = findVoicings(F, STANDARD_GUITAR, { maxFret: 5 }).voicings.slice(0, 3);

function Shapes() {
  const [chosen, setChosen] = useState(0);
  return (
    <div className="flex flex-wrap gap-3">
      {SHAPES.map((voicing, place) => (
        <DiagramCard
          key={voicing.frets.join()}
          voicing={voicing}
          instrument={{ ...STANDARD_GUITAR, leftHanded: place === 2 }}
          naming={DEFAULT_NAMING}
          labels="fingers"
          title="F"
          chosen={chosen === place}
          onChoose={() => setChosen(place)}
        />
      ))}
    </div>
  );
}

function Necks() {
  const [shape] = SHAPES;
  const capo = { ...STANDARD_GUITAR, capo: 3 };
  return (
    <div className="grid gap-3">
      <NeckBoard instrument={STANDARD_GUITAR} lastFret={7} dots={toneDots(F, STANDARD_GUITAR, 7, LOOK)} label="The tones of F" />
      {shape !== undefined && (
        <NeckBoard
          instrument={STANDARD_GUITAR}
          lastFret={7}
          dots={shapeDots(shape, shape.fingering, LOOK)}
          barres={shape.fingering.barres}
          label="A shape of F"
        />
      )}
      <NeckBoard instrument={capo} lastFret={7} dots={toneDots(F, capo, 7, LOOK)} label="The tones of F over a capo" />
    </div>
  );
}
