/**
 * The order two people come to who both changed a list, by the names of its entries. What either
 * took away is away; whoever moved something decides the order, mine where both did; what was added
 * stands behind what it was put behind.
 */
export function mergeOrder(base: readonly string[], mine: readonly string[], theirs: readonly string[]): readonly string[] {
  const both = new Set(mine.filter((name) => theirs.includes(name)));
  const shared = (list: readonly string[]) => list.filter((name) => both.has(name) && base.includes(name)).join('\n');
  const iMoved = shared(mine) !== shared(base);
  const [first, second] = iMoved ? [mine, theirs] : [theirs, mine];
  const goneFor = (list: readonly string[]) => new Set(base.filter((name) => !list.includes(name)));
  const gone = new Set([...goneFor(mine), ...goneFor(theirs)]);
  const order = first.filter((name) => !gone.has(name));
  second.forEach((name, place) => {
    if (order.includes(name) || gone.has(name)) return;
    const before = second.slice(0, place).findLast((one) => order.includes(one));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, name);
  });
  return order;
}
