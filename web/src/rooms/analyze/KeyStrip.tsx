import { type Analysis, homeWords, type Key, keyReasonWords, leadWords, type Naming, type RankedKey, regionWords } from '@aurora/core';
import type { HearingChoice } from '../../parts/analysis/use-heard-song.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { PinIcon, UnpinIcon } from '../../ui/icons.ts';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

const HEARINGS = [
  ['local', ANALYZE_WORDS.inEachKey],
  ['home', ANALYZE_WORDS.inTheHomeKey],
  ['both', 'both'],
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
    <section aria-label={ANALYZE_WORDS.key} className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h2 className="min-w-0 flex-1 truncate phone:w-full phone:flex-none font-numeral text-head leading-tight font-bold">
        {best === undefined ? ANALYZE_WORDS.noKeyYet : ANALYZE_WORDS.inKey(homeWords(best.key, naming))}
        {lead === 'two-homes' && others[0] !== undefined && (
          <span className="font-normal text-quiet">
            {' '}
            {ANALYZE_WORDS.orWord} {homeWords(others[0].key, naming)}
          </span>
        )}
      </h2>
      {pinned !== null && (
        <Button look="bare" onClick={() => onPin(null)}>
          <UnpinIcon size={17} aria-hidden="true" /> {ANALYZE_WORDS.letTheChordsDecide}
        </Button>
      )}
      {others.slice(0, 2).map(({ key, score, reasons }) => (
        <Hint key={homeWords(key)} text={ANALYZE_WORDS.hearItInOf100(homeWords(key, naming), evidence({ reasons }), score)}>
          <Button className="px-2.5! phone:hidden" aria-label={ANALYZE_WORDS.hearItIn(homeWords(key, naming))} onClick={() => onPin(key)}>
            <PinIcon size={16} aria-hidden="true" /> {homeWords(key, naming)}
          </Button>
        </Hint>
      ))}
      <Choice label={ANALYZE_WORDS.hearing} value={hearing} options={HEARINGS} onChange={onHearing} />
      <Verdict said={`${leadWords(lead)} ${best === undefined ? '' : evidence(best)}`} />
      {regions.length > 1 && (
        <ol aria-label={ANALYZE_WORDS.keysOnTheWay} className="w-full text-fine">
          {regions.slice(1).map((region, place) => (
            <li key={region.from}>{regionWords(region, regions[place]?.key ?? null, chords, naming)}</li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** Why this key. */
function Verdict({ said }: { readonly said: string }) {
  return <p className="text-fine text-quiet">{said}</p>;
}

/** What speaks for a key, as one sentence. */
function evidence({ reasons }: Pick<RankedKey, 'reasons'>): string {
  const words = reasons
    .filter(({ code }) => code !== 'given')
    .map(keyReasonWords)
    .join(', ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
