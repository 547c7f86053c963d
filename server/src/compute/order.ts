import type { ProblemError } from '@aurora/wire';
import type { HttpFaultCode } from '../http-fault.ts';
import { TASKS, type Tasks, WORKS } from './work-table.ts';

/** Something to be worked out: an open call as it was sent, or a task by name. */
export type Order =
  | { readonly kind: 'call'; readonly id: string; readonly body: unknown; readonly query: unknown }
  | { readonly kind: 'task'; readonly name: keyof Tasks; readonly given: unknown };

/** What came of it. A call's answer is text already, so that nobody waits for it to be written. */
export type Done =
  | { readonly kind: 'bytes'; readonly bytes: Uint8Array; readonly isFile: boolean }
  | { readonly kind: 'value'; readonly value: unknown }
  | {
      readonly kind: 'fault';
      readonly code: HttpFaultCode;
      readonly message: string;
      readonly errors: readonly ProblemError[];
      /** What a fault of ours looked like. */
      readonly bug: string | null;
    };

/**
 * Works an order out, here.
 * @throws HttpFault for what cannot be used.
 */
export async function worked(order: Order): Promise<Done> {
  if (order.kind === 'task') return { kind: 'value', value: (TASKS[order.name] as (given: unknown) => unknown)(order.given) };
  const work = WORKS.get(order.id);
  if (work === undefined) throw new Error(`no such work: ${order.id}`);
  const told = await work(order.body, order.query);
  if (told instanceof Uint8Array) return { kind: 'bytes', bytes: told, isFile: true };
  return { kind: 'bytes', bytes: Buffer.from(JSON.stringify(told)), isFile: false };
}
