import type { TuningOddity } from '../fretboard/instrument.ts';
import { withGlyphs } from '../pitch/note-text.ts';
import { COMFORTABLE, EASY } from '../voicing/hand.ts';
import type { HoldReason } from '../voicing/holding.ts';
import type { StringMove } from '../voicing/key-shapes.ts';
import type { StepCost } from '../voicing/path-cost.ts';
import type { Family, Finger } from '../voicing/voicing.ts';

/** Families as players call them. */
export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  open: 'Open',
  'barre-6': 'Barre, root on 6',
  'barre-5': 'Barre, root on 5',
  triad: 'Triads',
  spread: 'Spread triads',
  shell: 'Shells',
  'drop-2': 'Drop-2',
  'drop-3': 'Drop-3',
  quartal: 'Quartal',
  other: 'Others',
};

/** How hard a shape is, in a word. */
export function difficultyWord(difficulty: number): string {
  if (difficulty <= EASY) return 'easy';
  return difficulty <= COMFORTABLE ? 'medium' : 'hard';
}

/** Which chord tone is lowest: `root position`, `first inversion`; a foreign bass is named by itself. */
export function inversionWord(inversion: number | null): string {
  if (inversion === null) return 'another bass';
  return ['root lowest', '1st inversion', '2nd inversion', '3rd inversion'][inversion] ?? `tone ${inversion + 1} lowest`;
}

const FINGER_NAMES = ['open', '1st finger', '2nd finger', '3rd finger', 'little finger'];

function fingerName(finger: Finger): string {
  return finger === 'T' ? 'thumb' : (FINGER_NAMES[finger] as string);
}

/** Why one would hold a shape this way. */
export function holdWords(reason: HoldReason): string {
  switch (reason.kind) {
    case 'easiest':
      return 'the easiest hold';
    case 'frees':
      return `frees the ${fingerName(reason.finger)}`;
    case 'thumb':
      return 'thumb over the lowest string';
    case 'no-barre':
      return 'one barre less';
    case 'barre':
      return 'fewer fingers, one more barre';
    case 'mutes':
      return `the ${fingerName(reason.finger)} keeps string ${reason.string} quiet`;
    case 'stays':
      return `${reason.fingers.map(fingerName).join(' and ')} ${reason.fingers.length === 1 ? 'stays' : 'stay'} for the next chord`;
    case 'light-barre':
      return 'a light barre, next to the nut or the capo';
  }
}

/** What moves from one shape to the next, in one sentence. */
export function moveWords(moves: readonly StringMove[], shift: number): string {
  const by = (kind: StringMove['kind']) => moves.filter((move) => move.kind === kind);
  const stays = by('stays');
  const moving = by('moves');
  const parts: string[] = [];
  const first = moving[0]?.frets ?? 0;
  if (moving.length > 1 && stays.length === 0 && moving.every(({ frets }) => frets === first))
    parts.push(`the whole shape ${travel(first)}`);
  else {
    if (stays.length > 0) parts.push(`${strings(stays)} ${stays.length === 1 ? 'stays' : 'stay'}`);
    for (const [frets, moved] of grouped(moving)) parts.push(`${strings(moved)} ${travel(frets)}`);
  }
  if (by('enters').length > 0) parts.push(`${strings(by('enters'))} added`);
  if (by('leaves').length > 0) parts.push(`${strings(by('leaves'))} left out`);
  const hand = shift === 0 ? '' : `; the hand goes ${travel(shift)}`;
  return `${parts.join(', ')}${hand}`.replace(/^./, (letter) => letter.toUpperCase());
}

function grouped(moves: readonly StringMove[]): readonly (readonly [number, readonly StringMove[]])[] {
  const groups = new Map<number, StringMove[]>();
  for (const move of moves) groups.set(move.frets, [...(groups.get(move.frets) ?? []), move]);
  return [...groups];
}

function strings(moves: readonly StringMove[]): string {
  return `${moves.length === 1 ? 'string' : 'strings'} ${moves.map(({ string }) => string).join(' ')}`;
}

function travel(frets: number): string {
  const count = Math.abs(frets);
  return `${frets > 0 ? 'up' : 'down'} ${count} ${count === 1 ? 'fret' : 'frets'}`;
}

/** What a step of a path cost, part by part; the unit is one fret of hand movement. */
export function costWords({ shift, strings: fingers, top, common, shape }: StepCost): string {
  const parts: readonly (readonly [number, string])[] = [
    [shift, 'shift'],
    [fingers, 'fingers'],
    [top, 'top note'],
    [common, 'shared notes moved'],
    [shape, 'the shape itself'],
  ];
  return parts.flatMap(([cost, what]) => (cost > 0 ? [`${what} ${Math.round(cost * 10) / 10}`] : [])).join(' + ');
}

/** What is unusual about a tuning. */
export function oddityWords({ kind, strings: [low, high] }: TuningOddity): string {
  return kind === 'same'
    ? `Strings ${low} and ${high} are tuned alike.`
    : `String ${high} is tuned below string ${low}: the lowest note of a shape may lie on any string.`;
}

/** What a colour adds to a chord and leaves out of it. */
export function colourWords(added: readonly string[], left: readonly string[]): string {
  const parts = [
    ...(added.length > 0 ? [`adds ${added.map(withGlyphs).join(' and ')}`] : []),
    ...(left.length > 0 ? [`leaves out ${left.map(withGlyphs).join(' and ')}`] : []),
  ];
  return parts.join(', ');
}
