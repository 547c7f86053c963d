/** Words as a name for a file on any system. */
export function fileName(words: string): string {
  const name = words
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[ .]+|[ .]+$/g, '')
    .slice(0, 100);
  return name === '' ? 'Song' : name;
}

/** The name with a number behind it where it is taken. */
export function freeName(taken: { readonly [name: string]: unknown }, name: string, ending: string): string {
  for (let number = 1; ; number += 1) {
    const tried = number === 1 ? `${name}.${ending}` : `${name} (${number}).${ending}`;
    if (!(tried in taken)) return tried;
  }
}
