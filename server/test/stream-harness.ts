import type { NewsItem } from '@aurora/wire';

/** An event as it came. */
interface HeardEvent {
  readonly name: string;
  readonly id: string;
  readonly data: Partial<NewsItem>;
}

/** A browser that hears a stream of events. */
export interface Listener {
  readonly status: number;
  readonly type: string;
  readonly heard: readonly HeardEvent[];
  readonly bytes: () => number;
  /** Comes back when an event like that has been heard. */
  readonly until: (isIt: (event: HeardEvent) => boolean) => Promise<HeardEvent>;
  /** Comes back when the server has ended the stream. */
  readonly ended: Promise<void>;
  readonly close: () => void;
}

/** Begins to hear; comes back when the head of the answer is there. */
export async function listen(url: string, headers: Readonly<Record<string, string>> = {}): Promise<Listener> {
  const gone = new AbortController();
  const response = await fetch(url, { headers: { Accept: 'text/event-stream', ...headers }, signal: gone.signal });
  const heard: HeardEvent[] = [];
  const waiting = new Set<() => void>();
  let bytes = 0;
  const read = async () => {
    const decoder = new TextDecoder();
    let text = '';
    for await (const part of response.body ?? []) {
      bytes += part.length;
      text += decoder.decode(part, { stream: true });
      const blocks = text.split('\n\n');
      text = blocks.pop() ?? '';
      heard.push(...blocks.flatMap(eventOf));
      for (const look of waiting) look();
    }
  };
  const ended = read().catch(() => undefined);
  const until: Listener['until'] = (isIt) =>
    new Promise((resolve) => {
      const look = () => {
        const found = heard.find(isIt);
        if (found === undefined) return;
        waiting.delete(look);
        resolve(found);
      };
      waiting.add(look);
      look();
    });
  const type = response.headers.get('Content-Type') ?? '';
  return { status: response.status, type, heard, bytes: () => bytes, until, ended, close: () => gone.abort() };
}

function eventOf(block: string): readonly HeardEvent[] {
  const field = (name: string) => new RegExp(`^${name}: ?(.*)$`, 'm').exec(block)?.[1];
  const [name, data] = [field('event'), field('data')];
  return name === undefined || data === undefined ? [] : [{ name, id: field('id') ?? '', data: JSON.parse(data) as Partial<NewsItem> }];
}
