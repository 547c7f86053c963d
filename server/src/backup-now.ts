import { pino } from 'pino';
import { readConfig } from './config.ts';
import { assemble } from './run/assemble.ts';
import { putBackupsDown } from './run/rounds.ts';

// puts a backup of every band into the folder of BACKUP_FOLDER, now

const config = readConfig(process.env);
const { pool, house } = assemble(config, pino({ level: config.LOG_LEVEL }, pino.destination(2)));
const now = new Date();
try {
  if (config.BACKUP_FOLDER === undefined) throw new Error('Name the folder: npm run backup -- FOLDER');
  const bands = await putBackupsDown(house, config.BACKUP_FOLDER, now.toISOString().slice(0, 10), now);
  if (bands === null) throw new Error('A worker is putting tonight’s backups down just now: they are there in a moment.');
  process.stdout.write(`${JSON.stringify({ bands })}\n`);
} finally {
  await pool.end();
}
