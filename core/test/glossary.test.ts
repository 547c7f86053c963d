import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const ROOT = join(import.meta.dirname, '../..');
const LIST = readFileSync(join(ROOT, 'core/src/index.ts'), 'utf8');

interface Rule {
  readonly name: string;
}
/** The nouns in the order of understanding, as the import rules have them. */
const NOUNS = (createRequire(import.meta.url)('../../.dependency-cruiser.cjs') as { forbidden: readonly Rule[] }).forbidden.flatMap(
  ({ name }) => (name.startsWith('core-order-') ? [name.slice('core-order-'.length)] : []),
);

/** Every name with the noun it comes from, in the order of the list. */
const NAMES = [...LIST.matchAll(/export (?:type )?\{([^}]*)\} from '\.\/([a-z]+)[^']*';/g)].flatMap(([, names, noun]) =>
  (names as string)
    .split(',')
    .map(
      (name) =>
        name
          .trim()
          .replace(/^type /, '')
          .split(' as ')
          .at(-1) as string,
    )
    .filter((name) => name !== '')
    .map((name) => ({ name, noun: noun as string })),
);

/** What the wire, the server, the interface, the flows and the benchmarks ask of the core by name. */
function namesAskedFor(): ReadonlySet<string> {
  const files = ['wire/src', 'server/src', 'server/test', 'server/bench', 'web/src', 'web/test', 'e2e', 'core/bench'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((path) => /\.tsx?$/.test(path))
      .map((path) => join(ROOT, folder, path)),
  );
  const imports = /import (?:type )?\{([^}]*)\} from '(?:@aurora\/core|\.\.\/src\/index\.ts)'/g;
  return new Set(
    files.flatMap((path) =>
      [...readFileSync(path, 'utf8').matchAll(imports)].flatMap(([, names]) =>
        (names as string).split(',').map(
          (name) =>
            name
              .trim()
              .replace(/^type /, '')
              .split(' as ')[0] as string,
        ),
      ),
    ),
  );
}

describe('the public list of the core', () => {
  test('has names and nouns to look at', () => {
    expect(NAMES.length).toBeGreaterThan(300);
    expect(NOUNS.length).toBeGreaterThan(20);
  });

  test('stands noun by noun, in the order in which they are understood', () => {
    const order = ['fault', 'choices', ...NOUNS];
    const places = NAMES.map(({ noun }) => order.indexOf(noun));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((one, other) => one - other));
  });

  test('holds no name that nobody outside the core asks for', () => {
    const asked = namesAskedFor();
    expect(NAMES.map(({ name }) => name).filter((name) => !asked.has(name))).toEqual([]);
  });
});
