import { expect, test } from '@jest/globals';
import { SHORTCUTS } from '../../shell/shortcuts.ts';
import { type SheetKeys, sheetKey } from './sheet-keys.ts';

/** Presses a key and says what was asked for. */
function press(key: string, held: { ctrl?: boolean; alt?: boolean; shift?: boolean } = {}, isChosen = true): string {
  const asked: string[] = [];
  const say =
    (name: string) =>
    (...words: readonly unknown[]) =>
      void asked.push([name, ...words.map((word) => JSON.stringify(word))].join(' '));
  const names =
    'onWrite onInsert onSplit onJoin onRepeat onEnding onMark onDeepen onDuplicate onMove onSection onDelete onPaste onWalk onReach onGo onBegin onCopy onCut onPutCopied onClear onAll';
  const keys = Object.fromEntries(names.split(' ').map((name) => [name, say(name)]));
  const event = { key, ctrlKey: held.ctrl ?? false, metaKey: false, altKey: held.alt ?? false, shiftKey: held.shift ?? false };
  const used = sheetKey(event, { ...keys, isChosen } as unknown as SheetKeys);
  return used ? (asked[0] ?? '') : 'nothing';
}

test.each([
  ['ArrowRight', {}, 'onWalk 1'],
  ['ArrowLeft', { shift: true }, 'onReach -1'],
  ['ArrowDown', {}, 'onGo 4'],
  ['ArrowUp', { shift: true }, 'onReach -4'],
  ['ArrowLeft', { alt: true }, 'onMove -1'],
  ['Enter', {}, 'onWrite'],
  ['Delete', {}, 'onDelete'],
  ['s', {}, 'onSplit'],
  ['j', {}, 'onJoin'],
  ['8', {}, 'onEnding [1]'],
  ['9', {}, 'onEnding [2]'],
  ['+', {}, 'onDeepen "seventh"'],
  ['-', {}, 'onDeepen "triad"'],
  ['o', {}, 'onMark "optional"'],
  ['5', {}, 'onBegin "5"'],
  ['b', {}, 'onBegin "b"'],
  ['A', {}, 'onBegin "A"'],
  ['c', { ctrl: true }, 'onCopy'],
  ['v', { ctrl: true }, 'onPutCopied'],
  ['a', { ctrl: true }, 'onAll'],
  // keys of the whole house are left to it
  ['n', {}, 'nothing'],
  ['[', {}, 'nothing'],
  ['z', { ctrl: true }, 'nothing'],
])('%s with %j asks for %s', (key, held, asked) => expect(press(key, held)).toBe(asked));

test('with nothing chosen only walking is left', () => {
  expect(press('5', {}, false)).toBe('nothing');
  expect(press('Delete', {}, false)).toBe('nothing');
  expect(press('ArrowRight', {}, false)).toBe('onWalk 1');
});

test('no key of the sheet means something else everywhere', () => {
  const everywhere = SHORTCUTS.filter(({ where, keys }) => where === 'Everywhere' && keys.length === 1).map(({ keys }) => keys);
  expect(everywhere.length).toBeGreaterThan(5);
  for (const key of everywhere) expect(press(key)).toBe('nothing');
});
