/** What is said where the server does not answer, or not as it should. Another language is another table of this shape. */
export const ANSWER_WORDS = {
  away: 'The server does not answer. What you write is kept on this device.',
  fileAway: 'The server does not answer. The file is as it was; try it again.',
  fileUnread: 'The file could not be read.',
  nobodyIsIn: 'Nobody is signed in on this device.',
  noPdf: 'The server does not answer, so there is no PDF now. Printing and SVG work without it.',
  notSavedYet: 'The server does not answer; not saved yet.',
  signedOut: 'You are signed out. What you wrote is kept on this device and sent when you sign in.',
  tooLarge: 'This is more than the server takes. Make it shorter, or two of it.',
  tooMany: 'The server asks for a moment; it is saved in a little while.',
  pdfUnset: 'This sheet could not be set as a PDF. Printing and SVG work without it.',
} as const;
