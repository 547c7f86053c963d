/** What the demo band sorts its songs by, by title. */
export const DEMO_TAGS: Readonly<Record<string, readonly string[]>> = {
  'Harbor Wall': ['opener', 'everybody sings'],
  'Low Tide Waltz': ['dance'],
  'Northbound Gravel': ['loud', 'encore'],
  'Copper Line Shuffle': ['dance', 'loud'],
  'Half a Moon over Corriewick': ['quiet'],
  'Two Lanterns': ['quiet', 'encore'],
};

/** The demo band's songs as chart text. Everything in them is made up for this demo. */
export const DEMO_SONGS: readonly string[] = [
  `title: Harbor Wall
by: Ines Calloway
key: D
time: 4/4
tempo: 92
feel: straight
range: A3 D5

[Intro]
1 3- 4 (2-7 57)

[Verse] x2
1 4 (1.. 5/7. 6-.) 6-
b7 4 <1> % "watch for the cut"
~ Salt on the window, lights along the quay

[Chorus]
>4 5 (1.., 5.,) 6-7
4 5sus4 5 5!
~ Lean on the harbor wall with me

[Outro] x3 -- slow down the last time
1 4
<1> "let it ring"
`,
  `title: Kelp Ladder
by: Ines Calloway
key: Em
time: 6/8
tempo: 60
feel: slow 6/8
range: E3 B4

[Verse] x2
1- b7 b6 5
(1- b3) 4- 57 1-
~ Hand over hand where the water is cold

[Lift]
b6 b7 b3 b3
4- 1- 57 57!
`,
  `title: Tidepaper Compass
by: Ines Calloway, Tam Okafor
key: F#m
numbering: relative
time: 4/4
tempo: 104
range: F#3 C#5

[Verse] x2
6- 4 1 5
6- 4 (1 5/7) 6-
~ Folded north into my pocket

[Chorus]
4 1 5 6-
4 1 37 37
~ Every road is a paper road
`,
  `title: Copper Line Shuffle
by: The Weirlamp Seven
key: A
time: 4/4
tempo: 118
feel: shuffle

[Head] x2 -- horns lay out first time
17 47 17 17
47 47 17 17
57 47 17 57

{key: +2}
[Last chorus]
17 47 17 17
47 47 17 17
57 47 17 <17>
`,
  `title: Low Tide Waltz
by: Bram Teller
key: Bb
time: 3/4
tempo: 138
feel: waltz
range: Bb3 F5

{pickup: 1} 5

[A]
{segno} |: 1 6- 2- 57
1 6- 1.[ 2- 57 ] 2.[ 57 1 ] :|

[B]
4 4- 1/5 67
2-7 57 1 {to coda} 1 "hold for the dancers" {ds al coda}

[Tag]
{coda} 4- 1/5 57 <1>
`,
  `title: Nine Mile Fogbell
by: Tam Okafor
key: D dorian
time: 4/4
tempo: 88
feel: straight, heavy

[Vamp] x4 -- bass alone first
1-7 1-7 4 4
@bass "walk up to the 1" 1-7 %

[Bridge]
b7maj7 b7maj7 b3maj7 b3maj7
4 4 1-7 <1-7>
`,
  `title: Glasswater Orchard
by: Ines Calloway
key: Eb
time: 4/4
tempo: 126
feel: swing
range: G3 Eb5

[A] x2
2-7 57 1maj7 67
2-7 57 1maj7 1maj7

[Bridge]
5-7 17 4maj7 4maj7
4-7 b77 1maj7 67b9

[Out]
(2-7 57) (3-7 67b9) (2-7 57) <169>
`,
  `title: The Tin Roof Turnaround
by: Bram Teller
key: F#
time: 4/4
tempo: 144
feel: medium swing

[Head] x2
1maj7 #1o7 2-7 57
3-7 67 2-7 57
1maj7 17 4maj7 4-6
3-7 b37 2-7 b27

[Tag]
(3-7 67) (2-7 57) 1maj7 <1maj7#11>
`,
  `title: Rafters of Brine
by: Ines Calloway
key: C# harmonic minor
time: 4/4
tempo: 72
range: G#3 E5

[Verse] x2
1- 4- 57 1-
b6 4- 2-7b5 57
~ The roof is weather and the floor is stone

[Chorus]
b6 5 b6 5
4- 7o7 1- <1->
`,
  `title: Ferry at Four
by: Tam Okafor
key: G
time: 5/4
tempo: 112

[Riff] x2
(1... 4..) (1... b7..) (1... 4..) (5... 4..)

[Song]
1 5/7 6- 4
1 5/7 4 5 "in five, do not rush"

{4/4}
[Middle]
4 4- 1 1
b6 b7 5 5!
`,
  `title: Northbound Gravel
by: Bram Teller
key: E
time: 4/4
tempo: 160
feel: driving eighths
range: B3 G#5

form: Intro, Verse, Chorus, Verse, Chorus x2, Out

[Intro]
15 15 b75 45

[Verse]
1 1 4 4
1 5 4 (1 5)
~ Gravel in the gears and the heater on low

[Chorus]
6- 4 1 5
6- 4 >5 >5!

[Out]
|: 1 4 :| x3
1! "all together"
`,
  `title: Half a Moon over Corriewick
by: Ines Calloway
key: Ab
time: 4/4
tempo: 66
feel: ballad
range: Eb4 C6

[Verse] x2
1maj7 3-7 4maj7 4-6
1/3 b3o7 2-7 5sus4
~ Half a moon is moon enough

[Bridge]
5-7 17 4maj7 4maj7
4-7 b77 1maj7 5sus4

{key: B}
[Last verse]
1maj7 3-7 4maj7 4-6
2-7 57 1maj7 <1maj7>
`,
  `title: Emberwick Street
by: The Weirlamp Seven
key: C
time: 4/4
tempo: 96
feel: half time

[Verse] x2
1 5/7 6- 5
4 1/3 2-7 57sus4
~ Down on Emberwick Street

[Chorus]
|: 1 37 6- 17
4 4- 1.[ 1 5 ] 2.[ 5sus4 57 ] :|

[Outro]
1 b6 b7 1
NC NC <1> "everybody stops"
`,
  `title: Two Lanterns
by: Tam Okafor
key: Gb
time: 12/8
tempo: 54

[Verse] x2
1 (6- 3-) 4 (2- 5)
1 (6- 3-) 4 4-
~ One for the door and one for the sea

[Chorus]
b3 b7 4 1
b3 b7 4 <1>
`,
];
