import type { Analysis, AnalyzedChord, Lead, Region } from '../analysis/analysis.ts';
import type { ChordScale } from '../analysis/chord-scales.ts';
import { MINORS } from '../analysis/home.ts';
import type { KeyReason } from '../analysis/key-evidence.ts';
import type { Pattern, PatternKind } from '../analysis/pattern.ts';
import type { ReadingKind, Resolution } from '../analysis/reading.ts';
import { type Chord, chordNotes } from '../chord/chord.ts';
import { formulaOf, holdsAll } from '../chord/formula.ts';
import { chordOnTonic, type NumberChord } from '../degree/degree.ts';
import { chordInKey } from '../harmony/chord-in-key.ts';
import type { Key } from '../key/key.ts';
import { printScale } from '../key/key-text.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { ChordScaleName } from '../scale/scale-table.ts';
import { keyWords } from './why-words.ts';

const DOMINANT = formulaOf('3', 'b7');
const TRIAD_TONES = formulaOf('1', 'b3', '3', 'b5', '5', '#5');

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
      return reason.others === 1 ? 'one more is a known visitor' : `${reason.others} more are known visitors`;
    case 'opens-into':
      return 'the song opens on its ii–V–I';
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
      return 'You gave the key.';
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
      : `${nameChord(pivot.chord, naming)} belongs to both keys, ${numberInWords(region.pivot.numberBefore)} in ${homeWords(before, naming)} and ${numberInWords(pivot.number)} in ${home}`;
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

// --------------------------------------------------------------------------------------- readings

/** Why a chord works where it stands: two or three plain sentences. */
export function readingWords(analysis: Analysis, index: number, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const chord = analysis.chords[index];
  const region = analysis.regions[chord?.region ?? -1];
  if (chord === undefined || region === undefined) return [];
  const scene: Told = { chord, key: region.key, before: neighbour(analysis, index, -1), after: neighbour(analysis, index, 1), naming };
  return [firstSentence(scene), ...promiseSentence(scene)];
}

/** What else the rules say of a chord: the runner-up is never hidden. */
export function runnerUpWords({ reading, others }: AnalyzedChord): string {
  if (others.length === 0) return 'No other rule speaks for it.';
  const close = (cost: number) => (cost - reading.cost < CLOSE ? ', close behind' : '');
  return `Next best: ${others.map(({ kind, cost }) => `${READING_NAMES[kind]}${close(cost)}`).join('; ')}.`;
}

const CLOSE = 0.4;

/** What a sentence is made of. */
interface Told {
  readonly chord: AnalyzedChord;
  readonly key: Key;
  readonly before: Chord | null;
  readonly after: Chord | null;
  readonly naming: Naming;
}

/** The next chord on another root, in that direction. */
function neighbour({ chords }: Analysis, index: number, by: 1 | -1): Chord | null {
  const here = chords[index]?.chord;
  for (let at = index + by; at >= 0 && at < chords.length; at += by) {
    const other = chords[at]?.chord as Chord;
    if (here !== undefined && chroma(other.root) !== chroma(here.root)) return other;
  }
  return null;
}

function firstSentence(told: Told): string {
  const { chord, key, naming, before, after } = told;
  const name = nameChord(chord.chord, naming);
  const home = homeWords(key, naming);
  const target = targetName(told);
  const next = after === null ? 'the next chord' : nameChord(after, naming);
  switch (chord.reading.kind) {
    case 'diatonic':
      return ownSentence(told, name, home);
    case 'secondary-dominant':
      return `${name} is the dominant of ${target}: ${outsideText(told)}.`;
    case 'secondary-leading-tone':
      return `${name} holds the note a half step below ${target} and leans on it: ${outsideText(told)}.`;
    case 'related-two':
      return `${name} with ${next} is a ii–V into ${target}, as if ${target} were home for a moment.`;
    case 'tritone-substitute':
      return `${name} stands in for the dominant of ${target}: it has the same 3 and 7, turned over, and slides down a half step.`;
    case 'borrowed':
      return `${name} is borrowed: ${outsideText(told)}, and ${sourcesText(told)} has it.`;
    case 'backdoor-dominant':
      return `${name} is the backdoor dominant: from the ♭7 it rises a step to ${target}, with the pull of the minor 4 in it.`;
    case 'passing-diminished':
      return before === null
        ? `${name} passes into ${next}.`
        : `${name} passes between ${nameChord(before, naming)} and ${next}, by half steps.`;
    case 'common-tone-diminished':
      return `${name} keeps ${commonText(chord.chord, after, naming)} while its other notes slide into place.`;
    case 'chromatic-mediant':
      return `${name} stands a third away with changed notes: ${outsideText(told)}. It is colour, and promises nothing.`;
    case 'neapolitan':
      return `${name} is the Neapolitan, a major chord on the ♭2: it moves away from home like a 4, towards the 5.`;
    case 'augmented-sixth':
      return `${name} opens outward into ${next}: its root falls a half step and its ♭7, heard as a ♯6, rises one.`;
    case 'blues-dominant':
      return `${name} is at rest: in the blues the ${numberInWords(chord.number)} is a dominant seventh that colours and does not pull.`;
    case 'line-cliche':
      return `${name} holds its root while one voice walks by half steps.`;
    case 'pedal':
      return `${name} over a held bass: the chord above is the ${numberInWords({ ...chord.number, bass: null })}, the bass stays where it was.`;
    case 'unexplained':
      return `No common reading fits ${name} here: ${outsideText(told) || `it is the ${numberInWords(chord.number)} of ${home}`}.`;
  }
}

function ownSentence(told: Told, name: string, home: string): string {
  const { chord } = told;
  if (chord.reading.rule === 'coloured-chord') {
    return `${name} is the ${numberInWords(chord.number)} of ${home} with colour on top: ${outsideText(told)}, but its 3 and 7 are the key’s own.`;
  }
  const raised = outsideText(told);
  const minor = raised === '' ? '' : ` ${capital(raised)}: minor keys raise their 6 and 7 on the way up.`;
  return `${name} is the ${numberInWords(chord.number)}: it belongs to ${home}.${minor}`;
}

/** Which notes leave the key's plain scale: `C♯ stands where C major has C`. */
function outsideText({ chord, key, naming }: Told): string {
  const plain: Key = key.scale === 'harmonic minor' || key.scale === 'melodic minor' ? { ...key, scale: 'natural minor' } : key;
  return chordInKey(chord.chord, plain)
    .filter(({ keyHas }) => keyHas !== null)
    .map(({ note, keyHas }) => `${nameNote(note, naming.notes)} stands where the key has ${nameNote(keyHas as Note, naming.notes)}`)
    .join(', ');
}

function sourcesText({ chord, key, naming }: Told): string {
  const [nearest, ...more] = chord.reading.sources ?? [];
  if (nearest === undefined) return 'a scale on the same tonic';
  const also = more.length === 0 ? '' : ` (as does ${printScale(more[0] as ChordScaleName, 'glyph')})`;
  return `${keyWords({ ...key, scale: nearest }, naming)}${also}`;
}

function commonText(chord: Chord, after: Chord | null, naming: Naming): string {
  const shared =
    after === null ? undefined : chordNotes(after).find((note) => chordNotes(chord).some((own) => chroma(own) === chroma(note)));
  return shared === undefined ? 'a note of the next chord' : `${nameNote(shared, naming.notes)} in common with the next chord`;
}

/** What becomes of what the chord promises. */
function promiseSentence(told: Told): readonly string[] {
  const { chord, after, naming } = told;
  const { resolution, target } = chord.reading;
  if (resolution === undefined || target === null) return [];
  const wanted = targetName(told);
  const next = after === null ? '' : nameChord(after, naming);
  switch (resolution) {
    case 'resolves':
      return [
        after !== null && leadsOn(after, target)
          ? `${next} follows on that root and leads on itself.`
          : `It keeps its promise: ${next} follows.`,
      ];
    case 'deceptive':
      return [`The ear is promised ${wanted}; ${next} comes instead.`];
    case 'delayed':
      return [`${capital(wanted)} is promised and comes a chord later.`];
    case 'unresolved':
      return [`Nothing answers it: ${wanted} would.`];
  }
}

/** Whether a dominant arrives where a plain chord was promised, as in a chain of dominants. */
function leadsOn(after: Chord, target: NumberChord): boolean {
  return holdsAll(after.formula, DOMINANT) && target.formula !== (after.formula & TRIAD_TONES);
}

function targetName({ chord, key, naming }: Told): string {
  const { target } = chord.reading;
  return target === null ? 'the next chord' : `${nameChord(chordOnTonic(target, key.tonic), naming)}, the ${numberInWords(target)}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function notesText(notes: readonly Note[], { notes: school }: Naming): string {
  const names = notes.map((note) => nameNote(note, school));
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}
