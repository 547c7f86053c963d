import { lensesOf, lensSearch, readsThroughLenses, useLensStore } from './lens-store.ts';

/** What of a router the lenses need. */
interface Router {
  readonly state: { readonly location: Place };
  readonly subscribe: (listener: (state: { readonly location: Place }) => void) => () => void;
  readonly navigate: (to: Place, options: { readonly replace: true }) => unknown;
}

interface Place {
  readonly pathname: string;
  readonly search: string;
  readonly hash: string;
}

/** Keeps the lenses and the address of what is read through them the same, so that a link opens the same song, key and reader. */
export function bindAddress(router: Router): void {
  let written = router.state.location.search;
  useLensStore.setState(lensesOf(written));
  router.subscribe(({ location: { pathname, search } }) => {
    // a room in between leaves the lenses as they are
    if (search === written || !readsThroughLenses(pathname)) return;
    written = search;
    useLensStore.setState(lensesOf(search));
  });
  useLensStore.subscribe((state) => {
    const wanted = lensSearch(state);
    const { pathname, hash } = router.state.location;
    if (wanted === written || !readsThroughLenses(pathname)) return;
    written = wanted;
    void router.navigate({ pathname, search: wanted, hash }, { replace: true });
  });
}
