/**
 * Chords among their neighbours, made from the definitions of the readings and from nothing else:
 * key | progression with the chord asked about in brackets | reading, target, what becomes of it.
 * A slash between readings means that either is right.
 */
export const CHORDS_IN_CONTEXT = `
D | [D] G A7 D | diatonic
D | D [Em] A7 D | diatonic
D | D [F#m] G A | diatonic
D | D [G] A D | diatonic
D | D G [A] D | diatonic 1 resolves
D | D G [A7] Bm | diatonic 1 deceptive
D | D [Bm] G A | diatonic
D | D [C#dim] D | diatonic 1 resolves
Eb | Ebmaj7 [Fm7] Bb7 Ebmaj7 | diatonic
Eb | Ebmaj7 [Gm7] Cm7 Fm7 Bb7 | diatonic
Eb | Ebmaj7 [Abmaj7] Bb7 | diatonic
Eb | Fm7 [Bb9] Eb69 | diatonic 1 resolves
Eb | Fm7 [Bb13] Eb6 | diatonic 1 resolves
Eb | Eb [Dm7b5] Eb | diatonic 1 resolves
Eb | Eb [Bb7sus4] Bb7 Eb | diatonic
F#m | [F#m] Bm C#7 F#m | diatonic
F#m | F#m [G#m7b5] C#7 F#m | diatonic
F#m | F#m [A] D E | diatonic
F#m | F#m [Bm] C#7 F#m | diatonic
F#m | F#m Bm [C#7] F#m | diatonic 1- resolves
F#m | F#m Bm [C#m] F#m | diatonic
F#m | F#m [D] E F#m | diatonic
F#m | F#m [E] D C#7 | diatonic
F#m | F#m [E#dim7] F#m | diatonic 1- resolves
F#m | F#m [Gbm] C#7 F#m | diatonic
F#m | F#m C#7 [F#m(maj7)] F#m | diatonic/line-cliche
F#m | F#m [B7] F#m C#7 | diatonic
F#m | F#m [C#7b9] F#m | diatonic 1- resolves
F#m | F#m Bm [C#7] D | diatonic 1- deceptive
G | G [A7] D7 G | secondary-dominant 5 resolves
G | G [A7] Am7 D7 G | secondary-dominant 5 delayed
G | G [A7] C G | secondary-dominant 5 deceptive
G | G D [A7] | secondary-dominant 5 unresolved
G | G [B7] Em C D | secondary-dominant 6- resolves
G | G [B7] C D G | secondary-dominant 6- deceptive
G | G [E7] Am D7 G | secondary-dominant 2- resolves
G | G [E7] A7 D7 G | secondary-dominant 2- resolves
G | G [F#7] Bm C D | secondary-dominant 3- resolves
G | G [G7] C D7 G | secondary-dominant 4 resolves
G | G [G9] Cmaj7 D7 G | secondary-dominant 4 resolves
G | G [G+] C D7 G | secondary-dominant 4 resolves
G | G [B] Em C D | secondary-dominant 6- resolves
G | G [E] Am D G | secondary-dominant 2- resolves
G | G [A] D G | secondary-dominant 5 resolves
G | G [E7b9] Am7 D7 G | secondary-dominant 2- resolves
G | G [E7] D7 G | secondary-dominant 2- deceptive
G | G [B7/D#] Em D G | secondary-dominant 6- resolves
G | G [G/F] C/E D G | secondary-dominant 4 resolves
G | G [E7] C Am D7 G | secondary-dominant 2- delayed
G | G C D7 G [B7] | secondary-dominant 6- unresolved
Ab | Ab [C7] Fm Bbm Eb7 Ab | secondary-dominant 6- resolves
Ab | Ab [F7] Bbm7 Eb7 Ab | secondary-dominant 2- resolves
Ab | Ab [Bb7] Eb7 Ab | secondary-dominant 5 resolves
Ab | Ab [G7] Cm Db Eb | secondary-dominant 3- resolves
Ab | Ab [Ab7] Db Eb7 Ab | secondary-dominant 4 resolves
Am | Am [A7] Dm E7 Am | secondary-dominant 4- resolves
Am | Am [B7] E7 Am | secondary-dominant 5 resolves
Am | Am [C7] F E7 Am | secondary-dominant b6 resolves
Am | Am [D7] G C F E7 | diatonic
Am | Am G [A7] E7 Am | secondary-dominant 4- deceptive
G | G [G#dim7] Am D7 G | passing-diminished/secondary-leading-tone
G | G D7 [G#dim7] Am | secondary-leading-tone 2- resolves
G | G C [D#dim7] Em | secondary-leading-tone 6- resolves
G | G Em [C#dim7] D | secondary-leading-tone 5 resolves
G | G Em [C#dim] D | secondary-leading-tone 5 resolves
G | G Am [Bdim7] C | passing-diminished/secondary-leading-tone
G | G D7 [Bdim7] C | secondary-leading-tone 4 resolves
G | G D [A#dim7] Bm | secondary-leading-tone 3- resolves
G | G D [C#m7b5] D G | secondary-leading-tone 5 resolves
G | G Em [G#dim7] C Am D7 | secondary-leading-tone 2- delayed
F | F Bb [Bdim7] C7 F | passing-diminished/secondary-leading-tone
F | F Dm [C#dim7] Dm Bb | secondary-leading-tone 6- resolves
F | F C7 [F#dim7] Gm C7 | secondary-leading-tone 2- resolves
F | F [F#m7b5] Gm C7 F | secondary-leading-tone 2- resolves
Bb | Bb [F#m7] B7 Em A7 | related-two/chromatic-mediant/borrowed/unexplained
Bb | Bb [Fm7] Bb7 Eb F7 Bb | related-two 4
Bb | Bb [Am7b5] D7 Gm Cm F7 | diatonic
Bb | Bb [Dm7b5] G7 Cm7 F7 Bb | related-two 2-
Bb | Bb [Em7b5] A7 Dm Gm F7 | related-two 3-
Bb | Bb [Fm7] Bb7 Gm Cm F7 Bb | related-two 4
Bb | Bb [Fm9] Bb13 Ebmaj7 F7 Bb | related-two 4
Bb | Bb [Am7] D7 Gm7 C7 F7 Bb | related-two 6-
Bb | Bb [Dm7] G7 Cm7 F7 Bb | diatonic
Bb | Bb [Gm7] C7 F7 Bb | diatonic
Dm | Dm [Am7b5] D7 Gm A7 Dm | related-two 4-
Dm | Dm [Cm7] F7 Bb A7 Dm | related-two b6
Dm | Dm [Bm7b5] E7 A7 Dm | diatonic
Db | Ebm7 [D7] Dbmaj7 Ab7 | tritone-substitute 1 resolves
Db | Db [A7] Ab7 Db | tritone-substitute/augmented-sixth 5 resolves
Db | Db [E7] Ebm7 Ab7 Db | tritone-substitute 2- resolves
Db | Db [B7] Bbm Ebm Ab7 | tritone-substitute 6- resolves
Db | Db [Gb7] Fm Bbm Ebm Ab7 | tritone-substitute 3- resolves
Db | Db [G7] Gb Ab7 Db | tritone-substitute 4 resolves
Db | Ebm7 [D9] Db6 Ab7 | tritone-substitute 1 resolves
Em | Em Am [F7] Em B7 | tritone-substitute 1- resolves
Em | Em [C7] B7 Em | tritone-substitute/augmented-sixth 5 resolves
Em | Em [Bb7] Am B7 Em | tritone-substitute 4- resolves
C | C F [Fm] C | borrowed
C | C [Fm6] C G7 C | borrowed
C | C [Fm7] C G7 C | borrowed
C | C [Ab] Bb C | borrowed
C | C Ab [Bb] C | borrowed
C | C [Eb] F C | borrowed
C | C [Gm] F C | borrowed
C | C [Cm] F G C | borrowed
C | C [Dm7b5] G7 C | borrowed
C | C F G7 [Abmaj7] | borrowed
C | C [Abmaj7] G7 C | borrowed
C | C [Ebmaj7] Dm7 G7 C | borrowed
C | C Dm [Bdim7] C | borrowed
C | C Dm7 [G7b9] C | borrowed/diatonic 1 resolves
C | C [Bbmaj7] C F G C | borrowed
C | C [Dbmaj7] C F G7 C | borrowed
C | C [D] F C | borrowed
C | C [Bm] C G C | borrowed
A | A [Dm] A E7 A | borrowed
A | A [F] G A | borrowed
A | A [C] D A | borrowed
A | A [Em] D A E A | borrowed
A | A [Bm7b5] E7 A | borrowed
Cm | Cm Fm G7 [C] | borrowed
Cm | Cm [Db] Cm G7 Cm | neapolitan/borrowed
Gm | Gm Cm D7 [G] | borrowed
Bm | Bm Em F#7 [B] | borrowed
E | E A [D7] E | backdoor-dominant 1 resolves
E | Emaj7 [D9] Emaj7 | backdoor-dominant 1 resolves
E | E Am [D7] E | backdoor-dominant 1 resolves
E | E Am7 [D13] E6 | backdoor-dominant 1 resolves
E | E [D7] A E | backdoor-dominant/borrowed
Ab | Ab Dbm [Gb7] Ab | backdoor-dominant 1 resolves
F | F Bbm7 [Eb7] Fmaj7 | backdoor-dominant 1 resolves
D | D [D#dim7] Em7 A7 D | passing-diminished/secondary-leading-tone
D | D [Fdim7] Em7 A7 D | passing-diminished
D | D/F# [Fdim7] Em7 A7 D | passing-diminished
D | F#m [Fdim7] Em A7 D | passing-diminished
D | G [G#dim7] D/A Bm A7 D | passing-diminished/common-tone-diminished
D | D [Ddim7] D A7 D | common-tone-diminished
D | D [Ddim7] Dmaj7 A7 D | common-tone-diminished
D | A7 [Adim7] A7 D | common-tone-diminished
Bb | Bb [Bbdim7] Bb F7 Bb | common-tone-diminished
Bb | Bb [C#dim7] Bb/D F7 Bb | passing-diminished/common-tone-diminished/secondary-leading-tone
F | F [A] F C F | chromatic-mediant
F | F [D] F C7 F | chromatic-mediant
F | F [Abm] F C7 F | chromatic-mediant
F | F [Dbm] F C7 F | chromatic-mediant
C | C [Ebm] C G7 C | chromatic-mediant
Am | Am [Bb] E7 Am | neapolitan
Am | Am [Bb/D] E7 Am | neapolitan
Am | Am [Bb] G#dim7 Am | neapolitan
Am | Am [Bb] Am/E E7 Am | neapolitan
Fm | Fm Bbm [Gb] C7 Fm | neapolitan
G | G C [Ab] D7 G | neapolitan
Am | Am Dm [F7] E Am | augmented-sixth 5 resolves
Am | Am [F7] Am/E E7 Am | augmented-sixth 5 resolves
C | C [Ab7] G C | augmented-sixth 5 resolves
Cm | Cm [Ab7] G Cm | augmented-sixth 5 resolves
E | [E7] A7 E7 B7 E7 | blues-dominant
E | E7 [A7] E7 B7 E7 | blues-dominant
E | E7 [A9] E7 B7 E7 | blues-dominant
E | E7 A7 E7 [B7] A7 E7 | diatonic/blues-dominant
E | E7 A7 [E9] B7 E7 | blues-dominant
Bb | [Bb7] Eb7 Bb7 F7 Bb7 | blues-dominant
Bb | Bb7 [Eb7] Edim7 Bb7 F7 Bb7 | blues-dominant
Bb | Bb [Eb7] Bb F7 Bb | blues-dominant
Gm | Gm [Gm(maj7)] Gm7 Gm6 Cm D7 | line-cliche
Gm | Gm Gm(maj7) [Gm7] Gm6 Cm D7 | line-cliche
Gm | Gm Gm(maj7) Gm7 [Gm6] Cm D7 | line-cliche
Gm | Gm [Gm/F#] Gm/F Gm/E Cm D7 | line-cliche
C | C [C+] C6 F G7 C | line-cliche
C | C [Cmaj7] C7 C6 F | line-cliche/diatonic
C | C Cmaj7 [C7] F G7 C | secondary-dominant 4 resolves
Am | Am Am+ [Am6] Am7 Dm | line-cliche/diatonic
D | D/D [G/D] A/D D | diatonic
D | D G/D [A/D] D | pedal
D | D [Em/D] A/D D | diatonic/pedal
D | [D/F#] G A D | diatonic
D | D [A/C#] Bm A | diatonic
D | D [D/C#] Bm G A | diatonic
C | C [Dbm7] Ebm7 F | unexplained/chromatic-mediant/related-two/borrowed
C | C [F#m] F C | unexplained/chromatic-mediant
C | C [F#] F C | unexplained/chromatic-mediant/secondary-dominant
C | C Fm7 [Bb7] Em7 A7 Dm7 G7 C | backdoor-dominant 1 deceptive
C | Fm7 [Bb7] Em7 A7 Dm7 G7 C | backdoor-dominant 1 deceptive
G | G Cm7 [F7] Bm7 E7 Am7 D7 G | backdoor-dominant 1 deceptive
Eb | Ebmaj7 Abm7 [Db7] Gm7 C7 Fm7 Bb7 Eb | backdoor-dominant 1 deceptive
D | D Gm6 [C7] F#m7 Bm7 Em7 A7 D | backdoor-dominant 1 deceptive
F | Fmaj7 Bbm7 [Eb9] Am7 D7 Gm7 C7 F | backdoor-dominant 1 deceptive
A | A Dm7 [G7] C#m7 F#7 Bm7 E7 A | backdoor-dominant 1 deceptive
Bb | Bb Ebm7 [Ab7] Bb/D G7 Cm7 F7 Bb | backdoor-dominant 1 deceptive
E | E Am7 [D7] E/G# C#m7 F#m7 B7 E | backdoor-dominant 1 deceptive
Db | Dbmaj7 Gbm7 [B7] Fm7 Bb7 Ebm7 Ab7 Db | backdoor-dominant 1 deceptive
C | C [Fm7] Bb7 Em7 A7 Dm7 G7 C | borrowed
Ab | Abmaj7 [Dbm7] Gb7 Cm7 F7 Bbm7 Eb7 Ab | borrowed
G | G [B7] C E7 Am D7 G | secondary-dominant 6- deceptive
C | C [E7] F A7 Dm7 G7 C | secondary-dominant 6- deceptive
F | F [A7] Bb D7 Gm7 C7 F | secondary-dominant 6- deceptive
Bb | Bb [D7] Eb G7 Cm7 F7 Bb | secondary-dominant 6- deceptive
D | D [F#7] G B7 Em7 A7 D | secondary-dominant 6- deceptive
C | C [A7] F Dm7 G7 C | secondary-dominant 2- delayed
Eb | Eb [G7] Ab Cm7 Fm7 Bb7 Eb | secondary-dominant 6- delayed
C | C Fdim7 Fmaj7 [Fm7] C | borrowed
G | G Cdim7 Cmaj7 [Cm7] G | borrowed
Bb | Bb Ebdim7 Ebmaj7 [Ebm7] Bb | borrowed
D | D Gdim7 Gmaj7 [Gm6] D | borrowed
F | F Bbdim7 Bbmaj7 [Bbm7] F C7 F | borrowed
Em | Em [Em(maj7)/D#] G/D A7/C# C B7 Em | line-cliche
Em | Em Em(maj7)/D# [G/D] A7/C# C B7 Em | line-cliche
Em | Em Em(maj7)/D# G/D [A7/C#] C B7 Em | line-cliche
Am | Am [Am(maj7)/G#] C/G D7/F# F E7 Am | line-cliche
Am | Am Am(maj7)/G# [C/G] D7/F# F E7 Am | line-cliche
Dm | Dm Dm(maj7)/C# [F/C] G7/B Bb A7 Dm | line-cliche
Gm | Gm Gm(maj7)/F# Bb/F [C7/E] Eb D7 Gm | line-cliche
Bm | Bm [Bm(maj7)/A#] D/A E7/G# G F#7 Bm | line-cliche
C | C G/B [Am] F G7 C | diatonic
Am | Am E7/G# [G] D/F# F E7 Am | diatonic
`
  .trim()
  .split('\n');
