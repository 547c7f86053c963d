import { useEffect, useState } from 'react';
import { Navigate, useLocation } from 'react-router';
import { useSets } from '../../api/sets.ts';
import { useBand } from '../../api/songs.ts';
import { setSoonOn } from '../../parts/evening/soon-on.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { Shelf } from './Shelf.tsx';

/** The way in: a member comes in on the set that is on within a day, a guest on theirs; everybody else, and later, on the songs. */
export function Home() {
  // the first entry of a router: the page was opened with it
  const [arrives] = useState(useLocation().key === 'default');
  const role = useBand().data?.role;
  return arrives && (role === 'member' || role === 'guest') ? <Arrival isGuest={role === 'guest'} /> : <Shelf />;
}

function Arrival({ isGuest }: { readonly isGuest: boolean }) {
  const sets = useSets();
  const [now] = useState(() => new Date());
  const known = sets.data ?? [];
  const setId = (setSoonOn(known, now) ?? (isGuest ? known[0] : undefined))?.id;
  useEffect(() => {
    if (setId !== undefined) useTonight.setState({ setId });
  }, [setId]);
  if (sets.isPending) return null;
  return setId === undefined ? <Shelf /> : <Navigate to="/band/tonight" replace />;
}
