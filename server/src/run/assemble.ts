import type { Logger } from 'pino';
import type { AppDeps } from '../app.ts';
import type { Config } from '../config.ts';
import { House } from '../context/enter.ts';
import type { Scope } from '../context/scope.ts';
import { migrationsIn } from '../db/migrate.ts';
import { createPool, type Pool } from '../db/pool.ts';
import { demoDoor, demoHouse } from '../demo/demo-door.ts';
import { mailboxPost, type Post, smtpPost } from '../mail/post.ts';

/** What every process of the house is made of. */
export interface Assembled {
  readonly pool: Pool;
  readonly house: House;
  readonly people: AppDeps['people'];
}

/** Opens the house as the settings have it. */
export function assemble(config: Config, log: Logger): Assembled {
  const pool = createPool(config.DATABASE_URL, log);
  const isDemo = config.DEMO === '1';
  const as = (scope: Scope) => house.as(scope);
  const house: House = new House(pool, isDemo ? demoHouse(as) : null, migrationsIn(config.MIGRATIONS));
  const mailbox = config.MAILBOX === '1';
  return { pool, house, people: { post: postOf(config, house), mailbox, demo: isDemo ? demoDoor(as) : null } };
}

function postOf({ SMTP_URL, MAIL_FROM, MAILBOX }: Config, house: House): Post | null {
  if (SMTP_URL !== undefined) return smtpPost(SMTP_URL, MAIL_FROM);
  return MAILBOX === '1' ? mailboxPost(house) : null;
}
