import type { Page } from '@playwright/test';
import { expect, newSong, settled, test, writeChart } from './pages.ts';

/** What a bar may carry: what is written before its chord, around it, and behind. */
const BEFORE = ['{3/4}', '{key: +3}', '{tempo: 132}', '{segno}', '{coda}'] as const;
const AROUND = [
  ['<', '>'],
  ['>', ''],
  ['', '!'],
  ['', '?'],
] as const;
const AFTER = ['{ds al coda}', '{to coda}', '{fine}', '"watch the singer"'] as const;
const CHORDS = ['1', '#4-7b5/1', '(6-7 57)', '(4.. 5. 1.)', '(2-7b5/b6 5 b7maj7#11 1)'] as const;
const PLACES: readonly [(bar: string) => string, ...((bar: string) => string)[]] = [
  (bar: string) => `4 ${bar} 1`,
  (bar: string) => `|: ${bar} 1 :| x3`,
  (bar: string) => `|: 1 1.[ ${bar} ] 2.[ 1 ] :|`,
  (bar: string) => `|: 1 1,2.[ 1 ] 3.[ ${bar} ] :| x3`,
];

/** Every pair of marks, and with each a third in turn: a line of the chart for each, in the surroundings in turn. */
function everyPair(): string {
  const marks = [...BEFORE.map((before) => ({ before })), ...AROUND.map((around) => ({ around })), ...AFTER.map((after) => ({ after }))];
  const lines: string[] = [];
  for (const [a, first] of marks.entries())
    for (const [b, second] of marks.entries()) {
      if (b <= a) continue;
      const third = marks[(a + b + 1) % marks.length] ?? first;
      const chord = CHORDS[lines.length % CHORDS.length] ?? '1';
      lines.push(
        (PLACES[lines.length % PLACES.length] ?? PLACES[0])(
          barOf(lines.length % 2 === 0 ? [first, second] : [first, second, third], chord),
        ),
      );
    }
  return `key: G\n\n${lines.map((line, at) => (at % 6 === 0 ? `[Part ${at / 6 + 1}] x2 -- softly\n${line}` : line)).join('\n')}\n`;
}

interface Mark {
  readonly before?: string;
  readonly around?: readonly [string, string];
  readonly after?: string;
}

function barOf(marks: readonly Mark[], chord: string): string {
  const around = marks.find((mark) => mark.around !== undefined)?.around;
  const [open, close] = around ?? ['', ''];
  const marked = chord.startsWith('(') ? chord.replace(/[^ (.]+(?=\.*\)$)/, (last) => `${open}${last}${close}`) : `${open}${chord}${close}`;
  const once = (words: readonly (string | undefined)[]) => [...new Set(words.filter((word) => word !== undefined))];
  return [...once(marks.map(({ before }) => before)), marked, ...once(marks.map(({ after }) => after))].join(' ');
}

/** What is drawn in a bar: words and signs, with their boxes as they lie on the page. */
interface Ink {
  readonly name: string;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The ink of every bar, the bar's own box first. */
async function inkOf(page: Page, bars: string): Promise<readonly (readonly Ink[])[]> {
  return page.locator(bars).evaluateAll((all) => {
    const boxed = (name: string, { left, right, top, bottom }: DOMRect, slack = 0) => ({
      name,
      left,
      right,
      top: top + slack,
      bottom: bottom - slack,
    });
    const words = (root: Element) => {
      const found: Text[] = [];
      const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node !== null; node = walker.nextNode())
        if (node.parentElement?.closest('.sr-only, svg') === null && node.textContent?.trim() !== '') found.push(node as Text);
      return found;
    };
    return all.map((bar) => {
      const texts = words(bar).flatMap((text) => {
        const range = document.createRange();
        range.selectNodeContents(text);
        // letters leave a part of their line empty above and below
        const size = Number.parseFloat(getComputedStyle(text.parentElement as Element).fontSize);
        return [...range.getClientRects()].map((box) => boxed(text.data, box, Math.max(0, (box.height - 0.72 * size) / 2)));
      });
      const signs = [...bar.querySelectorAll('svg')].map((sign) => boxed('sign', sign.getBoundingClientRect()));
      return [
        boxed(`bar ${(bar as HTMLElement).dataset.bar}`, bar.getBoundingClientRect()),
        ...[...texts, ...signs].filter(({ left, right }) => right > left),
      ];
    });
  });
}

/** Less cannot be seen, and a push reaches back over its bar line. */
const SEEN = 1.5;
const PUSH = 6;

/** What touches something else in its bar, and what leaves it. */
async function collisions(page: Page, bars: string): Promise<readonly string[]> {
  return (await inkOf(page, bars)).flatMap(([bar, ...ink]) => {
    if (bar === undefined) return [];
    const isOut = ({ left, right, top, bottom }: Ink) =>
      left < bar.left - PUSH || right > bar.right + 2 * SEEN || top < bar.top - SEEN || bottom > bar.bottom + SEEN;
    const meet = (a: Ink, b: Ink) =>
      a.left < b.right - SEEN && b.left < a.right - SEEN && a.top < b.bottom - SEEN && b.top < a.bottom - SEEN;
    return [
      ...ink.filter(isOut).map(({ name }) => `${bar.name}: ${name} is outside`),
      ...ink.flatMap((one, at) =>
        ink
          .slice(at + 1)
          .filter((other) => meet(one, other))
          .map(({ name }) => `${bar.name}: ${one.name} over ${name}`),
      ),
    ];
  });
}

test('no mark of a bar is drawn over another, on the sheet and on the stand, at a desk and on a phone', async ({ page }) => {
  await newSong(page);
  await writeChart(page, everyPair());
  for (const [width, height] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await settled(page);
    expect.soft(await collisions(page, 'article [data-bar]'), `sheet ${width}`).toEqual([]);
  }
  await page.goto(page.url().replace(/\/chart.*/, '/stand'));
  for (const [width, height] of [
    [390, 844],
    [1280, 800],
  ] as const) {
    await page.setViewportSize({ width, height });
    await settled(page);
    // the lines to be measured are all there at once
    expect.soft(await collisions(page, 'main > [aria-hidden] [data-stand-bar]'), `stand ${width}`).toEqual([]);
  }
});
