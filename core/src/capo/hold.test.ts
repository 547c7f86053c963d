import { describe, expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { INSTRUMENTS, STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { chroma } from '../pitch/note.ts';
import { easiestHold } from './hold.ts';

const chord = (symbol: string) => requireValue(parseChord(symbol));
const hold = (symbol: string) => easiestHold(chord(symbol), STANDARD_GUITAR);
const words = (text: string) => text.split(' ');

describe('open chords of a guitar in standard tuning', () => {
  test.each(
    words('C D E G A Am Dm Em A7 B7 C7 D7 E7 G7 Am7 Dm7 Em7 Cmaj7 Dmaj7 Emaj7 Fmaj7 Gmaj7 Amaj7 Asus2 Asus4 Dsus2 Dsus4 Esus4 Cadd9 Gadd9'),
  )('%s is one', (symbol) => expect(hold(symbol).open).toBe(true));

  test.each(words('F Bb B Eb Ab Db F# Bm Cm Gm Fm F#m C#m G#m Bbm F7 F#7 Bb7 Eb7 Cm7 Fm7 F#m7 Ebmaj7 Bbmaj7 Abmaj7'))(
    '%s is none',
    (symbol) => expect(hold(symbol).open).toBe(false),
  );

  test.each(words('G/B C/G C/E D/F# D/A Am/G Em/D'))('%s has its bass lowest', (symbol) => {
    const { open, frets } = hold(symbol);
    expect(open).toBe(true);
    const string = frets?.findIndex((fret) => fret !== null) ?? -1;
    const lowest = (STANDARD_GUITAR.tuning[string] as number) + (frets?.[string] as number);
    expect(lowest % 12).toBe(chroma(chord(symbol).bass as number));
  });
});

test('an open chord asks less of the hand than the barre of its kind', () => {
  for (const [open, barre] of [
    ['E', 'F'],
    ['Am', 'Bm'],
    ['A7', 'Bb7'],
    ['Em', 'Fm'],
  ] as const)
    expect(hold(open).difficulty).toBeLessThan(hold(barre).difficulty);
});

test('every instrument holds what it can, and says so when it cannot', () => {
  for (const instrument of INSTRUMENTS) {
    for (const symbol of words('C Ebm7 F#7 Bbmaj7 G13 D/F#')) {
      const { open, difficulty, frets } = easiestHold(chord(symbol), instrument);
      expect(difficulty).toBeGreaterThanOrEqual(0);
      expect(difficulty).toBeLessThanOrEqual(10);
      if (frets === null) expect(open).toBe(false);
      else expect(frets).toHaveLength(instrument.tuning.length);
      if (open) expect(frets).toContain(0);
    }
  }
});
