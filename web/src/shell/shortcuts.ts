/** One key and what it does, as the sheet lists it. */
export interface Shortcut {
  readonly keys: string;
  readonly does: string;
  readonly where: 'Everywhere' | 'Harmonize' | 'Analyze' | 'Chart' | 'Neck';
}

export const SHORTCUTS: readonly Shortcut[] = [
  { keys: 'Ctrl K', does: 'Go to a song, a key, a room', where: 'Everywhere' },
  { keys: '[', does: 'Key down a half step', where: 'Everywhere' },
  { keys: ']', does: 'Key up a half step', where: 'Everywhere' },
  { keys: '\\', does: 'Back to the home key', where: 'Everywhere' },
  { keys: 'Space', does: 'Hear the selected chord', where: 'Everywhere' },
  { keys: 'n', does: 'Fold the neck away, or back', where: 'Everywhere' },
  { keys: 'N', does: 'Open the neck in a room of its own', where: 'Everywhere' },
  { keys: 'w', does: 'Fold the why away, or back', where: 'Everywhere' },
  { keys: 'd', does: 'Paper or Night', where: 'Everywhere' },
  { keys: 'm', does: 'What things are called', where: 'Everywhere' },
  { keys: 'g', does: 'The glossary', where: 'Everywhere' },
  { keys: '?', does: 'This sheet', where: 'Everywhere' },
  { keys: '← →', does: 'Walk the degrees', where: 'Harmonize' },
  { keys: '↑ ↓', does: 'Key up or down a half step', where: 'Harmonize' },
  { keys: 't', does: 'Triads, sevenths … fourths', where: 'Harmonize' },
  { keys: 'T', does: 'This degree alone a third deeper', where: 'Harmonize' },
  { keys: '1 – 9', does: 'What to look at under the chords', where: 'Harmonize' },
  { keys: 'a', does: 'Hear the whole key', where: 'Harmonize' },
  { keys: 'Enter', does: 'Add the selected chord to the progression', where: 'Harmonize' },
  { keys: '← →', does: 'Walk the chords', where: 'Analyze' },
  { keys: 'h', does: 'Hearing: local, home, both', where: 'Analyze' },
  { keys: 'a', does: 'Hear the song from here', where: 'Analyze' },
  { keys: '1 – 4', does: 'Reading, scales, what if, patterns', where: 'Analyze' },
  { keys: 'Ctrl Z', does: 'Take back; Ctrl Y does again', where: 'Analyze' },
  { keys: '← →', does: 'Walk the chords of the chart', where: 'Chart' },
  { keys: 'e', does: 'Write: into the text and back with Esc', where: 'Chart' },
  { keys: '← →', does: 'Walk the shapes, or the dots', where: 'Neck' },
  { keys: 'f', does: 'The next family of shapes', where: 'Neck' },
  { keys: 'i', does: 'The next inversion', where: 'Neck' },
  { keys: 's', does: 'All notes, or one shape', where: 'Neck' },
  { keys: '1 – 6', does: 'Shapes, key, path, runs, name it, instrument', where: 'Neck' },
];
