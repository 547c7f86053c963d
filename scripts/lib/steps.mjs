// @ts-check

/**
 * Tells how far a start is: `2 of 5: …`, each with what it took once it is done.
 * @param {number} count
 */
export function steps(count) {
  let done = 0;
  /**
   * @template T
   * @param {string} what
   * @param {() => T | Promise<T>} work
   * @returns {Promise<T>}
   */
  return async (what, work) => {
    done += 1;
    const since = Date.now();
    console.log(`${done} of ${count}: ${what} …`);
    const result = await work();
    const seconds = (Date.now() - since) / 1000;
    if (seconds >= 1) console.log(`        ${seconds.toFixed(0)} s`);
    return result;
  };
}
