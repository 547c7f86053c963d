import { type JobState, jobState } from '@aurora/wire';
import type { Request } from 'express';
import { z } from 'zod';
import { type Call, call, fileCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound } from '../validate.ts';
import type { Jobs } from './jobs.ts';

/** `/bands/{id}/jobs`: how far work on the server is, stopping it, and the file it made. */
export function jobCalls(jobs: Jobs): readonly Call[] {
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'jobId', 'work')] as const;
  const known = (state: JobState | undefined): JobState => {
    if (state === undefined) throw notFound('work');
    return state;
  };
  return [
    call(
      {
        id: 'readWork',
        method: 'get',
        path: '/bands/{bandId}/jobs/{jobId}',
        tag: 'work',
        summary: 'How far work on the server is',
        answer: jobState,
        cache: 'no-store',
      },
      ({ request }) => known(jobs.find(...ids(request))),
    ),
    call(
      {
        id: 'stopWork',
        method: 'delete',
        path: '/bands/{bandId}/jobs/{jobId}',
        tag: 'work',
        summary: 'Stop work on the server',
        answer: jobState,
      },
      ({ request }) => known(jobs.stop(...ids(request))),
    ),
    fileCall(
      {
        id: 'readWorkFile',
        method: 'get',
        path: '/bands/{bandId}/jobs/{jobId}/file',
        tag: 'work',
        summary: 'The file that work on the server made',
        answer: z.string().meta({ format: 'binary' }),
        content: 'application/zip',
        cache: 'no-store',
      },
      ({ request, response }) => {
        known(jobs.find(...ids(request)));
        const file = jobs.resultOf(...ids(request))?.file;
        if (file === null || file === undefined) throw new HttpFault('not-found', 'There is no file here, or not yet.');
        response.attachment(file.name).type(file.type).send(Buffer.from(file.bytes));
      },
    ),
  ];
}
