import { QUESTION_KINDS } from '../choices.ts';
import type { Key } from '../key/key.ts';
import { KINDS_OF_DEPTH } from './asked-depth.ts';
import { diceOf } from './dice.ts';
import { earBass, earDegree, earLoop, earQuality, earTone, earWrong } from './ear-questions.ts';
import {
  type AskAll,
  chordToDegree,
  chordTones,
  degreeQuality,
  degreeToChord,
  intervalOrDegree,
  keysWithChord,
  keyText,
  parallel,
  qualityRow,
  relative,
  scaleNumbers,
  secondaryDominant,
  toneName,
  twoFiveOne,
} from './key-questions.ts';
import { capoPosition, capoShape, capoSounds, findOnString, noteOnFret, toneOnFret, whatChanged } from './neck-questions.ts';
import type { Asked, Question, QuestionKind, QuestionWish, WishInOneDepth } from './question.ts';

const ASK: Readonly<Record<QuestionKind, AskAll>> = {
  'degree-to-chord': degreeToChord,
  'chord-to-degree': chordToDegree,
  'degree-quality': degreeQuality,
  'quality-row': qualityRow,
  'chord-tones': chordTones,
  'scale-numbers': scaleNumbers,
  'secondary-dominant': secondaryDominant,
  'two-five-one': twoFiveOne,
  relative,
  parallel,
  'tone-name': toneName,
  'interval-or-degree': intervalOrDegree,
  'keys-with-chord': keysWithChord,
  'note-on-fret': noteOnFret,
  'find-on-string': findOnString,
  'tone-on-fret': toneOnFret,
  'what-changed': whatChanged,
  'capo-sounds': capoSounds,
  'capo-shape': capoShape,
  'capo-position': capoPosition,
  'ear-quality': earQuality,
  'ear-degree': earDegree,
  'ear-tone': earTone,
  'ear-bass': earBass,
  'ear-loop': earLoop,
  'ear-wrong': earWrong,
};

/** Kinds that are heard, not read. */
export const EAR_KINDS: readonly QuestionKind[] = QUESTION_KINDS.filter((kind) => kind.startsWith('ear-'));

/** Kinds that are read and answered from memory. */
export const RECALL_KINDS: readonly QuestionKind[] = QUESTION_KINDS.filter((kind) => !kind.startsWith('ear-'));

/** A pack of all the different questions of one kind and key; it is shuffled anew whenever it is used up. */
interface Pack {
  readonly kind: QuestionKind;
  readonly key: Key;
  readonly asked: readonly Asked[];
  order: readonly Asked[];
}

/**
 * Asks as many questions as are wished, every kind and key in turn, none twice before all of its kind and key were asked.
 * The same wish gets the same questions. Fewer, even none, where no kind can be asked in the keys.
 */
export function askQuestions(wish: QuestionWish): readonly Question[] {
  const dice = diceOf(wish.seed);
  const packs = wish.kinds.flatMap((kind) =>
    wish.keys.map((key): Pack => ({ kind, key, asked: allOf(kind, key, wish), order: [] })).filter(({ asked }) => asked.length > 0),
  );
  if (packs.length === 0) return [];
  const questions: Question[] = [];
  let turn: readonly Pack[] = [];
  while (questions.length < wish.count) {
    if (turn.length === 0) turn = dice.shuffled(packs);
    const pack = turn[0] as Pack;
    turn = turn.slice(1);
    if (pack.order.length === 0) pack.order = notFirst(dice.shuffled(pack.asked), questions.at(-1)?.prompt);
    const { about, prompt, answer } = pack.order[0] as Asked;
    pack.order = pack.order.slice(1);
    const id = `${questions.length + 1}/${pack.kind}/${keyText(pack.key)}/${about}`;
    questions.push({ id, kind: pack.kind, key: pack.key, prompt, answer });
  }
  return questions;
}

/** All the different questions of a kind and key, in each depth that is wished. */
function allOf(kind: QuestionKind, key: Key, wish: QuestionWish): readonly Asked[] {
  const ask = (depth: WishInOneDepth['depth']) => ASK[kind](key, { ...wish, depth });
  if (wish.depth !== 'both') return ask(wish.depth);
  return KINDS_OF_DEPTH.includes(kind) ? [...ask('triad'), ...ask('seventh')] : ask(null);
}

/** Nothing is asked twice in a row where there is anything else to ask. */
function notFirst(order: readonly Asked[], prompt: Asked['prompt'] | undefined): readonly Asked[] {
  return order.length > 1 && order[0]?.prompt === prompt ? [...order.slice(1), order[0] as Asked] : order;
}
