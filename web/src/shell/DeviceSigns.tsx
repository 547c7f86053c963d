import { useHearNews } from '../api/news/use-news.ts';
import { useReach } from '../api/reach.ts';
import { useRoadReady } from '../document/use-road.ts';
import { clockOf } from '../parts/road/RoadLine.tsx';
import { useVersion } from '../session/version.ts';
import { AwayIcon, NewerIcon } from '../ui/icons.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

/** What the device says of itself: that the server is away and from when it shows things, and that a newer version waits. */
export function DeviceSigns() {
  useRoadReady();
  useHearNews();
  const { isAway, keptAt } = useReach();
  const { take } = useVersion();
  return (
    <>
      <span role="status" className="contents">
        {isAway && (
          <span
            data-testid="away"
            title={HOUSE_WORDS.awayMeans}
            className="inline-flex items-center gap-1.5 rounded-full bg-caution px-2.5 py-1 text-fine font-semibold text-on-caution"
          >
            <AwayIcon size={15} aria-hidden="true" />
            {keptAt === null ? HOUSE_WORDS.away : HOUSE_WORDS.awaySince(clockOf(keptAt))}
          </span>
        )}
      </span>
      {take !== null && (
        <button
          type="button"
          onClick={take}
          title={HOUSE_WORDS.newerMeans}
          className="inline-flex min-h-9 items-center gap-1.5 rounded-full border border-accent px-2.5 text-fine font-semibold text-accent pointer-coarse:min-h-11"
        >
          <NewerIcon size={15} aria-hidden="true" />
          {HOUSE_WORDS.newer}
        </button>
      )}
    </>
  );
}
