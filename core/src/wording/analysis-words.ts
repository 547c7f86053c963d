import type { AnalyzedChord, Lead, Region } from '../analysis/analysis.ts';
import type { ChordScale } from '../analysis/chord-scales.ts';
import { MINORS } from '../analysis/home/home.ts';
import type { KeyReason } from '../analysis/home/key-evidence.ts';
import type { Pattern, PatternKind } from '../analysis/pattern.ts';
import type { ReadingKind, Resolution } from '../analysis/reading.ts';
import type { Key } from '../key/key.ts';
import { printScale } from '../key/key-text.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';
import type { Note } from '../pitch/note.ts';
import type { ChordScaleName } from '../scale/scale-table.ts';
import { keyWords } from './why-words.ts';

/** Readings as players call them. */
export const READING_NAMES: Readonly<Record<ReadingKind, string>> = {
  diatonic: 'in the key',
  'secondary-dominant': 'secondary dominant',
  'secondary-leading-tone': 'leading-tone chord',
  'related-two': 'related ii',
  'tritone-substitute': 'tritone substitute',
  borrowed: 'borrowed',
  'backdoor-dominant': 'backdoor dominant',
  'passing-diminished': 'passing diminished',
  'common-tone-diminished': 'common-tone diminished',
  'chromatic-mediant': 'chromatic mediant',
  neapolitan: 'Neapolitan',
  'augmented-sixth': 'augmented sixth',
  'blues-dominant': 'blues dominant',
  'line-cliche': 'line cliché',
  pedal: 'over a pedal',
  unexplained: 'no common reading',
};

export const PATTERN_NAMES: Readonly<Record<PatternKind, string>> = {
  'two-five-one': 'ii–V–I',
  'two-five': 'ii–V',
  'authentic-cadence': 'authentic cadence',
  'plagal-cadence': 'plagal cadence',
  'deceptive-cadence': 'deceptive cadence',
  'half-cadence': 'half cadence',
  turnaround: 'turnaround',
  loop: 'loop',
  'twelve-bar-blues': 'twelve-bar blues',
  'line-cliche': 'line cliché',
  'circle-motion': 'circle motion',
};

export const RESOLUTION_NAMES: Readonly<Record<Resolution, string>> = {
  resolves: 'kept',
  deceptive: 'deceptive',
  delayed: 'delayed',
  unresolved: 'unresolved',
};

/** A scale played over a chord under the name of its mode: `ionian`, `mixolydian`, `locrian ♯2`. */
export function chordScaleName(scale: ChordScaleName, style: 'ascii' | 'glyph' = 'glyph'): string {
  if (scale === 'major') return 'ionian';
  return scale === 'natural minor' ? 'aeolian' : printScale(scale, style);
}

/** A key as a home: the three minors are one, and simply called minor. */
export function homeWords(key: Key, naming: Naming = DEFAULT_NAMING): string {
  return MINORS.includes(key.scale) ? `${nameNote(key.tonic, naming.notes)} minor` : keyWords(key, naming);
}

/** What speaks for a key, in a few words. */
export function keyReasonWords(reason: KeyReason): string {
  switch (reason.code) {
    case 'given':
      return 'you gave this key';
    case 'first-chord':
      return 'the song opens on its 1';
    case 'last-chord':
      return 'the song ends on its 1';
    case 'cadences':
      return reason.count === 1 ? 'one cadence closes on its 1' : `${reason.count} cadences close on its 1`;
    case 'coverage':
      return reason.own === reason.of ? 'every chord is its own' : `${reason.own} of ${reason.of} chords are its own`;
    case 'explained':
      return reason.others === 1 ? 'one more is borrowed or passing' : `${reason.others} more are borrowed or passing`;
    case 'opens-into':
      return 'the song opens on its ii–V–I';
    case 'closes-whole':
      return 'it ends on its ii–V–I or six-four–V–I';
    case 'opens-on-four':
      return 'it opens on its 4';
    case 'points-home':
      return 'its ii–V stands at the end';
    case 'blues-form':
      return 'twelve bars of blues stand on its 1';
    case 'modal-colour':
      return 'the note that makes the mode is heard';
    case 'tonic-absent':
      return 'its 1 is never played';
  }
}

/** How sure the home is. */
export function leadWords(lead: Lead): string {
  switch (lead) {
    case 'clear':
      return 'One key leads clearly.';
    case 'two-homes':
      return 'Two homes: the song can be heard in either key.';
    case 'given':
      return 'Key as written.';
    case 'none':
      return 'There are no chords yet.';
  }
}

/** Why the music is taken to be in another key from here on. */
export function regionWords(region: Region, before: Key | null, chords: readonly AnalyzedChord[], naming: Naming = DEFAULT_NAMING): string {
  const home = homeWords(region.key, naming);
  if (region.by === 'player') return `${home}, as you say.`;
  if (region.by === 'chart') return `${home}, as the chart says.`;
  if (before === null) return `At home in ${home}.`;
  const pivot = region.pivot === null ? undefined : chords[region.pivot.index];
  const entry =
    pivot === undefined || region.pivot === null
      ? `It goes straight to ${home}`
      : `${nameChord(pivot.chord, naming)} belongs to both keys, ${numberInWords(region.pivot.numberBefore, naming)} in ${homeWords(before, naming)} and ${numberInWords(pivot.number, naming)} in ${home}`;
  const arrival = region.confirmedAt === null ? undefined : chords[region.confirmedAt];
  return arrival === undefined ? `${entry}.` : `${entry}; the cadence into ${nameChord(arrival.chord, naming)} confirms it.`;
}

/** A scale with the reason it is offered, in a few words. */
export function scaleWords({ reason, role, lacks, sharesWithNext }: ChordScale, naming: Naming = DEFAULT_NAMING): string {
  const why = reason === 'role' ? ROLE_WORDS[role] : REASON_WORDS[reason];
  const missing = lacks.length === 0 ? '' : `; mind ${notesText(lacks, naming)}, which the chord has instead`;
  const shared = sharesWithNext.length === 0 ? '' : `; ${notesText(sharesWithNext, naming)} lead on into the next chord`;
  return `${why}${missing}${shared}`;
}

const REASON_WORDS = {
  written: 'for what is written on the chord',
  beside: 'any dominant may take it',
  target: 'the scale of the chord it leads to',
  parent: 'stay in the key',
};

const ROLE_WORDS: Readonly<Record<ChordScale['role'], string>> = {
  one: 'the chord is at home',
  two: 'a 2 on its way to a 5',
  'minor-two': 'the 2 of a minor key',
  three: 'the upper part of the 1',
  four: 'the 4 of the key',
  six: 'the 6 of the key',
  seven: 'the 7 of the key',
  'to-major': 'a dominant into a major chord',
  'to-minor': 'a dominant into a minor chord',
  'dominant-at-rest': 'a dominant that does not fall a fifth',
  blues: 'a blues dominant',
  'minor-one': 'a minor chord at home',
  'local-minor-one': 'a minor chord that is home for a moment',
  'minor-major': 'a minor chord with a major seventh',
  'minor-six': 'a minor chord with a 6',
  'minor-three': 'the ♭3 of a minor key',
  'minor-four': 'the 4 of a minor key',
  'minor-four-dominant': 'the dominant 4 of a minor key',
  'minor-five': 'the minor 5',
  'flat-six': 'the ♭6',
  'flat-seven': 'the ♭7',
  'borrowed-four': 'the minor 4, from the parallel minor',
  'borrowed-major': 'a major chord from outside',
  augmented: 'an augmented chord',
  'augmented-major': 'an augmented chord with a major seventh',
  suspended: 'a suspended chord',
  major: 'a major chord',
  minor: 'a minor chord',
  'half-diminished': 'a half-diminished chord',
  diminished: 'a diminished chord',
  power: 'a chord without a third',
};

/** A pattern in a few words: `ii–V–I into D minor`, `loop of 4 chords`. */
export function patternWords({ kind, tonic, minor, round }: Pattern, naming: Naming = DEFAULT_NAMING): string {
  const goal = `${nameNote(tonic, naming.notes)} ${minor ? 'minor' : 'major'}`;
  if (round !== null) return `loop of ${round.period} chords in ${goal}`;
  if (kind === 'line-cliche') return `line cliché over ${nameNote(tonic, naming.notes)}`;
  const into = kind === 'two-five-one' || kind === 'two-five' || kind.endsWith('cadence') ? 'into' : 'in';
  return `${PATTERN_NAMES[kind]} ${into} ${goal}`;
}

/** What else the rules say of a chord: the runner-up is never hidden. */
export function runnerUpWords({ reading, others }: AnalyzedChord): string {
  const close = (cost: number) => (cost - reading.cost < CLOSE ? ', close behind' : '');
  return `Could also be ${others.map(({ kind, cost }) => `${READING_NAMES[kind]}${close(cost)}`).join(', or ')}.`;
}

const CLOSE = 0.4;

/** Notes in a sentence: `E`, `E and G`, `C, E and G`. */
export function notesText(notes: readonly Note[], { notes: school }: Naming): string {
  const names = notes.map((note) => nameNote(note, school));
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}
