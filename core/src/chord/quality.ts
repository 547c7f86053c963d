import { countBits } from '../bits.ts';
import { type Formula, formulaOf, formulaTones, holdsAll, holdsAny } from './formula.ts';
import type { ToneName } from './tone-table.ts';

/** What the third and fifth make of a chord before anything is stacked on or altered. */
export type Family = 'major' | 'minor' | 'diminished' | 'augmented' | 'power';

/** How far the thirds are stacked, or which sixth is added. */
export type Extension = 'none' | '6' | '69' | '7' | '9' | '11' | '13';

/** What stands in place of the third. */
export type Suspension = 'none' | 'sus2' | 'sus4' | 'sus2sus4';

/** The stacked-thirds frame of a chord, from which its symbol departs. */
export interface Frame {
  readonly family: Family;
  readonly extension: Extension;
  /** Whether the seventh is major; for diminished chords a plain seventh is ♭♭7. */
  readonly majorSeventh: boolean;
  readonly suspension: Suspension;
}

/** A formula taken apart the way chord symbols spell it. */
export interface Quality extends Frame {
  /** Replaced or raised and lowered tones: `b5`, `#9`. */
  readonly alterations: readonly ToneName[];
  readonly additions: readonly ToneName[];
  /** Numbers left out, such as 3 or 5. */
  readonly omissions: readonly number[];
}

/** 1 3 ♭7 ♭9 ♯9 ♭13, the chord written `7alt`. */
export const ALTERED_FORMULA = formulaOf('1', '3', 'b7', 'b9', '#9', 'b13');

const TRIADS: Readonly<Record<Family, Formula>> = {
  major: formulaOf('1', '3', '5'),
  minor: formulaOf('1', 'b3', '5'),
  diminished: formulaOf('1', 'b3', 'b5'),
  augmented: formulaOf('1', '3', '#5'),
  power: formulaOf('1', '5'),
};

const THIRDS = formulaOf('b3', '3');
const ROOT = formulaOf('1');
const THIRD = formulaOf('3');
const MINOR_THIRD = formulaOf('b3');
const SECOND = formulaOf('2');
const FOURTH = formulaOf('4');
const FIFTH = formulaOf('5');
const FLAT_FIFTH = formulaOf('b5');
const SHARP_FIFTH = formulaOf('#5');
const SIXTH = formulaOf('6');
const MAJOR_SEVENTH = formulaOf('7');
const MINOR_SEVENTH = formulaOf('b7');
const DIMINISHED_SEVENTH = formulaOf('bb7');
const NINTH = formulaOf('9');
const NINTHS = formulaOf('b9', '9', '#9');
const ELEVENTH = formulaOf('11');
const ELEVENTHS = formulaOf('b11', '11', '#11');
const THIRTEENTH = formulaOf('13');

const SUSPENDED: Readonly<Record<Exclude<Suspension, 'none'>, Formula>> = {
  sus2: SECOND,
  sus4: FOURTH,
  sus2sus4: SECOND | FOURTH,
};

/** Tones that take the place of a natural one, in the order symbols name them. */
const ALTERED_TONES = (['b5', '#5', 'b9', '#9', 'b11', '#11', 'b13'] as const satisfies readonly ToneName[]).map((name) => ({
  name,
  tone: formulaOf(name),
  natural: formulaOf(name.replace(/^[b#]+/, '') as ToneName),
}));

/**
 * The tones a frame implies. A thirteenth leaves the 11 out over a major third, as players do;
 * over a minor third the full stack stands.
 */
export function frameFormula(frame: Frame): Formula {
  const triad = TRIADS[frame.family];
  const thirds = frame.suspension === 'none' ? triad : (triad & ~THIRDS) | SUSPENDED[frame.suspension];
  return thirds | extensionFormula(frame);
}

function extensionFormula({ family, extension, majorSeventh }: Frame): Formula {
  const seventh = majorSeventh ? MAJOR_SEVENTH : family === 'diminished' ? DIMINISHED_SEVENTH : MINOR_SEVENTH;
  switch (extension) {
    case 'none':
      return 0;
    case '6':
      return SIXTH;
    case '69':
      return SIXTH | NINTH;
    case '7':
      return seventh;
    case '9':
      return seventh | NINTH;
    case '11':
      return seventh | NINTH | ELEVENTH;
    case '13': {
      const eleventh = family === 'minor' || family === 'diminished' ? ELEVENTH : 0;
      return seventh | NINTH | eleventh | THIRTEENTH;
    }
  }
}

/** Takes a formula apart into the frame that lies nearest and what departs from it. */
export function qualityOf(formula: Formula): Quality {
  const frame = frameOf(formula);
  const implied = frameFormula(frame);
  const stacked = frame.extension !== 'none';
  let missing = implied & ~formula;
  let extra = formula & ~implied;
  const alterations: ToneName[] = [];
  for (const { name, tone, natural } of ALTERED_TONES) {
    if (extra === 0) break;
    const clashes = holdsAny(implied & formula, natural) || (natural === FIFTH && alterations.length > 0);
    if (!holdsAny(extra, tone) || clashes || !(stacked || natural === FIFTH)) continue;
    if (natural === FIFTH && !holdsAny(missing, FIFTH)) continue;
    alterations.push(name);
    extra &= ~tone;
    missing &= ~natural;
  }
  return {
    ...frame,
    alterations,
    additions: formulaTones(extra).map((tone) => tone.name),
    omissions: formulaTones(missing).map((tone) => tone.number),
  };
}

/** How a quality departs from the nearest frame, counted only: `qualityOf` says with which tones. */
export interface Departures {
  readonly frame: Frame;
  readonly altered: number;
  readonly added: number;
  /** How many of the added tones are elevenths and thirteenths. */
  readonly addedPastNinth: number;
  readonly omitted: number;
}

/** The frame nearest a formula and how many tones depart from it; much quicker than `qualityOf`. */
export function departuresOf(formula: Formula): Departures {
  const frame = frameOf(formula);
  const implied = frameFormula(frame);
  const extra = formula & ~implied;
  let missing = implied & ~formula;
  let altered = 0;
  if (extra !== 0) {
    for (const { tone, natural } of ALTERED_TONES) {
      if ((extra & tone) === 0 || (frame.extension === 'none' && natural !== FIFTH)) continue;
      altered += 1;
      missing &= ~natural;
    }
  }
  return {
    frame,
    altered,
    added: countBits(extra) - altered,
    addedPastNinth: countBits(extra & (ELEVENTH | THIRTEENTH)),
    omitted: countBits(missing),
  };
}

function frameOf(formula: Formula): Frame {
  if (formula === (ROOT | FIFTH)) return { family: 'power', extension: 'none', majorSeventh: false, suspension: 'none' };
  const suspension = suspensionOf(formula);
  const family = suspension === 'none' ? familyOf(formula) : 'major';
  const majorSeventh = holdsAny(formula, MAJOR_SEVENTH) && !holdsAny(formula, MINOR_SEVENTH);
  return { family, suspension, majorSeventh, extension: extensionOf(formula, family) };
}

function suspensionOf(formula: Formula): Suspension {
  if (holdsAny(formula, THIRDS)) return 'none';
  if (holdsAll(formula, SECOND | FOURTH)) return 'sus2sus4';
  if (holdsAny(formula, FOURTH)) return 'sus4';
  return holdsAny(formula, SECOND) ? 'sus2' : 'none';
}

function familyOf(formula: Formula): Family {
  const plainFifth = holdsAny(formula, FIFTH);
  const sixthOrMinorSeventh = holdsAny(formula, SIXTH | MINOR_SEVENTH);
  if (holdsAny(formula, MINOR_THIRD) && !holdsAny(formula, THIRD)) {
    const diminished = holdsAny(formula, FLAT_FIFTH) && !plainFifth && !sixthOrMinorSeventh;
    return diminished && !holdsAny(formula, SHARP_FIFTH) ? 'diminished' : 'minor';
  }
  const augmented = holdsAll(formula, THIRD | SHARP_FIFTH) && !plainFifth && !holdsAny(formula, SIXTH | FLAT_FIFTH);
  return augmented ? 'augmented' : 'major';
}

function extensionOf(formula: Formula, family: Family): Extension {
  const sevenths = family === 'diminished' ? MAJOR_SEVENTH | DIMINISHED_SEVENTH : MAJOR_SEVENTH | MINOR_SEVENTH;
  if (!holdsAny(formula, sevenths)) {
    if (!holdsAny(formula, SIXTH)) return 'none';
    return holdsAny(formula, NINTH) ? '69' : '6';
  }
  if (!holdsAny(formula, NINTHS)) return '7';
  const elevenths = family === 'minor' || family === 'diminished' ? holdsAny(formula, ELEVENTHS) : true;
  if (holdsAny(formula, THIRTEENTH) && elevenths) return '13';
  if (holdsAny(formula, ELEVENTH)) return '11';
  return holdsAny(formula, NINTH) ? '9' : '7';
}
