import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import type { KeyMap } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { KeyCap } from '../../../ui/Hint.tsx';
import { PRACTICE_WORDS } from '../../../wording/practice.ts';
import type { Marking } from './use-marking.ts';

interface MarkLineProps {
  readonly marking: Marking;
  /** The chords or bars of the music in order, as they may be shown; none where it is marked as a whole. */
  readonly places: readonly string[];
  /** Which of them sounds. */
  readonly at: number | null;
  /** Where it broke the last time, from 1. */
  readonly brokeAt: number | null;
}

/** The music as a line: pressed where it broke, or at its double bar where it held. */
export function MarkLine({ marking, places, at, brokeAt }: MarkLineProps) {
  if (marking.asked !== null) return <AskedLine marking={marking} />;
  const { give, hasPlayed } = marking;
  return (
    <div role="group" aria-label={PRACTICE_WORDS.howDidItGo} className="flex min-w-0 flex-1 flex-col gap-1">
      <div className="flex min-h-16 min-w-0 items-stretch">
        <ol className="flex min-w-0 flex-1 overflow-x-auto border-y-2 border-edge">
          {places.map((name, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: places are their order
            <li key={place} className="flex flex-1 border-l-2 border-edge">
              <button
                type="button"
                aria-current={place === at ? 'step' : undefined}
                aria-label={PRACTICE_WORDS.brokeAt(place + 1, name)}
                onClick={() => give('stopped', place + 1)}
                className="music-glyph relative min-w-11 flex-1 px-1.5 text-lead font-semibold whitespace-nowrap hover:bg-wash aria-[current=step]:bg-wash"
              >
                <Glyphs text={name} />
                {place + 1 === brokeAt && (
                  <span aria-hidden="true" className="absolute inset-x-1 bottom-0.5 border-b-4 border-dashed border-alarm" />
                )}
              </button>
            </li>
          ))}
        </ol>
        <Button
          look={hasPlayed ? 'strong' : 'plain'}
          className="relative min-w-36 rounded-l-none! border-2! pl-6! text-lead! phone:min-w-28"
          onClick={() => give('clean')}
        >
          <DoubleBar />
          {PRACTICE_WORDS.marks.clean}
          <KeyOf mark="clean" />
        </Button>
      </div>
      <p className="flex flex-wrap items-center gap-x-2 text-base text-quiet">
        {places.length > 0 && <span className="mr-auto">{PRACTICE_WORDS.pressWhere}</span>}
        <Button look="bare" className="px-2!" onClick={() => give('shaky')}>
          {PRACTICE_WORDS.marks.shaky}
          <KeyOf mark="shaky" />
        </Button>
        <Button look="bare" className="px-2!" onClick={() => give('stopped')}>
          {PRACTICE_WORDS.marks.stopped}
          <KeyOf mark="stopped" />
        </Button>
      </p>
    </div>
  );
}

/** The end of the music, as it is written. */
function DoubleBar() {
  return <span aria-hidden="true" className="absolute inset-y-0 left-1 w-2.5 border-r-[5px] border-l-2 border-current" />;
}

/** Sooner than the music lasts: was it played? */
function AskedLine({ marking: { isSo, isNotSo } }: Pick<MarkLineProps, 'marking'>) {
  return (
    <div role="alertdialog" aria-label={PRACTICE_WORDS.playedAsked} className="flex min-h-16 flex-1 flex-wrap items-center gap-2">
      <p className="mr-auto text-lead">{PRACTICE_WORDS.playedAsked}</p>
      <Button look="strong" autoFocus onClick={isSo}>
        {PRACTICE_WORDS.playedIt}
      </Button>
      <Button onClick={isNotSo}>{PRACTICE_WORDS.notYet}</Button>
    </div>
  );
}

const KEYS = { clean: 'h', shaky: 'w', stopped: 'b' } as const;

function KeyOf({ mark }: { readonly mark: keyof typeof KEYS }) {
  return (
    <span aria-hidden="true" className="pointer-coarse:hidden">
      <KeyCap keys={KEYS[mark].toUpperCase()} />
    </span>
  );
}

/** The keys of a mark. */
export function markKeys({ give }: Marking): KeyMap {
  return { [KEYS.clean]: () => give('clean'), [KEYS.shaky]: () => give('shaky'), [KEYS.stopped]: () => give('stopped') };
}

/** The pedal of a mark: on with the music, or it broke; where something is asked, yes or no. */
export function pedalKeys({ asked, give, isSo, isNotSo }: Marking, onward: () => void): KeyMap {
  return asked === null ? { PageDown: onward, PageUp: () => give('stopped') } : { PageDown: isSo, PageUp: isNotSo };
}
