import { type Key, playedTexts, tonightWords } from '@aurora/core';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type Tonight, useTonightSet } from '../../document/use-evening.ts';
import { useReader } from '../../session/lens.ts';
import { setKey } from '../../session/lens-store.ts';
import { type Opened, open } from '../../session/opened.ts';
import { Notice } from '../../ui/Notice.tsx';
import { ROUND, Stand } from './StandRoom.tsx';

/** The whole evening on a stand: tonight's keys and capos, bridges written in; the pedal leads from song to song. */
export function SetStand() {
  const { tonight, waiting, fault } = useTonightSet();
  if (fault !== null) return <p className="p-8 text-alarm">{fault}</p>;
  if (waiting) return <p className="p-8 text-quiet">Fetching the set…</p>;
  if (tonight === null || tonight.evening.entries.every(({ song }) => song === null)) {
    return (
      <Notice
        title="Nothing on tonight yet"
        action={
          <Link className="font-semibold text-accent underline" to="/band">
            To the set
          </Link>
        }
      >
        <p>Put songs into tonight’s set, and they stand here one after the other.</p>
      </Notice>
    );
  }
  return <Evening tonight={tonight} />;
}

function Evening({ tonight: { evening, state } }: { readonly tonight: Tonight }) {
  const [at, setAt] = useState(0);
  const songs = evening.entries.filter(({ song }) => song !== null);
  const texts = useMemo(() => playedTexts(evening), [evening]);
  const place = Math.min(at, songs.length - 1);
  const one = songs[place];
  const { member } = useReader();
  const stored = state.body.entries.find(({ id }) => id === one?.id);
  const capo = member === null || stored?.kind !== 'song' ? undefined : stored.capos[member.id];
  const tonic = one?.song?.key.tonic;
  const home = one?.song?.reading.head.key;
  useOpensTonight(home ?? null, tonic ?? null, stored?.kind === 'song' ? stored.capos : NO_CAPOS);
  if (one?.song === null || one === undefined) return null;
  const go = (way: 1 | -1) => {
    // the next song comes in its own key tonight
    setKey(null);
    setAt(Math.max(0, Math.min(songs.length - 1, place + way)));
  };
  const told = [...(capo === undefined || capo === 0 ? [] : [`capo ${capo}`]), ...tonightWords(one)];
  return (
    <Stand key={one.id} songId={one.song.songId} text={texts[place] ?? one.song.source} back="/band/tonight" tonight={told} onPast={go}>
      <button type="button" aria-label="The song before" className={ROUND} disabled={place === 0} onClick={() => go(-1)}>
        <ChevronLeft size={20} />
      </button>
      <span className="text-lg text-quiet">
        {place + 1}/{songs.length}
      </span>
      <button type="button" aria-label="The next song" className={ROUND} disabled={place === songs.length - 1} onClick={() => go(1)}>
        <ChevronRight size={20} />
      </button>
    </Stand>
  );
}

const NO_CAPOS: Opened['capos'] = {};

/** What is open on the stand is tonight's song in tonight's key. */
function useOpensTonight(home: Key | null, tonic: number | null, capos: Opened['capos']): void {
  useEffect(() => {
    const opened = { home, resting: home === null || tonic === null ? null : { ...home, tonic }, capos, rehome: null, isEmpty: false };
    return open({ get: () => opened, subscribe: () => () => undefined });
  }, [home, tonic, capos]);
}
