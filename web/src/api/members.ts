import { checkInstrument, INSTRUMENTS, type Instrument, STANDARD_GUITAR } from '@aurora/core';
import { type Member, member as memberSchema, membersAnswer } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { create } from 'zustand';
import { useLens } from '../lens/lens-store.ts';
import { call } from './client.ts';
import { useBand } from './songs.ts';

const LOCAL = 'aurora-player';

/** Who plays at this device; kept here, because a band shares everything else. */
const useSeat = create<{ readonly memberId: string | null }>()(() => ({ memberId: readSeat() }));

function readSeat(): string | null {
  try {
    return localStorage.getItem(LOCAL);
  } catch {
    return null;
  }
}

const membersKey = (bandId: string) => ['members', bandId] as const;

export interface Playing {
  readonly members: readonly Member[];
  readonly player: Member | null;
  /** The player's instrument with the capo of the reader lens on it. */
  readonly instrument: Instrument;
  readonly sitDown: (memberId: string) => void;
  /** Keeps how the player's instrument is set up. */
  readonly setUp: (instrument: Instrument) => void;
}

/** Who plays at this device, on what, and how to change both. */
export function usePlaying(): Playing {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const { data: members = [] } = useQuery({
    queryKey: membersKey(bandId),
    queryFn: async () => (await call('GET', `/bands/${bandId}/members`, membersAnswer)).members,
    enabled: bandId !== '',
  });
  const { memberId } = useSeat();
  const capo = useLens(({ reader }) => reader.reader.capo);
  const player = members.find(({ id }) => id === memberId) ?? members.find(({ plays }) => /guitar/.test(plays)) ?? members[0] ?? null;
  const instrument = useMemo(() => withCapo(instrumentOf(player), capo), [player, capo]);
  const { mutate } = useMutation({
    mutationFn: ({ id, instrument }: { readonly id: string; readonly instrument: Instrument }) =>
      call('PUT', `/bands/${bandId}/members/${id}/instrument`, memberSchema, instrument),
    onMutate: ({ id, instrument }) => {
      queries.setQueryData<readonly Member[]>(membersKey(bandId), (before = []) =>
        before.map((one) => (one.id === id ? { ...one, instrument: { ...instrument, tuning: [...instrument.tuning] } } : one)),
      );
    },
    onError: () => void queries.invalidateQueries({ queryKey: membersKey(bandId) }),
  });
  return {
    members,
    player,
    instrument,
    sitDown: (id) => {
      localStorage.setItem(LOCAL, id);
      useSeat.setState({ memberId: id });
    },
    setUp: (instrument) => player !== null && mutate({ id: player.id, instrument: { ...instrument, capo: 0 } }),
  };
}

const BY_WORD: readonly (readonly [RegExp, string])[] = [
  [/five.*bass|bass.*five/, 'Five-string bass'],
  [/bass(?!oon)/, 'Bass'],
  [/seven/, 'Seven-string guitar'],
];

/** The instrument as it was set up; else one that goes by what the member plays. */
function instrumentOf(player: Member | null): Instrument {
  const kept = player?.instrument;
  if (kept !== null && kept !== undefined && checkInstrument(kept).ok) return kept;
  const name = BY_WORD.find(([words]) => words.test(player?.plays.toLowerCase() ?? ''))?.[1];
  return INSTRUMENTS.find((instrument) => instrument.name === name) ?? STANDARD_GUITAR;
}

/** A capo past the comfortable fret takes that fret along. */
function withCapo(instrument: Instrument, capo: number): Instrument {
  return capo === 0
    ? instrument
    : { ...instrument, capo, comfortFret: Math.min(instrument.frets, Math.max(instrument.comfortFret, capo + 5)) };
}
