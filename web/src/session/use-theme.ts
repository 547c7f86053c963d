import { useEffect } from 'react';
import { setDevice, type Theme, useDevice } from './device-store.ts';
import { useMedia } from './use-media.ts';

const DARK = '(prefers-color-scheme: dark)';

/** The theme in force: chosen on this device, else as the system has it. */
export function useTheme(): { readonly theme: Theme; readonly turn: () => void } {
  const chosen = useDevice((state) => state.theme);
  const isDark = useMedia(DARK);
  const theme = chosen ?? (isDark ? 'night' : 'paper');
  return { theme, turn: () => setDevice({ theme: theme === 'paper' ? 'night' : 'paper' }) };
}

/** Puts the theme in force on the page before anything is drawn. */
export function paintTheme(): void {
  const isDark = window.matchMedia?.(DARK).matches ?? false;
  document.documentElement.dataset.theme = useDevice.getState().theme ?? (isDark ? 'night' : 'paper');
}

/** What is printed is on paper, whatever the screen is like; afterwards the screen is as it was. */
export function printOnPaper(): void {
  const page = document.documentElement.dataset;
  let before = page.theme;
  window.addEventListener('beforeprint', () => {
    before = page.theme;
    page.theme = 'paper';
  });
  window.addEventListener('afterprint', () => {
    page.theme = before;
  });
}

/** Puts a theme on the whole page; what is shown after it puts its own. */
export function useThemeOnPage(theme: Theme): void {
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
}
