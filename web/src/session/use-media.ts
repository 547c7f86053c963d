import { useCallback, useSyncExternalStore } from 'react';

/** Whether a media query holds just now. */
export function useMedia(query: string): boolean {
  const subscribe = useCallback(
    (listener: () => void) => {
      const media = window.matchMedia?.(query);
      media?.addEventListener('change', listener);
      return () => media?.removeEventListener('change', listener);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia?.(query).matches ?? false);
}

/** The same as the `phone` variant of the styles. */
const PHONE = '(max-width: 639.9px), (max-height: 499.9px)';

/** Whether there is room for one thing only: a phone upright or lying, or a window magnified four times. */
export function usePhone(): boolean {
  return useMedia(PHONE);
}
