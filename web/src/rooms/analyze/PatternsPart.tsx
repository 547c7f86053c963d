import { letterView, type Pattern, patternWords, roundsOf, symbolText } from '@aurora/core';
import { alikeAnswer } from '@aurora/wire';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call } from '../../api/client.ts';
import { useBand } from '../../api/songs.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { keyWordsOf } from '../../parts/song/shelf-view.ts';
import { useNaming } from '../../session/lens.ts';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import type { AnalyzePartProps } from './analyze-part.ts';

/** The shapes the song is made of, each shown over its chords, and the songs that share a round with it. */
export function PatternsPart(props: AnalyzePartProps) {
  const { analysis, naming, onMark, onSelect, songId } = props;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <section aria-label={ANALYZE_WORDS.patterns}>
        <h3 className="mb-1 font-semibold">{ANALYZE_WORDS.inThisSong}</h3>
        {analysis.patterns.length === 0 && <p className="text-quiet">{ANALYZE_WORDS.noCommonPatternInTheseChords}</p>}
        <ul>
          {analysis.patterns.map((pattern) => (
            <li key={`${pattern.kind} ${pattern.from} ${pattern.to}`}>
              <button
                type="button"
                onClick={() => {
                  onMark(pattern);
                  onSelect(pattern.from);
                }}
                className="flex min-h-11 w-full flex-wrap items-baseline gap-x-3 border-b border-hairline px-1 py-1.5 text-left hover:bg-wash"
              >
                <b>{patternWords(pattern, naming)}</b>
                <span className="music-glyph text-base text-quiet">{chordsOf(pattern, props)}</span>
                <span className="ml-auto text-fine text-quiet">{placeOf(pattern, props)}</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {songId !== undefined && <Alike songId={songId} has={roundsOf(analysis.progression).length > 0} />}
    </div>
  );
}

const MOST_SHOWN = 6;

function chordsOf({ from, to, round }: Pattern, { analysis, naming }: AnalyzePartProps): string {
  const last = round === null ? to : from + round.period - 1;
  const names = analysis.chords.slice(from, last + 1).map(({ chord }) => symbolText(letterView(chord, naming)));
  return names.length > MOST_SHOWN ? `${names.slice(0, MOST_SHOWN).join(' ')} …` : names.join(' ');
}

function placeOf({ from, to, round, alsoAt }: Pattern, { analysis }: AnalyzePartProps): string {
  const barOf = (index: number) => (analysis.progression.chords[index]?.bar ?? 0) + 1;
  const times = round === null ? '' : ANALYZE_WORDS.times((to - from + 1) / round.period);
  const also = alsoAt.length === 0 ? '' : ANALYZE_WORDS.alsoInBar([...new Set(alsoAt.map(barOf))].join(', '));
  return ANALYZE_WORDS.bar(barOf(from), times, also);
}

/** Songs of the band with the same number pattern, in any rotation and any key. */
function Alike({ songId, has }: { readonly songId: string; readonly has: boolean }) {
  const bandId = useBand().data?.id ?? '';
  const naming = useNaming();
  const alike = useQuery({
    queryKey: ['alike', bandId, songId],
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/songs/${songId}/alike`, alikeAnswer, { signal })).songs,
    enabled: bandId !== '',
    staleTime: 0,
  });
  return (
    <section aria-label={ANALYZE_WORDS.songsLikeThisOne}>
      <h3 className="mb-1 font-semibold">{ANALYZE_WORDS.songsLikeThisOne}</h3>
      {alike.error !== null && <p className="text-quiet">{alike.error.message}</p>}
      {alike.data?.length === 0 && (
        <p className="text-quiet">{has ? ANALYZE_WORDS.noOtherSongOfTheBand : ANALYZE_WORDS.thisSongHasNoRoundOf}</p>
      )}
      <ul>
        {alike.data?.map(({ id, title, key, rounds }) => (
          <li key={id} className="flex min-h-11 items-baseline gap-3 border-b border-hairline py-1.5">
            <Link to={`/songs/${id}/analyze`} className="font-bold text-accent underline">
              {title || ANALYZE_WORDS.songWithoutATitle}
            </Link>
            <span className="text-fine text-quiet">
              {ANALYZE_WORDS.inWord} <Glyphs text={keyWordsOf(key, naming)} />,{' '}
              {rounds.length === 1 ? ANALYZE_WORDS.oneRoundInCommon : ANALYZE_WORDS.roundsInCommon(rounds.length)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
