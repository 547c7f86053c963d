import { exportHandler } from '../file/export-job.ts';
import { acceptHandler, readFileHandler } from '../file/import-job.ts';
import { packHandler } from '../pack/pack-content.ts';
import type { JobKind } from './job-store.ts';
import type { Handler } from './worker.ts';

/** How each kind of work is done. */
export const HANDLERS: Readonly<Record<JobKind, Handler>> = {
  pack: packHandler,
  export: exportHandler,
  'read-file': readFileHandler,
  'accept-file': acceptHandler,
};
