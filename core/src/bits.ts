/** How many things a set holds that is kept as a number, a bit each. */
export function countBits(value: number): number {
  let count = 0;
  for (let rest = value; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}
