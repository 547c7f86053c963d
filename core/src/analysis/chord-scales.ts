import { type Chord, chordNotes } from '../chord/chord.ts';
import { formulaNames } from '../chord/formula.ts';
import { modesOf } from '../harmony/belonging.ts';
import type { Key } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { chordScaleIntervals } from '../scale/scale.ts';
import type { ChordScaleName, ScaleName } from '../scale/scale-table.ts';
import { DOMINANT_SCALES, ROLE_SCALES, type ScaleRole, WRITTEN_SCALES } from './chord-scale-table.ts';
import { type Home, isMajorTarget, isOwn, MINORS, modeFacts } from './home/home.ts';
import type { Claim } from './reading.ts';
import type { ChordFacts } from './rules/facts.ts';

/** Why a scale is offered: for what the chord does, for what is written on it, beside these, or because the key has it. */
type ScaleReason = 'role' | 'written' | 'beside' | 'target' | 'parent';

/** A scale to play over a chord. */
export interface ChordScale {
  readonly tonic: Note;
  readonly scale: ChordScaleName;
  readonly reason: ScaleReason;
  /** What the chord does, as far as scales are concerned. */
  readonly role: ScaleRole;
  /** Tones of the chord that the scale does not have. */
  readonly lacks: readonly Note[];
  /** Tones it has in common with the next chord. */
  readonly sharesWithNext: readonly Note[];
}

/** What the choice of scales depends on. */
export interface ScaleQuestion {
  readonly facts: ChordFacts;
  readonly claim: Claim;
  readonly home: Home;
  /** The home's key, spelled. */
  readonly key: Key;
  readonly step: number;
  readonly next: Chord | null;
  readonly nextFacts: ChordFacts | null;
  /** The chord's part in a ii–V–I that is heard as its own little key; null under the home hearing. */
  readonly local: 'two' | 'one' | null;
  /** A melody note held over the chord; scales without it are ruled out. */
  readonly melody: Note | null;
}

/** Scales for the chord, best first. There is always at least one, the key's own. */
export function scalesFor(question: ScaleQuestion): readonly ChordScale[] {
  const { facts, melody } = question;
  const role = roleOf(question);
  const found: Candidate[] = [
    ...writtenScales(question, role),
    ...targetScales(question),
    ...roleScales(question, role),
    ...besideScales(question, role),
  ];
  const fitting = found.filter((candidate) => fitsChord(candidate, facts) && holdsMelody(candidate, melody));
  const parent: Candidate = { tonic: question.key.tonic, scale: parentScale(question), reason: 'parent' };
  const chosen = bassFirst(firstOfEach(fitting), facts).slice(0, MOST_SCALES);
  const parentFits = holdsMelody(parent, melody) || chosen.length === 0;
  const all = parentFits && !chosen.some((candidate) => hasSameNotes(candidate, parent)) ? [...chosen, parent] : chosen;
  return all.map((candidate) => describe(candidate, role, question));
}

/** Scales that hold a bass of its own before those that do not; where none does, modes of the key's other colours are asked. */
function bassFirst(candidates: readonly Candidate[], { foreignBass, bass, chord, class: kind }: ChordFacts): readonly Candidate[] {
  if (!foreignBass) return candidates;
  const holds = ({ tonic, scale }: Candidate) => chordScaleIntervals(scale).some((interval) => chroma(tonic + interval) === bass);
  const more: readonly Candidate[] = (BASS_SCALES[kind] ?? []).map((scale) => ({ tonic: chord.root, scale, reason: 'beside' }));
  const all = firstOfEach([...candidates, ...more]);
  return [...all.filter(holds), ...candidates.filter((candidate) => !holds(candidate))];
}

/** What a chord over a foreign bass may take beside the scales of its role. */
const BASS_SCALES: Partial<Record<ChordFacts['class'], readonly ChordScaleName[]>> = {
  minor: ['dorian', 'natural minor', 'melodic minor', 'harmonic minor', 'phrygian'],
  major: ['major', 'mixolydian', 'lydian', 'harmonic major', 'mixolydian b6'],
  dominant: ['mixolydian', 'lydian dominant', 'mixolydian b6', 'phrygian dominant'],
};

interface Candidate {
  readonly tonic: Note;
  readonly scale: ChordScaleName;
  readonly reason: ScaleReason;
}

const MOST_SCALES = 5;

function onRoot({ facts }: ScaleQuestion, scales: readonly ChordScaleName[], reason: ScaleReason): readonly Candidate[] {
  return scales.map((scale) => ({ tonic: facts.chord.root, scale, reason }));
}

function roleScales(question: ScaleQuestion, role: ScaleRole): readonly Candidate[] {
  const { local, facts, key } = question;
  const listed = onRoot(question, ROLE_SCALES[role], 'role').map((candidate) =>
    // a blues is played with the one blues scale of its key
    candidate.scale === 'blues' ? { ...candidate, tonic: key.tonic } : candidate,
  );
  const mode = FIXED_ROLES.has(role) ? undefined : modeHere(question);
  if (mode === undefined) return listed;
  // the hearing decides which comes first: the mode of the key, or what the chord is for a moment
  const home: Candidate = { tonic: facts.chord.root, scale: mode, reason: 'role' };
  return local === null ? [home, ...listed] : [...listed, home];
}

/** Roles whose first scale is settled by what the chord does, not by the notes around it. */
const FIXED_ROLES: ReadonlySet<ScaleRole> = new Set<ScaleRole>([
  'minor-major',
  'minor-six',
  'blues',
  'augmented',
  'augmented-major',
  'diminished',
  'to-major',
  'to-minor',
  'dominant-at-rest',
  'borrowed-four',
  'borrowed-major',
]);

/** The mode on this chord's root: of the key for a chord of its own, of the scale it was borrowed from for another. */
function modeHere(question: ScaleQuestion): ScaleName | undefined {
  const { home, facts, key, claim } = question;
  const source = isOwn(home, facts) ? parentScale(question) : claim.kind === 'borrowed' ? claim.sources?.[0] : undefined;
  if (source === undefined) return undefined;
  const root = facts.chord.root;
  return modesOf({ tonic: key.tonic, scale: source }).find(({ tonic }) => chroma(tonic) === chroma(root))?.scale ?? undefined;
}

/** The key's scale; in minor the one of the three that holds the chord. */
function parentScale({ home, key, facts }: ScaleQuestion): ScaleName {
  if (!MINORS.includes(key.scale)) return key.scale;
  return MINORS.find((scale) => isOwn({ tonic: home.tonic, mode: modeFacts(scale) }, facts)) ?? 'natural minor';
}

/** A diminished seventh chord takes the harmonic minor of the chord it leads to. */
function targetScales({ claim, home, key, facts, step }: ScaleQuestion): readonly Candidate[] {
  if (facts.class !== 'diminished') return [];
  const target = claim.target ?? (home.mode.minor && isOwn(home, facts) ? 0 : (step + 1) % 12);
  if (claim.rule === 'common-tone') return [];
  const degree = home.mode.degrees[target];
  return degree === undefined ? [] : [{ tonic: key.tonic + degree, scale: 'harmonic minor', reason: 'target' }];
}

function writtenScales(question: ScaleQuestion, role: ScaleRole): readonly Candidate[] {
  if (question.facts.class !== 'dominant') return [];
  const names: readonly string[] = formulaNames(question.facts.chord.formula);
  const asked = WRITTEN_SCALES.find(([tones]) => tones.every((tone) => names.includes(tone)));
  if (asked === undefined) return [];
  const first = ROLE_SCALES[role][0] as ChordScaleName;
  // into a minor chord the ♭9 and ♭13 are the scale's own
  const scales = role === 'to-minor' && asked[1].includes(first) ? [first, ...asked[1]] : asked[1];
  return onRoot(question, scales, 'written');
}

/** Any dominant that pulls may be altered, or played plain. */
function besideScales(question: ScaleQuestion, role: ScaleRole): readonly Candidate[] {
  const pulls = role === 'to-major' || role === 'to-minor';
  return pulls && question.facts.class === 'dominant' ? onRoot(question, DOMINANT_SCALES, 'beside') : [];
}

/** Whether the scale has every tone of the chord. The plain fifth of a dominant may give way, and a blues scale grates on purpose. */
function fitsChord({ tonic, scale }: Candidate, { chord, tones, class: kind }: ChordFacts): boolean {
  if (scale === 'blues') return true;
  const pitches = new Set(chordScaleIntervals(scale).map((interval) => chroma(tonic + interval)));
  return tones.every((tone) => pitches.has(chroma(chord.root + tone)) || (kind === 'dominant' && tone === 1));
}

function holdsMelody({ tonic, scale }: Candidate, melody: Note | null): boolean {
  return melody === null || chordScaleIntervals(scale).some((interval) => chroma(tonic + interval) === chroma(melody));
}

function firstOfEach(candidates: readonly Candidate[]): readonly Candidate[] {
  const isFirst = ({ tonic, scale }: Candidate, index: number) =>
    candidates.findIndex((other) => other.tonic === tonic && other.scale === scale) === index;
  return candidates.filter(isFirst);
}

function hasSameNotes(a: Candidate, b: Candidate): boolean {
  const notes = ({ tonic, scale }: Candidate) =>
    chordScaleIntervals(scale).reduce((mask, interval) => mask | (1 << chroma(tonic + interval)), 0);
  return notes(a) === notes(b);
}

function describe({ tonic, scale, reason }: Candidate, role: ScaleRole, { facts, next }: ScaleQuestion): ChordScale {
  const pitches = new Set(chordScaleIntervals(scale).map((interval) => chroma(tonic + interval)));
  const tonesOf = (chord: Chord, tones: readonly number[]) => tones.map((tone) => chord.root + tone);
  return {
    tonic,
    scale,
    reason,
    role,
    lacks: tonesOf(facts.chord, facts.tones).filter((note) => !pitches.has(chroma(note))),
    sharesWithNext: next === null ? [] : chordNotes(next).filter((note) => pitches.has(chroma(note))),
  };
}

// ------------------------------------------------------------------------------------------ roles

const MAJOR_ROLES: Readonly<Record<number, ScaleRole>> = {
  0: 'one',
  2: 'two',
  4: 'three',
  5: 'four',
  7: 'to-major',
  9: 'six',
  11: 'seven',
};
const MINOR_ROLES: Readonly<Record<number, ScaleRole>> = {
  0: 'minor-one',
  2: 'minor-two',
  3: 'minor-three',
  5: 'minor-four',
  7: 'minor-five',
  8: 'flat-six',
  10: 'flat-seven',
};

/** What the chord does, as far as scales are concerned. */
function roleOf(question: ScaleQuestion): ScaleRole {
  const { claim, facts, local } = question;
  if (local === 'two') return facts.class === 'half-diminished' ? 'minor-two' : 'two';
  if (facts.class === 'minor-major') return 'minor-major';
  if (local === 'one') return facts.class === 'minor' ? 'local-minor-one' : 'one';
  if (facts.class === 'augmented') return facts.seventh ? 'augmented-major' : 'augmented';
  switch (claim.kind) {
    case 'blues-dominant':
      return 'blues';
    case 'secondary-dominant':
      return appliedRole(question);
    case 'tritone-substitute':
    case 'backdoor-dominant':
    case 'augmented-sixth':
      return 'dominant-at-rest';
    case 'borrowed':
    case 'neapolitan':
    case 'chromatic-mediant':
      return borrowedRole(question);
    case 'related-two':
      return facts.class === 'half-diminished' ? 'minor-two' : 'two';
    default:
      return ownRole(question);
  }
}

function ownRole(question: ScaleQuestion): ScaleRole {
  const { home, facts, step } = question;
  if (step === 7 && (facts.class === 'dominant' || facts.class === 'major')) return home.mode.minor ? 'to-minor' : 'to-major';
  if (facts.class === 'dominant' && !isOwn(home, facts)) return 'dominant-at-rest';
  if (facts.class === 'dominant' && home.mode.minor && step === 5) return 'minor-four-dominant';
  if (facts.class === 'minor' && step === 0 && facts.tones.includes(3)) return 'minor-six';
  const listed = (home.mode.minor ? MINOR_ROLES : MAJOR_ROLES)[step];
  return listed !== undefined && home.mode.triads[step] !== undefined && facts.class !== 'diminished' ? listed : plainRole(facts);
}

function plainRole({ class: kind }: ChordFacts): ScaleRole {
  switch (kind) {
    case 'dominant':
      return 'dominant-at-rest';
    case 'minor-major':
    case 'half-diminished':
    case 'diminished':
    case 'augmented':
    case 'suspended':
    case 'power':
    case 'major':
    case 'minor':
      return kind;
  }
}

/** A dominant takes the scale of what it promises, kept or not; a kept promise is asked what it really came to. */
function appliedRole({ claim, home, step, nextFacts }: ScaleQuestion): ScaleRole {
  if (step === 2 && claim.resolution === 'unresolved') return 'dominant-at-rest';
  const arrives = claim.resolution === 'resolves' && nextFacts !== null;
  const toMajor = arrives ? nextFacts.class !== 'minor' && nextFacts.class !== 'half-diminished' : isMajorTarget(home, claim.target ?? 0);
  return toMajor ? 'to-major' : 'to-minor';
}

/** ♭2, ♭3 and ♭6, and the major chords a third above and below the tonic. */
const LYDIAN_STEPS = new Set([1, 3, 4, 8, 9]);

function borrowedRole({ facts, step }: ScaleQuestion): ScaleRole {
  if (facts.class === 'minor') return step === 5 ? 'borrowed-four' : 'minor';
  if (facts.class === 'dominant') return step === 7 ? 'to-major' : 'dominant-at-rest';
  return facts.class === 'major' && LYDIAN_STEPS.has(step) ? 'borrowed-major' : plainRole(facts);
}
