import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { tags } from '@lezer/highlight';

/** Enough of chart text to colour it: heads, sections, lyrics, comments, braces, remarks, beat marks. */
const chartText = StreamLanguage.define<{ inBody: boolean }>({
  name: 'chart-text',
  startState: () => ({ inBody: false }),
  token(stream, state) {
    if (stream.sol()) {
      if (stream.match(/^\s*\/\/.*/)) return 'comment';
      if (stream.match(/^\s*~.*/)) {
        state.inBody = true;
        return 'string';
      }
      if (stream.match(/^\s*\[[^\]]*\].*/)) {
        state.inBody = true;
        return 'heading';
      }
      if (!state.inBody && stream.match(/^\s*[A-Za-z][A-Za-z0-9 _-]*:(?!\|)/)) return 'propertyName';
      if (!state.inBody && !/^\s*$/.test(stream.string) && !/^\s*[A-Za-z][A-Za-z0-9 _-]*:/.test(stream.string)) state.inBody = true;
    }
    if (!state.inBody) {
      stream.skipToEnd();
      return null;
    }
    if (stream.match(/"[^"]*"?/) || stream.match(/@\S+/)) return 'string';
    if (stream.match(/\{[^}]*\}?/)) return 'keyword';
    if (stream.match(/[|():[\]<>!?.,%]+/)) return 'punctuation';
    stream.next();
    return null;
  },
});

const colours = HighlightStyle.define([
  { tag: tags.comment, color: 'var(--quiet)', fontStyle: 'italic' },
  { tag: tags.string, color: 'var(--outside)' },
  { tag: tags.heading, color: 'var(--accent)', fontWeight: '700' },
  { tag: tags.propertyName, color: 'var(--quiet)' },
  { tag: tags.keyword, color: 'var(--dominant)', fontWeight: '600' },
  { tag: tags.punctuation, color: 'var(--quiet)' },
]);

/** Chart text with its colours, for the editor. */
export const chartLanguage = [chartText, syntaxHighlighting(colours)];
