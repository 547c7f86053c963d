// How a part stands without the application's styles, for whoever asks many times. jsdom matches every rule of its own sheet
// against an element each time a query by role asks whether it is hidden, and against all that stand around it: a seventh of what
// the tests of the chart's room took. Here there are only those rules, the part's own style and `hidden`; anything else is asked of jsdom.

const slow = window.getComputedStyle.bind(window);
const displays = new Map<string, string>();

Object.assign(window, {
  getComputedStyle: (element: Element, pseudo?: string | null): CSSStyleDeclaration => {
    const quick: Record<string, () => string> = {
      display: () => displayOf(element),
      visibility: () => visibilityOf(element),
      content: () => '',
    };
    const ask = (name: string) => (pseudo == null || name === 'content' ? quick[name]?.() : undefined);
    let full: CSSStyleDeclaration | null = null;
    const asked = () => {
      full ??= slow(element, pseudo);
      return full;
    };
    return new Proxy({} as CSSStyleDeclaration, {
      get(_target, name) {
        if (name === 'getPropertyValue') return (property: string) => ask(property) ?? asked().getPropertyValue(property);
        const value = typeof name === 'string' ? ask(name) : undefined;
        if (value !== undefined) return value;
        const found: unknown = Reflect.get(asked(), name);
        return typeof found === 'function' ? found.bind(asked()) : found;
      },
    });
  },
});

function displayOf(element: Element): string {
  const { style, hidden } = element as HTMLElement;
  if (style?.display) return style.display;
  if (hidden || (element instanceof HTMLInputElement && element.type === 'hidden')) return 'none';
  // what opens and closes by an attribute is asked about as it stands
  if (element.tagName === 'DIALOG' || element.tagName === 'DETAILS') return slow(element).display;
  const known = displays.get(element.tagName);
  if (known !== undefined) return known;
  const found = slow(element).display;
  displays.set(element.tagName, found);
  return found;
}

/** What is not hidden by itself is as what it stands in. */
function visibilityOf(element: Element): string {
  for (let at: Element | null = element; at !== null; at = at.parentElement) {
    const own = (at as HTMLElement).style?.visibility;
    if (own) return own;
  }
  return 'visible';
}
