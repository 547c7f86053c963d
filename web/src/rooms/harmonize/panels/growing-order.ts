/** Places of the scale in the order they are played: 0, then 0 1, then 0 1 2 …, a beat of rest after each run. */
export function growingOrder(): readonly (number | null)[] {
  return Array.from({ length: 8 }, (_, run) => [...Array.from({ length: run + 1 }, (__, place) => place), null]).flat();
}
