import { type Request, Router } from 'express';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound } from '../validate.ts';
import type { Jobs } from './jobs.ts';

/** `/bands/{id}/jobs`: how far work on the server is, stopping it, and the file it made. */
export function jobRoutes(jobs: Jobs): Router {
  const routes = Router({ mergeParams: true });
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'jobId', 'work')] as const;

  routes.get('/:jobId', (request, response) => {
    const state = jobs.find(...ids(request));
    if (state === undefined) throw notFound('work');
    response.json(state);
  });

  routes.delete('/:jobId', (request, response) => {
    const state = jobs.stop(...ids(request));
    if (state === undefined) throw notFound('work');
    response.json(state);
  });

  routes.get('/:jobId/file', (request, response) => {
    const [bandId, jobId] = ids(request);
    if (jobs.find(bandId, jobId) === undefined) throw notFound('work');
    const file = jobs.resultOf(bandId, jobId)?.file;
    if (file === null || file === undefined) throw new HttpFault('not-found', 'There is no file here, or not yet.');
    response.attachment(file.name).type(file.type).send(Buffer.from(file.bytes));
  });

  return routes;
}
