import { countBits } from '../bits.ts';
import type { Chord } from '../chord/chord.ts';
import { type Calling, callingOf, type Instrument } from '../fretboard/instrument.ts';
import { chroma } from '../pitch/note.ts';
import { barreFamily, isFourth, isThird, type Shape, type SoundingString, structuralFamilies } from './family.ts';
import { usualFingering } from './fingering.ts';
import { gripOf } from './grips.ts';
import { difficultyOf, innerMutes, MOST_INNER_MUTES, pressedSpan, reach, spansHand } from './hand.ts';
import { bestFirst } from './merit.ts';
import { type ToneRules, toneRules } from './tone-rules.ts';
import type { Family, Frets, NamedTone, Voicing } from './voicing.ts';

/** What to look for. */
export interface VoicingWish {
  /** Only shapes of these families; all when left out. */
  readonly families?: readonly Family[];
  /** The highest fret used, from the nut; the instrument's last when left out. */
  readonly maxFret?: number;
  /** Also shapes without the root, or without the fifth where it is not usual. */
  readonly without?: readonly ('root' | 'fifth')[];
  /** Shapes harder than this are left out, 0 to 10. */
  readonly mostDifficult?: number;
  /** Only shapes without open strings, which move along the neck. */
  readonly closed?: boolean;
  /** Only shapes without a muted string between sounding ones. */
  readonly unbroken?: boolean;
  /** Only shapes whose lowest string sounds the bass: the root, or the note under the slash. */
  readonly bassLowest?: boolean;
}

/** The shapes found, and whether the search was cut short. */
export interface VoicingSearch {
  readonly voicings: readonly Voicing[];
  /** Whether there are more shapes than were looked at: what is here is then a part. */
  readonly partial: boolean;
  /** Names of chord tones no shape could hold, because there are more tones than strings. */
  readonly leftOut: readonly string[];
}

/** More hands than this are not tried: a search must end on any tuning. */
const MOST_TRIED = 400_000;
const FEWEST_SOUNDING = 3;
const FEWEST_LOOSE = 4;
const SMALL_STRINGS = 4;
const FEWEST_ON_BASS = 2;
const LOWEST_BARRE_STRING = 5;
/** Chords of more tones than this are not turned over. */
const MOST_TURNED = 4;
/** Fourths on more strings than this belong to no one chord. */
const MOST_QUARTAL = 5;

/**
 * All playable shapes of a chord on an instrument, best first: root lowest before inversions, whole
 * before thinned out, easy before hard. Without a bass in the symbol any tone may be lowest; with
 * one, it is. Nothing sounds behind the capo, and frets count from the nut.
 */
export function findVoicings(chord: Chord, instrument: Instrument, wish: VoicingWish = {}): VoicingSearch {
  const rules = toneRules(chord, instrument.tuning, wish);
  const search = new Search(chord, instrument, rules, wish);
  search.run();
  return { voicings: bestFirst(search.found, instrument), partial: search.tried >= MOST_TRIED, leftOut: rules.leftOut };
}

/** One place on one string: a fret, what sounds there, and which tone that is. */
interface Spot {
  readonly fret: number;
  readonly midi: number;
  readonly tone: NamedTone;
  readonly bit: number;
}

class Search {
  readonly found: Voicing[] = [];
  tried = 0;
  readonly #chord: Chord;
  readonly #instrument: Instrument;
  readonly #rules: ToneRules;
  readonly #wish: VoicingWish;
  /** What the lowest string must sound; null for any tone. */
  readonly #lowest: number | null;
  /** Whether only barre shapes are wished: they begin on string 6 or 5, and no string above is muted or lies behind the finger. */
  readonly #barresOnly: boolean;
  readonly #calling: Calling;
  readonly #mostInside: number;
  readonly #spots: readonly (readonly Spot[])[];
  readonly #held: (Spot | null)[] = [];
  /** What the strings looked at so far hold; changed on the way down and put back on the way up. */
  readonly #hand: HandSoFar = { low: 0, high: 0, heard: 0, sounding: 0, gap: 0, gaps: 0 };

  constructor(chord: Chord, instrument: Instrument, rules: ToneRules, wish: VoicingWish) {
    this.#chord = chord;
    this.#instrument = instrument;
    this.#rules = rules;
    this.#wish = wish;
    this.#calling = callingOf(instrument.tuning);
    const last = Math.min(wish.maxFret ?? instrument.frets, instrument.frets);
    this.#barresOnly = wish.families?.every(isBarre) ?? false;
    this.#mostInside = wish.unbroken === true ? 0 : MOST_INNER_MUTES;
    this.#lowest = wish.bassLowest === true ? chroma(chord.bass ?? chord.root) : null;
    const first = instrument.capo + (wish.closed === true ? 1 : 0);
    this.#spots = instrument.tuning.map((open) => spotsOn(open, first, last, rules.tones));
  }

  run(): void {
    this.#string(0);
  }

  /** Goes through the strings from the lowest, keeping only hands that can still become a shape. */
  #string(index: number): void {
    const hand = this.#hand;
    if (index === this.#spots.length) {
      this.tried += 1;
      if (hand.gap < index) this.#keep();
      return;
    }
    if (this.tried >= MOST_TRIED || countBits(this.#rules.fewest & ~hand.heard) > this.#spots.length - index) return;
    const { low, high, heard, gap, gaps } = hand;
    this.#held[index] = null;
    hand.gap = gap + 1;
    if (this.#mayBeMute(index)) this.#string(index + 1);
    const inside = hand.sounding === 0 ? 0 : gaps + gap;
    if (inside <= this.#mostInside) this.#sound(index, inside, { low, high, heard });
    Object.assign(hand, { low, high, heard, gap, gaps });
  }

  /** Every fret of a string on top of what is held. */
  #sound(index: number, inside: number, { low, high, heard }: Pick<HandSoFar, 'low' | 'high' | 'heard'>): void {
    const hand = this.#hand;
    hand.sounding += 1;
    hand.gap = 0;
    hand.gaps = inside;
    for (const spot of this.#spots[index] as readonly Spot[]) {
      if (this.#leadsNowhere(index, spot, inside)) continue;
      if (!this.#press(low, high, spot.fret)) continue;
      hand.heard = heard | spot.bit;
      this.#held[index] = spot;
      this.#string(index + 1);
    }
    hand.sounding -= 1;
  }

  /** A small instrument sounds every string, but for the fifth of a banjo. */
  #mayBeMute(index: number): boolean {
    return this.#calling !== 'small' || (index === 0 && this.#spots.length > SMALL_STRINGS);
  }

  /** Whether no shape that is wished can come of this string: the wrong bass, or no barre any more. */
  #leadsNowhere(index: number, { fret, tone }: Spot, inside: number): boolean {
    if (this.#hand.sounding === 1) {
      if (this.#lowest !== null && tone.chroma !== this.#lowest) return true;
      return this.#barresOnly && this.#spots.length - index < LOWEST_BARRE_STRING;
    }
    return this.#barresOnly && (inside > 0 || fret < (this.#held.find((spot) => spot !== null)?.fret ?? 0));
  }

  /** Whether the fret can be reached from what is pressed already; if so, it counts as pressed. */
  #press(low: number, high: number, fret: number): boolean {
    const hand = this.#hand;
    hand.low = low;
    hand.high = high;
    if (fret === this.#instrument.capo) return true;
    hand.low = low === 0 ? fret : Math.min(low, fret);
    hand.high = Math.max(high, fret);
    return spansHand(hand.low, hand.high, this.#instrument.scaleLength);
  }

  /** Keeps the hand as it is, if it is a shape of the chord that anybody would want. */
  #keep(): void {
    if (!this.#canBeChord()) return;
    const strings = this.#soundingStrings();
    if (!isInOrder(strings, this.#instrument, this.#held)) return;
    const lowest = strings.reduce((low, string) => (string.midi < low.midi ? string : low));
    if (this.#rules.bass !== null && lowest.tone.chroma !== this.#rules.bass) return;
    const frets: Frets = this.#held.map((spot) => (spot === null ? null : spot.fret));
    const rooted = this.#rules.bass !== null || lowest.tone.place === 0;
    const shape: Shape = { frets, capo: this.#instrument.capo, sounding: strings, chordTones: this.#rules.chordTones, rooted };
    const structural = structuralFamilies(shape);
    if (!this.#rules.accepts(this.#hand.heard, structural, this.#hand.sounding) || this.#isNoShape(structural, rooted)) return;
    if (this.#isWished(structural)) this.#add(shape, structural, lowest.tone);
  }

  /** Whether enough sounds at all: asked first, as most hands fail here. */
  #canBeChord(): boolean {
    const { heard, sounding } = this.#hand;
    if (sounding < this.#fewest(FEWEST_SOUNDING) && sounding < this.#instrument.tuning.length) return false;
    const { whole } = this.#rules;
    return (heard & whole) === whole || this.#isShellOrFourths();
  }

  /** The chord's tones in a hand nobody would play them with. */
  #isNoShape(structural: readonly Family[], rooted: boolean): boolean {
    if (structural.length === 0 && !this.#isFistful(this.#hand.gaps, rooted)) return !this.#isTaught();
    if (structural.every((family) => family === 'open') && !rooted && this.#isTurnedTooFar()) return true;
    return structural.includes('open') && this.#mutesForNothing();
  }

  #isTaught(): boolean {
    const { tuning, capo } = this.#instrument;
    return (
      gripOf(
        this.#held.map((spot) => spot?.fret ?? null),
        tuning,
        capo,
      ) !== undefined
    );
  }

  /** What is no known structure must at least be a hand full: four strings side by side, and the root lowest where open strings ring. */
  #isFistful(gaps: number, rooted: boolean): boolean {
    const { sounding, low } = this.#hand;
    if (this.#calling !== 'guitar') return true;
    if (sounding < this.#fewest(FEWEST_LOOSE)) return false;
    // open strings alone are an open chord or nothing, but for power chords on low tunings
    if (low === 0 && this.#rules.chordTones >= FEWEST_SOUNDING) return false;
    if (gaps === 0) return rooted || !this.#rings();
    return gaps === 1 && rooted && !this.#rings() && (sounding === FEWEST_LOOSE || (this.#isWalked() && this.#mutesBesideBass()));
  }

  /** Chords of which one holds the bass and what is above it: over another bass, or of four tones and more. */
  #isWalked(): boolean {
    return this.#rules.bass !== null || this.#rules.chordTones > FEWEST_SOUNDING;
  }

  /** The finger on the lowest string easily keeps the next one quiet. */
  #mutesBesideBass(): boolean {
    return this.#held[this.#held.findIndex((spot) => spot !== null) + 1] === null;
  }

  /** Whether a hand that lacks tones may still be a shell or a stack of fourths: asked first, as most hands are neither. */
  #isShellOrFourths(): boolean {
    const { heard, sounding } = this.#hand;
    if (sounding === FEWEST_SOUNDING && (heard & ~this.#rules.shell) === 0) return true;
    if (sounding > MOST_QUARTAL) return false;
    let before: number | null = null;
    let steps = 0;
    for (const spot of this.#held) {
      if (spot === null) continue;
      if (before !== null) {
        steps += 1;
        const isTop = steps === MOST_QUARTAL - 1;
        if (!isFourth(spot.midi - before) && !(isTop && isThird(spot.midi - before))) return false;
      }
      before = spot.midi;
    }
    return true;
  }

  /** A power chord has two tones, and two strings are enough for it. */
  #fewest(usual: number): number {
    if (this.#calling === 'bass') return FEWEST_ON_BASS;
    return this.#rules.chordTones < FEWEST_SOUNDING ? this.#rules.chordTones : usual;
  }

  #rings(): boolean {
    return this.#held.some((spot) => spot?.fret === this.#instrument.capo);
  }

  /** Of ninths and beyond players know shapes on the root; turned over they are other chords. */
  #isTurnedTooFar(): boolean {
    return this.#rules.chordTones > MOST_TURNED && !this.#wish.without?.includes('root');
  }

  /** Whether a string is kept quiet although open it would belong; only beside the bass is that no trouble. */
  #mutesForNothing(): boolean {
    const first = this.#held.findIndex((spot) => spot !== null);
    return this.#held.some((held, string) => {
      const open = this.#spots[string]?.[0];
      return string > first + 1 && held === null && open?.fret === this.#instrument.capo && open.tone.place !== null;
    });
  }

  #soundingStrings(): readonly SoundingString[] {
    const strings: SoundingString[] = [];
    this.#held.forEach((spot, string) => {
      if (spot !== null) strings.push({ string, midi: spot.midi, tone: spot.tone });
    });
    return strings;
  }

  /** Barre shapes are only known once there are fingers; here they pass when they may be ones. */
  #isWished(structural: readonly Family[]): boolean {
    const { families } = this.#wish;
    if (families === undefined) return true;
    return families.some((family) => family === 'other' || structural.includes(family) || (isBarre(family) && this.#mayBeBarre()));
  }

  /** Whether nothing is muted inside, and nothing lies behind the finger on the lowest string. */
  #mayBeBarre(): boolean {
    const { gaps, low, sounding } = this.#hand;
    const lowest = this.#held.find((spot) => spot !== null);
    return gaps === 0 && sounding >= FEWEST_LOOSE && lowest?.fret === low && lowest.tone.place === 0;
  }

  #add(shape: Shape, structural: readonly Family[], lowest: NamedTone): void {
    const { heard } = this.#hand;
    const fingering = usualFingering(shape.frets, this.#instrument);
    if (fingering === undefined) return;
    // a stack of fourths with one finger laid over it is a stack all the same
    const barre = structural.includes('quartal') ? null : barreFamily(shape, fingering.barres);
    const named = [...structural, ...(barre === null ? [] : [barre])];
    const families: readonly [Family, ...Family[]] = named.length === 0 ? ['other'] : (named as [Family, ...Family[]]);
    if (this.#wish.families !== undefined && !families.some((family) => this.#wish.families?.includes(family))) return;
    const span = pressedSpan(shape.frets, shape.capo);
    const millimetres = span === null ? 0 : reach(span[0], span[1], this.#instrument.scaleLength);
    const difficulty = difficultyOf(fingering.cost, millimetres, innerMutes(shape.frets));
    if (difficulty > (this.#wish.mostDifficult ?? MOST_DIFFICULT)) return;
    const { tones } = this.#rules;
    const strings = shape.frets.length;
    this.found.push({
      chord: this.#chord,
      frets: shape.frets,
      tones: shape.sounding.map(({ string, midi, tone }) => ({
        string: strings - string,
        fret: shape.frets[string] as number,
        midi,
        note: tone.note,
        formula: tone.formula,
      })),
      families,
      inversion: lowest.place,
      omitted: tones.filter((tone, index) => tone.place !== null && (heard & (1 << index)) === 0).map(({ formula }) => formula),
      added: tones
        .filter((tone, index) => tone.place === null && tone.formula !== 'bass' && (heard & (1 << index)) !== 0)
        .map(({ formula }) => formula),
      fingering,
      difficulty,
    });
  }
}

/** Beyond this a shape is a feat, not a chord for a song. */
const MOST_DIFFICULT = 9.5;

/** What the strings looked at so far hold. */
interface HandSoFar {
  /** Lowest and highest pressed fret, 0 for none yet. */
  low: number;
  high: number;
  /** Tones heard, a bit each. */
  heard: number;
  sounding: number;
  /** Muted strings since the last sounding one, and before it inside the shape. */
  gap: number;
  gaps: number;
}

function spotsOn(open: number, first: number, last: number, tones: readonly NamedTone[]): readonly Spot[] {
  const spots: Spot[] = [];
  for (let fret = first; fret <= last; fret += 1) {
    const midi = open + fret;
    const index = tones.findIndex((tone) => tone.chroma === midi % 12);
    const tone = tones[index];
    if (tone !== undefined) spots.push({ fret, midi, tone, bit: 1 << index });
  }
  return spots;
}

/** Two pressed strings never sound the same pitch, and strings sound upward unless the tuning itself is crossed there. */
function isInOrder(strings: readonly SoundingString[], { capo, tuning }: Instrument, held: readonly (Spot | null)[]): boolean {
  return strings.every(({ midi, string }, index) => {
    const before = strings[index - 1];
    if (before === undefined || midi > before.midi) return true;
    if ((tuning[string] as number) <= (tuning[before.string] as number)) return true;
    return held[string]?.fret === capo || held[before.string]?.fret === capo;
  });
}

function isBarre(family: Family): boolean {
  return family === 'barre-6' || family === 'barre-5';
}
