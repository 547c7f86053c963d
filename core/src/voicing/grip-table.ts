/**
 * The grips players share, as they are taught: frets from the thickest string, then the fingers, in the
 * order in which a teacher shows them. Source: common guitar teaching; each is tested against the notes it holds.
 *
 * Open grips ring from the nut or the capo. The others are written where their lowest fret is 1 or more, and move.
 */
export const OPEN_GRIPS: readonly string[] = [
  // major and minor
  'x32010 x32010',
  'x02220 x01230',
  '320003 210003',
  '022100 023100',
  'xx0232 xx0132',
  'x02210 x02310',
  '022000 023000',
  'xx0231 xx0231',
  '320033 210034',
  '320013 320014',
  'xx3210 xx3210',
  // sevenths
  '020100 020100',
  'x02020 x02030',
  'xx0212 xx0213',
  '320001 320001',
  'x32310 x32410',
  'x21202 x21304',
  'x32000 x32000',
  '320002 310002',
  'xx0222 xx0111',
  'x02120 x02130',
  '021100 031200',
  'x02010 x02010',
  '022030 012030',
  '020000 020000',
  'xx0211 xx0211',
  'x20202 x10203',
  '021000 031000',
  'x02110 x02310',
  'xx0221 xx0231',
  'x20201 x20301',
  'xx0111 xx0111',
  'xx0101 xx0102',
  '020130 020140',
  'x02223 x01112',
  '022130 023140',
  '020102 020103',
  'x02423 x01412',
  '076780 021340',
  // sixths, suspensions, added notes
  'x32210 x42310',
  'x02222 x01111',
  'xx0202 xx0203',
  '022120 023140',
  '320000 320000',
  'x02212 x02314',
  '022020 012030',
  'xx0201 xx0201',
  'x02200 x01200',
  'xx0230 xx0130',
  'x02230 x01240',
  'xx0233 xx0134',
  '022200 023400',
  '330013 230014',
  'x33010 x34010',
  'x30013 x30014',
  'x02030 x02030',
  '020200 010200',
  'xx0213 xx0214',
  '330011 340011',
  'x32030 x21030',
  'x32033 x21034',
  '300203 200103',
  '024100 024100',
  '024000 013000',
  'x02410 x01420',
  '032110 032110',
  'x32110 x32110',
  'xx0332 xx0231',
  'x03221 x04231',
  '022xxx 011xxx',
  'x022xx x011xx',
  'xx023x xx013x',
  // over another bass
  '2x0232 Tx0132',
  '200232 T00132',
  'x42220 x31110',
  'x20003 x10003',
  '332010 342010',
  '032010 032010',
  '3x2210 4x2310',
  '302210 402310',
  'x00232 x00132',
  '002220 001230',
  'x33211 x34211',
  'x02000 x01000',
  '1x0003 1x0003',
];

/** Grips without open strings, by what they are grips of: the E shape first, then the A shape, then the others. */
export const MOVABLE_GRIPS: readonly (readonly string[])[] = [
  // major
  ['133211 134211', 'x13331 x13331', 'x43121 x43121', 'xx1343 xx1243', 'xx3211 xx3211'],
  // minor
  ['133111 134111', 'x13321 x13421', 'xx3111 xx3111', 'xx1342 xx1342'],
  // seventh
  ['131211 131211', 'x13131 x13141', 'x4342x x3241x', 'xx1323 xx1324', '1x121x 1x243x', '131241 131241', 'x35353 x13141'],
  // minor seventh
  ['131111 131111', 'x13121 x13121', '2x222x 2x333x', 'xx1322 xx1322'],
  // major seventh
  ['1x221x 1x342x', 'x13231 x13241', '132211 142311', 'xx1333 xx1333'],
  // half-diminished
  ['x1212x x1324x', '2x221x 2x341x', 'xx1222 xx1222'],
  // diminished seventh, diminished
  ['x2313x x2314x', '2x121x 2x131x', 'xx1212 xx1324'],
  ['x1232x x1243x', '2342xx 1342xx'],
  // augmented
  ['x4322x x4312x', 'xx4332 xx4231', '1x322x 1x423x'],
  // suspended
  ['x13341 x12341', '133311 123411', 'x13311 x13411', 'xx1344 xx1344'],
  ['131311 131411', 'x13141 x13141'],
  // sixth
  ['2x132x 2x143x', 'x13333 x13333', '1x0231 2x0341'],
  // minor sixth
  ['2x122x 2x133x', 'x31213 x31214', '133131 134131'],
  // six-nine
  ['x21122 x21134', 'x2112x x2113x', '2x1122 2x1134'],
  // ninth
  ['x21222 x21333', 'x2122x x2134x', '131213 131214'],
  ['x2132x x2143x', '1x0213 2x0314'],
  ['x3133x x2134x', 'x31333 x21333', '131113 131114'],
  // thirteenth
  ['1x123x 1x234x', 'x21244 x21344', '131231 131241', 'x2124x x2134x'],
  // eleventh
  ['1x111x 2x333x', 'x1111x x1111x', '3x331x 2x341x', 'x33333 x11111', 'x3334x x1112x'],
  ['x33311 x23411', '3x3211 3x4211'],
  // altered dominants
  ['x2123x x2134x', '1x1244 1x1244'],
  ['x2121x x3241x', '131212 131213'],
  ['1x122x 1x234x', 'x21233 x21344', '131221 131231'],
  ['2x231x 2x341x', 'x1213x x1324x'],
  ['1x1222 1x1234', 'x21233 x21344'],
  ['1x1232 1x1243'],
  // minor with a major seventh, major with ♯11 and ♯5
  ['132111 142111', 'x13221 x14231'],
  ['x1223x x1234x', '2x231x 2x341x'],
  // added ninth
  ['xx3213 xx3214', 'x31213 x31214'],
  // power
  ['133xxx 134xxx', 'x133xx x134xx', '13xxxx 13xxxx', 'x13xxx x13xxx'],
];
