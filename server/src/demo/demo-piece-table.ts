/** Two made-up pieces with every note written, as ABC. */
export const DEMO_PIECES: readonly { readonly title: string; readonly by: string; readonly abc: string }[] = [
  {
    title: 'Hymn for the Ferry Bell',
    by: 'Ines Calloway',
    abc: `X:1
T:Hymn for the Ferry Bell
C:Ines Calloway
M:4/4
L:1/8
Q:1/4=72
K:Eb
V:1
G4B4|c4A4-|A4F2D2|E8|G4c4-|c2=A2c4|B4d4|B8|e4B4|c4A4|c4=A4|B4A4-|A2G2c4|A4F4-|F4D4|E8|]
V:2
[E,G,B,E]8|[A,,A,CE]8|[B,,A,DF]8|[E,G,B,E]8|[C,G,CE]8|[F,,=A,CE]8|[B,,F,B,D]8|[B,,F,B,D]8|[G,,E,B,E]8|[A,,A,CE]8|[=A,,F,CE]8|[B,,F,A,D]8|[C,G,CE]8|[A,,A,CF]8|[B,,A,DF]8|[E,,G,B,E]8|]
`,
  },
  {
    title: 'Study at the Lantern Window',
    by: 'Tam Okafor',
    abc: `X:1
T:Study at the Lantern Window
C:Tam Okafor
M:2/4
L:1/8
Q:1/4=76
K:Am
V:1
eAce|gfAd|e^GBd|cAce|fAcf|fAdf|fe^GB|dcAe|edAf|gBdf|feGc|gecG|bacf|afdA|e^GBd|[Ac]4|]
V:2
A,,4|A,,4|A,,4|A,,4|F,,4|F,,4|E,,4|A,,4|D,4|G,,4|C,4|E,4|F,,4|F,,4|E,,4|A,,4|]
`,
  },
];
