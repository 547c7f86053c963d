import { brokenOrder, type ChainStage, type Cue, cued, type Drill, type DrillStep, keyOfItem, type Naming, nameNote } from '@aurora/core';
import { useEffect, useMemo, useState } from 'react';
import { chordTitle } from '../../../parts/neck/chord-title.ts';
import { NeckBoard } from '../../../parts/neck/NeckBoard.tsx';
import { mutedIn } from '../../../parts/neck/NeckDock.tsx';
import { fretsAround, shapeDots } from '../../../parts/neck/neck-view.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useDevice } from '../../../session/device-store.ts';
import { useNaming } from '../../../session/lens.ts';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import { Framed } from '../Framed.tsx';
import type { ItemProps } from '../use-practice.ts';
import { RunTab } from './RunTab.tsx';
import { chainWord, fretsOf, keysOfChain, sayWord, toneDots } from './say-view.ts';
import type { DrillOnStand } from './use-drill.ts';

interface DrillViewProps extends Pick<ItemProps, 'practice' | 'item'> {
  readonly drill: Drill;
  readonly stand: DrillOnStand;
}

/** What there is to see of a drill: the word to say, large; and the neck, the shape or the tab it is played from. */
export function DrillView(props: DrillViewProps) {
  const { drill, item } = props;
  if (drill.run !== null) return <RunView {...props} />;
  if (drill.steps[0]?.tone != null) return <ToneView {...props} />;
  return item.item.study === 'chain' ? <ChainView {...props} /> : <ChordView {...props} />;
}

function ToneView({ drill, stand, practice }: DrillViewProps) {
  const naming = useNaming();
  const { instrument } = practice;
  const dots = useMemo(() => toneDots(drill.steps, drill.say, naming), [drill, naming]);
  const now = stand.at === null ? null : (drill.steps[stand.at] ?? null);
  return (
    <div className="flex flex-col gap-3">
      <BigWord word={now === null ? PRACTICE_WORDS.says[drill.say] : sayWord(now, drill.say, naming)} isQuiet={now === null} />
      <Framed label={PRACTICE_WORDS.alongTheString}>
        <NeckBoard
          instrument={instrument}
          {...fretsOf(dots, instrument)}
          dots={dots}
          sounding={now?.tone ?? null}
          label={PRACTICE_WORDS.alongTheString}
          roomy
        />
      </Framed>
    </div>
  );
}

function ChordView({ drill, stand, item, practice }: DrillViewProps) {
  const naming = useNaming();
  const now = drill.steps[stand.at ?? 0] ?? null;
  const isAloud = item.item.study === 'aloud';
  const cue = isAloud ? (stand.stage as Cue) : 'shown';
  return (
    <div className="flex flex-col gap-4">
      <CuedWord key={stand.at} step={now} cue={cue} say={drill.say} naming={naming} tempo={stand.tempo} />
      {!isAloud && now !== null && <Shape step={now} practice={practice} />}
    </div>
  );
}

/** The word of a step as far as its cue shows it; a beat later all of it, to hear whether it was right. */
function CuedWord({
  step,
  cue,
  say,
  naming,
  tempo,
}: Pick<Drill, 'say'> & { readonly step: DrillStep | null; readonly cue: Cue; readonly naming: Naming; readonly tempo: number }) {
  const [isLate, setIsLate] = useState(false);
  useEffect(() => {
    if (cue !== 'a beat later') return;
    const timer = window.setTimeout(() => setIsLate(true), 60_000 / tempo);
    return () => window.clearTimeout(timer);
  }, [cue, tempo]);
  if (step === null) return null;
  const word = sayWord(step, say, naming);
  return <BigWord word={(isLate ? word : cued(cue, word)) ?? PRACTICE_WORDS.hidden} isQuiet={false} />;
}

function BigWord({ word, isQuiet }: { readonly word: string; readonly isQuiet: boolean }) {
  return (
    <p className={`music-glyph flex min-h-24 items-center font-numeral font-bold ${isQuiet ? 'text-figure text-quiet' : 'text-great'}`}>
      <Glyphs text={word} />
    </p>
  );
}

/** The shape of a step, the frets around it large. */
function Shape({ step: { voicing }, practice: { instrument } }: { readonly step: DrillStep; readonly practice: ItemProps['practice'] }) {
  const naming = useNaming();
  const labels = useDevice((state) => state.neckLabels);
  if (voicing === null) return <p className="text-lead text-quiet">{PRACTICE_WORDS.noShapeHere}</p>;
  return (
    <Framed label={PRACTICE_WORDS.theShape}>
      <NeckBoard
        instrument={instrument}
        {...fretsAround(voicing.frets, instrument)}
        dots={shapeDots(voicing, voicing.fingering, { labels, naming })}
        muted={mutedIn(voicing.frets)}
        barres={voicing.fingering.barres}
        label={PRACTICE_WORDS.theShape}
        roomy
      />
    </Framed>
  );
}

/** A chain: its chords key by key, shown as far as the stage allows. */
function ChainView({ drill, stand, item }: DrillViewProps) {
  const naming = useNaming();
  const stage = stand.stage as ChainStage;
  const keys = keysOfChain(drill, keyOfItem(item.item));
  return (
    <ol aria-label={PRACTICE_WORDS.theChain} className="flex flex-wrap justify-center gap-3">
      {drill.steps.map((step, place) => {
        const word = chainWord(step, stage, keys[place] ?? null, naming);
        return (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: steps are their places
            key={place}
            aria-current={place === stand.at ? 'step' : undefined}
            className="music-glyph flex min-h-32 min-w-44 flex-col items-center justify-center rounded-xl border-2 border-hairline px-4 font-numeral text-great phone:min-w-32 phone:text-numeral font-bold aria-[current=step]:border-accent aria-[current=step]:bg-wash"
          >
            <span className="whitespace-nowrap">{word === null ? <Hidden /> : <Glyphs text={word} />}</span>
            {stage === 'broken order' && step.chord !== null && (
              <span className="text-lead font-semibold text-quiet">
                <Glyphs
                  text={brokenOrder(step.chord, place + 1)
                    .map((note) => nameNote(note, naming.notes))
                    .join(' ')}
                />
              </span>
            )}
            {stage === 'with a rhythm' && <span className="text-lead font-semibold text-quiet">{PRACTICE_WORDS.rhythm}</span>}
          </li>
        );
      })}
    </ol>
  );
}

/** Something that is there, and not shown. */
export function Hidden() {
  return (
    <span role="img" aria-label={PRACTICE_WORDS.hidden} className="text-quiet">
      ·
    </span>
  );
}

function RunView({ drill, stand, item, practice }: DrillViewProps) {
  const naming = useNaming();
  const key = keyOfItem(item.item);
  const note = stand.at === null ? null : (drill.run?.notes[stand.at] ?? null);
  const mode = drill.modes[note?.chord ?? 0];
  if (drill.run === null || key === null) return null;
  return (
    <div className="flex flex-col gap-3">
      {mode !== undefined && (
        <p className="music-glyph min-h-12 font-numeral text-figure font-bold">
          <Glyphs text={PRACTICE_WORDS.modeOver(chordTitle(mode.chord, practice.instrument, naming), mode.scale)} />
        </p>
      )}
      {item.item.what === 'muted strings' && <p className="text-lead">{PRACTICE_WORDS.muteThem}</p>}
      <RunTab run={drill.run} modes={drill.modes} at={stand.at} keyOf={key} instrument={practice.instrument} />
    </div>
  );
}
