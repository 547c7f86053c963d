import { useEffect, useRef } from 'react';

/** What each key does, by its name (`[`, `ArrowLeft`, `Ctrl+k`, `Alt+2`). */
export type KeyMap = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** Listens for single keys, except while somebody writes, or a dialog or a menu is open. */
export function useShortcuts(keys: KeyMap): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const name = nameOf(event);
      const action = current.current[name];
      if (action === undefined || event.defaultPrevented) return;
      if (!name.startsWith('Ctrl+') && isBusy(event.target)) return;
      if (needsItself(event)) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

/** With Alt the key itself counts, whatever sign it makes on this keyboard; the Alt that only makes signs is none. */
function nameOf(event: KeyboardEvent): string {
  const { altKey, ctrlKey, metaKey, shiftKey, code, key } = event;
  if (altKey && !ctrlKey && !event.getModifierState('AltGraph'))
    return `Alt+${shiftKey ? 'Shift+' : ''}${/^Digit\d$/.test(code) ? code.slice(-1) : key}`;
  return `${ctrlKey || metaKey ? 'Ctrl+' : ''}${key}`;
}

/** The keys of a room's parts: Alt and the digit of each, in order. */
export function partKeys<Name extends string>(
  parts: readonly (readonly [name: Name, label: string])[],
  open: (name: Name) => void,
): KeyMap {
  return Object.fromEntries(parts.map(([name], place) => [`Alt+${place + 1}`, () => open(name)]));
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
