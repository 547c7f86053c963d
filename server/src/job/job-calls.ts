import { jobState } from '@aurora/wire';
import type { Request } from 'express';
import { z } from 'zod';
import { type Call, call, fileCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, orMissing } from '../validate.ts';
import { findJob, findJobFile, stopJob } from './job-store.ts';

const JOB = '/bands/{bandId}/jobs/{jobId}';
const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'jobId', 'work')] as const;

/** `/bands/{id}/jobs`: how far work on the server is, stopping it, and the file it made. */
export const JOB_CALLS: readonly Call[] = [
  call(
    {
      id: 'readWork',
      access: 'member',
      method: 'get',
      path: JOB,
      tag: 'work',
      summary: 'How far work on the server is',
      answer: jobState,
      cache: 'no-store',
    },
    async ({ request, db }) => orMissing(await findJob(db, ...ids(request)), 'work'),
  ),
  call(
    { id: 'stopWork', access: 'member', method: 'delete', path: JOB, tag: 'work', summary: 'Stop work on the server', answer: jobState },
    async ({ request, db }) => orMissing(await stopJob(db, ...ids(request)), 'work'),
  ),
  fileCall(
    {
      id: 'readWorkFile',
      access: 'member',
      method: 'get',
      path: `${JOB}/file`,
      tag: 'work',
      summary: 'The file that work on the server made',
      answer: z.string().meta({ format: 'binary' }),
      content: 'application/zip',
      cache: 'no-store',
    },
    async ({ request, response, db }) => {
      orMissing(await findJob(db, ...ids(request)), 'work');
      const file = await findJobFile(db, ...ids(request));
      if (file === null || file === undefined) throw new HttpFault('not-found', 'There is no file here, or not yet.');
      response.attachment(file.name).type(file.type).send(Buffer.from(file.bytes));
    },
  ),
];
