import type { Logger } from 'pino';

/** What nobody caught is written down, and the process ends as it would when asked: whoever watches it starts it again. */
export function endOnFault(log: Logger, stop: () => void): void {
  const end = (fault: unknown, words: string) => {
    log.fatal({ err: fault }, words);
    process.exitCode = 1;
    stop();
  };
  process.on('uncaughtException', (fault) => end(fault, 'nobody caught this'));
  process.on('unhandledRejection', (fault) => end(fault, 'nobody waited for this'));
}

/** A starter that is killed cannot say goodbye, but its end of the pipe closes. */
export function endWithParent(stop: () => void): void {
  if (process.env.STOP_WITH_PARENT === '1') process.stdin.on('end', stop).on('error', stop).resume();
}
