// What jsdom lacks and the parts ask for: sizes and sight are nothing there.
import { TextDecoder, TextEncoder } from 'node:util';
import { configure } from '@testing-library/react';
import './styles.ts';

// a state is waited for; a time limit only ends what hangs
configure({ asyncUtilTimeout: 20_000 });

class NothingSeen {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
  takeRecords(): [] {
    return [];
  }
}

/** What the router makes of an address it goes to. */
class AddressRequest {
  readonly url: string;
  readonly method = 'GET';
  readonly headers = new Map<string, string>();
  readonly signal: AbortSignal;

  constructor(url: string | URL, { signal }: { readonly signal?: AbortSignal } = {}) {
    this.url = String(url);
    this.signal = signal ?? new AbortController().signal;
  }
}

Object.assign(globalThis, { Request: AddressRequest });
Object.assign(globalThis, { ResizeObserver: NothingSeen, IntersectionObserver: NothingSeen, TextDecoder, TextEncoder });
globalThis.PointerEvent ??= class extends MouseEvent {} as typeof PointerEvent;
Object.assign(window, {
  matchMedia: (media: string) => ({ matches: false, media, addEventListener: () => undefined, removeEventListener: () => undefined }),
});
Object.assign(window, { scrollTo: () => undefined });
Object.assign(Element.prototype, {
  scrollTo: () => undefined,
  scrollIntoView: () => undefined,
  hasPointerCapture: () => false,
  setPointerCapture: () => undefined,
  releasePointerCapture: () => undefined,
});

// drawings have no size here, and say so each time
const { warn } = console;
console.warn = (...words: unknown[]) => {
  if (!String(words[0]).startsWith('The width(0) and height(0) of chart')) warn(...words);
};
