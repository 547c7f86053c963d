import { checkInstrument, INSTRUMENTS, type Instrument, STANDARD_GUITAR } from '@aurora/core';
import { type Member, type MemberChange, type MemberCreateRequest, member as memberSchema, membersAnswer } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { z } from 'zod';
import { create } from 'zustand';
import { useLens } from '../session/lens-store.ts';
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

/** Everyone in the band; undefined until the server has answered. */
export function useMembers(): readonly Member[] | undefined {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: membersKey(bandId),
    queryFn: async () => (await call('GET', `/bands/${bandId}/members`, membersAnswer)).members,
    enabled: bandId !== '',
  }).data;
}

/** What can be done with the people in the band; shown at once, taken back where the server refuses. */
export function useMemberChanges() {
  const queries = useQueryClient();
  const bandId = useBand().data?.id ?? '';
  const put = (put: (before: readonly Member[]) => readonly Member[]) =>
    queries.setQueryData<readonly Member[]>(membersKey(bandId), (before = []) => put(before));
  const refresh = () => void queries.invalidateQueries({ queryKey: membersKey(bandId) });
  const add = useMutation({
    mutationFn: (wish: MemberCreateRequest) => call('POST', `/bands/${bandId}/members`, memberSchema, wish),
    onSuccess: (member) => put((before) => [...before, member]),
  });
  const change = useMutation({
    mutationFn: ({ id, change }: { readonly id: string; readonly change: MemberChange }) =>
      call('PATCH', `/bands/${bandId}/members/${id}`, memberSchema, change),
    onMutate: ({ id, change: { reads, ...rest } }) =>
      put((before) => before.map((one) => (one.id === id ? ({ ...one, ...rest, reads: { ...one.reads, ...reads } } as Member) : one))),
    onError: refresh,
  });
  const remove = useMutation({
    mutationFn: (id: string) => call('DELETE', `/bands/${bandId}/members/${id}`, gone),
    onMutate: (id) => put((before) => before.filter((one) => one.id !== id)),
    onError: refresh,
  });
  return { add, change, remove };
}

const gone = z.object({ gone: z.boolean() });

export interface Playing {
  readonly members: readonly Member[];
  readonly player: Member | null;
  /** The player's instrument with the capo of the reader lens on it. */
  readonly instrument: Instrument;
  readonly sitDown: (memberId: string) => void;
  /** Keeps how the player's instrument is set up. */
  readonly setUp: (instrument: Instrument) => void;
}

/** Who plays at this device, on what, and how to change both. A fretted player chosen as the reader plays. */
export function usePlaying(): Playing {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const members = useMembers() ?? NOBODY;
  const { memberId } = useSeat();
  const { reader } = useLens();
  const capo = reader.reader.capo;
  const seated = members.find(({ id }) => id === memberId) ?? members.find(({ plays }) => /guitar/.test(plays)) ?? members[0] ?? null;
  const read = members.find(({ id }) => id === reader.member?.id);
  const player = read !== undefined && FRETTED.test(read.plays) ? read : seated;
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

const NOBODY: readonly Member[] = [];
const FRETTED = /guitar|bass(?!oon)/i;

const BY_WORD: readonly (readonly [RegExp, string])[] = [
  [/five.*bass|bass.*five/, 'Five-string bass'],
  [/bass(?!oon)/, 'Bass'],
  [/seven/, 'Seven-string guitar'],
];

/** The instrument as it was set up; else one that goes by what the member plays. */
export function instrumentOf(player: Member | null): Instrument {
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
