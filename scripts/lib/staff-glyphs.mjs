// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { Halt, ROOT } from './workplace.mjs';

/** What is cut out, as a path from the root: it is made and not kept, so it is no tracked file. */
export const STAFF_GLYPHS = 'web/src/parts/paper/staff-glyphs.ts';

const SCRIPT = `${ROOT}/web/scripts/make-staff-font.mjs`;
const MADE = `${ROOT}/${STAFF_GLYPHS}`;

/** Cuts the signs of a staff out of the music font, unless they are there as their script has them: they are made, not written. */
export function ensureStaffGlyphs() {
  if (existsSync(MADE) && statSync(MADE).mtimeMs > statSync(SCRIPT).mtimeMs) return;
  const made = spawnSync(process.execPath, [SCRIPT], { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  if (made.status !== 0) throw new Halt('The signs of a staff could not be cut out of the music font; the message stands above.');
}
