// What jsdom lacks and the parts ask for: sizes and sight are nothing there.
import { TextDecoder, TextEncoder } from 'node:util';

class NothingSeen {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
  takeRecords(): [] {
    return [];
  }
}

Object.assign(globalThis, { ResizeObserver: NothingSeen, IntersectionObserver: NothingSeen, TextDecoder, TextEncoder });
globalThis.PointerEvent ??= class extends MouseEvent {} as typeof PointerEvent;
Object.assign(window, {
  matchMedia: (media: string) => ({ matches: false, media, addEventListener: () => undefined, removeEventListener: () => undefined }),
});
Object.assign(Element.prototype, {
  scrollIntoView: () => undefined,
  hasPointerCapture: () => false,
  setPointerCapture: () => undefined,
  releasePointerCapture: () => undefined,
});
