// @ts-check
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const APP_ROLE = 'aurora';

/**
 * The database as its owner, for the setup, and as the application's role, for everything else.
 * @param {string} ownerUrl
 * @param {string} folder where the role's password is kept
 */
export function databaseSettings(ownerUrl, folder) {
  const note = `${folder}/app-password`;
  if (!existsSync(note)) writeFileSync(note, randomBytes(24).toString('base64url'), { mode: 0o600 });
  const app = new URL(ownerUrl);
  app.username = APP_ROLE;
  app.password = readFileSync(note, 'utf8').trim();
  return { OWNER_DATABASE_URL: ownerUrl, DATABASE_URL: app.href };
}
