/** Beyond so many on a side only what is alike at both ends is paired. */
const MOST_PAIRED = 1200;

/** Places of what two lists have in common, in order, as many as can be. */
export function commonPairs(old: readonly string[], now: readonly string[]): readonly (readonly [number, number])[] {
  let start = 0;
  while (start < Math.min(old.length, now.length) && old[start] === now[start]) start += 1;
  let end = 0;
  while (end < Math.min(old.length, now.length) - start && old[old.length - 1 - end] === now[now.length - 1 - end]) end += 1;
  const inside = longestCommon(old.slice(start, old.length - end), now.slice(start, now.length - end));
  return [
    ...Array.from({ length: start }, (_, index) => [index, index] as const),
    ...inside.map(([left, right]) => [left + start, right + start] as const),
    ...Array.from({ length: end }, (_, index) => [old.length - end + index, now.length - end + index] as const),
  ];
}

/** The longest common subsequence, by the usual table. */
function longestCommon(old: readonly string[], now: readonly string[]): readonly (readonly [number, number])[] {
  if (old.length === 0 || now.length === 0 || old.length > MOST_PAIRED || now.length > MOST_PAIRED) return [];
  const width = now.length + 1;
  const table = new Uint16Array((old.length + 1) * width);
  const at = (left: number, right: number) => table[left * width + right] as number;
  for (let left = old.length - 1; left >= 0; left -= 1) {
    for (let right = now.length - 1; right >= 0; right -= 1) {
      const equal = old[left] === now[right];
      table[left * width + right] = equal ? at(left + 1, right + 1) + 1 : Math.max(at(left + 1, right), at(left, right + 1));
    }
  }
  const pairs: (readonly [number, number])[] = [];
  let [left, right] = [0, 0];
  while (left < old.length && right < now.length) {
    if (old[left] === now[right]) {
      pairs.push([left, right]);
      left += 1;
      right += 1;
    } else if (at(left + 1, right) >= at(left, right + 1)) left += 1;
    else right += 1;
  }
  return pairs;
}
