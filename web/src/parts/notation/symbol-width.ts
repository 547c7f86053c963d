import type { SymbolView } from '@aurora/core';

/** Widths of a sign in the numeral face, in ems of its own size; measured in the face that ships. */
const SIGN = 0.6;
const NARROW = 0.38;
const NARROW_SIGNS = /[°/.,()iI]/;
/** As the signs are drawn that stand beside numbers. */
const FLAT = 0.42;
const SHARP = 0.52;
/** How large the parts of a symbol are set beside its number. */
const RAISED = 0.52;
const BASS = 0.74;

/** About how wide letters on one line are, in ems of their own size. */
export function plainEms(text: string): number {
  return [...text].reduce((sum, sign) => sum + signEms(sign), 0);
}

function signEms(sign: string): number {
  if (sign === '♭') return FLAT;
  if (sign === '♯') return SHARP;
  return NARROW_SIGNS.test(sign) ? NARROW : SIGN;
}

/** About how wide a symbol is drawn, in ems of its number: enough to tell what fits beside what. */
export function symbolEms({ prefix, main, sign, raised, bass }: SymbolView): number {
  return (
    plainEms(prefix) + plainEms(main) + plainEms(sign) + RAISED * plainEms(raised) + (bass === null ? 0 : BASS * (NARROW + plainEms(bass)))
  );
}
