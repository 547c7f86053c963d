import { useState } from 'react';
import { Choice } from '../../../ui/Choice.tsx';
import { Named } from '../../../ui/Named.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { DEGREES, OwnChords } from './OwnChords.tsx';
import type { SheetInput } from './sheet-input.ts';

/** A press of the pad: what it writes, its sign, and the word it is called by, which stands under it, in short where it is long. */
type Press = readonly [writes: string, sign: string, word: string, short?: string];

const ACCIDENTALS: readonly Press[] = [
  ['b', '♭', CHART_WORDS.flat],
  ['#', '♯', CHART_WORDS.sharp],
];

const QUALITIES: readonly Press[] = [
  ['-', '–', CHART_WORDS.minor],
  ['7', '⁷', CHART_WORDS.seventh],
  ['maj7', 'maj7', CHART_WORDS.majorSeventh, 'major 7'],
  ['sus4', 'sus', CHART_WORDS.suspended, 'sus 4'],
  ['o', '°', CHART_WORDS.diminished, 'dim'],
  ['+', '+', CHART_WORDS.augmented, 'aug'],
  ['-7b5', '–7♭5', CHART_WORDS.halfDiminished, 'half dim'],
  ['/', '/', CHART_WORDS.bassSign],
  ['add9', 'add9', CHART_WORDS.addedNinth, 'ninth'],
  ['7alt', '7alt', CHART_WORDS.altered],
];

const FEEL: readonly Press[] = [
  ['>', '>', CHART_WORDS.push],
  ['<', '◇', CHART_WORDS.hold],
  ['!', '▾', CHART_WORDS.stopSign],
  ['?', '( )', CHART_WORDS.optional],
  ['.', '•', CHART_WORDS.aBeat],
  [',', '‚', CHART_WORDS.halfABeat],
  ['NC', 'N.C.', CHART_WORDS.noChord],
  ['%', '%', CHART_WORDS.repeat],
];

const LAYERS = [
  ['chord', CHART_WORDS.chordLayer],
  ['feel', CHART_WORDS.feelLayer],
] as const;

/** For the thumb: what chord it is, and in another layer how it is played; Cancel and Next at the foot. */
export function ThumbPad({ input, isTyping }: { readonly input: SheetInput; readonly isTyping: boolean }) {
  const [layer, setLayer] = useState<'chord' | 'feel'>('chord');
  const split = <Key press={[' ', '1 4', CHART_WORDS.split]} says={CHART_WORDS.oneMoreChordInThisBar} input={input} />;
  return (
    <fieldset aria-label={CHART_WORDS.writeWithOnePress} className="flex shrink-0 flex-col gap-2 border-t border-hairline bg-ground p-2">
      <div className="flex items-center gap-2">
        <Choice label={CHART_WORDS.layers} value={layer} options={LAYERS} onChange={setLayer} />
        <OwnChords />
      </div>
      {layer === 'chord' ? (
        <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,4fr)] gap-2">
          <div className="grid grid-cols-3 content-start gap-1">
            {DEGREES.map((degree) => (
              <Key key={degree} press={[degree, degree, '']} says={CHART_WORDS.degree(degree)} input={input} />
            ))}
            {ACCIDENTALS.map((press) => (
              <Key key={press[0]} press={press} input={input} />
            ))}
          </div>
          <div className="grid grid-cols-4 content-start gap-1">
            {QUALITIES.map((press) => (
              <Key key={press[0]} press={press} input={input} />
            ))}
            {split}
          </div>
        </div>
      ) : (
        <div className="grid grid-cols-5 gap-1">
          {FEEL.map((press) => (
            <Key key={press[0]} press={press} input={input} />
          ))}
          {split}
        </div>
      )}
      <div className="grid grid-cols-[1fr_auto_auto_1fr_1.4fr] gap-1">
        <Foot word={CHART_WORDS.cancel} onPress={input.cancel} />
        <Foot word="⌫" says={CHART_WORDS.backspace} onPress={input.erase} />
        <Foot word="↶" says={CHART_WORDS.undo} onPress={input.undo} disabled={!isTyping} />
        <Foot word={CHART_WORDS.doneButton} onPress={() => input.commit('stay')} />
        <Foot word={CHART_WORDS.next} says={CHART_WORDS.nextBar} onPress={() => input.commit('next')} strong />
      </div>
    </fieldset>
  );
}

interface KeyProps {
  readonly press: Press;
  /** What it is called, where that is more than its word. */
  readonly says?: string;
  readonly input: SheetInput;
}

function Key({ press: [writes, sign, word, short = word], says = word, input }: KeyProps) {
  return (
    <button
      type="button"
      // the bar keeps the focus
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => input.put(writes)}
      className="music-glyph flex min-h-13 min-w-0 flex-col items-center justify-center rounded-lg border border-edge bg-raised px-0.5 font-bold hover:border-accent"
    >
      <Named name={says} className="flex min-w-0 flex-col items-center">
        <span className={`leading-none whitespace-nowrap ${sizeOf(sign, word)}`}>{sign}</span>
        {word !== '' && <span className="mt-0.5 text-[0.7em] leading-none font-semibold whitespace-nowrap text-quiet">{short}</span>}
      </Named>
    </button>
  );
}

/** A degree is large, and a long sign as small as it must be. */
function sizeOf(sign: string, word: string): string {
  if (word === '') return 'text-head';
  return sign.length > MOST_LARGE ? 'text-fine leading-[19px]!' : 'text-lead';
}

const MOST_LARGE = 3;

interface FootProps {
  readonly word: string;
  readonly says?: string;
  readonly strong?: boolean;
  readonly disabled?: boolean;
  readonly onPress: () => void;
}

function Foot({ word, says = word, strong = false, disabled = false, onPress }: FootProps) {
  return (
    <button
      type="button"
      onPointerDown={(event) => event.preventDefault()}
      onClick={onPress}
      disabled={disabled}
      className={`min-h-12 min-w-12 rounded-lg border text-base font-bold disabled:opacity-45 ${strong ? 'border-accent bg-accent text-on-accent' : 'border-edge bg-raised'}`}
    >
      <Named name={says} className="block">
        {word}
      </Named>
    </button>
  );
}
