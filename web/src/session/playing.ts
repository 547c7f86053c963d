import { checkInstrument, INSTRUMENTS, type Instrument, STANDARD_GUITAR } from '@aurora/core';
import type { Member } from '@aurora/wire';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useInstrumentChange, useMembers } from '../api/members.ts';
import { meQuery, useBand } from '../api/songs.ts';
import { useOtherReader, useReader } from './lens.ts';
import { seatOf, sitDown, useSeat } from './seat.ts';

export interface Playing {
  readonly members: readonly Member[];
  readonly player: Member | null;
  /** Whose practice is kept here: one's own, or of a player nobody has signed in as, by the leader. */
  readonly practises: Member | null;
  /** The player's instrument with the capo of the reader lens on it. */
  readonly instrument: Instrument;
  readonly sitDown: (memberId: string) => void;
  /** Keeps how the player's instrument is set up. */
  readonly setUp: (instrument: Instrument) => void;
}

const NOBODY: readonly Member[] = [];
const FRETTED = /guitar|bass(?!oon)/i;

/** Who plays at this device, on what, and how to change both. A fretted player chosen as the reader plays. */
export function usePlaying(): Playing {
  const members = useMembers() ?? NOBODY;
  const personId = useQuery(meQuery).data?.person?.id ?? null;
  const memberId = seatOf(useSeat(), personId);
  const reader = useReader();
  const other = useOtherReader()?.other.member ?? null;
  const change = useInstrumentChange();
  const capo = reader.reader.capo;
  const { data: band } = useBand();
  const own = members.find(({ id }) => id === band?.memberId) ?? null;
  const seated = members.find(({ id }) => id === memberId) ?? own ?? members[0] ?? null;
  const read = members.find(({ id }) => id === other?.id);
  const player = read !== undefined && FRETTED.test(read.plays) ? read : seated;
  const instrument = useMemo(() => withCapo(instrumentOf(player), capo), [player, capo]);
  return {
    members,
    // of another who is signed in themselves nobody keeps the practice
    practises: band?.role === 'leader' && seated?.isIn === false ? seated : own,
    player,
    instrument,
    sitDown: (id) => sitDown(id, personId),
    setUp: (next) => player !== null && change({ id: player.id, instrument: { ...next, capo: 0 } }),
  };
}

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
