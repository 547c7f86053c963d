// Web workers that work in the page itself: jsdom has none. Each is loaded when it is first started; calls and answers
// pass between it and the page as messages would.
import { MessageChannel, MessagePort } from 'node:worker_threads';

type Listening = (event: { readonly data: unknown; readonly origin: string }) => void;

const workers = new Set<WorkerHere>();
let loading: Promise<unknown> = Promise.resolve();

class WorkerHere extends EventTarget {
  readonly #ready: Promise<Listening | undefined>;

  constructor(address: URL) {
    super();
    workers.add(this);
    // one after the other, so that each is known by the listener it leaves
    this.#ready = loading.then(() => listenerOf(address.href));
    loading = this.#ready;
  }

  postMessage(data: unknown): void {
    void this.#ready.then((hear) => hear?.({ data, origin: '' }));
  }
}

async function listenerOf(address: string): Promise<Listening | undefined> {
  const { addEventListener } = globalThis;
  let heard: Listening | undefined;
  globalThis.addEventListener = ((kind: string, listener: Listening) => {
    if (kind === 'message') heard = listener;
  }) as typeof addEventListener;
  try {
    await import(address);
  } finally {
    globalThis.addEventListener = addEventListener;
  }
  return heard;
}

Object.assign(globalThis, {
  Worker: WorkerHere,
  MessageChannel,
  MessagePort,
  // what a worker answers; who did not ask does not know its number
  postMessage: (data: unknown) => {
    for (const worker of workers) worker.dispatchEvent(new MessageEvent('message', { data }));
  },
});
