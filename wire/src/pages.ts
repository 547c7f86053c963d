/** The addresses of the application's rooms, as patterns: the browser opens them, the server answers them with the page. */
export const PAGES = [
  '',
  'harmonize',
  'analyze',
  'analyze/score/:pieceId?',
  'chart',
  'band/stand',
  'band/:part?',
  'practice/session',
  'practice/:part?',
  'neck',
  'settings',
  'begin',
  'songs/:songId',
  'songs/:songId/harmonize',
  'songs/:songId/analyze',
  'songs/:songId/chart',
  'songs/:songId/band/:part?',
  'songs/:songId/neck',
  'songs/:songId/stand',
] as const;

export type Page = (typeof PAGES)[number];
