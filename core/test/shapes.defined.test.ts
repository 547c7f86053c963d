// Shapes worked out from their definitions by adding half steps on each string, not by the search:
// drop-2 and drop-3 of seven sevenths in every inversion on every set of strings, close triads on
// adjacent strings, spread triads. Symbol, frets from the thickest string, family, inversion.
import { expect, test } from '@jest/globals';
import { type Family, findVoicings, parseChord, printFrets, requireValue, STANDARD_GUITAR } from '../src/index.ts';

const SHAPES = `
Fmaj7 5735xx drop-2 1
Fmaj7 8879xx drop-2 2
Fmaj7 12-12-10-10-x-x drop-2 3
Fmaj7 x-8-10-9-10-x drop-2 0
Fmaj7 x-12-14-10-13-x drop-2 1
Fmaj7 x3325x drop-2 2
Fmaj7 x7756x drop-2 3
Fmaj7 xx3555 drop-2 0
Fmaj7 xx7968 drop-2 1
Fmaj7 x-x-10-10-10-12 drop-2 2
Fmaj7 5x355x drop-3 1
Fmaj7 8x796x drop-3 2
Fmaj7 12-x-10-10-10-x drop-3 3
Fmaj7 x-8-x-9-10-8 drop-3 0
Fmaj7 x-12-x-10-13-12 drop-3 1
Fmaj7 x7x565 drop-3 3
Bb7 6867xx drop-2 0
Bb7 10-11-8-10-x-x drop-2 1
Bb7 4533xx drop-2 3
Bb7 x5636x drop-2 1
Bb7 x8879x drop-2 2
Bb7 x-11-12-10-11-x drop-2 3
Bb7 x-x-8-10-9-10 drop-2 0
Bb7 x-x-12-13-11-13 drop-2 1
Bb7 xx3334 drop-2 2
Bb7 xx6766 drop-2 3
Bb7 6x676x drop-3 0
Bb7 10-x-8-10-9-x drop-3 1
Bb7 4x333x drop-3 3
Bb7 x5x364 drop-3 1
Bb7 x8x796 drop-3 2
Bb7 x-11-x-10-11-10 drop-3 3
Ebm7 11-13-11-11-x-x drop-2 0
Ebm7 6646xx drop-2 2
Ebm7 9988xx drop-2 3
Ebm7 x6867x drop-2 0
Ebm7 x-9-11-8-11-x drop-2 1
Ebm7 x4434x drop-2 3
Ebm7 xx4646 drop-2 1
Ebm7 xx8879 drop-2 2
Ebm7 x-x-11-11-11-11 drop-2 3
Ebm7 11-x-11-11-11-x drop-3 0
Ebm7 6x464x drop-3 2
Ebm7 9x887x drop-3 3
Ebm7 x6x676 drop-3 0
Ebm7 x-9-x-8-11-9 drop-3 1
Ebm7 x4x342 drop-3 3
Abm7b5 4544xx drop-2 0
Abm7b5 7967xx drop-2 1
Abm7b5 10-11-9-11-x-x drop-2 2
Abm7b5 x-11-12-11-12-x drop-2 0
Abm7b5 x5647x drop-2 2
Abm7b5 x9979x drop-2 3
Abm7b5 xx6777 drop-2 0
Abm7b5 x-x-9-11-9-10 drop-2 1
Abm7b5 x-x-12-13-12-14 drop-2 2
Abm7b5 xx4434 drop-2 3
Abm7b5 4x443x drop-3 0
Abm7b5 7x677x drop-3 1
Abm7b5 10-x-9-11-9-x drop-3 2
Abm7b5 x-11-x-11-12-10 drop-3 0
Abm7b5 x5x474 drop-3 2
Abm7b5 x9x797 drop-3 3
Ddim7 10-11-9-10-x-x drop-2 0
Ddim7 4534xx drop-2 2
Ddim7 7867xx drop-2 3
Ddim7 x5646x drop-2 0
Ddim7 x8979x drop-2 1
Ddim7 x-11-12-10-12-x drop-2 2
Ddim7 x-x-12-13-12-13 drop-2 0
Ddim7 xx3434 drop-2 1
Ddim7 xx6767 drop-2 2
Ddim7 x-x-9-10-9-10 drop-2 3
Ddim7 10-x-9-10-9-x drop-3 0
Ddim7 4x343x drop-3 2
Ddim7 7x676x drop-3 3
Ddim7 x5x464 drop-3 0
Ddim7 x8x797 drop-3 1
Ddim7 x-11-x-10-12-10 drop-3 2
A6 5746xx drop-2 0
A6 9979xx drop-2 1
A6 12-12-11-11-x-x drop-2 2
A6 x-12-14-11-14-x drop-2 0
A6 x4425x drop-2 1
A6 x7767x drop-2 2
A6 x-9-11-9-10-x drop-2 3
A6 xx7979 drop-2 0
A6 x-x-11-11-10-12 drop-2 1
A6 xx4655 drop-2 3
A6 5x465x drop-3 0
A6 9x797x drop-3 1
A6 12-x-11-11-10-x drop-3 2
A6 x-12-x-11-14-12 drop-3 0
A6 x4x252 drop-3 1
A6 x7x675 drop-3 2
A6 x-9-x-9-10-9 drop-3 3
Gm(maj7) 3543xx drop-2 0
Gm(maj7) 6957xx drop-2 1
Gm(maj7) 10-10-8-11-x-x drop-2 2
Gm(maj7) x-10-12-11-11-x drop-2 0
Gm(maj7) x5537x drop-2 2
Gm(maj7) x9878x drop-2 3
Gm(maj7) xx5776 drop-2 0
Gm(maj7) x-x-8-11-8-10 drop-2 1
Gm(maj7) x-x-12-12-11-14 drop-2 2
Gm(maj7) xx4333 drop-2 3
Gm(maj7) 3x433x drop-3 0
Gm(maj7) 6x577x drop-3 1
Gm(maj7) 10-x-8-11-8-x drop-3 2
Gm(maj7) x-10-x-11-11-10 drop-3 0
Gm(maj7) x5x373 drop-3 2
Gm(maj7) x9x786 drop-3 3
E 12-11-9-x-x-x triad 0
E 422xxx triad 1
E 776xxx triad 2
E x764xx triad 0
E x-11-9-9-x-x triad 1
E xx645x triad 1
E xx999x triad 2
E xxx997 triad 0
E xxx454 triad 2
E 12-x-9-13-x-x spread 0
E 4x24xx spread 1
E 7x69xx spread 2
E x-11-x-9-12-x spread 1
E xx6x57 spread 1
E x-x-9-x-9-12 spread 2
E x79x9x spread 0
E x-11-14-x-12-x spread 1
E 12-14-x-13-x-x spread 0
E 47x4xx spread 1
E 7-11-x-9-x-x spread 2
Gm 655xxx triad 1
Gm 10-10-8-x-x-x triad 2
Gm x-10-8-7-x-x triad 0
Gm x553xx triad 2
Gm xx533x triad 0
Gm xx878x triad 1
Gm x-x-12-12-11-x triad 2
Gm x-x-x-12-11-10 triad 0
Gm xxx333 triad 1
Gm xxx786 triad 2
Gm 6x57xx spread 1
Gm 10-x-8-12-x-x spread 2
Gm x-10-x-7-11-x spread 0
Gm xx5x36 spread 0
Gm x-x-8-x-8-10 spread 1
Gm x-x-12-x-11-15 spread 2
Gm x-10-12-x-11-x spread 0
Gm x58x8x spread 2
Gm 35x3xx spread 0
Gm 6-10-x-7-x-x spread 1
Gm 10-13-x-12-x-x spread 2
Bdim 753xxx triad 0
Bdim 10-8-9-x-x-x triad 1
Bdim x534xx triad 1
Bdim x897xx triad 2
Bdim xx976x triad 0
Bdim x-x-12-10-12-x triad 1
Bdim xx343x triad 2
Bdim xxx767 triad 1
Bdim x-x-x-10-12-10 triad 2
Bdim 7x37xx spread 0
Bdim 10-x-9-10-x-x spread 1
Bdim x5x46x spread 1
Bdim x-x-9-x-6-10 spread 0
Bdim x-x-12-x-12-13 spread 1
Bdim xx3x37 spread 2
Bdim x59x6x spread 1
Bdim x-8-12-x-12-x spread 2
Bdim 78x7xx spread 0
Bdim 10-14-x-10-x-x spread 1
Dbaug 987xxx triad 0
Dbaug 543xxx triad 2
Dbaug x432xx triad 0
Dbaug x876xx triad 1
Dbaug x-12-11-10-x-x triad 2
Dbaug x-x-11-10-10-x triad 0
Dbaug xx322x triad 1
Dbaug xx766x triad 2
Dbaug xxx665 triad 0
Dbaug x-x-x-10-10-9 triad 1
Dbaug 9-x-7-10-x-x spread 0
Dbaug 5x36xx spread 2
Dbaug x-8-x-6-10-x spread 1
Dbaug x-12-x-10-14-x spread 2
Dbaug x-x-11-x-10-13 spread 0
Dbaug xx3x25 spread 1
Dbaug xx7x69 spread 2
Dbaug x47x6x spread 0
Dbaug x-8-11-x-10-x spread 1
Dbaug x-12-15-x-14-x spread 2
Dbaug 9-12-x-10-x-x spread 0
Dbaug 58x6xx spread 2
Asus4 552xxx triad 0
Asus4 10-7-7-x-x-x triad 1
Asus4 12-12-12-x-x-x triad 2
Asus4 x-12-12-9-x-x triad 0
Asus4 x522xx triad 1
Asus4 x777xx triad 2
Asus4 xx775x triad 0
Asus4 x-x-12-9-10-x triad 1
Asus4 xxx755 triad 1
Asus4 x-x-x-9-10-10 triad 2
Asus4 10-x-7-9-x-x spread 1
Asus4 12-x-12-14-x-x spread 2
Asus4 x5x25x spread 1
Asus4 x-7-x-7-10-x spread 2
Asus4 x-x-12-x-10-12 spread 1
Asus4 x-12-14-x-15-x spread 0
Asus4 x57x5x spread 1
Asus4 57x7xx spread 0
Asus4 10-12-x-9-x-x spread 1
`;

const rows = SHAPES.trim()
  .split('\n')
  .map((row) => row.split(' ') as [string, string, Family, string]);

const families = (symbol: string, family: Family) =>
  findVoicings(requireValue(parseChord(symbol)), STANDARD_GUITAR, { maxFret: 16, families: [family] }).voicings;

test.each(rows)('%s %s is %s, inversion %s', (symbol, frets, family, inversion) => {
  const shape = families(symbol, family).find((voicing) => printFrets(voicing.frets) === frets);
  expect(shape?.families).toContain(family);
  expect(String(shape?.inversion)).toBe(inversion);
});

test('there are enough of each family', () => {
  const count = (family: Family) => rows.filter(([, , of]) => of === family).length;
  expect([count('drop-2'), count('drop-3'), count('triad'), count('spread')].every((many) => many > 40)).toBe(true);
});
