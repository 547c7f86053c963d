/** Words of the first minute. Another language is another table of this shape. */
export const BEGIN_WORDS = {
  whatDidYouJustPlay: 'What did you just play?',
  pressTheChordsInTheirOrder: 'Press the chords in their order, or type 1 to 7. 1 is home; a minus means minor.',
  theChordsOfAKey: 'The chords of a key',
  playIt: (label: string | number) => `${label}, play it`,
  theSingerWantsItInAnother: 'The singer wants it in another key? The numbers stay:',
  aStepDown: 'A step down',
  aStepUp: 'A step up',
  saveItAsASong: 'Save it as a song',
  whatYouPlayed: 'What you played',
  itsRidgeTheHigherTheFurther: 'Its ridge: the higher, the further from home',
  undoTheLastChord: 'Undo the last chord',
  undo: 'Undo',
  whichKeyWereYouInIts: 'Which key were you in? Its letters come under the numbers.',
  key: 'Key',
} as const;
