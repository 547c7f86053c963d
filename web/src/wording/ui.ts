/** Words that controls have of themselves. Another language is another table of this shape. */
export const UI_WORDS = {
  close: 'Close',
  to: 'to',
  foldAway: 'Fold away',
} as const;
