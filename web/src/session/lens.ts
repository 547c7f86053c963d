import { type Key, type Naming, sameKey } from '@aurora/core';
import type { Member } from '@aurora/wire';
import { useMemo } from 'react';
import { useMembers, useMembersQuery } from '../api/members.ts';
import { usePreferences } from '../api/preferences.ts';
import { useBand } from '../api/songs.ts';
import { lensLink, type Selection, useLensStore } from './lens-store.ts';
import { useOpened } from './opened.ts';
import { CONCERT, memberChoice, type ReaderChoice, readerChoice } from './reader-view.ts';

/** How everything is seen: through which key, whose eyes, in which words. */
export interface Lens {
  /** The key everything is read in; null for the key at rest. */
  readonly key: Key | null;
  /** The key at rest: the open song's own, or tonight's; null with nothing open. */
  readonly homeKey: Key | null;
  readonly reader: ReaderChoice;
  /** Everyone a song can be read as by name; null until the band is known. */
  readonly members: readonly Member[] | null;
  /** What things are called by whoever reads. */
  readonly naming: Naming;
  readonly selection: Selection | null;
}

/** Oneself as a reader: whoever is signed in on this device; concert pitch where nobody is a player. */
export function useOwnReaderId(): string {
  const memberId = useBand().data?.memberId ?? null;
  return memberId === null ? CONCERT.id : `m-${memberId}`;
}

/** Somebody else whose eyes everything is read through for this visit, and oneself; null while one reads as oneself. */
export function useOtherReader(): { readonly other: ReaderChoice; readonly own: ReaderChoice } | null {
  const reader = useReader();
  const ownId = useOwnReaderId();
  const members = useMembers() ?? null;
  const isChosen = useLensStore(({ readerId }) => readerId !== null);
  const own = useMemo(() => readerChoice(ownId, members), [ownId, members]);
  return !isChosen || reader.id === ownId || reader.member?.id === own.member?.id ? null : { other: reader, own };
}

/** Whether it is known how one reads: before, nothing is shown in another's pitch. */
export function useReaderIsKnown(): boolean {
  const { isPending } = useMembersQuery();
  const { isError } = useBand();
  // who has no band, or cannot be told which, reads what sounds
  return isError || !isPending;
}

/** Whose eyes everything is read through, as they are in the band just now: one's own, or another's that was chosen. */
export function useReader(): ReaderChoice {
  const chosen = useLensStore(({ readerId }) => readerId);
  const own = useOwnReaderId();
  const id = chosen ?? own;
  const members = useMembers() ?? null;
  const { capos } = useOpened();
  return useMemo(() => {
    const choice = readerChoice(id, members);
    const { member } = choice;
    const tonight = member === null ? undefined : capos[member.id];
    // a fret chosen by hand goes before tonight's
    return member === null || tonight === undefined || id !== memberChoice(member).id ? choice : memberChoice(member, tonight);
  }, [id, members, capos]);
}

/** What things are called: as the reader calls them, else as the band does. */
export function useNaming(): Naming {
  const { preferences } = usePreferences();
  return useReader().member?.reads.naming ?? preferences.naming;
}

/** The lenses with everything that follows from them. */
export function useLens(): Lens {
  const { key, selection } = useLensStore();
  const { home, resting } = useOpened();
  const homeKey = resting ?? home;
  return {
    key: sameKey(key, homeKey) ? null : key,
    homeKey,
    reader: useReader(),
    members: useMembers() ?? null,
    naming: useNaming(),
    selection,
  };
}

/** Makes ways to rooms, with the lenses at their end where they are read through them. */
export function useLensLinks(): (pathname: string) => ReturnType<typeof lensLink> {
  const key = useLensStore((state) => state.key);
  const readerId = useLensStore((state) => state.readerId);
  return (pathname) => lensLink(pathname, { key, readerId });
}
