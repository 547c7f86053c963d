import { progressionOf, songLoops } from '@aurora/core';
import { useMemo } from 'react';
import { chartOf } from '../../../document/open-chart.ts';
import { useTonightSet } from '../../../document/use-evening.ts';

const MOST_LOOPS = 8;

/** The loops the songs of the set go round, those most of them share first: what is called and heard is what is played on Friday. */
export function useSongLoops(): readonly (readonly number[])[] {
  const evening = useTonightSet().tonight?.evening;
  return useMemo(() => {
    const charts = (evening?.entries ?? []).flatMap(({ song }) => (song === null ? [] : [chartOf(song.source)]));
    const found = songLoops(charts.map((chart) => ({ progression: progressionOf(chart), key: chart.reading.head.key })));
    return found.slice(0, MOST_LOOPS).map(({ places }) => places);
  }, [evening]);
}
