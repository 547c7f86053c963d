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
import { HttpFault } from '../http-fault.ts';
import { idOf, orMissing, requiredKey } from '../validate.ts';
import { readLog } from './log-store.ts';
import { addPasses, allPasses, listPasses, type Player } from './pass-store.ts';
import { listSessions, readSettings, saveSession, saveSettings } from './session-store.ts';

/** `/bands/{id}/members/{id}/passes` and `/practice`: what a player practised, and what it comes to. */
export function practiceCalls(): readonly Call[] {
  return [...passCalls(), ...settingCalls(), ...logCalls()];
}

const MEMBER = '/bands/{bandId}/members/{memberId}';
const playerOf = (request: Request): Player => ({ bandId: idOf(request, 'bandId', 'band'), memberId: idOf(request, 'memberId', 'player') });

function passCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'addPasses',
        access: 'self',
        method: 'post',
        path: `${MEMBER}/passes`,
        tag: 'practice',
        summary: 'Keep what was practised; sent twice it is kept once',
        body: passesRequest,
        answer: passesTaken,
        status: 201,
      },
      async ({ body, request, db }) => orMissing(await addPasses(db, playerOf(request), body.passes, new Date()), 'player'),
    ),
    call(
      {
        id: 'listPasses',
        access: 'self',
        method: 'get',
        path: `${MEMBER}/passes`,
        tag: 'practice',
        summary: 'What was practised, the newest first',
        query: passesQuery,
        answer: passesAnswer,
      },
      async ({ query: { after, limit }, request, db }) => listPasses(db, playerOf(request), { after, limit }),
    ),
    fileCall(
      {
        id: 'exportPasses',
        access: 'self',
        method: 'get',
        path: '/bands/{bandId}/exports/members/{memberId}/practice.csv',
        tag: 'practice',
        summary: 'What was practised, as a table',
        answer: z.string(),
        content: 'text/csv',
        isLimited: true,
        cache: 'no-store',
      },
      async ({ request, db, response }) => {
        const passes = await allPasses(db, playerOf(request));
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

function settingCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'readPractice',
        access: 'self',
        method: 'get',
        path: `${MEMBER}/practice`,
        tag: 'practice',
        summary: 'What a player has set for practising',
        answer: practiceSettings,
      },
      async ({ request, db }) => readSettings(db, playerOf(request)),
    ),
    call(
      {
        id: 'savePractice',
        access: 'self',
        method: 'put',
        path: `${MEMBER}/practice`,
        tag: 'practice',
        summary: 'Set a programme and the steps of the tempo',
        body: practiceSettings,
        answer: practiceSettings,
      },
      async ({ body, request, db }) => {
        body.programme?.keys.forEach((key, place) => void requiredKey(key, `programme.keys.${place}`));
        return orMissing(await saveSettings(db, playerOf(request), body), 'player');
      },
    ),
  ];
}

function logCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'readPracticeLog',
        access: 'self',
        method: 'get',
        path: `${MEMBER}/practice/log`,
        tag: 'practice',
        summary: 'What the practice of a player comes to',
        answer: practiceLog,
      },
      async ({ request, db }) => readLog(db, playerOf(request), new Date()),
    ),
    call(
      {
        id: 'listPracticeSessions',
        access: 'self',
        method: 'get',
        path: `${MEMBER}/practice/sessions`,
        tag: 'practice',
        summary: 'The sessions of the log, the newest first',
        answer: practiceSessionsAnswer,
      },
      async ({ request, db }) => ({ sessions: await listSessions(db, playerOf(request)) }),
    ),
    call(
      {
        id: 'savePracticeSession',
        access: 'self',
        method: 'put',
        path: `${MEMBER}/practice/sessions/{sessionId}`,
        tag: 'practice',
        summary: 'Keep a session of the log, change its note, take it out or bring it back',
        body: practiceSession,
        answer: practiceSession,
      },
      async ({ body, request, db }) => {
        if (body.id !== idOf(request, 'sessionId', 'session'))
          throw new HttpFault('invalid', 'id: the session in the address is another one.');
        return orMissing(await saveSession(db, playerOf(request), body), 'player');
      },
    ),
  ];
}
