/** The place of the first thing that begins at or after a time; things are in its order. */
export function firstFrom(things: readonly { readonly from: number }[], time: number): number {
  let [low, high] = [0, things.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((things[middle] as { readonly from: number }).from < time) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The place of the last thing that has begun by a time; the first one where none has. */
export function lastBy(things: readonly { readonly from: number }[], time: number): number {
  return Math.max(0, firstFrom(things, time + 1) - 1);
}
