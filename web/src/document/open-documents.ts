import { hashKey, type QueryClient, type QueryKey } from '@tanstack/react-query';

/** A document as far as opening and leaving it is concerned. */
export interface Openable {
  readonly flush: () => Promise<void>;
  readonly get: () => { readonly status: { readonly kind: string }; readonly isKept: boolean };
  readonly subscribe: (listener: () => void) => () => void;
}

/** Which document of a band. */
export interface Address {
  readonly bandId: string;
  readonly id: string;
}

/** A kind of document that is kept by the server and worked on here. */
export interface DocumentKind<Answer, Document extends Openable> {
  readonly name: string;
  /** Where what the server has of it is looked up. */
  readonly key: (address: Address) => QueryKey;
  readonly open: (queries: QueryClient, address: Address, answer: Answer) => Document;
  /** Takes in what the server has now. */
  readonly adopt: (document: Document, answer: Answer) => void;
}

/** A document that somebody holds open. */
export interface Lease<Document> {
  readonly document: Document;
  readonly close: () => void;
}

interface Entry {
  readonly document: Openable;
  readonly adopt: (answer: unknown) => void;
  holders: number;
}

/** What the open documents need of the page; gives back what ends it. */
export interface Page {
  /** Called when the page is left or the network is back. */
  readonly onLeaving: (saveAll: () => void) => () => void;
  /** Asked when the tab is closed: whether something would be lost. */
  readonly onClosing: (wouldBeLost: () => boolean) => () => void;
}

/**
 * The documents that are open. Each is open once, whoever asks, and as long as somebody holds it or something of it is not
 * saved; what others save comes in while it is. With none open nothing is listened to.
 */
export class OpenDocuments {
  readonly #queries: QueryClient;
  readonly #page: Page;
  readonly #entries = new Map<string, Entry>();
  #ends: readonly (() => void)[] = [];

  constructor(queries: QueryClient, page: Page) {
    this.#queries = queries;
    this.#page = page;
  }

  /** How many are open. */
  get size(): number {
    return this.#entries.size;
  }

  /** Opens a document with what the server has of it; one that is open already is shared. Whoever opens it closes it. */
  open<Answer, Document extends Openable>(kind: DocumentKind<Answer, Document>, address: Address, answer: Answer): Lease<Document> {
    const key = kind.key(address);
    const hash = hashKey(key);
    const entry = this.#entries.get(hash) ?? this.#opened(kind, address, answer, hash);
    entry.holders += 1;
    let isHeld = true;
    const close = () => {
      if (!isHeld) return;
      isHeld = false;
      entry.holders -= 1;
      if (entry.holders === 0) void this.#leave(hash, entry);
    };
    return { document: entry.document as Document, close };
  }

  #opened<Answer, Document extends Openable>(kind: DocumentKind<Answer, Document>, address: Address, answer: Answer, hash: string): Entry {
    if (this.#entries.size === 0) this.#listen();
    const document = kind.open(this.#queries, address, answer);
    const adopt = (newer: unknown) => kind.adopt(document, newer as Answer);
    const entry = { document, adopt, holders: 0 };
    this.#entries.set(hash, entry);
    return entry;
  }

  /** Nobody looks at it any more: it goes as soon as the server has all of it. */
  async #leave(hash: string, entry: Entry): Promise<void> {
    const { document } = entry;
    await document.flush();
    if (this.#isDone(hash, entry)) return;
    const end = document.subscribe(() => {
      if (this.#isDone(hash, entry)) end();
    });
  }

  /** Whether it is gone or somebody else's care; one that can go goes. */
  #isDone(hash: string, entry: Entry): boolean {
    if (entry.holders > 0 || this.#entries.get(hash) !== entry) return true;
    if (entry.document.get().status.kind !== 'saved') return false;
    this.#entries.delete(hash);
    if (this.#entries.size === 0) for (const end of this.#ends) end();
    return true;
  }

  #listen(): void {
    this.#ends = [
      this.#queries.getQueryCache().subscribe(({ type, query }) => {
        const entry = type === 'updated' ? this.#entries.get(query.queryHash) : undefined;
        if (entry !== undefined && query.state.data !== undefined) entry.adopt(query.state.data);
      }),
      this.#page.onLeaving(() => {
        for (const { document } of this.#all()) void document.flush();
      }),
      this.#page.onClosing(() => this.#all().some(({ document }) => document.get().status.kind !== 'saved' && !document.get().isKept)),
    ];
  }

  #all(): readonly Entry[] {
    return [...this.#entries.values()];
  }
}
