/** Marks on the page whether the last thing done was a press or a key: who presses sees no focus ring, who goes by keys does. */
export function tellFocusWay(page: HTMLElement = document.documentElement): void {
  const by = (way: 'press' | 'keys') => () => {
    page.dataset.by = way;
  };
  addEventListener('pointerdown', by('press'), { capture: true, passive: true });
  addEventListener('keydown', by('keys'), { capture: true, passive: true });
}
