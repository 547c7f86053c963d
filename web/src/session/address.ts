import { lensesOf, lensSearch, useLensStore } from './lens-store.ts';

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

/** Keeps the lenses and the address the same, so that a link opens the same song, key and reader. */
export function bindAddress(router: Router): void {
  let written = router.state.location.search;
  useLensStore.setState(lensesOf(written));
  router.subscribe(({ location: { search } }) => {
    if (search === written) return;
    written = search;
    useLensStore.setState(lensesOf(search));
  });
  useLensStore.subscribe((state) => {
    const wanted = lensSearch(state);
    if (wanted === written) return;
    written = wanted;
    const { pathname, hash } = router.state.location;
    void router.navigate({ pathname, search: wanted, hash }, { replace: true });
  });
}
