/** A made-up piece with its harmony as somebody worked it out with a pencil. */
export interface HandPiece {
  readonly title: string;
  readonly abc: string;
  /** The chord of every bar, as a plain symbol; `|` parts bars, a space chords of equal length within one. */
  readonly chords: string;
  /** Notes outside the chords: bar and beat, the note, what it is. */
  readonly tones: readonly string[];
  /** The key of a bar, where it is clear. */
  readonly keys: Readonly<Record<number, string>>;
}

function abc(title: string, meter: string, key: string, ...voices: readonly string[]): string {
  const head = ['X:1', `T:${title}`, `M:${meter}`, 'L:1/8', `K:${key}`];
  return [...head, ...voices.map((notes, index) => `V:${index + 1}\n${notes}`)].join('\n');
}

export const HAND_PIECES: readonly HandPiece[] = [
  {
    title: 'Quay Hymn',
    abc: abc(
      'Quay Hymn',
      '4/4',
      'C',
      'e2ed e2g2|a2ag f2c2|d2dc B2d2|c8|e2ed c2A2|d2de f2d2|f2fe d2B2|c8|]',
      '[C,E,G,]8|[F,A,C]8|[G,B,D]8|[C,E,G,]8|[A,,E,C]8|[F,A,D]8|[G,,F,B,]8|[C,,E,G,]8|]',
    ),
    chords: 'C | F | G | C | Am | Dm/F | G7 | C',
    tones: ['1:2.5 D5 neighbour', '2:2.5 G5 passing', '3:2.5 C5 passing', '5:2.5 D5 passing', '6:2.5 E5 passing', '7:2.5 E5 passing'],
    keys: { 1: 'C', 8: 'C' },
  },
  {
    title: 'Lantern Waltz',
    abc: abc(
      'Lantern Waltz',
      '3/4',
      'G',
      'd3e d2|c4 A2|B3A G2|e6|d3c B2|c3B A2|F4 A2|G6|]',
      'G,,2[B,D]2[B,D]2|F,,2[A,CD]2[A,CD]2|G,,2[B,D]2[B,D]2|C,2[EG]2[EG]2|B,,2[DG]2[DG]2|A,,2[CE]2[CE]2|D,2[F,A,C]2[F,A,C]2|G,,2[B,D]2[B,D]2|]',
    ),
    chords: 'G | D7/F# | G | C | G/B | Am | D7 | G',
    tones: ['1:2.5 E5 neighbour', '3:2.5 A4 passing', '5:2.5 C5 passing', '6:2.5 B4 passing'],
    keys: { 1: 'G', 8: 'G' },
  },
  {
    title: 'Study over a Low String',
    abc: abc(
      'Study over a Low String',
      '2/4',
      'Am',
      'eAce|gfAd|e^GBd|cAce|fAcf|fAdf|fe^GB|Ace2|]',
      'A,,4|A,,4|A,,4|A,,4|F,,4|F,,4|E,,4|A,,4|]',
    ),
    chords: 'Am | Dm/A | E7/A | Am | F | Dm/F | E | Am',
    tones: ['2:1 G5 appoggiatura', '3:1 A2 pedal', '7:1 F5 suspension'],
    keys: { 1: 'Am', 8: 'Am' },
  },
  {
    title: 'Dockyard Riff',
    abc: abc(
      'Dockyard Riff',
      '4/4',
      'F',
      'c2cd e2c2|d2de f2d2|e2ef g2e2|f2fg a2f2|a2ag f2d2|g2ga b2g2|g2gf e2c2|f8|]',
      '[Ace]2z2[Ace]2z2|[Bdf]2z2[Bdf]2z2|[Beg]2z2[Beg]2z2|[Acf]2z2[Acf]2z2|[Acf]2z2[Acf]2z2|[Bdf]2z2[Bdf]2z2|[Beg]2z2[Beg]2z2|[Acf]8|]',
      'F,2A,2C2A,2|G,2B,2D2B,2|C,2E,2G,2E,2|F,2A,2C2A,2|D,2F,2A,2C2|G,2B,2D2B,2|C,2E,2G,2B,2|F,8|]',
    ),
    chords: 'Fmaj7 | Gm7 | C7 | F | Dm7 | Gm7 | C7 | F',
    tones: [
      '1:2.5 D5 passing',
      '2:2.5 E5 passing',
      '3:2.5 F5 passing',
      '4:2.5 G5 passing',
      '5:2.5 G5 passing',
      '6:2.5 A5 passing',
      '7:2.5 F5 passing',
    ],
    keys: { 1: 'F', 8: 'F' },
  },
  {
    title: 'Ferry for Two',
    abc: abc(
      'Ferry for Two',
      '4/4',
      'Dm',
      'a2ag f2d2|e2ef g2e2|f2fe d2a2|b2ba g2d2|^c2^cd e2a2|f2fg a2f2|e2ed ^c2e2|d8|]',
      'D,2F,2A,2F,2|^C,2E,2A,2G,2|D,2F,2A,2F,2|G,2B,2D2B,2|A,2^C2E2G2|D,2F,2A,2F,2|A,,2^C,2E,2G,2|D,2F,2A,2D2|]',
    ),
    chords: 'Dm | A7/C# | Dm | Gm | A7 | Dm | A7 | Dm',
    tones: [
      '1:2.5 G5 passing',
      '2:2.5 F5 passing',
      '3:2.5 E5 passing',
      '4:2.5 A5 passing',
      '5:2.5 D5 passing',
      '6:2.5 G5 passing',
      '7:2.5 D5 passing',
    ],
    keys: { 1: 'Dm', 8: 'Dm' },
  },
  {
    title: 'Tidehouse Barcarolle',
    abc: abc(
      'Tidehouse Barcarolle',
      '6/8',
      'Eb',
      "g2f g3|a2b c'3|d2e f3|e6|e2d c3|c2B A3|F2G A3|G6|]",
      'E,[G,B,][G,B,]E,[G,B,][G,B,]|A,,[CE][CE]A,,[CE][CE]|B,,[DFA][DFA]B,,[DFA][DFA]|E,[G,B,][G,B,]E,[G,B,][G,B,]|C,[G,E][G,E]C,[G,E][G,E]|A,,[CF][CF]A,,[CF][CF]|B,,[DFA][DFA]B,,[DFA][DFA]|E,[G,B,][G,B,]E,3|]',
    ),
    chords: 'Eb | Ab | Bb7 | Eb | Cm | Fm/Ab | Bb7 | Eb',
    tones: ['1:3 F5 neighbour', '2:3 Bb5 passing', '3:3 Eb5 passing', '5:3 D5 passing', '6:3 Bb4 passing', '7:3 G4 passing'],
    keys: { 1: 'Eb', 8: 'Eb' },
  },
  {
    title: 'Harbour Light, Diminished',
    abc: abc(
      'Harbour Light, Diminished',
      '4/4',
      'Em',
      'e4g4|a4e4|f4a4|g4e4|g4e4|f4^d4|f2fg a4|g8|]',
      '[E,B,EG]8|[C,A,E]8|[^D,A,CF]8|[E,B,EG]8|[^A,,^CEG]8|[B,,F,B,^D]8|[B,,F,A,^D]8|[E,,B,EG]8|]',
    ),
    chords: 'Em | Am/C | D#dim7 | Em | A#dim7 | B | B7 | Em',
    tones: ['7:2.5 G5 passing'],
    keys: { 1: 'Em', 8: 'Em' },
  },
  {
    title: 'Two Piers',
    abc: abc(
      'Two Piers',
      '4/4',
      'C',
      'e4g4|a4f4|g4f4|e8|e4c4|d4^f4|g4d4|^f4a4|g4e4|e4c4|d4c4|B8|d4f4|e8|d4B4|c8|]',
      '[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,G,CE]8|[A,,E,A,C]8|[D,^F,A,C]8|[G,,D,G,B,]8|[D,^F,A,C]8|[E,G,B,E]8|[A,,E,A,C]8|[D,^F,A,C]8|[G,,D,G,B,]8|[G,,F,B,D]8|[C,G,CE]8|[G,,F,B,D]8|[C,G,CE]8|]',
    ),
    chords: 'C | F | G7 | C | Am | D7 | G | D7 | Em | Am | D7 | G | G7 | C | G7 | C',
    tones: [],
    keys: { 1: 'C', 8: 'G', 11: 'G', 16: 'C' },
  },
  {
    title: 'Pickup at the Ropewalk',
    abc: abc(
      'Pickup at the Ropewalk',
      '3/4',
      'F',
      'c2|a4f2|g4e2|f4d2|d4f2|c4A2|B4G2|F6|]',
      'z2|[F,CFA]6|[E,CG]6|[D,A,DF]6|[B,,F,B,D]6|[C,F,A,]6|[C,E,G,B,]6|[F,,F,A,C]6|]',
    ),
    chords: 'F | C/E | Dm | Bb | F/C | C7 | F',
    tones: [],
    keys: { 1: 'F', 7: 'F' },
  },
  {
    title: 'Held Over',
    abc: abc(
      'Held Over',
      '4/4',
      'Am',
      'c4e4-|e2d2f4|d4B4|c4e4|a4c4|d4a4-|a2^g2B4|c8|]',
      '[A,,E,A,C]8|[D,A,DF]8|[G,,G,B,D]8|[C,G,CE]8|[F,,F,A,C]8|[F,,F,A,D]8|[E,,E,^G,B,]8|[A,,E,A,C]8|]',
    ),
    chords: 'Am | Dm | G | C | F | Dm/F | E | Am',
    tones: ['2:1 E5 suspension', '7:1 A5 suspension'],
    keys: { 8: 'Am' },
  },
  {
    title: 'Borrowed Lantern',
    abc: abc(
      'Borrowed Lantern',
      '4/4',
      'G',
      'd8|d8|e4g4|_e4g4|d4g4|f4a4|g8|]',
      '[G,,D,G,B,]8|[=F,,D,G,B,]8|[E,,C,G,C]8|[_E,,C,G,C]8|[D,,D,G,B,]8|[D,,C,F,A,]8|[G,,D,G,B,]8|]',
    ),
    chords: 'G | G7/F | C/E | Cm/Eb | G/D | D7 | G',
    tones: [],
    keys: { 1: 'G', 7: 'G' },
  },
  {
    title: 'Prelude in Slow Water',
    abc: abc(
      'Prelude in Slow Water',
      '4/4',
      'Cm',
      'CEGcGEGc|CEAcAEAc|CFAcAFAc|=B,DG=BGDG=B|EGceGcGc|^F=AceAcAc|DFG=BGFG=B|CEGcc4|]',
      'C,8|A,,8|F,,8|G,,8|E,,8|^F,,8|G,,8|C,,8|]',
    ),
    chords: 'Cm | Ab | Fm | G | Cm/Eb | F#dim7 | G7 | Cm',
    tones: [],
    keys: { 1: 'Cm', 8: 'Cm' },
  },
];
