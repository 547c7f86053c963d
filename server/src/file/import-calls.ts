import { importAccept, importPreview, importQuery, jobState } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call, fileCall } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { findReadFile, findReadKind, startJob } from '../job/job-store.ts';
import { idOf, orMissing } from '../validate.ts';

const IMPORTS = '/bands/{bandId}/imports';
const importOf = (request: Request) => idOf(request, 'importId', 'file');

/**
 * `/bands/{id}/imports`: a file is read meanwhile and shown as what it would become; only what is
 * accepted is written, all of it or nothing.
 */
export const IMPORT_CALLS: readonly Call[] = [
  call(
    {
      id: 'readFile',
      access: 'member',
      method: 'post',
      path: IMPORTS,
      tag: 'files',
      summary: 'Start on reading a file that is brought in',
      takesFile: true,
      bodyLimit: '32mb',
      query: importQuery,
      answer: jobState,
      status: 202,
      isLimited: true,
    },
    ({ query, request, db, seat }) => {
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new HttpFault('invalid', 'There is nothing in this file.');
      return startJob(db, seat, { kind: 'read-file', wish: query, input: bytes });
    },
  ),
  fileCall(
    {
      id: 'previewImport',
      access: 'member',
      method: 'get',
      path: `${IMPORTS}/{importId}`,
      tag: 'files',
      summary: 'What a file that was read would become',
      answer: importPreview,
      isLimited: true,
    },
    async ({ request, response, db, seat }) => {
      // it was written as it is sent: a long one need not be read here
      const preview = orMissing(await findReadFile(db, seat.bandId, importOf(request), 'preview'), 'file');
      response.type('application/json').send(preview);
    },
  ),
  call(
    {
      id: 'acceptImport',
      access: 'member',
      method: 'post',
      path: `${IMPORTS}/{importId}/accept`,
      tag: 'files',
      summary: 'Start on taking a file in: all of it, or nothing. A backup is taken in by the leader',
      body: importAccept,
      answer: jobState,
      status: 202,
      isLimited: true,
    },
    async ({ body: { take }, request, db, seat }) => {
      const importId = importOf(request);
      const kind = orMissing(await findReadKind(db, seat.bandId, importId), 'file');
      if (kind === 'backup' && seat.role !== 'leader')
        throw new HttpFault('forbidden', 'A backup takes the place of everything the band has: only its leader may bring it back.');
      return startJob(db, seat, { kind: 'accept-file', wish: { importId, take } });
    },
  ),
];
