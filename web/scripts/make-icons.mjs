// @ts-check
// Draws the pictures a device shows for the installed application, from the one sign in `public`.
// Run it after changing the sign; the pictures are kept in the repository.
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const SIGN = readFileSync(new URL('../public/ridge.svg', import.meta.url), 'utf8');
/** A masked icon may lose a tenth on each side and has no corners of its own. */
const PICTURES = [
  { name: 'ridge-180', size: 180, inset: 0, ground: '#0e1b1b' },
  { name: 'ridge-192', size: 192, inset: 0, ground: 'transparent' },
  { name: 'ridge-512', size: 512, inset: 0, ground: 'transparent' },
  { name: 'ridge-maskable-512', size: 512, inset: 0.12, ground: '#0e1b1b' },
];

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
for (const { name, size, inset, ground } of PICTURES) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  const side = Math.round(size * (1 - 2 * inset));
  await page.setContent(
    `<style>body{margin:0;display:grid;place-items:center;height:${size}px;background:${ground}}svg{width:${side}px;height:${side}px}</style>${SIGN}`,
  );
  writeFileSync(new URL(`../public/icons/${name}.png`, import.meta.url), await page.screenshot({ omitBackground: true }));
  await page.close();
}
await browser.close();
