/** A key that was pressed before anything was there to take it. */
export interface EarlyKey {
  readonly key: string;
  readonly shiftKey: boolean;
}

/** Whoever presses nothing for so long has not been waiting. */
const PATIENCE_MS = 15_000;
const NAMED = new Set(['Tab', 'Enter', 'Backspace', 'Escape']);

let end: (() => EarlyKey[]) | null = null;

/**
 * Keeps what is typed from now on until what it is meant for is there: somebody who presses *New song* plays on at once. A
 * press elsewhere ends it; Esc is a key like the others, and gives up the bar it is pressed in.
 */
export function keepEarlyKeys(): void {
  end?.();
  const keys: EarlyKey[] = [];
  const take = (event: KeyboardEvent) => {
    const { key, shiftKey, ctrlKey, metaKey, altKey, isComposing } = event;
    if (isComposing || ctrlKey || metaKey || altKey || isField(event.target)) return;
    if ([...key].length > 1 && !NAMED.has(key)) return;
    keys.push({ key, shiftKey });
    // the button that was pressed is not pressed once more by Enter or Space
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  const forget = () => void end?.();
  const timer = window.setTimeout(forget, PATIENCE_MS);
  window.addEventListener('keydown', take, true);
  window.addEventListener('pointerdown', forget, true);
  end = () => {
    window.clearTimeout(timer);
    window.removeEventListener('keydown', take, true);
    window.removeEventListener('pointerdown', forget, true);
    end = null;
    return keys;
  };
}

/** What was typed meanwhile, for whoever takes it; from now on keys go where they are pressed. */
export function takeEarlyKeys(): readonly EarlyKey[] {
  return end?.() ?? [];
}

function isField(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}
