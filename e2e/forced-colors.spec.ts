import type { Page } from '@playwright/test';
import { expect, openSong, settled, test } from './pages.ts';

// Where somebody's own few colours are forced on every page: what is written is read from the picture itself.

const ROOMS = [
  '/',
  '/begin',
  '/harmonize',
  '/analyze',
  '/neck',
  '/band/tonight',
  '/band/players',
  '/band/singer',
  '/practice',
  '/practice/programme',
  '/settings',
];
/** As for text of any size. */
const CONTRAST = 4.5;

interface Faint {
  readonly text: string;
  readonly contrast: number;
}

interface Box {
  readonly text: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Where text stands in sight, line by line. */
function textBoxes(page: Page): Promise<readonly Box[]> {
  return page.evaluate(() => {
    const isShown = (parent: Element) =>
      parent.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
      parent.closest('[disabled], [aria-disabled="true"], .sr-only, option') === null;
    const isSeen = (parent: Element, { left, top, right, bottom, width, height }: DOMRect) => {
      if (width < 6 || height < 8 || left < 0 || top < 0 || right > window.innerWidth || bottom > window.innerHeight) return false;
      const middle = document.elementFromPoint(left + width / 2, top + height / 2);
      return middle !== null && (parent.contains(middle) || middle.contains(parent));
    };
    const boxes: Box[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
      const [parent, text] = [node.parentElement, node.textContent?.trim() ?? ''];
      if (parent === null || text === '' || !isShown(parent)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const seen = [...range.getClientRects()].filter((box) => isSeen(parent, box));
      boxes.push(...seen.map(({ left, top, width, height }) => ({ text, left, top, width, height })));
    }
    return boxes;
  });
}

/** Text in sight that does not stand out from what is behind it in a picture of the page. */
async function faintTexts(page: Page): Promise<readonly Faint[]> {
  const boxes = await textBoxes(page);
  if (boxes.length <= 5) return [{ text: 'the room is not drawn yet', contrast: 0 }];
  const picture = (await page.screenshot({ animations: 'disabled', caret: 'hide' })).toString('base64');
  const contrasts = await page.evaluate(
    async ({ data, all }) => {
      const image = new Image();
      image.src = `data:image/png;base64,${data}`;
      await image.decode();
      const pen = new OffscreenCanvas(image.width, image.height).getContext('2d', { willReadFrequently: true });
      if (pen === null) throw new Error('no canvas');
      pen.drawImage(image, 0, 0);
      const light = (value: number) => (value <= 10 ? value / 3294 : ((value / 255 + 0.055) / 1.055) ** 2.4);
      return all.map(({ left, top, width, height }) => {
        const { data: pixels } = pen.getImageData(left, top, width, height);
        const luminances = Array.from({ length: pixels.length / 4 }, (_, at) => {
          const [red = 0, green = 0, blue = 0] = pixels.subarray(at * 4, at * 4 + 3);
          return 0.2126 * light(red) + 0.7152 * light(green) + 0.0722 * light(blue);
        });
        const [darkest, lightest] = [Math.min(...luminances), Math.max(...luminances)];
        return (lightest + 0.05) / (darkest + 0.05);
      });
    },
    { data: picture, all: boxes },
  );
  return boxes.flatMap(({ text }, at) => {
    const contrast = contrasts[at] ?? 0;
    return contrast < CONTRAST ? [{ text, contrast: Math.round(contrast * 10) / 10 }] : [];
  });
}

for (const scheme of ['light', 'dark'] as const)
  test(`in forced ${scheme} colours every word of every room can be read`, async ({ page }) => {
    await page.emulateMedia({ forcedColors: 'active', colorScheme: scheme });
    for (const path of ROOMS) {
      await page.goto(path);
      await settled(page);
      await expect.poll(() => faintTexts(page), path).toEqual([]);
    }
    await openSong(page, 'Harbor Wall');
    await settled(page);
    await expect.poll(() => faintTexts(page), 'a chart').toEqual([]);
    await page.getByRole('button', { name: /and how it is played/ }).click();
    await expect(page.getByLabel('Groove')).toBeVisible();
    await expect.poll(() => faintTexts(page), 'how it is played').toEqual([]);
  });
