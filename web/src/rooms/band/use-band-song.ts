import type { Key } from '@aurora/core';
import type { Song } from '@aurora/wire';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useSong } from '../../api/songs.ts';
import { type Tonight, useTonightSet } from '../../document/use-evening.ts';

/** The song a part of the room is about: the open one, or one of tonight's. */
export interface BandSong {
  readonly song: Song | undefined;
  /** Whether it is still being fetched; only then it is not known that there is none. */
  readonly waiting: boolean;
  readonly tonight: Tonight | null;
  /** Its first place in tonight's set; −1 when it is not in it. */
  readonly at: number;
  /** Its key there; null when it is not in it, or is played in its own. */
  readonly tonightsKey: Key | null;
  /** What can be chosen instead. */
  readonly songs: readonly Song[];
  readonly choose: (songId: string) => void;
}

export function useBandSong(): BandSong {
  const { songId } = useParams();
  const opened = useSong(songId);
  const open = opened.data;
  const { tonight, waiting } = useTonightSet();
  const [chosen, setChosen] = useState<string | null>(null);
  const songs = [...(open === undefined ? [] : [open]), ...(tonight?.state.songs ?? []).filter(({ id }) => id !== open?.id)];
  const song = songs.find(({ id }) => id === chosen) ?? songs[0];
  const at = tonight?.evening.entries.findIndex((one) => one.song?.songId === song?.id) ?? -1;
  return {
    song,
    waiting: song === undefined && (waiting || (songId !== undefined && opened.isPending)),
    tonight,
    at,
    tonightsKey: tonight?.evening.entries[at]?.song?.key ?? null,
    songs,
    choose: setChosen,
  };
}
