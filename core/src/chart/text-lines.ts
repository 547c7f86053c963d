const LINE_END = /\r\n|\r|\n/;

/** The lines of a text, however they end. Places in a chart count them from 1. */
export function linesOf(text: string): readonly string[] {
  return text.split(LINE_END);
}
