import { EditorState } from '@codemirror/state';
import { describe, expect, test } from '@jest/globals';
import { chartCompletions } from './chart-completion.ts';

/** What is offered where the bar stands in the text. */
function offered(text: string, explicit = false): readonly string[] {
  const pos = text.indexOf('¦');
  const state = EditorState.create({ doc: text.replace('¦', '') });
  const result = chartCompletions({ state, pos, explicit, matchBefore: () => null });
  const typed = result === null ? '' : state.doc.sliceString(result.from, pos);
  return (result?.options ?? []).map(({ label }) => label).filter((label) => label.toLowerCase().startsWith(typed.toLowerCase()));
}

describe('what may come next', () => {
  test.each([
    ['ti¦', ['title', 'time']],
    ['key: G\nte¦', ['tempo']],
    ['[A]\n1 {d¦', ['dc', 'ds', 'dc al coda', 'ds al coda', 'dc al fine', 'ds al fine'].sort()],
    ['[A]\n1 {to¦', ['to coda']],
    ['[A]\n1 @b¦', ['bass']],
    ['[Ch¦', ['Chorus']],
    ['form: Verse, Ch¦\n[Verse]\n1\n[Chorus]\n4', ['Chorus']],
    ['[A]\n1 4¦', []],
    ['[A]\nti¦', []],
    ['¦', []],
  ])('%j: %j', (text, labels) => expect([...offered(text)].sort()).toEqual([...labels].sort()));

  test('asked on purpose, an empty head line offers every name', () => expect(offered('¦', true)).toContain('numbering'));
});
