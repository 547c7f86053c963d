import { analyzeText, chordMidi, type Key, nameKey, songProfile } from '@aurora/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAddSong } from '../../api/songs.ts';
import { songOf } from '../../document/progression-store.ts';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { RidgeStrip } from '../../parts/ridge/RidgeStrip.tsx';
import { readHint } from '../../session/device-store.ts';
import { circleKeys, stepKey } from '../../session/key-view.ts';
import { useNaming } from '../../session/lens.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';
import { play } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Chip } from '../../ui/Chip.tsx';
import { GoOnIcon, KeyDownIcon, KeyUpIcon, UndoIcon } from '../../ui/icons.ts';
import { Named } from '../../ui/Named.tsx';
import { sayFault } from '../../ui/say.ts';
import { BEGIN_WORDS } from '../../wording/begin.ts';
import { type BeginChord, beginChords, ENOUGH, FIRST_KEY } from './begin-song.ts';

const BEATS = 2;
const TEMPO = 90;
/** A whole step in half steps. */
const STEP = 2;

/** The first minute: press what you just played, see it rise, say its key, and keep it as a song. */
export function BeginRoom() {
  const naming = useNaming();
  const chords = useMemo(() => beginChords(naming), [naming]);
  const [played, setPlayed] = useState<readonly number[]>([]);
  const [key, setKey] = useState<Key | null>(null);
  const bars = played.map((at) => chords[at] as BeginChord);
  const press = (at: number) => {
    setPlayed((before) => [...before, at]);
    void play('begin', [{ midi: chordMidi((chords[at] as BeginChord).chordIn(key ?? FIRST_KEY)), beats: BEATS }], TEMPO);
  };
  const undo = () => setPlayed((before) => before.slice(0, -1));
  const { save, saving } = useSave(bars, key);
  useShortcuts({
    ...Object.fromEntries(chords.map((_, at) => [String(at + 1), () => press(at)])),
    Backspace: undo,
    'Ctrl+z': undo,
  });
  return (
    <div className="mx-auto flex max-w-3xl flex-col gap-4 px-5 py-5 phone:px-3">
      <div>
        <h2 className="font-numeral text-figure font-bold">{BEGIN_WORDS.whatDidYouJustPlay}</h2>
        <p className="text-lead text-quiet">{BEGIN_WORDS.pressTheChordsInTheirOrder}</p>
      </div>
      <div role="group" aria-label={BEGIN_WORDS.theChordsOfAKey} className="grid grid-cols-7 gap-2 phone:grid-cols-4">
        {chords.map(({ text, number }, at) => (
          <Button key={text} className="min-h-20!" onClick={() => press(at)}>
            <Named name={BEGIN_WORDS.playIt(number.label)} className="flex">
              <ChordSymbol view={number} className="text-figure font-bold" />
            </Named>
          </Button>
        ))}
      </div>
      {bars.length > 0 && <Written bars={bars} letters={key} onUndo={undo} />}
      {bars.length >= ENOUGH && <WhichKey chosen={key} onKey={setKey} />}
      {key !== null && (
        <div className="flex flex-wrap items-center gap-3">
          <span className="text-lead">{BEGIN_WORDS.theSingerWantsItInAnother}</span>
          <Button onClick={() => setKey(stepKey(key, -STEP))}>
            <KeyDownIcon size={18} aria-hidden="true" /> {BEGIN_WORDS.aStepDown}
          </Button>
          <Button onClick={() => setKey(stepKey(key, STEP))}>
            <KeyUpIcon size={18} aria-hidden="true" /> {BEGIN_WORDS.aStepUp}
          </Button>
          <Button look="strong" className="ml-auto" disabled={saving} onClick={save}>
            {BEGIN_WORDS.saveItAsASong} <GoOnIcon size={18} aria-hidden="true" />
          </Button>
        </div>
      )}
    </div>
  );
}

/** Saves the bars as a song of the band and opens its chart. */
function useSave(bars: readonly BeginChord[], key: Key | null) {
  const add = useAddSong();
  const navigate = useNavigate();
  const save = () =>
    add.mutate(
      songOf(
        bars.map(({ text }) => text),
        key ?? FIRST_KEY,
      ),
      {
        onSuccess: ({ id }) => {
          readHint('begin');
          void navigate(`/songs/${id}/chart`);
        },
        onError: (error) => void sayFault(error.message),
      },
    );
  return { save, saving: add.isPending };
}

interface WrittenProps {
  readonly bars: readonly BeginChord[];
  /** The key whose letters stand under the numbers; null before it is known. */
  readonly letters: Key | null;
  readonly onUndo: () => void;
}

/** What was pressed: its ridge, its bars and, once the key is known, its letters. */
function Written({ bars, letters, onUndo }: WrittenProps) {
  const profile = useMemo(() => songProfile(analyzeText(`key: C\n${bars.map(({ text }) => text).join(' ')}\n`)), [bars]);
  return (
    <section aria-label={BEGIN_WORDS.whatYouPlayed} className="rounded-xl border border-hairline bg-sheet">
      <RidgeStrip
        profile={profile}
        at={profile.spans.at(-1)?.index ?? null}
        label={BEGIN_WORDS.itsRidgeTheHigherTheFurther}
        onGo={() => undefined}
        className="block h-16 w-full"
      />
      <ol className="grid grid-cols-4 border-t border-hairline">
        {bars.map((bar, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: bars have no name but their place
          <li key={place} className="flex min-h-20 flex-col items-start border-l-2 border-edge px-3 py-1">
            <ChordSymbol view={bar.number} className="text-numeral font-bold" />
            {letters !== null && (
              <span key={letters.tonic} className="letters-slide">
                <LetterSymbol view={bar.letterIn(letters)} className="text-lead font-semibold" />
              </span>
            )}
          </li>
        ))}
        <li className="grid place-items-center">
          <Button look="bare" aria-label={BEGIN_WORDS.undoTheLastChord} onClick={onUndo}>
            <UndoIcon size={18} /> {BEGIN_WORDS.undo}
          </Button>
        </li>
      </ol>
    </section>
  );
}

/** In which key it was: the letters follow. */
function WhichKey({ chosen, onKey }: { readonly chosen: Key | null; readonly onKey: (key: Key) => void }) {
  const naming = useNaming();
  return (
    <div>
      <p className="mb-2 text-lead">{BEGIN_WORDS.whichKeyWereYouInIts}</p>
      <div role="group" aria-label={BEGIN_WORDS.key} className="flex flex-wrap gap-2">
        {circleKeys('major').map((key) => (
          <Chip key={key.tonic} on={chosen !== null && (chosen.tonic - key.tonic) % 12 === 0} onClick={() => onKey(key)}>
            <span className="music-glyph">
              <Glyphs text={nameKey(key, naming)} />
            </span>
          </Chip>
        ))}
      </div>
    </div>
  );
}
