import { analyzeText, chordMidi, type Key, nameNote, songProfile } from '@aurora/core';
import type { Song } from '@aurora/wire';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useAddSong } from '../../api/songs.ts';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { RidgeStrip } from '../../parts/ridge/RidgeStrip.tsx';
import { songName } from '../../parts/song/song-name.ts';
import { readHint } from '../../session/device-store.ts';
import { circleKeys, stepKey } from '../../session/key-view.ts';
import { useNaming } from '../../session/lens.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';
import { play } from '../../transport/player.ts';
import { Button, buttonLook } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { HearIcon, KeyDownIcon, KeyUpIcon, SaveIcon } from '../../ui/icons.ts';
import { Named } from '../../ui/Named.tsx';
import { Select } from '../../ui/Select.tsx';
import { SignButton } from '../../ui/SignButton.tsx';
import { sayFault } from '../../ui/say.ts';
import { BEGIN_WORDS } from '../../wording/begin.ts';
import { type BeginChord, type BeginScale, beginChords, begunSong, FIRST_KEY, furtherChords } from './begin-song.ts';

const BEATS = 2;
const TEMPO = 90;
const SCALES = [
  ['major', BEGIN_WORDS.major],
  ['natural minor', BEGIN_WORDS.minor],
] as const;

/** The first minute: what you just played is pressed chord by chord, in the key you were in; heard, named and kept as a song. */
export function BeginRoom() {
  const [saved, setSaved] = useState<Song | null>(null);
  return (
    <div className="mx-auto flex min-h-full max-w-3xl flex-col px-5 pt-5 phone:px-3 phone:pt-3">
      {saved === null ? <Playing onSaved={setSaved} /> : <SavedSong song={saved} />}
    </div>
  );
}

/** What is being played in: the song as it stands, and what can be done with it. */
function useBegunSong(onSaved: (song: Song) => void) {
  const naming = useNaming();
  const [title, setTitle] = useState('');
  const [key, setKey] = useState<Key>(FIRST_KEY);
  const [played, setPlayed] = useState<readonly BeginChord[]>([]);
  const scale: BeginScale = key.scale === 'major' ? 'major' : 'natural minor';
  const chords = useMemo(() => beginChords(naming, scale), [naming, scale]);
  const further = useMemo(() => furtherChords(naming, scale), [naming, scale]);
  const add = useAddSong();
  const steps = (bars: readonly BeginChord[]) => bars.map((bar) => ({ midi: chordMidi(bar.chordIn(key)), beats: BEATS }));
  const press = (chord: BeginChord) => {
    setPlayed((before) => [...before, chord]);
    void play('begin', steps([chord]), TEMPO);
  };
  const undo = () => setPlayed((before) => before.slice(0, -1));
  const kept = (song: Song) => {
    readHint('begin');
    onSaved(song);
  };
  const texts = played.map(({ text }) => text);
  const save = () => add.mutate(begunSong(title, texts, key), { onSuccess: kept, onError: (error) => void sayFault(error.message) });
  useShortcuts({
    ...Object.fromEntries(chords.map((chord, at) => [String(at + 1), () => press(chord)])),
    Backspace: undo,
    'Ctrl+z': undo,
  });
  const hear = () => void play('begin', steps(played), TEMPO);
  return { title, setTitle, key, setKey, played, chords, further, press, undo, hear, save, saving: add.isPending };
}

function Playing({ onSaved }: { readonly onSaved: (song: Song) => void }) {
  const song = useBegunSong(onSaved);
  return (
    <>
      <div className="flex flex-1 flex-col gap-3 pb-4">
        <div>
          <h2 className="font-numeral text-figure font-bold phone:text-head">{BEGIN_WORDS.whatDidYouJustPlay}</h2>
          <p className="text-base text-quiet">{BEGIN_WORDS.pressTheChordsInTheirOrder}</p>
        </div>
        <input
          aria-label={BEGIN_WORDS.title}
          value={song.title}
          placeholder={BEGIN_WORDS.untitled}
          maxLength={200}
          onChange={({ target }) => song.setTitle(target.value)}
          className="min-h-11 rounded-lg border border-hairline bg-sheet px-3 font-numeral text-lead font-bold placeholder:font-normal placeholder:text-quiet"
        />
        <WhichKey value={song.key} onKey={song.setKey} />
        <ChordKeys chords={song.chords} further={song.further} letters={song.key} onPress={song.press} />
        {song.played.length > 0 && <Written bars={song.played} letters={song.key} onUndo={song.undo} />}
      </div>
      {song.played.length > 0 && (
        <div className="sticky bottom-0 z-10 -mx-5 flex items-center gap-3 border-t border-hairline bg-ground px-5 py-2 phone:-mx-3 phone:px-3">
          <Button onClick={song.hear}>
            <HearIcon size={18} aria-hidden="true" /> {BEGIN_WORDS.hear}
          </Button>
          <Button look="strong" className="ml-auto" disabled={song.saving} onClick={song.save}>
            <SaveIcon size={18} aria-hidden="true" /> {BEGIN_WORDS.save}
          </Button>
        </div>
      )}
    </>
  );
}

interface ChordKeysProps {
  readonly chords: readonly BeginChord[];
  readonly further: readonly BeginChord[];
  readonly letters: Key;
  readonly onPress: (chord: BeginChord) => void;
}

/** The seven chords of the key, and six that are borrowed most. */
function ChordKeys({ chords, further, letters, onPress }: ChordKeysProps) {
  const [hasMore, setHasMore] = useState(false);
  return (
    <div role="group" aria-label={BEGIN_WORDS.theChordsOfAKey} className="grid grid-cols-8 gap-2 phone:grid-cols-4">
      {chords.map((chord) => (
        <ChordKey key={chord.text} chord={chord} letters={letters} onPress={() => onPress(chord)} />
      ))}
      <Button className="min-h-18! px-1!" aria-expanded={hasMore} aria-label={BEGIN_WORDS.moreChords} onClick={() => setHasMore(!hasMore)}>
        <span aria-hidden="true" className="text-head">
          …
        </span>
      </Button>
      {hasMore && further.map((chord) => <ChordKey key={chord.text} chord={chord} letters={letters} onPress={() => onPress(chord)} />)}
    </div>
  );
}

interface ChordKeyProps {
  readonly chord: BeginChord;
  readonly letters: Key;
  readonly onPress: () => void;
}

/** A chord to press: its number, and its letters small under it. */
function ChordKey({ chord, letters, onPress }: ChordKeyProps) {
  return (
    <Button className="min-h-18! flex-col gap-0! px-1!" onClick={onPress}>
      <Named name={BEGIN_WORDS.playIt(chord.number.label)} className="flex flex-col items-center">
        <ChordSymbol view={chord.number} className="text-figure font-bold" />
        <LetterSymbol view={chord.letterIn(letters)} className="text-fine font-semibold text-quiet" />
      </Named>
    </Button>
  );
}

/** In which key it was: one row. The numbers stay whatever is chosen. */
function WhichKey({ value, onKey }: { readonly value: Key; readonly onKey: (key: Key) => void }) {
  const naming = useNaming();
  const keys = circleKeys(value.scale);
  const at = keys.find(({ tonic }) => (tonic - value.tonic) % 12 === 0)?.tonic ?? value.tonic;
  return (
    <div role="group" aria-label={BEGIN_WORDS.key} className="flex flex-wrap items-center gap-2 phone:gap-1">
      <span className="text-base phone:w-full">{BEGIN_WORDS.iWasIn}</span>
      <SignButton name={BEGIN_WORDS.aHalfStepDown} onClick={() => onKey(stepKey(value, -1))}>
        <KeyDownIcon size={18} />
      </SignButton>
      <Select aria-label={BEGIN_WORDS.tonic} value={at} onChange={({ target }) => onKey({ ...value, tonic: Number(target.value) })}>
        {keys.map(({ tonic }) => (
          <option key={tonic} value={tonic}>
            {nameNote(tonic, naming.notes)}
          </option>
        ))}
      </Select>
      <SignButton name={BEGIN_WORDS.aHalfStepUp} onClick={() => onKey(stepKey(value, 1))}>
        <KeyUpIcon size={18} />
      </SignButton>
      <Choice
        label={BEGIN_WORDS.majorOrMinor}
        value={value.scale === 'major' ? 'major' : 'natural minor'}
        options={SCALES}
        onChange={(scale) => onKey({ ...value, scale })}
      />
    </div>
  );
}

interface WrittenProps {
  readonly bars: readonly BeginChord[];
  readonly letters: Key;
  readonly onUndo: () => void;
}

/** What was pressed: its bars with their letters, and from the second chord on its ridge. */
function Written({ bars, letters, onUndo }: WrittenProps) {
  const profile = useMemo(
    () =>
      songProfile(
        analyzeText(
          begunSong(
            '',
            bars.map(({ text }) => text),
            letters,
          ),
        ),
      ),
    [bars, letters],
  );
  return (
    <section aria-label={BEGIN_WORDS.whatYouPlayed} className="rounded-xl border border-hairline bg-sheet">
      {bars.length > 1 && (
        <RidgeStrip
          profile={profile}
          at={profile.spans.at(-1)?.index ?? null}
          label={BEGIN_WORDS.itsRidgeTheHigherTheFurther}
          onGo={() => undefined}
          className="block h-14 w-full border-b border-hairline"
        />
      )}
      <ol className="grid grid-cols-4">
        {bars.map((bar, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: bars have no name but their place
          <li key={place} className="flex min-h-18 flex-col items-start border-l-2 border-edge px-3 py-1">
            <ChordSymbol view={bar.number} className="text-figure font-bold" />
            <span key={`${letters.tonic}`} className="letters-slide">
              <LetterSymbol view={bar.letterIn(letters)} className="text-base font-semibold" />
            </span>
          </li>
        ))}
        <li className="grid place-items-center">
          <Button look="bare" aria-label={BEGIN_WORDS.undoTheLastChord} className="text-head" onClick={onUndo}>
            ⌫
          </Button>
        </li>
      </ol>
    </section>
  );
}

/** It is kept: what may come next. */
function SavedSong({ song }: { readonly song: Song }) {
  return (
    <section className="flex flex-col gap-4 py-6">
      <h2 className="font-numeral text-figure font-bold">{BEGIN_WORDS.isOnTheShelf(songName(song))}</h2>
      <div className="flex flex-wrap gap-3">
        <Link to={`/songs/${song.id}/chart`} className={buttonLook('strong')}>
          {BEGIN_WORDS.keepWriting}
        </Link>
        <Link to={`/songs/${song.id}/stand`} className={buttonLook('plain')}>
          {BEGIN_WORDS.onTheStand}
        </Link>
        <Link to="/band/players" className={buttonLook('plain')}>
          {BEGIN_WORDS.inviteTheBand}
        </Link>
      </div>
    </section>
  );
}
