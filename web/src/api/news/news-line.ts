import { bandNewsItem, type NewsItem } from '@aurora/wire';

/** What has come in: single changes, or that anything may have changed. */
export interface News {
  readonly items: readonly NewsItem[];
  readonly all: boolean;
}

/** A stream as browsers have it. */
export type Source = Pick<EventSource, 'addEventListener' | 'close' | 'readyState'>;

/** How the tabs of a browser speak to each other. */
export type Channel = Pick<BroadcastChannel, 'postMessage' | 'addEventListener' | 'close'>;

/** What the line needs of the browser. */
export interface LineDeps {
  /** Opens the stream; null where the browser has none. */
  readonly open: ((path: string) => Source) | null;
  /** Runs the work in one tab at a time, until it ends or the signal does. */
  readonly inOneTab: (name: string, signal: AbortSignal, work: () => Promise<void>) => void;
  readonly channel: (name: string) => Channel | null;
  readonly setTimer: (work: () => void, ms: number) => number;
  readonly clearTimer: (timer: number) => void;
}

export interface LineListener {
  readonly onNews: (news: News) => void;
  /** Whether what changes is heard as it happens. */
  readonly onOpen: (isOpen: boolean) => void;
}

type Message =
  | { readonly kind: 'news'; readonly news: News; readonly last: number | null }
  | { readonly kind: 'state'; readonly isOpen: boolean; readonly last: number | null }
  | { readonly kind: 'ask' };

/** A stream that was refused is tried again after so long; one that broke, by the browser itself. */
const AGAIN_MS = 2000;
/** What comes together is told together. */
const TOGETHER_MS = 40;
const CLOSED = 2;

/**
 * What changes in a band, heard over one connection of the whole browser: one tab listens and tells the others. Where
 * that tab is closed another one takes over from what was heard last.
 */
export class NewsLine {
  readonly #bandId: string;
  readonly #deps: LineDeps;
  readonly #listener: LineListener;
  readonly #over = new AbortController();
  readonly #channel: Channel | null;
  #source: Source | null = null;
  #isLeading = false;
  #isOpen = false;
  /** The last thing heard; null before the first. */
  #last: number | null = null;
  #gathered: NewsItem[] = [];
  readonly #timers = new Map<'again' | 'together', number>();

  constructor(bandId: string, deps: LineDeps, listener: LineListener) {
    this.#bandId = bandId;
    this.#deps = deps;
    this.#listener = listener;
    const name = `aurora-news ${bandId}`;
    this.#channel = deps.open === null ? null : deps.channel(name);
    this.#channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => this.#fromTab(data));
    if (deps.open === null) return;
    this.#say({ kind: 'ask' });
    deps.inOneTab(name, this.#over.signal, () => this.#lead());
  }

  readonly close = (): void => {
    this.#over.abort();
    this.#source?.close();
    for (const timer of this.#timers.values()) this.#deps.clearTimer(timer);
    this.#channel?.close();
  };

  /** This tab listens for all of them, as long as it lives. */
  #lead(): Promise<void> {
    this.#isLeading = true;
    this.#listen();
    return new Promise((resolve) => this.#over.signal.addEventListener('abort', () => resolve()));
  }

  #listen(): void {
    const { open } = this.#deps;
    if (open === null || this.#over.signal.aborted) return;
    const source = open(`/api/v1/bands/${this.#bandId}/changes${this.#last === null ? '' : `?after=${this.#last}`}`);
    this.#source = source;
    source.addEventListener('hello', (event) => {
      this.#heard(event);
      this.#setOpen(true);
    });
    source.addEventListener('change', (event) => {
      this.#heard(event);
      const read = bandNewsItem.safeParse(JSON.parse((event as MessageEvent<string>).data));
      if (read.success) this.#gather(read.data);
    });
    source.addEventListener('all', (event) => {
      this.#heard(event);
      this.#gathered = [];
      this.#tell({ items: [], all: true });
    });
    source.addEventListener('error', () => {
      this.#setOpen(false);
      // refused: the browser does not come again by itself
      if (source.readyState === CLOSED) this.#wait('again', AGAIN_MS, () => this.#listen());
    });
  }

  #heard(event: Event): void {
    const { lastEventId } = event as MessageEvent;
    if (/^\d+$/.test(lastEventId)) this.#last = Number(lastEventId);
  }

  #gather(item: NewsItem): void {
    this.#gathered.push(item);
    if (this.#timers.has('together')) return;
    this.#wait('together', TOGETHER_MS, () => {
      this.#timers.delete('together');
      this.#tell({ items: this.#gathered.splice(0), all: false });
    });
  }

  #tell(news: News): void {
    if (news.items.length === 0 && !news.all) return;
    this.#listener.onNews(news);
    this.#say({ kind: 'news', news, last: this.#last });
  }

  #setOpen(isOpen: boolean): void {
    if (this.#isOpen === isOpen) return;
    this.#isOpen = isOpen;
    this.#listener.onOpen(isOpen);
    if (this.#isLeading) this.#say({ kind: 'state', isOpen, last: this.#last });
  }

  #fromTab(message: Message): void {
    if (message.kind === 'ask') {
      if (this.#isLeading) this.#say({ kind: 'state', isOpen: this.#isOpen, last: this.#last });
      return;
    }
    if (this.#isLeading) return;
    this.#last = message.last ?? this.#last;
    if (message.kind === 'news') this.#listener.onNews(message.news);
    else this.#setOpen(message.isOpen);
  }

  #say(message: Message): void {
    this.#channel?.postMessage(message);
  }

  #wait(what: 'again' | 'together', ms: number, work: () => void): void {
    const before = this.#timers.get(what);
    if (before !== undefined) this.#deps.clearTimer(before);
    this.#timers.set(what, this.#deps.setTimer(work, ms));
  }
}
