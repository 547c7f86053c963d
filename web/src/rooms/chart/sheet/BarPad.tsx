import { useChartView } from '../../../session/chart-view-store.ts';
import { usePhone } from '../../../session/use-media.ts';
import { Named } from '../../../ui/Named.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { PAD } from './bar-typing.ts';
import type { SheetInput } from './sheet-input.ts';

const DEGREES = [1, 2, 3, 4, 5, 6, 7].map(String);

/**
 * One press for everything a bar is made of, with the key that does the same; for fingers, and to
 * learn the keys by. On a phone the degrees stand three by three under the thumb, the qualities
 * in rows beside them.
 */
export function BarPad({ input, isTyping }: { readonly input: SheetInput; readonly isTyping: boolean }) {
  const isPhone = usePhone();
  return (
    <fieldset
      aria-label={CHART_WORDS.writeWithOnePress}
      className="flex shrink-0 flex-wrap gap-1 border-t border-hairline bg-ground px-3 py-1.5 phone:grid phone:grid-cols-[minmax(0,3fr)_minmax(0,4fr)] phone:gap-2 phone:px-2"
    >
      <div className="contents phone:grid phone:grid-cols-3 phone:content-start phone:gap-1">
        {DEGREES.map((degree) => (
          <Pad key={degree} shows={degree} says={CHART_WORDS.degree(degree)} large onPress={() => input.put(degree)} />
        ))}
        <Pad shows={CHART_WORDS.split} says={CHART_WORDS.oneMoreChordInThisBar} hint="Space" onPress={() => input.put(' ')} />
        <Pad shows="→" says={CHART_WORDS.nextBar} hint="Tab" onPress={() => input.commit('next')} />
        {isPhone && <ThumbKeys input={input} isTyping={isTyping} />}
      </div>
      <div className="contents phone:grid phone:grid-cols-4 phone:content-start phone:gap-1">
        {PAD.map(({ key, writes, shows, says }) => (
          <Pad key={key} shows={shows} says={says} hint={key === writes || key === shows ? '' : key} onPress={() => input.put(writes)} />
        ))}
        {!isPhone && (
          <>
            <Pad shows="done" says={CHART_WORDS.done} hint="Enter" onPress={() => input.commit('stay')} />
            <Pad shows="leave" says={CHART_WORDS.leaveItAsItWas} hint="Esc" onPress={input.cancel} />
          </>
        )}
      </div>
      <OwnChords />
    </fieldset>
  );
}

/** What a thumb has no key for: back, undo, done, leave. */
function ThumbKeys({ input, isTyping }: { readonly input: SheetInput; readonly isTyping: boolean }) {
  return (
    <>
      <Pad shows="⌫" says={CHART_WORDS.backspace} onPress={input.erase} />
      <Pad shows="done" says={CHART_WORDS.done} onPress={() => input.commit('stay')} />
      <Pad shows="leave" says={CHART_WORDS.leaveItAsItWas} onPress={input.cancel} />
      {isTyping && <Pad shows="↶" says={CHART_WORDS.undo} onPress={input.undo} />}
    </>
  );
}

/** A digit alone is major, or the key's own chord: the fewer keys for who writes what the key gives. */
function OwnChords() {
  const { ownChords, setOwnChords } = useChartView();
  return (
    <button
      type="button"
      aria-pressed={ownChords}
      title={CHART_WORDS.aDigitAloneWritesTheKeys}
      onPointerDown={(event) => event.preventDefault()}
      onClick={() => setOwnChords(!ownChords)}
      className="music-glyph ml-auto flex min-h-10 items-center gap-2 rounded-lg border border-edge bg-raised px-2.5 text-base font-semibold hover:border-accent aria-pressed:border-accent aria-pressed:bg-wash"
    >
      <Named name={CHART_WORDS.digitWritesOwnChord} className="flex">
        {ownChords ? '2 writes 2–' : '2 writes 2'}
      </Named>
    </button>
  );
}

interface PadProps {
  readonly shows: string;
  readonly says: string;
  readonly hint?: string;
  readonly large?: boolean;
  readonly onPress: () => void;
}

function Pad({ shows, says, hint = '', large = false, onPress }: PadProps) {
  return (
    <button
      type="button"
      // the input keeps the focus, so that a key may follow a press
      onPointerDown={(event) => event.preventDefault()}
      onClick={onPress}
      className={`music-glyph flex min-h-10 min-w-10 items-center justify-center gap-1 rounded-lg border border-edge bg-raised px-1.5 text-base font-bold hover:border-accent phone:min-h-12 phone:min-w-0 ${large ? 'phone:text-head' : ''}`}
    >
      <Named name={says} className="flex items-center gap-1">
        {shows}
        {hint !== '' && <span className="text-fine font-normal text-quiet phone:hidden">{hint}</span>}
      </Named>
    </button>
  );
}
