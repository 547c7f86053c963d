import { nameKey, writtenKey } from '@aurora/core';
import { Link } from 'react-router';
import { useTonightSet } from '../../../document/use-evening.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { sayDate } from '../../../parts/people/say-day.ts';
import { useLens } from '../../../session/lens.ts';
import { buttonLook } from '../../../ui/Button.tsx';
import { StandIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { PARTS_WORDS } from '../../../wording/parts.ts';

/** The evening as a guest has it: what is played, in tonight's keys as the guest reads them, and nothing that can be changed. */
export function GuestTonight() {
  const { tonight, waiting, fault } = useTonightSet();
  const { reader, naming } = useLens();
  if (fault !== null) return <p className="py-6 text-alarm">{fault}</p>;
  if (waiting) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheSet}</p>;
  if (tonight === null) return <Notice title={BAND_WORDS.noSetYet}>{null}</Notice>;
  const { name, place, startsAt, date } = tonight.state.body;
  return (
    <div className="flex max-w-3xl flex-col gap-3 py-3">
      <h2 className="font-numeral text-head font-bold">{name}</h2>
      <p className="text-quiet">{[date === '' ? '' : sayDate(date), startsAt, place].filter((fact) => fact !== '').join(' · ')}</p>
      <Link to="/band/stand" className={`${buttonLook('strong')} self-start`}>
        <StandIcon size={18} aria-hidden="true" /> {BAND_WORDS.onTheStand}
      </Link>
      <ol className="flex flex-col">
        {tonight.evening.entries.map((entry) => (
          <li key={entry.id} className="border-b border-hairline">
            {entry.song === null ? (
              <p className="py-2 text-quiet">{entry.name}</p>
            ) : (
              <Link to={`/songs/${entry.song.songId}/chart`} className="flex min-h-11 items-baseline gap-3 py-2 hover:bg-wash">
                <b className="min-w-0 flex-1 text-lead">{entry.name}</b>
                <span className="text-quiet">{entry.tempo === null ? '' : PARTS_WORDS.bpm(entry.tempo)}</span>
                <b className="music-glyph min-w-10 text-right text-accent">
                  <Glyphs text={nameKey(writtenKey(reader.reader, entry.song.key), naming)} />
                </b>
              </Link>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
