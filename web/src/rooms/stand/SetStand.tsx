import { playedTexts } from '@aurora/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type Tonight, useTonightSet } from '../../document/use-evening.ts';
import { useOpensTonight, useTonightsSong } from '../../parts/evening/tonights-song.ts';
import { useReader } from '../../session/lens.ts';
import { setKey } from '../../session/lens-store.ts';
import { Hint } from '../../ui/Hint.tsx';
import { BeforeIcon, NextIcon } from '../../ui/icons.ts';
import { Notice } from '../../ui/Notice.tsx';
import { STAND_WORDS } from '../../wording/stand.ts';
import { useNextSong } from './NextUp.tsx';
import { Stand } from './Stand.tsx';
import { ROUND } from './StandFoot.tsx';

/** The whole evening on a stand: tonight's keys and capos, bridges written in; the pedal leads from song to song. */
export function SetStand() {
  const { tonight, waiting, fault } = useTonightSet();
  if (fault !== null) return <p className="p-8 text-alarm">{fault}</p>;
  if (waiting) return <p className="p-8 text-quiet">{STAND_WORDS.fetchingTheSet}</p>;
  if (tonight === null || tonight.evening.entries.every(({ song }) => song === null)) {
    return (
      <Notice
        title={STAND_WORDS.nothingOnTonightYet}
        action={
          <Link className="font-semibold text-accent underline" to="/band">
            {STAND_WORDS.toTheSet}
          </Link>
        }
      >
        <p>{STAND_WORDS.putSongsIntoTonightsSetAnd}</p>
      </Notice>
    );
  }
  return <Evening tonight={tonight} />;
}

function Evening({ tonight }: { readonly tonight: Tonight }) {
  const { evening } = tonight;
  const [at, setAt] = useState(0);
  const songs = evening.entries.filter(({ song }) => song !== null);
  const texts = useMemo(() => playedTexts(evening), [evening]);
  const place = Math.min(at, songs.length - 1);
  const song = useTonightsSong(tonight, ({ id }) => id === songs[place]?.id);
  const { member } = useReader();
  const next = useNextSong(evening, song?.entry.id ?? '');
  useOpensTonight(song);
  if (song?.entry.song === null || song === null) return null;
  const go = (way: 1 | -1) => {
    // the next song comes in its own key tonight
    setKey(null);
    setAt(Math.max(0, Math.min(songs.length - 1, place + way)));
  };
  const capo = member === null ? undefined : song.capos[member.id];
  const told = [
    STAND_WORDS.songOf(place + 1, songs.length),
    ...(capo === undefined || capo === 0 ? [] : [STAND_WORDS.capoAt(capo)]),
    ...song.words,
  ];
  return (
    <Stand
      key={song.entry.id}
      songId={song.entry.song.songId}
      text={texts[place]?.text ?? song.entry.song.source}
      ownBars={texts[place]?.ownBars}
      back="/band/tonight"
      tonight={told}
      onPast={go}
      isTonight
      next={next}
    >
      <Hint text={STAND_WORDS.theSongBefore}>
        <button type="button" aria-label={STAND_WORDS.theSongBefore} className={ROUND} disabled={place === 0} onClick={() => go(-1)}>
          <BeforeIcon size={20} />
        </button>
      </Hint>
      <Hint text={STAND_WORDS.theNextSong}>
        <button
          type="button"
          aria-label={STAND_WORDS.theNextSong}
          className={ROUND}
          disabled={place === songs.length - 1}
          onClick={() => go(1)}
        >
          <NextIcon size={20} />
        </button>
      </Hint>
    </Stand>
  );
}
