import { chordMidi, colourWords, type EasierChord, type HardChord, type Key, nameChord, printFrets, printNumber } from '@aurora/core';
import type { ChordSwap, Member, Song } from '@aurora/wire';
import { useState } from 'react';
import { useSwaps } from '../../api/swaps.ts';
import { useEasierChords } from '../../parts/neck/neck-engine.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useNaming, useReader } from '../../session/lens.ts';
import { play } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { HearIcon } from '../../ui/icons.ts';
import { Select } from '../../ui/Select.tsx';
import { BAND_WORDS } from '../../wording/band.ts';
import { capoWishOf } from './tonight/capo-wish.ts';

interface EasierChordsProps {
  readonly song: Song;
  /** The key that sounds. */
  readonly sounding: Key;
  readonly guitars: readonly Member[];
  /** Where a player has the capo tonight. */
  readonly capoOf: (member: Member) => number;
}

/** Easier chords for one player where a barre is hard: heard with the band's chord, taken for that player alone, and refused by whoever minds. */
export function EasierChords({ song, sounding, guitars, capoOf }: EasierChordsProps) {
  const { swaps, put, fault } = useSwaps(song.id);
  const [id, setId] = useState<string | null>(null);
  const player = guitars.find((one) => one.id === id) ?? guitars.find(({ reads }) => reads.barres === 'none') ?? guitars[0];
  if (player === undefined) return null;
  return (
    <section aria-label={BAND_WORDS.easierChords} className="border-t border-edge pt-3">
      <div className="flex flex-wrap items-end gap-4">
        <h2 className="min-h-11 content-center font-numeral text-lead font-bold">{BAND_WORDS.easierForOnePlayer}</h2>
        <label className="flex items-center gap-2 text-base">
          {BAND_WORDS.forWord}
          <Select aria-label={BAND_WORDS.easierFor} value={player.id} onChange={(event) => setId(event.target.value)}>
            {guitars.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        </label>
        <p className="min-h-11 content-center text-fine text-quiet">
          {BAND_WORDS.theOthersHearItAndCan} {player.name}
          {BAND_WORDS.sPartChanges}
        </p>
      </div>
      {fault !== null && (
        <p role="alert" className="font-semibold text-alarm">
          {fault}
        </p>
      )}
      <HardChords
        song={song}
        sounding={sounding}
        player={player}
        fret={capoOf(player)}
        swaps={swaps.filter(({ memberId }) => memberId === player.id)}
        onSwap={(hard, instead, refusedBy) =>
          put({ memberId: player.id, chord: printNumber(hard.number), stretch: hard.stretch, instead, refusedBy })
        }
      />
    </section>
  );
}

interface HardChordsProps {
  readonly song: Song;
  readonly sounding: Key;
  readonly player: Member;
  readonly fret: number;
  readonly swaps: readonly ChordSwap[];
  readonly onSwap: (hard: HardChord, instead: string | null, refusedBy: string) => void;
}

function HardChords({ song, sounding, player, fret, swaps, onSwap }: HardChordsProps) {
  const naming = useNaming();
  const hard = useEasierChords(song.source, { ...capoWishOf(player), tonic: sounding.tonic }, fret);
  if (hard.error !== null)
    return (
      <p className="text-alarm">
        {BAND_WORDS.theChordsCouldNotBeTried} {hard.error.message}
      </p>
    );
  if (hard.data === undefined) return <p className="py-2 text-quiet">{BAND_WORDS.tryingTheChords}</p>;
  const where = fret === 0 ? BAND_WORDS.withoutACapo : BAND_WORDS.withTheCapoAt(fret);
  if (hard.data.length === 0)
    return (
      <p className="py-2 text-base">
        {BAND_WORDS.everyChordLiesOpenFor} {player.name} {where}.
      </p>
    );
  return (
    <ul>
      {hard.data.map((chord) => {
        const swap = swaps.find((one) => one.stretch === chord.stretch && one.chord === printNumber(chord.number));
        return (
          <li
            key={`${chord.stretch} ${printNumber(chord.number)}`}
            className="grid grid-cols-[9rem_1fr] items-start gap-x-4 border-t border-hairline py-2"
          >
            <span className="leading-tight">
              <b className="music-glyph font-numeral text-head">
                <Glyphs text={nameChord(chord.shape, naming)} />
              </b>
              <span className="block text-fine text-quiet">
                {BAND_WORDS.closedSounds} <Glyphs text={nameChord(chord.sounding, naming)} />
              </span>
            </span>
            <span className="flex flex-wrap items-center gap-2">
              {chord.colours.map((colour) => (
                <ColourChoice
                  key={printNumber(colour.number)}
                  hard={chord}
                  colour={colour}
                  taken={swap?.instead === printNumber(colour.number)}
                  onTake={(take) => onSwap(chord, take ? printNumber(colour.number) : null, '')}
                />
              ))}
              {chord.colours.length === 0 && <span className="text-base text-quiet">{BAND_WORDS.nothingEasierWithNotesOfThe}</span>}
              {swap !== undefined && <Refusal swap={swap} player={player} onRefuse={(by) => onSwap(chord, swap.instead, by)} />}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

const HEAR_TEMPO = 72;
const HEAR_BEATS = 3;

interface ColourChoiceProps {
  readonly hard: HardChord;
  readonly colour: EasierChord;
  readonly taken: boolean;
  readonly onTake: (take: boolean) => void;
}

/** One easier chord: heard against the chord the others play, and taken. */
function ColourChoice({ hard, colour, taken, onTake }: ColourChoiceProps) {
  const naming = useNaming();
  const name = nameChord(colour.voicing.chord, naming);
  const together = [...new Set([...chordMidi(hard.sounding), ...chordMidi(colour.sounding)])].sort((a, b) => a - b);
  const hear = () =>
    void play(
      `easier ${name}`,
      [
        { midi: chordMidi(hard.sounding), beats: HEAR_BEATS },
        { midi: together, beats: HEAR_BEATS },
      ],
      HEAR_TEMPO,
    );
  return (
    <span className="flex items-stretch">
      <button
        type="button"
        aria-pressed={taken}
        onClick={() => onTake(!taken)}
        className="min-h-11 rounded-l-lg border border-edge bg-raised px-3 text-left leading-tight hover:border-accent aria-pressed:border-accent aria-pressed:bg-wash"
      >
        <b className="music-glyph">
          <Glyphs text={name} />
        </b>{' '}
        <span className="text-fine text-quiet">{printFrets(colour.voicing.frets)}</span>
        <span className="block text-fine text-quiet">
          <Glyphs text={colourWords(colour.added, colour.left)} />
        </span>
      </button>
      <Hint text={BAND_WORDS.hearWithTheBands(name, nameChord(hard.sounding, naming))}>
        <button
          type="button"
          aria-label={BAND_WORDS.hearWithTheBands(name, nameChord(hard.sounding, naming))}
          onClick={hear}
          className="grid w-11 place-items-center rounded-r-lg border border-l-0 border-edge bg-raised hover:border-accent"
        >
          <HearIcon size={16} />
        </button>
      </Hint>
    </span>
  );
}

/** Whoever reads at this device may mind; then the chord stays as written. */
function Refusal({
  swap,
  player,
  onRefuse,
}: {
  readonly swap: ChordSwap;
  readonly player: Member;
  readonly onRefuse: (by: string) => void;
}) {
  const reader = useReader();
  if (swap.refusedBy !== '')
    return (
      <span className="flex items-center gap-2 text-base text-alarm">
        {swap.refusedBy} {BAND_WORDS.wouldRatherHearItAsWritten}
        <Button look="bare" onClick={() => onRefuse('')}>
          {BAND_WORDS.allowIt}
        </Button>
      </span>
    );
  const by = reader.member !== null && reader.member.id !== player.id ? reader.member.name : BAND_WORDS.somebody;
  return (
    <Button look="bare" onClick={() => onRefuse(by)}>
      {by === 'Somebody' ? BAND_WORDS.refuseIt : BAND_WORDS.refusesIt(by)}
    </Button>
  );
}
