import { usePhone } from '../../../session/use-media.ts';
import { Named } from '../../../ui/Named.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { PAD } from './bar-typing.ts';
import { DEGREES, OwnChords } from './OwnChords.tsx';
import type { SheetInput } from './sheet-input.ts';
import { ThumbPad } from './ThumbPad.tsx';

/** One press for everything a bar is made of: for the thumb in two layers, else with the key that does the same, to learn the keys by. */
export function BarPad({ input, isTyping }: { readonly input: SheetInput; readonly isTyping: boolean }) {
  return usePhone() ? <ThumbPad input={input} isTyping={isTyping} /> : <DeskPad input={input} />;
}

function DeskPad({ input }: { readonly input: SheetInput }) {
  return (
    <fieldset
      aria-label={CHART_WORDS.writeWithOnePress}
      className="flex shrink-0 flex-wrap gap-1 border-t border-hairline bg-ground px-3 py-1.5"
    >
      {DEGREES.map((degree) => (
        <Pad key={degree} shows={degree} says={CHART_WORDS.degree(degree)} onPress={() => input.put(degree)} />
      ))}
      <Pad shows={CHART_WORDS.split} says={CHART_WORDS.oneMoreChordInThisBar} hint="Space" onPress={() => input.put(' ')} />
      <Pad shows="→" says={CHART_WORDS.nextBar} hint="Tab" onPress={() => input.commit('next')} />
      {PAD.map(({ key, writes, shows, says }) => (
        <Pad key={key} shows={shows} says={says} hint={key === writes || key === shows ? '' : key} onPress={() => input.put(writes)} />
      ))}
      <Pad shows="done" says={CHART_WORDS.done} hint="Enter" onPress={() => input.commit('stay')} />
      <Pad shows={CHART_WORDS.cancel} says={CHART_WORDS.cancel} hint="Esc" onPress={input.cancel} />
      <OwnChords />
    </fieldset>
  );
}

interface PadProps {
  readonly shows: string;
  readonly says: string;
  readonly hint?: string;
  readonly onPress: () => void;
}

function Pad({ shows, says, hint = '', onPress }: PadProps) {
  return (
    <button
      type="button"
      // the input keeps the focus, so that a key may follow a press
      onPointerDown={(event) => event.preventDefault()}
      onClick={onPress}
      className="music-glyph flex min-h-10 min-w-10 items-center justify-center gap-1 rounded-lg border border-edge bg-raised px-1.5 text-base font-bold hover:border-accent"
    >
      <Named name={says} className="flex items-center gap-1">
        {shows}
        {hint !== '' && <span className="text-fine font-normal text-quiet">{hint}</span>}
      </Named>
    </button>
  );
}
