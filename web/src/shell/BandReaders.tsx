import { useEffect } from 'react';
import { useMembers } from '../api/members.ts';
import { useLens } from '../session/lens-store.ts';

/** Tells the reader lens who is in the band. Nothing is seen of it. */
export function BandReaders() {
  const members = useMembers();
  useEffect(() => {
    if (members !== undefined) useLens.getState().setMembers(members);
  }, [members]);
  return null;
}
