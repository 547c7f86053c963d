/** Fields a file says once for all its tunes. */
const SHARED = /^[BCDFGHILMNOQRSUZm]:/;
/** How voices stand on the page, and which exist, is said by the voices themselves. */
const LAYOUT = /^(V:|%%(score|staves)\b)/;

const linesOf = (text: string) => text.split(/\r\n?|\n/);

/** The tunes of an ABC file; what stands before the first one holds for all that say nothing themselves. */
export function abcTunes(text: string): readonly string[] {
  const lines = linesOf(text);
  const starts = lines.flatMap((line, at) => (/^\s*X:/.test(line) ? [at] : []));
  if (starts.length === 0) return [text];
  const shared = lines.slice(0, starts[0]).filter((line) => SHARED.test(line));
  return starts.map((from, at) => {
    const [number = '', ...rest] = lines.slice(from, starts[at + 1]);
    const head = rest.slice(0, headLength(rest));
    return [number, ...shared.filter((line) => !head.some((own) => own.startsWith(line.slice(0, 2)))), ...rest].join('\n');
  });
}

/** How many lines the head of a tune has; its key is the last of them. */
function headLength(lines: readonly string[]): number {
  return lines.findIndex((line) => /^\s*K:/.test(line)) + 1;
}

/** The voices of a tune, each as a tune of its own: they may be written in lines of different length. */
export function voicesOf(tune: string): readonly string[] {
  const lines = linesOf(tune);
  const head = lines.slice(0, headLength(lines));
  const bodies = bodiesOf(lines.slice(head.length), namesIn(head));
  if (bodies.length < 2) return [tune];
  const plain = head.filter((line) => !LAYOUT.test(line));
  return bodies.map((body) => [...plain, ...body].join('\n'));
}

const VOICE = /^\s*(?:V:\s*([^\s%\]]+)[^\]]*$|\[V:\s*([^\s\]]+)[^\]]*\](.*))/;

function namesIn(head: readonly string[]): readonly string[] {
  return head.flatMap((line) => /^V:\s*([^\s%\]]+)/.exec(line)?.[1] ?? []);
}

/** The lines of each voice, in the order in which the voices are named. */
function bodiesOf(lines: readonly string[], named: readonly string[]): readonly (readonly string[])[] {
  const bodies = new Map<string, string[]>(named.map((name) => [name, []]));
  let current = named[0] ?? '';
  for (const line of lines) {
    const [voice, field, inline, music] = VOICE.exec(line) ?? [];
    if (voice !== undefined) current = field ?? inline ?? current;
    if (!bodies.has(current)) bodies.set(current, []);
    if (voice === undefined || music !== undefined) bodies.get(current)?.push(music ?? line);
  }
  return [...bodies.values()].filter((body) => body.some((line) => line.trim() !== ''));
}
