import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const SRC = join(import.meta.dirname, '../src');

/** Every file of the browser side but tests, with its text. */
const FILES = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.(ts|tsx|css)$/.test(path) && !/\.test\.tsx?$/.test(path))
  .map((path) => ({ path, text: readFileSync(join(SRC, path), 'utf8') }));
const COMPONENTS = FILES.filter(({ path }) => path.endsWith('.tsx'));
const CSS = ['app.css', 'forced-colors.css'].map((file) => readFileSync(join(SRC, file), 'utf8')).join('\n');

/** Where something is written, by file. */
const places = (pattern: RegExp, files = COMPONENTS) => files.filter(({ text }) => pattern.test(text)).map(({ path }) => path);

test('there is something to count', () => expect(COMPONENTS.length).toBeGreaterThan(100));

describe('seven sizes of type', () => {
  const sizes = new Map([...CSS.matchAll(/--text-([a-z]+): ([\d.]+)rem;/g)].map(([, name, rem]) => [name as string, Number(rem) * 16]));

  test('are what the theme has, and it has no other', () => {
    expect(sizes.size).toBe(7);
    expect(CSS).toContain('--text-*: initial;');
  });

  test('are all that components ask for by name', () => {
    const used = new Set(
      FILES.flatMap(({ text }) =>
        [...text.matchAll(/(?<![\w-])text-(xs|sm|base|lg|xl|\dxl|fine|lead|head|figure|numeral|great)(?![\w-])/g)].map(
          ([, name]) => name as string,
        ),
      ),
    );
    expect([...used].filter((name) => !sizes.has(name))).toEqual([]);
  });

  test('no component sets pixels of its own; what hangs on its number is set in shares of it', () => {
    expect(places(/text-\[[\d.]+(px|rem)|text-\[max\(|font-size:\s*[\d.]+px/)).toEqual([]);
  });

  test('drawings use the same sizes', () => {
    const pixels = new Set(sizes.values());
    const drawn = FILES.flatMap(({ path, text }) =>
      [...text.matchAll(/fontSize[=:]\s*[{'"]*([\d.]+)/g)].map(([, size]) => [path, Number(size)] as const),
    );
    expect(drawn.length).toBeGreaterThan(5);
    expect(drawn.filter(([, size]) => !pixels.has(size))).toEqual([]);
  });
});

describe('what is chosen', () => {
  test('is a wash with an underline: solid green is what is done next', () => {
    expect(places(/(aria-pressed|aria-selected|aria-checked|aria-current|data-\[state=(on|active)\]):bg-accent(?!\/)/)).toEqual([]);
  });
});

describe('focus rings', () => {
  test('are drawn within what has the focus, so that nothing cuts them', () => {
    const offsets = [...CSS.matchAll(/:focus-visible[^{]*\{[^}]*outline-offset: (-?\d+)px/g)].map(([, px]) => Number(px));
    expect(offsets.length).toBeGreaterThan(2);
    expect(offsets.filter((px) => px >= 0)).toEqual([]);
  });

  test('are taken away by nobody but a menu, whose chosen line is a wash, and what draws its own', () => {
    expect(places(/(?<![\w-])(?<!data-highlighted:)outline-none/)).toEqual(['parts/neck/TapPlaces.tsx']);
    expect(places(/focus-visible:outline-0|focus:outline-none/)).toEqual([]);
  });
});

describe('one control for each thing', () => {
  test.each([
    ['a list to choose from', /<select\b/, ['ui/Select.tsx']],
    ['a tick', /type="checkbox"|Checkbox\.Root/, ['ui/Tick.tsx']],
    ['a slider', /type="range"|Slider as|Radix\.Track/, ['ui/Slider.tsx']],
    ['a chip', /min-h-11 rounded-full border/, ['ui/Chip.tsx']],
    ['a tooltip', /Tooltip\.Content/, ['ui/Hint.tsx']],
  ] as const)('%s is drawn in one place', (_, pattern, where) => expect(places(pattern)).toEqual(where));
});

describe('signs', () => {
  const table = readFileSync(join(SRC, 'ui/icons.ts'), 'utf8');
  const pairs = [...table.matchAll(/^ {2}(\w+) as (\w+),$/gm)].map(([, sign, meaning]) => [sign as string, meaning as string] as const);

  test('one meaning a sign and one sign a meaning', () => {
    expect(pairs.length).toBeGreaterThan(40);
    expect(new Set(pairs.map(([sign]) => sign)).size).toBe(pairs.length);
    expect(new Set(pairs.map(([, meaning]) => meaning)).size).toBe(pairs.length);
  });

  test('are taken from that table alone', () => expect(places(/'lucide-react'/, FILES)).toEqual(['ui/icons.ts']));

  test('a button that is a sign alone has a tooltip', () => {
    // a button whose whole inside is one icon, outside of a Hint
    const lone = COMPONENTS.flatMap(({ path, text }) =>
      [...text.matchAll(/<(button|Button|Popover\.Trigger|Link)\b[^<]*?aria-label=[^<]*?>\s*<\w+Icon [^>]*\/>\s*<\/\1>/g)]
        .filter(({ 0: whole, index }) => !/\btitle=/.test(whole) && !/<Hint[^<]*>\s*$/.test(text.slice(0, index)))
        .map(() => path),
    );
    expect(lone).toEqual([]);
  });
});
