import { type Analysis, homeWords, type Key, keyReasonWords, leadWords, type Naming, type RankedKey, regionWords } from '@aurora/core';
import { Pin, PinOff } from 'lucide-react';
import type { HearingChoice } from '../../parts/analysis/use-heard-song.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';

const HEARINGS = [
  ['local', 'Local'],
  ['home', 'Home'],
  ['both', 'Both'],
] as const;

interface KeyStripProps {
  readonly analysis: Analysis;
  readonly naming: Naming;
  readonly hearing: HearingChoice;
  /** The key that was set by hand; null while the chords or the chart decide. */
  readonly pinned: Key | null;
  readonly onHearing: (hearing: HearingChoice) => void;
  readonly onPin: (key: Key | null) => void;
}

/** The key the song is in, how sure that is, the next best keys, and where it goes. */
export function KeyStrip({ analysis, naming, hearing, pinned, onHearing, onPin }: KeyStripProps) {
  const { keys, lead, regions, chords } = analysis;
  const [best, ...others] = keys;
  return (
    <section aria-label="Key" className="flex flex-wrap items-center gap-x-6 gap-y-1">
      <div className="min-w-0 flex-1">
        <h2 className="font-numeral text-head leading-tight font-bold">
          {best === undefined ? 'No key yet' : `In ${homeWords(best.key, naming)}`}
          {lead === 'two-homes' && others[0] !== undefined && (
            <span className="font-normal text-quiet"> or {homeWords(others[0].key, naming)}</span>
          )}
        </h2>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        {pinned !== null && (
          <Button look="bare" onClick={() => onPin(null)}>
            <PinOff size={17} aria-hidden="true" /> Let the chords decide
          </Button>
        )}
        {others.length > 0 && <span className="text-fine text-quiet">or hear it in</span>}
        {others.slice(0, 2).map(({ key, score, reasons }) => (
          <Hint key={homeWords(key)} text={`${score} of 100. ${evidence({ reasons })}`}>
            <Button aria-label={`Hear it in ${homeWords(key, naming)}`} onClick={() => onPin(key)}>
              <Pin size={16} aria-hidden="true" /> {homeWords(key, naming)}
            </Button>
          </Hint>
        ))}
        <Choice label="Hearing" value={hearing} options={HEARINGS} onChange={onHearing} />
      </div>
      <div className="w-full">
        <p className="text-base text-quiet">
          {leadWords(lead)} {best === undefined ? '' : evidence(best)}
        </p>
        {regions.length > 1 && (
          <ol aria-label="Keys on the way" className="mt-1 text-base">
            {regions.slice(1).map((region, place) => (
              <li key={region.from}>{regionWords(region, regions[place]?.key ?? null, chords, naming)}</li>
            ))}
          </ol>
        )}
      </div>
    </section>
  );
}

/** What speaks for a key, as one sentence. */
function evidence({ reasons }: Pick<RankedKey, 'reasons'>): string {
  const words = reasons
    .filter(({ code }) => code !== 'given')
    .map(keyReasonWords)
    .join(', ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
