/** A piece of a music line: what kind it is by its first sign, and where it starts (0-based). */
export interface LineToken {
  readonly kind: 'word' | 'quoted' | 'braced' | 'group' | 'barline' | 'cue';
  /** The text as typed; without its signs for quoted, braced and group; whom a cue is for. */
  readonly text: string;
  readonly start: number;
  readonly length: number;
  /** The words of a cue; null for every other token and for a cue without words. */
  readonly words: string | null;
  /** False when the closing sign is missing and the token ran to the end of the line. */
  readonly closed: boolean;
}

const CLOSING: Readonly<Record<string, { kind: 'quoted' | 'braced'; sign: string }>> = {
  '"': { kind: 'quoted', sign: '"' },
  '{': { kind: 'braced', sign: '}' },
};

/** Cuts a line of music, or the inside of a shared bar, into tokens. Never fails. */
export function scanLine(line: string, from = 0, to = line.length): readonly LineToken[] {
  const tokens: LineToken[] = [];
  let at = from;
  while (at < to) {
    if (isSpace(line[at])) {
      at += 1;
      continue;
    }
    const token = scanToken(line, at, to);
    tokens.push(token);
    at = token.start + token.length;
  }
  return tokens;
}

function scanToken(line: string, start: number, to: number): LineToken {
  const sign = line[start] as string;
  const pair = CLOSING[sign];
  if (pair !== undefined) {
    const found = line.indexOf(pair.sign, start + 1);
    return delimited(line, pair.kind, start, found < 0 || found >= to ? -1 : found, to);
  }
  if (sign === '@') return scanCue(line, start, to);
  if (sign === '(') return delimited(line, 'group', start, closingParenthesis(line, start, to), to);
  const barline = barlineLength(line, start, to);
  if (barline > 0) return { kind: 'barline', text: line.slice(start, start + barline), start, length: barline, words: null, closed: true };
  return scanWord(line, start, to);
}

function delimited(line: string, kind: LineToken['kind'], start: number, end: number, to: number): LineToken {
  const closed = end >= 0;
  const stop = closed ? end : to;
  return { kind, text: line.slice(start + 1, stop), start, length: (closed ? end + 1 : to) - start, words: null, closed };
}

/** A parenthesis inside a word belongs to the chord symbol and may hold spaces. */
function scanWord(line: string, start: number, to: number): LineToken {
  if (line[start] === ']') return { kind: 'word', text: ']', start, length: 1, words: null, closed: true };
  let at = start;
  let closed = true;
  while (at < to && !isSpace(line[at]) && !endsWord(line, at, start, to)) {
    if (line[at] !== '(') {
      at += 1;
      continue;
    }
    const end = closingParenthesis(line, at, to);
    closed = end >= 0;
    at = closed ? end + 1 : to;
  }
  return { kind: 'word', text: line.slice(start, at), start, length: at - start, words: null, closed };
}

/** `@bass "walk up"`: the quoted words belong to the cue. */
function scanCue(line: string, start: number, to: number): LineToken {
  const whom = scanWord(line, start, to);
  let at = whom.start + whom.length;
  while (at < to && isSpace(line[at])) at += 1;
  const cue = { ...whom, kind: 'cue' as const, text: whom.text.slice(1) };
  if (line[at] !== '"' || at >= to) return cue;
  const quoted = scanToken(line, at, to);
  return { ...cue, words: quoted.text, length: quoted.start + quoted.length - start, closed: quoted.closed };
}

function endsWord(line: string, at: number, start: number, to: number): boolean {
  if (at === start) return false;
  const sign = line[at];
  return sign === '"' || sign === '{' || sign === ']' || (line[at - 1] === '[' && line[at - 2] === '.') || barlineLength(line, at, to) > 0;
}

/** How many characters of bar line stand here: `|`, `||`, `|:`, `:|`, `:|:`; 0 for none. */
function barlineLength(line: string, start: number, to: number): number {
  let at = start;
  if (line[at] === ':' && line[at + 1] === '|' && at + 1 < to) at += 1;
  if (line[at] !== '|') return 0;
  while (at < to && line[at] === '|') at += 1;
  return (line[at] === ':' && at < to ? at + 1 : at) - start;
}

function closingParenthesis(line: string, start: number, to: number): number {
  let depth = 0;
  for (let at = start; at < to; at += 1) {
    if (line[at] === '(') depth += 1;
    if (line[at] === ')') depth -= 1;
    if (depth === 0) return at;
  }
  return -1;
}

function isSpace(character: string | undefined): boolean {
  if (character === undefined) return false;
  // nearly every character is plain text: the other kinds of space are only looked up past it
  return character <= ' ' || (character > '~' && /\s/.test(character));
}
