import { Link, useParams } from 'react-router';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { ChartDesk } from './ChartDesk.tsx';

/** A song's chart: its text and its sheet, side by side. */
export function ChartRoom() {
  const { songId } = useParams();
  if (songId === undefined) {
    return (
      <Notice
        title="No song open"
        action={
          <Link className="font-semibold text-accent underline" to="/">
            Choose one, or start a new one
          </Link>
        }
      >
        <p>A chart belongs to a song. Open one from the shelf, or gather a progression in Harmonize and start a song from it.</p>
      </Notice>
    );
  }
  return <OpenSong songId={songId}>{(draft) => <ChartDesk draft={draft} songId={songId} />}</OpenSong>;
}
