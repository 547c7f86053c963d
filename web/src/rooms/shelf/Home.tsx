import { useState } from 'react';
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
  if (sets.isPending) return null;
  const known = sets.data ?? [];
  const set = setSoonOn(known, now) ?? (isGuest ? known[0] : undefined);
  if (set === undefined) return <Shelf />;
  useTonight.setState({ setId: set.id });
  return <Navigate to="/band/tonight" replace />;
}
