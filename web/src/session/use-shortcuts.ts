import { useEffect, useRef } from 'react';

/** What each key does, by its name (`[`, `ArrowLeft`, `Ctrl+k`). */
export type KeyMap = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** Listens for single keys, except while somebody writes, or a dialog or a menu is open. */
export function useShortcuts(keys: KeyMap): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const name = `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.key}`;
      const action = current.current[name];
      if (action === undefined || event.defaultPrevented || event.altKey) return;
      if (!name.startsWith('Ctrl+') && isBusy(event.target)) return;
      if (needsItself(event)) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

function isBusy(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return true;
  return target.closest('[role="dialog"],[role="menu"],[role="listbox"]') !== null;
}

/** Space and Enter belong to the button or link that has the focus; arrows to a group of choices. */
function needsItself(event: KeyboardEvent): boolean {
  if (!(event.target instanceof HTMLElement)) return false;
  if (event.key === ' ' || event.key === 'Enter')
    return event.target.closest('button,a,[role="button"]') !== null && !event.target.closest('[data-chord]');
  return event.key.startsWith('Arrow') && event.target.closest('[role="group"],[role="radiogroup"],[role="slider"]') !== null;
}
