import {
  type Answer,
  answerWords,
  askQuestions,
  blockReasonWords,
  checkInstrument,
  itemId,
  itemWords,
  type Key,
  markWords,
  type Pass,
  type PlanBlock,
  type Programme,
  type Prompt,
  parseKey,
  planPractice,
  planReasonWords,
  printChord,
  printNote,
  printScaleNumber,
  programmeKeys,
  type Question,
  questionReason,
  questionWords,
  readMarked,
  remember,
  STANDARD_GUITAR,
  type Tuning,
} from '@aurora/core';
import {
  type PracticePlanAnswer,
  type PracticePlanRequest,
  type PracticeQuestionsAnswer,
  type PracticeQuestionsRequest,
  practiceAnswerAnswer,
  practiceAnswerRequest,
  practicePlanAnswer,
  practicePlanRequest,
  practiceQuestionsAnswer,
  practiceQuestionsRequest,
} from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { required, requiredKey, requiredTuning } from '../validate.ts';
import { aheadRemarks } from './pass-store.ts';

/** `/practice/questions` and `/practice/plan`: thin handlers over the core. */
export const PRACTICE_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'practiceQuestions',
      method: 'post',
      path: '/practice/questions',
      tag: 'practice',
      summary: 'Questions on keys, chords and the neck, with every right answer',
      body: practiceQuestionsRequest,
      answer: practiceQuestionsAnswer,
      isLimited: true,
      isHeavy: true,
    },
    ({ body }) => questionsFor(body),
  ),
  openCall(
    {
      id: 'practiceAnswer',
      method: 'post',
      path: '/practice/answers',
      tag: 'practice',
      summary: 'Whether an answer is right, in any wording a musician uses',
      body: practiceAnswerRequest,
      answer: practiceAnswerAnswer,
      isLimited: true,
    },
    ({ body: { question, answer } }) => {
      const { mark, reads } = readMarked(question, answer);
      return {
        verdict: mark.kind === 'misspelled' ? ('wrong' as const) : mark.kind,
        reads,
        says: markWords(mark, answerWords(question.answer.accepted[0] ?? '')),
      };
    },
  ),
  openCall(
    {
      id: 'practicePlan',
      method: 'post',
      path: '/practice/plan',
      tag: 'practice',
      summary: 'A plan for the minutes somebody has',
      body: practicePlanRequest,
      answer: practicePlanAnswer,
      isLimited: true,
      isHeavy: true,
      bodyLimit: '4mb',
    },
    ({ body }) => planFor(body),
  ),
];

function questionsFor({ kinds, keys, depth, count, seed, capo, tuning }: PracticeQuestionsRequest): PracticeQuestionsAnswer {
  const questions = askQuestions({
    kinds,
    keys: keys.map((key, place) =>
      typeof key === 'string' ? required(parseKey(key), `keys.${place}`) : requiredKey(key, `keys.${place}`),
    ),
    depth: depth ?? null,
    count,
    seed,
    capo: capo ?? null,
    tuning: tuningOf(tuning),
    loops: [],
  });
  if (questions.length === 0) {
    const message =
      'None of these kinds can be asked in these keys on this instrument: a mode has no relative key, and some shapes need five strings.';
    throw new HttpFault('invalid', message, { errors: [{ message, path: 'kinds' }] });
  }
  return { questions: questions.map(describe) };
}

function tuningOf(strings: readonly (string | number)[] | undefined): Tuning {
  if (strings === undefined) return STANDARD_GUITAR.tuning;
  return required(checkInstrument({ ...STANDARD_GUITAR, tuning: requiredTuning(strings, 'tuning') }), 'tuning').tuning;
}

function describe(question: Question): PracticeQuestionsAnswer['questions'][number] {
  const { id, kind, key, prompt, answer } = question;
  return {
    id,
    kind,
    key: { tonic: printNote(key.tonic), scale: key.scale },
    prompt: { text: questionWords(question), ...promptOf(prompt) },
    answer: { ...answer, accepted: [...answer.accepted] } satisfies Answer & { readonly accepted: string[] },
    reason: questionReason(question),
  };
}

type ToldPrompt = Omit<PracticeQuestionsAnswer['questions'][number]['prompt'], 'text'>;

function promptOf({ degree, chord, chords, formula, note, to, string, fret, capo, shape, shapes, sounds }: Prompt): ToldPrompt {
  return withoutMissing({
    degree: degree === undefined ? undefined : printScaleNumber(degree),
    chord: chord === undefined ? undefined : printChord(chord),
    chords: chords?.map((one) => printChord(one)),
    formula,
    note: note === undefined ? undefined : printNote(note),
    to: to === undefined ? undefined : printNote(to),
    string,
    fret,
    capo,
    shape: shape === undefined ? undefined : printChord(shape),
    shapes: shapes?.map((frets) => [...frets]),
    sounds: sounds?.map(({ midi, beats }) => ({ midi: [...midi], beats })),
  });
}

function withoutMissing<Told extends object>(told: Told): { [Name in keyof Told]: Exclude<Told[Name], undefined> } {
  return Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined)) as {
    [Name in keyof Told]: Exclude<Told[Name], undefined>;
  };
}

function planFor({ minutes, passes, programme, set, tuning, now, seed }: PracticePlanRequest): PracticePlanAnswer {
  const at = Date.parse(now);
  const played = passes.map(passOf);
  const blocks = planPractice({
    minutes,
    passes: played,
    programme: programme == null ? null : programmeOf(programme, played, at),
    songs: (set?.songs ?? []).map(({ id, title, key }, place) => ({
      id: id || title,
      title,
      key: required(parseKey(key), `set.songs.${place}.key`),
    })),
    tuning: tuningOf(tuning),
    now: at,
    seed,
  });
  return { minutes, blocks: blocks.map(describeBlock), remarks: [...aheadRemarks(played.map((pass) => pass.at - at))] };
}

/** A pass as it is sent, as the core has it. */
function passOf({
  id,
  at,
  item,
  stage,
  tempo,
  answeredMs,
  outcome,
  said,
  hidden,
  seconds,
  night,
}: PracticePlanRequest['passes'][number]): Pass {
  return { id, at: Date.parse(at), item, stage, tempo, answeredIn: answeredMs, outcome, said, hidden, seconds, night };
}

type ProgrammeWish = NonNullable<PracticePlanRequest['programme']>;

function programmeOf({ nights, order, first, scales, skipped, since }: ProgrammeWish, passes: readonly Pass[], now: number): Programme {
  const wished = scales.map((scale): Key => requiredKey({ tonic: first, scale }, 'programme'));
  const wish = { nights, order, first: (wished[0] as Key).tonic, scales: wished.map(({ scale }) => scale) };
  return { keys: programmeKeys(wish, remember(passes, now)), skipped, since: since === undefined ? 0 : Date.parse(since) };
}

function describeBlock({ kind, minutes, items }: PlanBlock): PracticePlanAnswer['blocks'][number] {
  return {
    kind,
    minutes,
    items: items.map(({ item, isNew, why }) => ({
      ...item,
      item: itemId(item),
      text: itemWords(item, undefined, titleOf(why)),
      isNew,
      why: planReasonWords(why),
    })),
    why: blockReasonWords(kind, items),
  };
}

function titleOf(why: PlanBlock['items'][number]['why']): string {
  return why.kind === 'set' ? why.title : '';
}
