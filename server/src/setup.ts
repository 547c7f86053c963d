import { pino } from 'pino';
import { readConfig } from './config.ts';
import { migrate } from './db/migrate.ts';
import { isEmpty } from './db/whole-house.ts';
import { seedDemo } from './demo/seed-demo.ts';
import { addLink } from './people/link-store.ts';
import { assemble } from './run/assemble.ts';

// a step of its own before servers start: as the owner of the database it brings the schema up to date,
// gives an empty demo its band, and an empty house the link its first band begins with

const FIRST_LINK_MINUTES = 7 * 24 * 60;

const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL }, pino.destination(2));
const ownerUrl = process.env.OWNER_DATABASE_URL;
if (ownerUrl === undefined || ownerUrl === '') throw new Error('The setup needs OWNER_DATABASE_URL, the database as its owner.');
const { pool, house } = assemble(config, log);
try {
  await migrate({ ownerUrl, appUrl: config.DATABASE_URL, folder: config.MIGRATIONS }, log, async () => {
    if (config.DEMO === '1') await seedDemo(house);
    if (!(await isEmpty(house.as({})))) return;
    const { token } = await addLink(house, { purpose: 'first-band', account: null, minutes: FIRST_LINK_MINUTES });
    process.stdout.write(`${JSON.stringify({ firstBand: `/first#${token}` })}\n`);
  });
} finally {
  await pool.end();
}
