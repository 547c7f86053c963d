// Shapes players know, written down by hand from their notes: symbol, frets from the thickest string,
// family, inversion, and the usual fingers (0 open, x muted). Two-figure frets are joined by hyphens.
import { describe, expect, test } from '@jest/globals';
import { type Family, findVoicings, fingerings, parseChord, printFrets, requireValue, STANDARD_GUITAR } from '../src/index.ts';

const SHAPES = `
C x32010 open 0 x32010
C7 x32310 open 0 x32410
Cmaj7 x32000 open 0 x32000
Cadd9 x32030 open 0 x21030
Cadd9 x32033 open 0 x21034
C6 x32210 open 0 x42310
C/G 332010 open 2 342010
C/E 032010 open 1 032010
D xx0232 open 0 xx0132
Dm xx0231 open 0 xx0231
D7 xx0212 open 0 xx0213
Dm7 xx0211 open 0 xx0211
Dmaj7 xx0222 open 0 xx0111
Dsus4 xx0233 open 0 xx0134
Dsus2 xx0230 open 0 xx0130
D6 xx0202 open 0 xx0203
Dadd9/F# 200230 open 1 200130
D/F# 200232 open 1 T00132
E 022100 open 0 023100
Em 022000 open 0 023000
E7 020100 open 0 020100
E7 022130 open 0 023140
Em7 022030 open 0 012030
Em7 020000 open 0 020000
Emaj7 021100 open 0 031200
Esus4 022200 open 0 023400
E6 022120 open 0 023140
Em6 022020 open 0 012030
A x02220 open 0 x01230
Am x02210 open 0 x02310
A7 x02020 open 0 x02030
Am7 x02010 open 0 x02010
Amaj7 x02120 open 0 x02130
Asus2 x02200 open 0 x01200
Asus4 x02230 open 0 x01240
A6 x02222 open 0 x01111
Am6 x02212 open 0 x02314
Am/G 302210 open null 402310
G 320003 open 0 210003
G 320033 open 0 210034
G7 320001 open 0 320001
Gmaj7 320002 open 0 310002
G6 320000 open 0 320000
G/B x20003 open 1 x10003
Em/B x22000 open 2 x12000
Fmaj7 xx3210 open 0 xx3210
B7 x21202 open 0 x21304
Bm7 x20202 open 0 x10203
F 133211 barre-6 0 134211
Fm 133111 barre-6 0 134111
F7 131211 barre-6 0 131211
Fm7 131111 barre-6 0 131111
Fmaj7 132211 barre-6 0 142311
F7sus4 131311 barre-6 0 131411
Fsus4 133311 barre-6 0 123411
G 355433 barre-6 0 134211
Gm 355333 barre-6 0 134111
A 577655 barre-6 0 134211
Bb x13331 barre-5 0 x13331
Bbm x13321 barre-5 0 x13421
Bb7 x13131 barre-5 0 x13141
Bbm7 x13121 barre-5 0 x13121
Bbmaj7 x13231 barre-5 0 x13241
Bbsus4 x13341 barre-5 0 x12341
B x24442 barre-5 0 x12341
Bm x24432 barre-5 0 x13421
C x35553 barre-5 0 x13331
C#m x46654 barre-5 0 x13421
D7 x57575 barre-5 0 x13141
C5 x355xx other 0 x134xx
G5 355xxx other 0 134xxx
C xxx553 triad 0 xxx231
C xxx988 triad 1 xxx211
C xxx010 triad 2 xxx010
C xx201x triad 1 xx201x
C xx555x triad 2 xx111x
C x-x-10-9-8-x triad 0 xx321x
C x320xx triad 0 x320xx
C x755xx triad 1 x311xx
C 332xxx triad 2 231xxx
C 875xxx triad 0 431xxx
Am xxx555 triad 1 xxx111
Am x-x-x-9-10-8 triad 2 xxx231
Am xx755x triad 0 xx311x
Am xx221x triad 2 xx231x
Bdim xxx431 triad 0 xxx431
Bdim xxx767 triad 1 xxx213
Caug xxx554 triad 0 xxx231
C x35x5x spread 0 x13x4x
C x7x58x spread 1 x3x14x
C 3x25xx spread 2 2x14xx
G7 3x34xx shell 0 1x23xx
Gmaj7 3x44xx shell 0 2x34xx
Gm7 3x33xx shell 0 1x23xx
C7 x323xx shell 0 x213xx
Cmaj7 x324xx shell 0 x214xx
Cm7 x313xx shell 0 x314xx
Dm7 x5x56x shell 0 x1x23x
Cmaj7 x-x-10-12-12-12 drop-2 0 xx1333
Cmaj7 xx2413 drop-2 1 xx2413
Cmaj7 xx5557 drop-2 2 xx1113
Cmaj7 xx9988 drop-2 3 xx2311
C7 x-x-10-12-11-12 drop-2 0 xx1324
C7 xx2313 drop-2 1 xx2314
C7 xx5556 drop-2 2 xx1112
C7 xx8988 drop-2 3 xx1211
Cm7 x-x-10-12-11-11 drop-2 0 xx1422
Cm7 xx1313 drop-2 1 xx1314
Cm7 xx5546 drop-2 2 xx2314
Cm7 xx8888 drop-2 3 xx1111
Cm7b5 x-x-10-11-11-11 drop-2 0 xx1222
Cm7b5 xx1312 drop-2 1 xx1312
Cm7b5 xx4546 drop-2 2 xx1214
Cm7b5 xx8878 drop-2 3 xx2314
Cdim7 xx1212 drop-2 1 xx1324
Cmaj7 x3545x drop-2 0 x1324x
Cmaj7 x7958x drop-2 1 x2413x
Cmaj7 x-10-10-9-12-x drop-2 2 x2314x
C7 x3535x drop-2 0 x1324x
C7 x7858x drop-2 1 x2314x
C7 x-10-10-9-11-x drop-2 2 x2314x
Cm7 x3534x drop-2 0 x1423x
Cm7 x6858x drop-2 1 x2314x
Cm7b5 x3434x drop-2 0 x1324x
Cm7b5 x6857x drop-2 1 x2413x
Gmaj7 3544xx drop-2 0 1423xx
Gmaj7 7957xx drop-2 1 2413xx
G7 3534xx drop-2 0 1423xx
Gm7 3533xx drop-2 0 1311xx
Gm7b5 3433xx drop-2 0 1211xx
Gmaj7 3x443x drop-3 0 2x341x
G7 3x343x drop-3 0 1x243x
Gm7 3x333x drop-3 0 2x333x
Gm7b5 3x332x drop-3 0 2x341x
Gmaj7 7x577x drop-3 1 2x134x
Gmaj7 10-x-9-11-8-x drop-3 2 3x241x
Cmaj7 x3x453 drop-3 0 x1x342
C7 x3x353 drop-3 0 x1x243
Cm7 x3x343 drop-3 0 x2x343
Cm7b5 x3x342 drop-3 0 x2x341
Cmaj7 x7x587 drop-3 1 x2x143
Dm7add11no5 x5556x quartal 0 x1112x
Em7add11no5 xx2233 quartal 0 xx1123
Dsus4 xx778x quartal 2 xx112x
C7sus4 x333xx quartal 0 x111xx
C9 x32333 other 0 x21333
C9 x3233x other 0 x2134x
C69 x32233 other 0 x21134
C7#9 x3234x other 0 x2134x
C7b9 x3232x other 0 x3241x
Cmaj9 x3243x other 0 x2143x
Cm9 x3133x other 0 x2134x
C13 8-x-8-9-10-x other 0 1x234x
G13 3x345x other 0 1x234x
Cdim7 x3424x drop-2 0 x2314x
F xx3211 other 0 xx3211
D/F# 2x0232 open 1 Tx0132
C/G 3x2010 open 2 3x2010
Am/G 3x2210 open null 4x2310
G/F 1x0003 open null 1x0003
F/G 3x3211 other null 3x4211
Dm/F xx3231 other 1 xx3241
Gsus4 3x0013 open 0 3x0014
Fmaj7#11 xx3200 open 0 xx3200
Am7 x02213 open 0 x02314
A7 x02223 open 0 x01112
Em7 022033 open 0 012034
Eadd9 024100 open 0 024100
Bm7b5 x20201 open 0 x20301
E7#9 076780 other 0 021340
`;

interface Row {
  readonly symbol: string;
  readonly frets: string;
  readonly family: Family;
  readonly inversion: number | null;
  readonly fingers: string;
}

const rows: readonly Row[] = SHAPES.trim()
  .split('\n')
  .map((row) => {
    const [symbol = '', frets = '', family = '', inversion = '', fingers = ''] = row.split(' ');
    return { symbol, frets, family: family as Family, inversion: inversion === 'null' ? null : Number(inversion), fingers };
  });

const found = (symbol: string) => findVoicings(requireValue(parseChord(symbol)), STANDARD_GUITAR, { maxFret: 15 }).voicings;

test('the table is long enough to mean something', () => expect(rows.length).toBeGreaterThanOrEqual(140));

describe('shapes players know', () => {
  test.each(rows)('$symbol $frets is $family, inversion $inversion, fingers $fingers', ({ symbol, frets, family, inversion, fingers }) => {
    const shape = found(symbol).find((voicing) => printFrets(voicing.frets) === frets);
    expect(shape?.families).toContain(family);
    expect(shape?.inversion).toBe(inversion);
    const ways = fingerings(shape?.frets ?? [], STANDARD_GUITAR).map((way) => way.fingers.map((finger) => finger ?? 'x').join(''));
    expect(ways).toContain(fingers);
  });
});
