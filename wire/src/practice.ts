import {
  ANSWER_FORMS,
  ASKED_DEPTHS,
  BLOCK_KINDS,
  FASTEST,
  FEWEST_MINUTES,
  KEY_ORDERS,
  MOST_MINUTES,
  MOST_NIGHTS,
  OUTCOMES,
  QUESTION_KINDS,
  SLOWEST,
  STUDIES,
  USUAL_STEPS,
} from '@aurora/core';
import { z } from 'zod';
import { words } from './band.ts';
import { keyName, symbol } from './key-name.ts';
import { tuning } from './neck.ts';

const MOST_QUESTIONS = 200;
const MOST_PASSES = 500;
const MOST_PLANNED_PASSES = 20_000;
const DAY_SECONDS = 24 * 60 * 60;

const capoError = { error: 'a capo sits at fret 0 to 11' };
const countError = { error: `ask for 1 to ${MOST_QUESTIONS} questions` };
const minutesError = { error: `a plan is for ${FEWEST_MINUTES} to ${MOST_MINUTES} minutes` };
const nightsError = { error: `a programme has 1 to ${MOST_NIGHTS} nights` };
const seed = z.number().int({ error: 'a seed is a whole number' });
const time = z.iso.datetime({ offset: true, error: 'a time such as 2026-11-26T20:30:00Z' });

export const practiceQuestionsRequest = z
  .object({
    kinds: z
      .array(z.enum(QUESTION_KINDS, { error: `a kind of question is one of: ${QUESTION_KINDS.join(', ')}` }))
      .min(1, { error: 'name at least one kind of question' })
      .max(QUESTION_KINDS.length, { error: 'name every kind once' }),
    keys: z
      .array(z.union([keyName, symbol], { error: 'a key is { "tonic": "Eb", "scale": "major" }, or its name' }))
      .min(1, { error: 'name at least one key' })
      .max(60, { error: '60 keys at most' }),
    depth: z.enum(ASKED_DEPTHS, { error: `depth is ${ASKED_DEPTHS.join(', ')}` }).optional(),
    count: z.number().int(countError).min(1, countError).max(MOST_QUESTIONS, countError),
    seed,
    capo: z.number().int(capoError).min(0, capoError).max(11, capoError).optional(),
    tuning: tuning.optional().describe('open strings, lowest first; a guitar when left out'),
  })
  .meta({ id: 'PracticeQuestionsRequest' });

const shape = z.array(z.number().int().nullable());
const prompt = z.object({
  text: z.string(),
  degree: z.string().optional(),
  chord: z.string().optional(),
  chords: z.array(z.string()).optional(),
  formula: z.string().optional(),
  note: z.string().optional(),
  to: z.string().optional().describe('where the interval from note goes'),
  string: z.number().int().optional().describe('1 is the thinnest'),
  fret: z.number().int().optional().describe('counted from the nut'),
  capo: z.number().int().optional(),
  shape: z.string().optional(),
  shapes: z.array(shape).optional().describe('two shapes, frets from the lowest string'),
  sounds: z
    .array(z.object({ midi: z.array(z.number().int()), beats: z.number() }))
    .optional()
    .describe('what is heard'),
});

export const practiceQuestionsAnswer = z
  .object({
    questions: z.array(
      z.object({
        id: z.string(),
        kind: z.enum(QUESTION_KINDS),
        key: z.object({ tonic: z.string(), scale: z.string() }),
        prompt,
        answer: z.object({
          as: z.enum(ANSWER_FORMS),
          accepted: z.array(z.string()).describe('every right answer, the usual one first'),
          spelled: z.boolean().describe('whether only the right letter counts'),
        }),
        reason: z.string(),
      }),
    ),
  })
  .meta({ id: 'PracticeQuestionsAnswer' });

/** A question as it was given, and what was said to it. */
export const practiceAnswerRequest = z
  .object({
    question: z.object({
      kind: z.enum(QUESTION_KINDS),
      answer: z.object({
        as: z.enum(ANSWER_FORMS),
        accepted: z.array(z.string().max(400)).min(1, { error: 'a question has at least one right answer' }).max(200),
        spelled: z.boolean(),
      }),
    }),
    answer: z.string().max(400, { error: 'an answer has at most 400 letters' }),
  })
  .meta({ id: 'PracticeAnswerRequest' });

export const practiceAnswerAnswer = z
  .object({
    verdict: z.enum(['right', 'wrong', 'unread', 'as-triad']).describe('as-triad: the right triad where its seventh was asked for'),
    reads: z.string().describe('what the answer was taken for; empty where it could not be read'),
    says: z.string(),
  })
  .meta({ id: 'PracticeAnswerAnswer' });

const tempoError = { error: `a tempo lies between ${SLOWEST} and ${FASTEST}` };
const tempo = z.number().min(SLOWEST, tempoError).max(FASTEST, tempoError).nullable();

/** What is remembered of one time through an item, or of one answer. What is left out was not so. */
const passFields = {
  at: time.describe('when it was played'),
  item: words
    .max(160)
    .regex(/^[^/]+\/[^/]*\/[^/]*$/, { error: 'an item is written study/what/key, such as recall/degree-to-chord/Eb major' })
    .refine((item) => (STUDIES as readonly string[]).includes(item.split('/')[0] ?? ''), {
      error: `a study is one of: ${STUDIES.join(', ')}`,
    })
    .describe('study/what/key, such as recall/degree-to-chord/Eb major'),
  outcome: z.enum(OUTCOMES, { error: `how it went is one of: ${OUTCOMES.join(', ')}` }),
  stage: words.max(80).default('').describe('where within the item; for an answer, what was right'),
  tempo: tempo.default(null).describe('beats a minute'),
  answeredMs: z.number().int().min(0).max(3_600_000).nullable().default(null).describe('time to answer'),
  said: words.max(200).default('').describe('what was said instead; or where it broke, the place of the chord or bar from 1'),
  hidden: z.boolean().default(false).describe('whether nothing was shown'),
  seconds: z.number().min(0).max(DAY_SECONDS).default(0),
  night: z.number().int().min(1).max(MOST_NIGHTS).nullable().default(null).describe('night of the programme'),
};

export const practicePass = z
  .object({ id: z.uuid({ error: 'a pass has an id of its own, given once' }), ...passFields })
  .meta({ id: 'PracticePass' });

const plannedPass = z.object({ id: z.string().max(80).default(''), ...passFields });

const programmeWish = z
  .object({
    nights: z.number().int(nightsError).min(1, nightsError).max(MOST_NIGHTS, nightsError),
    order: z.enum(KEY_ORDERS, { error: `an order is one of: ${KEY_ORDERS.join(', ')}` }).default('fourths'),
    first: symbol.default('C').describe('the tonic it begins on'),
    scales: z.array(symbol).min(1).max(8).default(['major', 'natural minor']).describe('one for each round of twelve keys'),
    skipped: z.array(z.number().int()).max(MOST_NIGHTS).default([]),
    since: time.optional().describe('what was played before belongs to another programme'),
  })
  .meta({ id: 'ProgrammeWish' });

export const practicePlanRequest = z
  .object({
    minutes: z.number().int({ error: 'whole minutes' }).min(FEWEST_MINUTES, minutesError).max(MOST_MINUTES, minutesError),
    passes: z.array(plannedPass).max(MOST_PLANNED_PASSES).default([]),
    programme: programmeWish.nullable().optional(),
    set: z
      .object({ songs: z.array(z.object({ id: z.string().max(80).default(''), title: words.max(200), key: symbol })).max(200) })
      .nullable()
      .optional()
      .describe('songs of the next set, in tonight’s keys'),
    tuning: tuning.optional(),
    now: time,
    seed,
  })
  .meta({ id: 'PracticePlanRequest' });

export const practicePlanAnswer = z
  .object({
    minutes: z.number().int(),
    blocks: z.array(
      z.object({
        kind: z.enum(BLOCK_KINDS),
        minutes: z.number().int(),
        items: z.array(
          z.object({
            item: z.string(),
            study: z.string(),
            what: z.string(),
            key: z.string(),
            text: z.string(),
            isNew: z.boolean(),
            why: z.string(),
          }),
        ),
        why: z.string(),
      }),
    ),
    remarks: z.array(z.string()).describe('what was odd about the passes, such as a clock that is ahead'),
  })
  .meta({ id: 'PracticePlanAnswer' });

export const passesRequest = z
  .object({
    passes: z
      .array(practicePass)
      .min(1, { error: 'send at least one pass' })
      .max(MOST_PASSES, { error: `send ${MOST_PASSES} passes at most; the rest in a further call` }),
  })
  .meta({ id: 'PassesRequest' });

export const passesTaken = z
  .object({
    stored: z.number().int().describe('those that were not here yet'),
    known: z.number().int().describe('those sent once more, and kept once'),
    remarks: z.array(z.string()),
  })
  .meta({ id: 'PassesTaken' });

export const passesQuery = z.object({
  after: z.string().max(200).optional().describe('the place the page before ended at'),
  limit: z.coerce.number().int().min(1).max(1000, { error: '1000 passes at most' }).default(200),
});
export const passesAnswer = z
  .object({ passes: z.array(practicePass), next: z.string().nullable().describe('where the next page begins') })
  .meta({ id: 'Passes' });

const string = z.number().int().min(1, { error: 'strings are counted from 1, the thinnest' }).max(8, { error: 'eight strings at most' });
const stepError = { error: 'a step of the tempo is 1 to 20 beats a minute' };
const step = z.number().int(stepError).min(1, stepError).max(20, stepError);

/** What a player has set for practising. */
export const practiceSettings = z
  .object({
    programme: z
      .object({
        order: z.enum(KEY_ORDERS),
        keys: z.array(keyName).min(1).max(MOST_NIGHTS).describe('night by night'),
        skipped: z.array(z.number().int().min(1).max(MOST_NIGHTS)).max(MOST_NIGHTS),
        since: time,
        strings: z.tuple([string, string]).optional().describe('the string a key is played along, and the one below it; 1 is the thinnest'),
      })
      .nullable(),
    ladder: z.object({ up: step, down: step }),
    depth: z.enum(ASKED_DEPTHS).nullable().default(null).describe('in what depth chords are asked; null as far as the player is'),
  })
  .meta({ id: 'PracticeSettings' });

export const practiceSession = z
  .object({
    id: z.uuid(),
    at: time.describe('when it began'),
    minutes: z
      .number()
      .min(0)
      .max(24 * 60),
    note: words.max(2000).describe('in the player’s words'),
    gone: z.boolean().default(false).describe('taken out of the log; what was played stays remembered'),
  })
  .meta({ id: 'PracticeSession' });
export const practiceSessionsAnswer = z.object({ sessions: z.array(practiceSession) }).meta({ id: 'PracticeSessions' });

/** What the passes of a player come to. */
export const practiceLog = z
  .object({
    passes: z.number().int(),
    cells: z
      .array(
        z.object({ key: z.string(), study: z.string(), what: z.string(), passes: z.number().int(), good: z.number().int(), lastAt: time }),
      )
      .describe('by key and stage'),
    recall: z
      .array(
        z.object({
          what: z.string(),
          week: z.string(),
          answers: z.number().int(),
          right: z.number().int(),
          medianMs: z.number().nullable(),
        }),
      )
      .describe('answers by kind and week, weeks by their Monday'),
    mistaken: z
      .array(z.object({ wanted: z.string(), said: z.string(), times: z.number().int() }))
      .describe('which quality was taken for which'),
    seams: z.array(z.object({ from: z.string(), to: z.string(), passes: z.number().int(), failed: z.number().int() })),
    tempos: z.array(z.object({ item: z.string(), day: z.string(), tempo: z.number() })).describe('the fastest clean pass of a day'),
    weeks: z.array(z.object({ week: z.string(), minutes: z.number(), passes: z.number().int() })),
  })
  .meta({ id: 'PracticeLog' });

export type PracticeQuestionsRequest = z.infer<typeof practiceQuestionsRequest>;
export type PracticeQuestionsAnswer = z.infer<typeof practiceQuestionsAnswer>;
export type PracticePlanRequest = z.infer<typeof practicePlanRequest>;
export type PracticePlanAnswer = z.infer<typeof practicePlanAnswer>;
export type PracticePass = z.infer<typeof practicePass>;
export type PassesTaken = z.infer<typeof passesTaken>;
export type PracticeSettings = z.infer<typeof practiceSettings>;
export type PracticeSession = z.infer<typeof practiceSession>;
export type PracticeLog = z.infer<typeof practiceLog>;

/** What holds where a player has set nothing. */
export const DEFAULT_PRACTICE: PracticeSettings = { programme: null, ladder: { ...USUAL_STEPS }, depth: null };
