import { asHttpFault } from '../http-fault.ts';
import { type Done, type Order, worked } from './order.ts';

/** A thread beside the loop that answers everybody: takes one order after the other. */
export default async function thread(order: Order): Promise<Done> {
  try {
    return await worked(order);
  } catch (thrown) {
    const { code, message, errors, stack } = asHttpFault(thrown);
    return { kind: 'fault', code, message, errors, bug: code === 'unexpected' ? String((thrown as Error)?.stack ?? stack) : null };
  }
}
