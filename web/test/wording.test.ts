import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { parseSync } from '@swc/core';

const SRC = join(import.meta.dirname, '../src');

/** What draws or tells something; the tables themselves, tests and the page for developers aside. */
const FILES = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter(
  (path) => /\.tsx?$/.test(path) && !/\.test\.tsx?$/.test(path) && !/^(wording|dev)\//.test(path),
);

/** Attributes that are read or heard. */
const SAID = new Set(['aria-label', 'aria-valuetext', 'label', 'title', 'text', 'placeholder', 'alt', 'says', 'heading']);
/** Attributes that never are. */
const SILENT = new Set(['className', 'style', 'd', 'viewBox', 'id', 'type', 'role']);

const isWord = (text: string) => /[A-Za-z]{2,}/.test(text);
/** A capital and another word behind it, or an end of a sentence. */
const isSentence = (text: string) => /^[A-Z][a-z’]+,? [a-z’]/.test(text.trim()) || /[a-z’]+ [a-z’]+[.!?…]$/.test(text.trim());

type Node = { readonly type?: string; readonly [key: string]: unknown };

/** What a piece of code says by itself; undefined for code whose inside is to be looked at. */
const SAYS: Readonly<Record<string, (node: Node) => readonly string[] | undefined>> = {
  ImportDeclaration: () => [],
  TsLiteralType: () => [],
  // an exception is for who builds it; what a call is answered is for who plays
  ThrowStatement: (node) => (/"value":"(ApiFault|NoBand)"/.test(JSON.stringify(node)) ? undefined : []),
  JSXText: ({ value }) => (isWord(String(value)) ? [String(value).trim()] : []),
  StringLiteral: ({ value }) => (isSentence(String(value)) ? [String(value).trim()] : []),
  TemplateElement: ({ cooked }) => (isSentence(String(cooked)) ? [String(cooked).trim()] : []),
  JSXAttribute: (node) => {
    const { name, value } = node as unknown as { name: { value?: string }; value: Node | null };
    if (SILENT.has(name.value ?? '')) return [];
    const isSaid = SAID.has(name.value ?? '') && value?.type === 'StringLiteral' && isWord(String(value.value));
    return isSaid ? [String(value.value)] : undefined;
  },
};

/** Words that stand in code: what a component says beside its table. */
function wordsIn(source: string, tsx: boolean): readonly string[] {
  const look = (node: unknown): readonly string[] => {
    if (Array.isArray(node)) return node.flatMap(look);
    if (typeof node !== 'object' || node === null) return [];
    return SAYS[(node as Node).type ?? '']?.(node as Node) ?? Object.values(node).flatMap(look);
  };
  return look(parseSync(source, { syntax: 'typescript', tsx }));
}

describe('words', () => {
  test('the finder finds them', () => {
    const source = `const a = <p title="Hear it">Choose a bar <b>{on ? 'Write the bar' : x}</b></p>; const c = 'flex min-w-0'; const t = \`Bar \${n} of the song.\`;`;
    expect(wordsIn(source, true)).toEqual(['Hear it', 'Choose a bar', 'Write the bar', 'of the song.']);
  });

  test('are in their tables, and in no component', () => {
    expect(FILES.length).toBeGreaterThan(200);
    const found = FILES.flatMap((path) =>
      wordsIn(readFileSync(join(SRC, path), 'utf8'), path.endsWith('.tsx')).map((words) => `${path}: ${words}`),
    );
    expect(found).toEqual([]);
  });

  test('every table has words, and none is said twice under two names', async () => {
    for (const file of readdirSync(join(SRC, 'wording'))) {
      const [table] = Object.values((await import(join(SRC, 'wording', file))) as Record<string, Readonly<Record<string, unknown>>>);
      const plain = Object.values(table ?? {}).filter((words): words is string => typeof words === 'string');
      expect(plain.length).toBeGreaterThan(0);
      expect(plain.filter((words, place) => plain.indexOf(words) !== place)).toEqual([]);
    }
  });
});

describe('one name for one thing', () => {
  /** Words that once stood on screens, each with the one that stands there now. */
  const GONE = [
    ['Take it out', 'Download my data'],
    ['Take out', 'Remove'],
    ['Who is in', 'Members'],
    ['Links that are open', 'Open invitations'],
    ['What happened', 'Activity'],
    ['Read at', 'Use capo'],
    ['Read so now', 'In use'],
    ['reads what sounds', 'as it sounds'],
    ['then a stop', 'stop'],
    ['straight on over', 'segue via'],
    ['Played out', 'Repeats written out'],
    ['Restore it whole', 'Restore this version'],
    ['Notes beside it', 'Non-chord tones'],
    ['Keys and closes', 'Keys and cadences'],
    ['Take away', 'Save as chart, Delete'],
    ['a third deeper', 'Add a third to this chord'],
    ['Written octaves higher', 'Octave'],
    ['leave it as it was', 'Cancel'],
    ['2 writes 2', '2 is major (press for minor)'],
    ['slip in it', 'check the link'],
    ['should hold for', 'last right 42 days ago'],
    ['Begin a set', 'New set'],
    ['Start a song', 'New song'],
  ] as const;
  /** What is practised is an exercise, and what was played a try. */
  const GONE_FROM_PRACTICE = ['sitting', 'sittings', 'pass', 'passes', 'stage', 'stages', 'study', 'studies', 'session', 'sessions'];
  const shown = [...texts(join(import.meta.dirname, '../src/wording')), ...texts(join(import.meta.dirname, '../../core/src/wording'))];

  test('there are words to look through', () => expect(shown.length).toBeGreaterThan(20));

  test.each(GONE)('“%s” is called “%s”', (gone: string, _now: string) => {
    expect(shown.filter(({ text }) => text.includes(gone)).map(({ path }) => path)).toEqual([]);
  });

  test('practice has exercises and tries, and nothing else for them', () => {
    const [practice] = shown.filter(({ path }) => path === 'practice.ts');
    const said = stringsIn(practice?.text ?? '').flatMap((text) => text.toLowerCase().match(/[a-z]+/g) ?? []);
    expect(said).toContain('exercises');
    expect(said.filter((word) => GONE_FROM_PRACTICE.includes(word))).toEqual([]);
  });
});

/** All that stands in quotes in a table of words, names of modules and types aside. */
function stringsIn(source: string): readonly string[] {
  const look = (node: unknown): readonly string[] => {
    if (Array.isArray(node)) return node.flatMap(look);
    if (typeof node !== 'object' || node === null) return [];
    const { type, value, cooked } = node as Node;
    if (type === 'ImportDeclaration' || type === 'TsLiteralType' || type === 'BinaryExpression') return [];
    if (type === 'StringLiteral') return [String(value)];
    return type === 'TemplateElement' ? [String(cooked)] : Object.values(node).flatMap(look);
  };
  return look(parseSync(source, { syntax: 'typescript' }));
}

function texts(folder: string): readonly { readonly path: string; readonly text: string }[] {
  return readdirSync(folder)
    .filter((path) => path.endsWith('.ts') && !path.endsWith('.test.ts'))
    .map((path) => ({ path, text: readFileSync(join(folder, path), 'utf8') }));
}
