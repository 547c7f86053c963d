import type { SymbolView } from '@aurora/core';

/** Widths of a sign in the numeral face, in ems of its own size; measured in the face that ships. */
const SIGN = 0.6;
const NARROW = 0.36;
const NARROW_SIGNS = /[♭♯°/.,()1iI]/;
/** How large the parts of a symbol are set beside its number. */
const PREFIX = 0.8;
const RAISED = 0.52;
const BASS = 0.74;

function ems(text: string): number {
  return [...text].reduce((sum, sign) => sum + (NARROW_SIGNS.test(sign) ? NARROW : SIGN), 0);
}

/** About how wide a symbol is drawn, in ems of its number: enough to tell what fits beside what. */
export function symbolEms({ prefix, main, sign, raised, bass }: SymbolView): number {
  return PREFIX * ems(prefix) + ems(main) + ems(sign) + RAISED * ems(raised) + (bass === null ? 0 : BASS * (NARROW + ems(bass)));
}
