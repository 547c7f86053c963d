import { PRACTICE_COLUMNS, writeTable } from '@aurora/core/format';
import {
  passesAnswer,
  passesQuery,
  passesRequest,
  passesTaken,
  practiceLog,
  practiceSession,
  practiceSessionsAnswer,
  practiceSettings,
} from '@aurora/wire';
import type { Request } from 'express';
import { z } from 'zod';
import { type Call, call, fileCall } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, orMissing, requiredKey } from '../validate.ts';
import { readLog } from './log-store.ts';
import { addPasses, allPasses, listPasses, type Player } from './pass-store.ts';
import { listSessions, readSettings, saveSession, saveSettings } from './session-store.ts';

/** `/bands/{id}/members/{id}/passes` and `/practice`: what a player practised, and what it comes to. */
export function practiceCalls(pool: Pool): readonly Call[] {
  return [...passCalls(pool), ...settingCalls(pool), ...logCalls(pool)];
}

const MEMBER = '/bands/{bandId}/members/{memberId}';
const playerOf = (request: Request): Player => ({ bandId: idOf(request, 'bandId', 'band'), memberId: idOf(request, 'memberId', 'player') });

function passCalls(pool: Pool): readonly Call[] {
  return [
    call(
      {
        id: 'addPasses',
        method: 'post',
        path: `${MEMBER}/passes`,
        tag: 'practice',
        summary: 'Keep what was practised; sent twice it is kept once',
        body: passesRequest,
        answer: passesTaken,
        status: 201,
      },
      async ({ body, request }) => orMissing(await addPasses(pool, playerOf(request), body.passes, new Date()), 'player'),
    ),
    call(
      {
        id: 'listPasses',
        method: 'get',
        path: `${MEMBER}/passes`,
        tag: 'practice',
        summary: 'What was practised, the newest first',
        query: passesQuery,
        answer: passesAnswer,
      },
      async ({ query: { after, limit }, request }) => listPasses(pool, playerOf(request), { after, limit }),
    ),
    fileCall(
      {
        id: 'exportPasses',
        method: 'get',
        path: '/bands/{bandId}/exports/members/{memberId}/practice.csv',
        tag: 'practice',
        summary: 'What was practised, as a table',
        answer: z.string(),
        content: 'text/csv',
        isLimited: true,
        cache: 'no-store',
      },
      async ({ request, response }) => {
        const passes = await allPasses(pool, playerOf(request));
        response
          .attachment('Practice.csv')
          .type('text/csv')
          .send(writeTable({ columns: PRACTICE_COLUMNS, rows: passes.map(rowOf) }));
      },
    ),
  ];
}

type Kept = Awaited<ReturnType<typeof allPasses>>[number];

function rowOf({ at, item, stage, tempo, answeredMs, outcome, said, hidden, seconds, night }: Kept): Record<string, string> {
  const [study = '', what = '', key = ''] = item.split('/');
  const number = (value: number | null) => (value === null ? '' : String(value));
  return {
    when: at,
    study,
    what,
    key,
    stage,
    tempo: number(tempo),
    'answered in ms': number(answeredMs),
    'how it went': outcome,
    said,
    hidden: hidden ? 'yes' : '',
    seconds: String(seconds),
    night: number(night),
  };
}

function settingCalls(pool: Pool): readonly Call[] {
  return [
    call(
      {
        id: 'readPractice',
        method: 'get',
        path: `${MEMBER}/practice`,
        tag: 'practice',
        summary: 'What a player has set for practising',
        answer: practiceSettings,
      },
      async ({ request }) => readSettings(pool, playerOf(request)),
    ),
    call(
      {
        id: 'savePractice',
        method: 'put',
        path: `${MEMBER}/practice`,
        tag: 'practice',
        summary: 'Set a programme and the steps of the tempo',
        body: practiceSettings,
        answer: practiceSettings,
      },
      async ({ body, request }) => {
        body.programme?.keys.forEach((key, place) => void requiredKey(key, `programme.keys.${place}`));
        return orMissing(await saveSettings(pool, playerOf(request), body), 'player');
      },
    ),
  ];
}

function logCalls(pool: Pool): readonly Call[] {
  return [
    call(
      {
        id: 'readPracticeLog',
        method: 'get',
        path: `${MEMBER}/practice/log`,
        tag: 'practice',
        summary: 'What the practice of a player comes to',
        answer: practiceLog,
      },
      async ({ request }) => readLog(pool, playerOf(request), new Date()),
    ),
    call(
      {
        id: 'listPracticeSessions',
        method: 'get',
        path: `${MEMBER}/practice/sessions`,
        tag: 'practice',
        summary: 'The sessions of the log, the newest first',
        answer: practiceSessionsAnswer,
      },
      async ({ request }) => ({ sessions: await listSessions(pool, playerOf(request)) }),
    ),
    call(
      {
        id: 'savePracticeSession',
        method: 'put',
        path: `${MEMBER}/practice/sessions/{sessionId}`,
        tag: 'practice',
        summary: 'Keep a session of the log, change its note, take it out or bring it back',
        body: practiceSession,
        answer: practiceSession,
      },
      async ({ body, request }) => {
        if (body.id !== idOf(request, 'sessionId', 'session'))
          throw new HttpFault('invalid', 'id: the session in the address is another one.');
        return orMissing(await saveSession(pool, playerOf(request), body), 'player');
      },
    ),
  ];
}
