import { useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { lensesOf, lensSearch, useLens } from './lens-store.ts';

/** Keeps the lenses and the address the same, so that a link opens the same song, key and reader. */
export function useLensAddress(): void {
  const { pathname, search, hash } = useLocation();
  const navigate = useNavigate();
  const written = useRef<string | null>(null);

  useEffect(() => {
    if (search === written.current) return;
    written.current = search;
    useLens.setState(lensesOf(search));
  }, [search]);

  useEffect(
    () =>
      useLens.subscribe((state) => {
        const wanted = lensSearch(state);
        if (wanted === written.current) return;
        written.current = wanted;
        void navigate({ pathname, search: wanted, hash }, { replace: true });
      }),
    [navigate, pathname, hash],
  );
}
