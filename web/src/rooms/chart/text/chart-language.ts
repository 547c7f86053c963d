import { HighlightStyle, StreamLanguage, type StringStream, syntaxHighlighting } from '@codemirror/language';
import { tags } from '@lezer/highlight';

interface State {
  inBody: boolean;
}

const HEAD_NAME = /^\s*[A-Za-z][A-Za-z0-9 _-]*:(?!\|)/;

/** Enough of chart text to colour it: heads, sections, lyrics, comments, braces, remarks, marks. */
const chartText = StreamLanguage.define<State>({
  name: 'chart-text',
  startState: () => ({ inBody: false }),
  token: (stream, state) => (stream.sol() ? wholeLine(stream, state) : null) ?? withinLine(stream, state),
});

/** Lines that are one thing from end to end, and the names of head lines. */
function wholeLine(stream: StringStream, state: State): string | null {
  if (stream.match(/^\s*\/\/.*/)) return 'comment';
  if (!state.inBody && stream.match(HEAD_NAME)) return 'propertyName';
  if (!/^\s*$/.test(stream.string)) state.inBody = true;
  if (stream.match(/^\s*~.*/)) return 'string';
  return stream.match(/^\s*\[[^\]]*\].*/) ? 'heading' : null;
}

function withinLine(stream: StringStream, state: State): string | null {
  if (!state.inBody) {
    stream.skipToEnd();
    return null;
  }
  if (stream.match(/^"[^"]*"?/) || stream.match(/^@\S+/)) return 'string';
  if (stream.match(/^\{[^}]*\}?/)) return 'keyword';
  if (stream.match(/^[|():[\]<>!?.,%]+/)) return 'punctuation';
  stream.next();
  return null;
}

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
