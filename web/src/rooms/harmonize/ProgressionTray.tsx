import { chordMidi, chordOnTonic, type Key, letterView, type Naming, numberView, printKey, readChart, symbolText } from '@aurora/core';
import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAddSong } from '../../api/songs.ts';
import {
  addBars,
  clearBars,
  readBarsTyped,
  redoBars,
  removeBar,
  songOf,
  undoBars,
  useProgression,
} from '../../document/progression-store.ts';
import { LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { SongsToOpen } from '../../parts/song/SongsToOpen.tsx';
import { type PlayStep, play, stop, usePlayer } from '../../transport/player.ts';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { DeleteIcon, GoOnIcon, PlayIcon, RedoIcon, StopIcon, UndoIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';

const TEMPO = 100;

/** The progression gathered from the stage or typed, heard, and made into a song. */
export function ProgressionTray({ sounding, written, naming }: { readonly sounding: Key; readonly written: Key; readonly naming: Naming }) {
  const { bars, history } = useProgression();
  const player = usePlayer();
  const playing = player.playing === 'progression';
  const song = useAddSong();
  const navigate = useNavigate();
  const start = () =>
    song.mutate(songOf(bars, sounding), {
      onSuccess: ({ id }) => {
        clearBars();
        void navigate(`/songs/${id}/chart`);
      },
      onError: (error) => void sayFault(error.message),
    });
  return (
    <section aria-label={HARMONIZE_WORDS.progression}>
      <div className="flex flex-wrap items-center gap-2">
        <TypedBars written={written} onAdd={addBars} />
        <Hint text={HARMONIZE_WORDS.undo}>
          <Button look="bare" aria-label={HARMONIZE_WORDS.undo} onClick={undoBars} disabled={history.done.length === 0}>
            <UndoIcon size={18} />
          </Button>
        </Hint>
        <Hint text={HARMONIZE_WORDS.redo}>
          <Button look="bare" aria-label={HARMONIZE_WORDS.redo} onClick={redoBars} disabled={history.undone.length === 0}>
            <RedoIcon size={18} />
          </Button>
        </Hint>
        <Button onClick={() => (playing ? stop() : void play('progression', stepsOf(bars, sounding), TEMPO))} disabled={bars.length === 0}>
          {playing ? <StopIcon size={17} /> : <PlayIcon size={17} />} {playing ? HARMONIZE_WORDS.stop : HARMONIZE_WORDS.hearIt}
        </Button>
        <Button look="strong" onClick={start} disabled={bars.length === 0 || song.isPending}>
          {HARMONIZE_WORDS.startASong} <GoOnIcon size={18} aria-hidden="true" />
        </Button>
      </div>
      {bars.length === 0 ? (
        <>
          <p className="mt-3 text-base text-quiet">{HARMONIZE_WORDS.pressUnderAChordOrWrite}</p>
          <SongsToOpen room="harmonize" />
        </>
      ) : (
        <ol aria-label={HARMONIZE_WORDS.bars} className="mt-3 flex flex-wrap gap-y-2">
          {bars.map((bar, index) => (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: bars have no name but their place
              key={index}
              className={`group relative flex min-w-20 flex-col border-l-2 border-edge py-1 pr-8 pl-3 ${playing && isSounding(bars, index, player.step) ? 'bg-wash' : ''}`}
            >
              <Bar text={bar} written={written} naming={naming} />
              <DeleteBar name={HARMONIZE_WORDS.deleteBar(index + 1, bar)} onDelete={() => removeBar(index)} />
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function DeleteBar({ name, onDelete }: { readonly name: string; readonly onDelete: () => void }) {
  return (
    <Hint text={name}>
      <button
        type="button"
        aria-label={name}
        onClick={onDelete}
        className="absolute top-0 right-0 grid size-8 place-items-center rounded text-quiet hover:text-alarm"
      >
        <DeleteIcon size={15} />
      </button>
    </Hint>
  );
}

function TypedBars({ written, onAdd }: { readonly written: Key; readonly onAdd: (bars: readonly string[]) => void }) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = readBarsTyped(text, written);
    if ('fault' in read) {
      setFault(read.fault);
      return;
    }
    onAdd(read.bars);
    setText('');
    setFault(null);
  };
  return (
    <form onSubmit={submit} className="relative min-w-52 flex-1">
      <AnsweringField
        label={HARMONIZE_WORDS.chordsAsNumbersOrLetters}
        value={text}
        placeholder={HARMONIZE_WORDS.progressionExample(printKey(written, 'glyph'))}
        fault={fault}
        onChange={(value) => {
          setText(value);
          setFault(null);
        }}
      />
    </form>
  );
}

/** A bar's chords, numbers large and letters under them. */
function Bar({ text, written, naming }: { readonly text: string; readonly written: Key; readonly naming: Naming }) {
  return (
    <span className="flex gap-4">
      {chordsOf(text).map((number, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
        <span key={index} className="flex flex-col">
          <span className="music-glyph text-head font-bold">{symbolText(numberView(number, naming))}</span>
          <LetterSymbol view={letterView(chordOnTonic(number, written.tonic), naming)} className="text-base text-quiet" />
        </span>
      ))}
    </span>
  );
}

function chordsOf(bar: string) {
  return readChart(`[bar]\n${bar}`).bars.flatMap(({ chords }) => chords.flatMap(({ chord }) => (chord === null ? [] : [chord])));
}

/** Which bar a step of playing lies in. */
function isSounding(bars: readonly string[], bar: number, step: number): boolean {
  const before = bars.slice(0, bar).reduce((sum, text) => sum + Math.max(1, chordsOf(text).length), 0);
  return step >= before && step < before + Math.max(1, chordsOf(bars[bar] as string).length);
}

function stepsOf(bars: readonly string[], sounding: Key): readonly PlayStep[] {
  return readChart(`[bars]\n${bars.join(' ')}`).bars.flatMap(({ chords, meter }) =>
    chords.map(({ chord, beats }) => ({
      midi: chord === null ? [] : chordMidi(chordOnTonic(chord, sounding.tonic)),
      beats: beats ?? meter.beats / chords.length,
    })),
  );
}
