// @ts-check

/** Resolves at the first Ctrl-C or request to end; later ones do nothing while we tidy up. */
export function untilStopped() {
  return new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => resolve(signal));
  });
}
