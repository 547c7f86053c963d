/** A term of the trade: other words for it, one plain sentence, an example with places for letters. */
export interface GlossaryEntry {
  readonly term: string;
  readonly also: readonly string[];
  readonly sentence: string;
  /** `{57}` stands for that number as letters in the key at hand, `{=b3}` for that degree's note. */
  readonly example: string;
}

export const GLOSSARY_TABLE: readonly GlossaryEntry[] = [
  {
    term: 'degree',
    also: ['scale number', 'step of the scale'],
    sentence: 'The place of a note or chord in its key, counted from the tonic as 1.',
    example: '1 is {=1}, 4 is {=4}, 5 is {=5}.',
  },
  {
    term: 'tonic',
    also: ['1', 'home', 'key note', 'first degree'],
    sentence: 'The note a key is named after, where the music rests.',
    example: '{=1}, and on it the chord {1}.',
  },
  {
    term: 'triad',
    also: ['three-note chord', '1-3-5'],
    sentence: 'Three notes stacked in thirds: 1, 3 and 5 of the chord.',
    example: '{1} is {=1} {=3} {=5}.',
  },
  {
    term: 'seventh chord',
    also: ['four-note chord', '1-3-5-7'],
    sentence: 'A triad with one more third on top.',
    example: '{1maj7}, {2-7}, {57}.',
  },
  {
    term: 'third',
    also: ['M3', 'm3', 'major third', 'minor third'],
    sentence: 'Two letters up: four frets is a major third, three frets a minor one.',
    example: '{=1} to {=3} is four frets.',
  },
  {
    term: 'formula',
    also: ['chord formula', 'spelling of a chord'],
    sentence: 'The tones of a chord counted from its own root on the major scale of that root.',
    example: '{2-7} is 1 ♭3 5 ♭7 of its own root, and 2 4 6 1 of the key.',
  },
  {
    term: 'dominant seventh',
    also: ['7', '7 chord', 'dominant'],
    sentence: 'A major triad with a minor seventh; a major key has only one, on its 5, so it names the key.',
    example: '{57} can only be the 5 of {=1} major.',
  },
  {
    term: 'half-diminished',
    also: ['m7♭5', 'ø7', 'minor seven flat five'],
    sentence: 'A diminished triad with a minor seventh: a minor seventh chord with its 5 lowered.',
    example: '{7-7b5}; the diminished seventh {7o7} has its 7 a half step lower.',
  },
  {
    term: 'diminished',
    also: ['dim', '°', 'm♭5'],
    sentence: 'A minor third and a lowered fifth; as a seventh chord, minor thirds all the way up.',
    example: '{7o} and {7o7}.',
  },
  { term: 'augmented', also: ['aug', '+', '♯5'], sentence: 'A major third and a raised fifth.', example: '{1+}.' },
  { term: 'suspended', also: ['sus', 'sus4', 'sus2'], sentence: 'The third is replaced by the 4 or the 2.', example: '{5sus4} to {5}.' },
  {
    term: 'parent scale',
    also: ['key scale', 'scale of the key'],
    sentence: 'The scale that all chords of a key take their notes from.',
    example: '{4maj7} has the quality it has because {=3} is in the key.',
  },
  {
    term: 'natural minor',
    also: ['aeolian', 'pure minor'],
    sentence: 'The minor scale with ♭3, ♭6 and ♭7; the same notes as the major key a minor third above.',
    example: '{=1} minor has {=b3}, {=b6} and {=b7}.',
  },
  {
    term: 'harmonic minor',
    also: ['minor with a raised 7'],
    sentence: 'Natural minor with the 7 raised, so that the chord on 5 becomes major.',
    example: '{5-} becomes {5}; its signature move is {b6} to {5}.',
  },
  {
    term: 'melodic minor',
    also: ['jazz minor', 'major with a lowered 3'],
    sentence: 'Major with the 3 lowered, used upward and downward alike here.',
    example: '{1-maj7}, and {47} beside {57}.',
  },
  {
    term: 'mode',
    also: ['church mode', 'same notes, new home'],
    sentence: 'The scale that the notes of a key make when another of them is the home.',
    example: '{=2} dorian has the notes of {=1} major.',
  },
  {
    term: 'relative keys',
    also: ['relative minor', 'relative major'],
    sentence: 'A major and a minor key with the same notes, a minor third apart.',
    example: '{=1} major and {=6} minor.',
  },
  {
    term: 'parallel keys',
    also: ['same tonic', 'parallel minor'],
    sentence: 'Major and minor on the same tonic.',
    example: '{=1} major and {=1} minor.',
  },
  {
    term: 'borrowed chord',
    also: ['modal interchange', 'parallel mode', 'mixture'],
    sentence: 'A chord taken from a parallel scale on the same tonic.',
    example: '{4-} in {=1} major comes from {=1} minor.',
  },
  {
    term: 'secondary dominant',
    also: ['V of', 'applied dominant'],
    sentence: 'A major or dominant chord a fifth above a chord of the key, which it leads to.',
    example: '{67} to {2-}.',
  },
  {
    term: 'circle of fifths',
    also: ['circle of fourths', 'cycle'],
    sentence: 'The twelve keys so that neighbours differ in one note; one way round it goes up in fifths, the other way in fourths.',
    example: '{=4} – {=1} – {=5}.',
  },
  {
    term: 'enharmonic',
    also: ['same sound, other name'],
    sentence: 'Two spellings of one sound; the key decides which is right.',
    example: '{=#4} or {=b5}.',
  },
  {
    term: 'inversion',
    also: ['slash chord', 'chord over a bass'],
    sentence: 'The chord with another tone than its root in the bass.',
    example: '{5/7}, the 5 with the 7 of the key below.',
  },
  {
    term: 'capo',
    also: ['capotasto'],
    sentence: 'A clamp that shortens all strings: shapes keep their names and sound higher by as many half steps as frets.',
    example: 'With capo 2 the shape of {b7} sounds {1}.',
  },
  {
    term: 'voicing',
    also: ['shape', 'grip'],
    sentence: 'A choice of which notes of a chord sound, in which order, and where on the neck.',
    example: '{1} with its 3 lowest and {1} with its 5 lowest are two voicings of one chord.',
  },
  {
    term: 'barre',
    also: ['barré', 'bar chord'],
    sentence: 'One finger laid over several strings, so that a shape can be moved up the neck.',
    example: 'Moved up two frets, a barre shape of {1} is a chord on {=2}.',
  },
  {
    term: 'shell',
    also: ['root-3-7', 'guide tones'],
    sentence: 'Root, third and seventh alone: enough to tell the chord.',
    example: 'The shell of {57} leaves out its fifth, {=2}.',
  },
  {
    term: 'spread triad',
    also: ['open triad'],
    sentence: 'A triad whose middle note is taken out to another octave.',
    example: '{=1} {=5} {=3} instead of {=1} {=3} {=5}.',
  },
  {
    term: 'drop-2',
    also: ['drop two'],
    sentence: 'A close four-note chord whose second note from the top is taken down an octave.',
    example: '{=1} {=3} {=5} {=7} becomes {=5} {=1} {=3} {=7}.',
  },
  {
    term: 'drop-3',
    also: ['drop three', 'root-7-3-5'],
    sentence: 'A close four-note chord whose third note from the top is taken down an octave.',
    example: '{=1} {=3} {=5} {=7} becomes {=3} {=1} {=5} {=7}.',
  },
  {
    term: 'number chart',
    also: ['numbers', 'chord numbers'],
    sentence: 'A song written as degrees instead of letters, so that it reads in every key.',
    example: '1 4 5 is {1} {4} {5} here.',
  },
  {
    term: 'push',
    also: ['anticipation', 'early chord'],
    sentence: 'A chord that comes an eighth before its beat.',
    example: '>4 in chart text.',
  },
  {
    term: 'diamond',
    also: ['let ring', 'whole-bar hold'],
    sentence: 'A chord struck once and left to ring.',
    example: '<1> in chart text.',
  },
  {
    term: 'fourth chord',
    also: ['quartal chord', 'stack of fourths'],
    sentence: 'A chord stacked in fourths instead of thirds.',
    example: '{=2} {=5} {=1} {=4}, a {2-7add11} without its 5.',
  },
  {
    term: 'function',
    also: ['tonic, subdominant, dominant'],
    sentence: 'What a chord does: rest, lead away, or pull back home.',
    example: '{1} rests, {4} leads away, {5} pulls back.',
  },
  {
    term: 'leading tone',
    also: ['major 7', 'raised 7'],
    sentence: 'The note a half step below the tonic, which wants to go there.',
    example: '{=7} to {=1}.',
  },
];
