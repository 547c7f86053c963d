// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { Halt, ROOT } from './workplace.mjs';

/** The project's own files, those not yet committed among them, by their path in it. */
export function trackedFiles() {
  const listed = spawnSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { cwd: ROOT, encoding: 'utf8' });
  if (listed.status !== 0) throw new Halt('The files of the project could not be listed; is this a checkout?');
  return listed.stdout.split('\n').filter((path) => path !== '' && existsSync(`${ROOT}/${path}`));
}
