import {
  type Chord,
  type ChordCandidate,
  COMMON_COST,
  type Frets,
  nameChord,
  nameFrets,
  nameNote,
  noteName,
  numberChord,
  printFrets,
  printNumber,
  soundingMidi,
  type Voicing,
} from '@aurora/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useSong } from '../../api/songs.ts';
import { addBars } from '../../document/progression-store.ts';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import { tapDots } from '../../parts/neck/neck-view.ts';
import { RoomNeck } from '../../parts/neck/RoomNeck.tsx';
import { useSongEdit } from '../../parts/song/use-song-edit.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce, keyNow } from '../../session/lens-store.ts';
import { play } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { AddIcon, ClearIcon, HearIcon, UndoIcon } from '../../ui/icons.ts';
import { sayDone } from '../../ui/say.ts';
import { NECK_WORDS } from '../../wording/neck.ts';
import type { RoomPartProps } from './room-part.ts';
import { withBarAdded } from './song-chords.ts';

const MOST_NAMES = 6;
const BEATS = 3;
const TEMPO = 80;

/** Tap what you hold and learn what it is; then put it into the song. */
export function NamePart({ instrument, naming, walk }: RoomPartProps) {
  const key = keyInForce(useLens());
  const silent: Frets = instrument.tuning.map(() => null);
  const [past, setPast] = useState<readonly Frets[]>([]);
  const [held, setHeld] = useState<Frets>(silent);
  const frets = held.length === instrument.tuning.length ? held : silent;
  const names = nameFrets(frets, instrument, key);
  const hold = (next: Frets) => {
    setPast([...past, frets]);
    setHeld(next);
  };
  const undo = () => {
    setHeld(past.at(-1) ?? silent);
    setPast(past.slice(0, -1));
  };
  const tap = (string: number, fret: number) => {
    const index = instrument.tuning.length - string;
    hold(frets.map((before, at) => (at === index ? (before === fret ? null : fret) : before)));
    void play('tap', [{ midi: [(instrument.tuning[index] as number) + fret], beats: 1 }], TEMPO);
  };
  const sounding = soundingMidi(frets, instrument.tuning).filter((midi): midi is number => midi !== null);
  const add = useAddChord();
  return (
    <div className="flex flex-col gap-3">
      <RoomNeck
        instrument={instrument}
        dots={tapDots(frets, instrument.tuning, (midi) => nameNote(noteName(midi, key), naming.notes))}
        frets={sounding.length === 0 ? null : frets}
        onTap={tap}
      >
        <span>{NECK_WORDS.tapTheFretsYouHoldAnd}</span>
        <b>{sounding.length === 0 ? '' : printFrets(frets, instrument.capo)}</b>
        <TapActions sounding={sounding} canUndo={past.length > 0} onUndo={undo} onClear={() => hold(silent)} />
      </RoomNeck>
      <section aria-label={NECK_WORDS.names}>
        <div role="status">
          {names.length === 0 ? (
            <>
              <p className="py-3 text-quiet">
                {NECK_WORDS.itsNamesAppearHereTheLikeliest} {nameNote(key.tonic, naming.notes)} {NECK_WORDS.firstTapAPlaceAgainTo}
              </p>
              {walk.shape !== null && (
                <Button onClick={() => hold((walk.shape as Voicing).frets)}>
                  {NECK_WORDS.startFromTheLastShape} {printFrets(walk.shape.frets, instrument.capo)}
                </Button>
              )}
            </>
          ) : (
            <Names names={likely(names)} naming={naming} instrument={instrument} onAdd={add} />
          )}
        </div>
      </section>
    </div>
  );
}

interface TapActionsProps {
  readonly sounding: readonly number[];
  readonly canUndo: boolean;
  readonly onUndo: () => void;
  readonly onClear: () => void;
}

/** Hear what is held, take the last tap back, begin again. */
function TapActions({ sounding, canUndo, onUndo, onClear }: TapActionsProps) {
  return (
    <span className="ml-auto flex gap-1">
      <Button look="bare" disabled={sounding.length === 0} onClick={() => void play('held', [{ midi: sounding, beats: BEATS }], TEMPO)}>
        <HearIcon size={17} /> {NECK_WORDS.hear}
      </Button>
      <Button look="bare" disabled={!canUndo} onClick={onUndo}>
        <UndoIcon size={17} /> {NECK_WORDS.undo}
      </Button>
      <Button look="bare" disabled={sounding.length === 0} onClick={onClear}>
        <ClearIcon size={17} /> {NECK_WORDS.clear}
      </Button>
    </span>
  );
}

function Names({
  names,
  naming,
  instrument,
  onAdd,
}: {
  readonly names: readonly ChordCandidate[];
  readonly instrument: RoomPartProps['instrument'];
  readonly naming: RoomPartProps['naming'];
  readonly onAdd: (chord: Chord) => void;
}) {
  const common = (names[0]?.cost ?? 0) <= COMMON_COST;
  return (
    <>
      {!common && <p className="font-semibold">{NECK_WORDS.noCommonChordFitsTheseNotes}</p>}
      <ol className="flex flex-col gap-1">
        {names.map(({ chord, missing }, index) => (
          <li key={`${chord.root} ${chord.formula} ${chord.bass}`} className="flex min-h-12 items-center gap-4 border-b border-hairline">
            <b className={`music-glyph ${index === 0 ? 'text-figure' : 'text-lead'}`}>{chordTitle(chord, instrument, naming)}</b>
            {missing.length > 0 && (
              <span className="text-quiet">
                {NECK_WORDS.without} {missing.map((note) => nameNote(note, naming.notes)).join(' and ')}
              </span>
            )}
            <Button className="ml-auto" onClick={() => onAdd(chord)} aria-label={NECK_WORDS.addToTheSong(nameChord(chord, naming))}>
              <AddIcon size={17} /> {NECK_WORDS.addToTheSongButton}
            </Button>
          </li>
        ))}
      </ol>
    </>
  );
}

/** The names in common use; the nearest one when there is none. */
function likely(names: readonly ChordCandidate[]): readonly ChordCandidate[] {
  return names.filter(({ cost }, place) => place === 0 || cost <= COMMON_COST).slice(0, MOST_NAMES);
}

/** Adds a chord at the end of the open song, or to the progression gathered in Harmonize. */
function useAddChord(): (chord: Chord) => void {
  const { songId } = useParams();
  const song = useSong(songId).data;
  const edit = useSongEdit();
  return (chord) => {
    const { tonic } = keyNow();
    if (songId === undefined) {
      addBars([printNumber(numberChord(chord, tonic))]);
      void sayDone(NECK_WORDS.addedToTheProgressionInHarmonize);
      return;
    }
    edit(song, (source) => withBarAdded(source, chord, tonic), NECK_WORDS.addedAsTheLastBarOf(song?.title || NECK_WORDS.theSong));
  };
}
