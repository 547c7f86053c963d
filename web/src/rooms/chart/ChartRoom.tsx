import { Link, useParams } from 'react-router';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';
import { ChartDesk } from './ChartDesk.tsx';

/** A song's chart: its text and its sheet, side by side. */
export function ChartRoom() {
  const { songId } = useParams();
  if (songId === undefined) {
    return (
      <Notice
        title={CHART_WORDS.noSongOpen}
        action={
          <Link className="font-semibold text-accent underline" to="/">
            {CHART_WORDS.chooseOneOrStartANew}
          </Link>
        }
      >
        <p>{CHART_WORDS.aChartBelongsToASong}</p>
      </Notice>
    );
  }
  return <OpenSong songId={songId}>{(draft) => <ChartDesk draft={draft} songId={songId} />}</OpenSong>;
}
