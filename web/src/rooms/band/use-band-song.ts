import type { Song } from '@aurora/wire';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useSong } from '../../api/songs.ts';
import { type Tonight, useTonightSet } from '../../document/use-evening.ts';

/** The song a part of the room is about: the open one, or one of tonight's. */
export interface BandSong {
  readonly song: Song | undefined;
  readonly tonight: Tonight | null;
  /** Its first place in tonight's set; −1 when it is not in it. */
  readonly at: number;
  /** What can be chosen instead. */
  readonly songs: readonly Song[];
  readonly choose: (songId: string) => void;
}

export function useBandSong(): BandSong {
  const { songId } = useParams();
  const open = useSong(songId).data;
  const { tonight } = useTonightSet();
  const [chosen, setChosen] = useState<string | null>(null);
  const songs = [...(open === undefined ? [] : [open]), ...(tonight?.state.songs ?? []).filter(({ id }) => id !== open?.id)];
  const song = songs.find(({ id }) => id === chosen) ?? songs[0];
  const at = tonight?.evening.entries.findIndex((one) => one.song?.songId === song?.id) ?? -1;
  return { song, tonight, at, songs, choose: setChosen };
}
