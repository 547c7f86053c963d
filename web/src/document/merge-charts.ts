import { leadText, openChart, sectionText } from '@aurora/core';

/** Which side is kept of each section, by name; the empty name is the head. What is not named is mine. */
export type Choices = Readonly<Record<string, 'mine' | 'theirs' | 'both'>>;

interface Blocks {
  readonly head: string;
  readonly sections: readonly { readonly name: string; readonly text: string }[];
}

function blocksOf(source: string): Blocks {
  const chart = openChart(source);
  return {
    head: leadText(chart),
    sections: chart.reading.sections.map(({ name }, index) => ({ name, text: sectionText(chart, index) })),
  };
}

/** The names of sections that the two texts have differently, mine first; the empty name for the head. */
export function sectionsToChoose(mine: string, theirs: string): readonly string[] {
  const [a, b] = [blocksOf(mine), blocksOf(theirs)];
  const textOf = (blocks: Blocks, name: string) => blocks.sections.find((section) => section.name === name)?.text;
  const names = [...new Set([...a.sections, ...b.sections].map(({ name }) => name))];
  return [...(a.head === b.head ? [] : ['']), ...names.filter((name) => name !== '' && textOf(a, name) !== textOf(b, name))];
}

/** One text of two, section by section: mine in my order, and behind them what only they have, where it is chosen. */
export function mergeCharts(mine: string, theirs: string, choices: Choices): string {
  const [a, b] = [blocksOf(mine), blocksOf(theirs)];
  const theirsOf = (name: string) => b.sections.find((section) => section.name === name)?.text;
  const kept = a.sections.flatMap(({ name, text }) => {
    const other = theirsOf(name);
    const side = choices[name] ?? 'mine';
    if (side === 'mine' || other === text) return [text];
    if (other === undefined) return side === 'both' ? [text] : [];
    return side === 'theirs' ? [other] : [text, other.replace(`[${name}]`, `[${name}, theirs]`)];
  });
  const only = b.sections.filter(
    ({ name }) => !a.sections.some((section) => section.name === name) && (choices[name] ?? 'mine') !== 'mine',
  );
  const head = choices[''] === 'theirs' ? b.head : a.head;
  return `${[head, ...kept, ...only.map(({ text }) => text)].filter((block) => block !== '').join('\n\n')}\n`;
}
