/** How a tab looks: quiet until its part is open. */
export const TAB_LOOK =
  'relative min-h-11 shrink-0 border-b-[3px] border-transparent px-2.5 text-base font-semibold whitespace-nowrap text-quiet hover:text-ink data-[state=active]:border-accent data-[state=active]:text-ink';
