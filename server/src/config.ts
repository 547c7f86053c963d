import { z } from 'zod';

const LOCALHOST = '127.0.0.1';

const settings = z.object({
  DATABASE_URL: z.string().min(1),
  PORT: z.coerce.number().int().min(0).max(65_535).default(4170),
  HOST: z.string().min(1).default(LOCALHOST),
  /** Folder of the built web application; without it only the API is served. */
  WEB_ROOT: z.string().optional(),
  MIGRATIONS: z.string().min(1),
  LOG_LEVEL: z.enum(['trace', 'debug', 'info', 'warn', 'error', 'silent']).default('info'),
  /** Compute calls a minute and address. */
  RATE_LIMIT: z.coerce.number().int().min(1).default(6000),
  /** Whether an empty database is filled with the demo band. */
  DEMO: z.enum(['0', '1']).default('0'),
});

export type Config = z.infer<typeof settings>;

/** The settings from the environment, checked once at the start. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const read = settings.safeParse(environment);
  if (read.success) return read.data;
  throw new Error(`The server cannot start: ${read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; ')}`);
}
