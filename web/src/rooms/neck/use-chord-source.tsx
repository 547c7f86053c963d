import { type Key, nameNote, readChart } from '@aurora/core';
import { type ReactNode, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useSong } from '../../api/songs.ts';
import { readBarsTyped, useProgression } from '../../document/progression-store.ts';
import { AnsweringField } from '../../ui/AnsweringField.tsx';
import { Button } from '../../ui/Button.tsx';
import { NECK_WORDS } from '../../wording/neck.ts';
import { chordsPlayed, type SongChord } from './song-chords.ts';

const TEMPO = 84;
const EXAMPLE = '1maj7 6-7 2-7 57';

export interface ChordSource {
  readonly title: string;
  readonly chords: readonly SongChord[];
  readonly tempo: number;
  /** Where other chords are typed. */
  readonly field: ReactNode;
}

/** Where the chords come from: what is typed here, else the open song, else the gathered progression. */
export function useChordSource(key: Key): ChordSource {
  const { songId } = useParams();
  const song = useSong(songId).data;
  const gathered = useProgression((state) => state.bars);
  const [text, setText] = useState('');
  const typed = text.trim() === '' ? null : readBarsTyped(text, key);
  const bars = typed !== null && 'bars' in typed ? typed.bars : gathered;
  const source = typed === null && song !== undefined ? song.source : `key: ${keyText(key)}\n[A]\n${bars.join(' ')}`;
  const reading = useMemo(() => readChart(source), [source]);
  const chords = useMemo(() => chordsPlayed(reading, key.tonic), [reading, key.tonic]);
  const where = song !== undefined ? NECK_WORDS.ofWord(song.title || NECK_WORDS.theOpenSong) : NECK_WORDS.gatheredInHarmonize;
  return {
    title: typed === null && song !== undefined ? song.title || NECK_WORDS.song : NECK_WORDS.progression,
    chords,
    tempo: reading.head.tempo ?? TEMPO,
    field: (
      <div className="w-full max-w-xl">
        <AnsweringField
          label={NECK_WORDS.chordsForThePath}
          value={text}
          placeholder={NECK_WORDS.theChordsOrTypeOthers(where)}
          fault={typed !== null && 'fault' in typed ? typed.fault : null}
          onChange={setText}
        />
        {chords.length === 0 && (
          <p className="mt-1 text-quiet">
            {NECK_WORDS.noChordsYetTypeSomeHere}{' '}
            <Button look="bare" onClick={() => setText(EXAMPLE)}>
              {NECK_WORDS.tryWord} {EXAMPLE}
            </Button>
          </p>
        )}
      </div>
    ),
  };
}

function keyText(key: Key): string {
  return `${nameNote(key.tonic, 'english').replaceAll('♭', 'b').replaceAll('♯', '#')} ${key.scale}`;
}
