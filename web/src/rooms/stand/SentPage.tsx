import { type Key, parseKey, playedTexts, readChart } from '@aurora/core';
import type { SentChart } from '@aurora/wire';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { Navigate, useLocation } from 'react-router';
import { chooseBand } from '../../api/chosen-band.ts';
import { useMe } from '../../api/me.ts';
import { useSentChart } from '../../api/sent.ts';
import { viewEvening } from '../../document/evening-view.ts';
import { useLens } from '../../session/lens.ts';
import { lensLink, setKey, setReader } from '../../session/lens-store.ts';
import { open } from '../../session/opened.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { Hint } from '../../ui/Hint.tsx';
import { BeforeIcon, NextIcon } from '../../ui/icons.ts';
import { Notice } from '../../ui/Notice.tsx';
import { HOUSE_WORDS } from '../../wording/house.ts';
import { STAND_WORDS } from '../../wording/stand.ts';
import { HowYouRead } from './HowYouRead.tsx';
import { useNextSong } from './NextUp.tsx';
import { Stand } from './Stand.tsx';
import { ROUND } from './StandFoot.tsx';
import { useSentReading } from './sent-reading.ts';

/** Where a chart that was sent leads: whoever plays in the band reads it there, anybody else here, and no account is needed. */
export function SentPage() {
  const token = useLocation().hash.slice(1);
  const { data: sent, error } = useSentChart(token);
  const { data: me, isPending } = useMe();
  const { readerId } = useSentReading();
  if (token === '' || error !== null) return <Closed why={token === '' ? STAND_WORDS.linkIsNotWhole : (error?.message ?? '')} />;
  if (sent === undefined || isPending) return <p className="p-8 text-quiet">{STAND_WORDS.fetchingTheChart}</p>;
  if (me?.bands.some(({ id, role }) => id === sent.bandId && role !== 'guest')) return <ReadAtHome sent={sent} />;
  return readerId === null ? <HowYouRead name={nameOf(sent)} sent={sent} /> : <SentStand sent={sent} readerId={readerId} />;
}

const nameOf = ({ song, set }: SentChart) => song?.title || set?.name || HOUSE_WORDS.song;

function Closed({ why }: { readonly why: string }) {
  return (
    <main className="h-full bg-ground text-ink">
      <Notice title={STAND_WORDS.linkDoesNotOpen}>
        <p role="alert">{why}</p>
      </Notice>
    </main>
  );
}

/** Whoever plays in the band has the song, and a way to read it. */
function ReadAtHome({ sent: { bandId, song, set, key } }: { readonly sent: SentChart }) {
  useEffect(() => chooseBand(bandId), [bandId]);
  useEffect(() => {
    if (set !== null) useTonight.getState().open(set.id);
  }, [set]);
  const read = parseKey(key ?? '');
  const there = song === null ? '/band/stand' : `/songs/${song.id}/chart`;
  return <Navigate to={lensLink(there, { key: read.ok ? read.value : null, readerId: null })} replace />;
}

function SentStand({ sent, readerId }: { readonly sent: SentChart; readonly readerId: string }) {
  useEffect(() => setReader(readerId), [readerId]);
  return sent.set === null ? <SentSong sent={sent} /> : <SentSet sent={sent} />;
}

function SentSong({ sent }: { readonly sent: SentChart }) {
  const source = sent.song?.source ?? '';
  const home = useMemo(() => readChart(source).head.key, [source]);
  const read = parseKey(sent.key ?? '');
  useOpens(home, read.ok ? read.value.tonic : home.tonic);
  return (
    <SentChartOnStand text={source}>
      <ReadOtherwise />
    </SentChartOnStand>
  );
}

/** A set song by song, each in tonight's key. */
function SentSet({ sent: { set } }: { readonly sent: SentChart }) {
  const evening = useMemo(() => (set === null ? null : viewEvening(set, set.songs, []).evening), [set]);
  const songs = evening?.entries.filter(({ song }) => song !== null) ?? [];
  const texts = useMemo(() => (evening === null ? [] : playedTexts(evening)), [evening]);
  const [at, setAt] = useState(0);
  const place = Math.min(at, Math.max(0, songs.length - 1));
  const entry = songs[place];
  const home = entry?.song?.reading.head.key ?? C_MAJOR;
  useOpens(home, entry?.song?.key.tonic ?? home.tonic);
  const next = useNextSong(evening ?? NO_EVENING, entry?.id ?? '');
  if (entry?.song == null) return <Closed why={STAND_WORDS.nothingOnTonightYet} />;
  const go = (way: 1 | -1) => {
    setKey(null);
    setAt(Math.max(0, Math.min(songs.length - 1, place + way)));
  };
  return (
    <SentChartOnStand
      key={entry.id}
      text={texts[place]?.text ?? entry.song.source}
      ownBars={texts[place]?.ownBars}
      tonight={[STAND_WORDS.songOf(place + 1, songs.length)]}
      onPast={go}
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
      <ReadOtherwise />
    </SentChartOnStand>
  );
}

const C_MAJOR: Key = { tonic: 0, scale: 'major' };
const NO_EVENING = viewEvening({ name: '', place: '', startsAt: '', date: '', gapSeconds: 0, entries: [] }, [], []).evening;

type OnStand = Pick<Parameters<typeof Stand>[0], 'text' | 'ownBars' | 'tonight' | 'onPast' | 'next'>;

function SentChartOnStand({ children, ...more }: OnStand & { readonly children: ReactNode }) {
  const { part } = useSentReading();
  return (
    <Stand {...more} songId="" back={null} isTonight={false} part={part}>
      {children}
    </Stand>
  );
}

/** What is read is this chart in this key, which only reads. */
function useOpens(home: Key, resting: Key['tonic']): void {
  const { tonic, scale } = home;
  useEffect(() => {
    const key = { tonic, scale };
    const opened = { home: key, resting: { ...key, tonic: resting }, capos: {}, rehome: null, isEmpty: false };
    return open({ get: () => opened, subscribe: () => () => undefined });
  }, [tonic, scale, resting]);
}

/** Back to the question how one reads. */
function ReadOtherwise() {
  const { reader } = useLens();
  const { part } = useSentReading();
  return (
    <button
      type="button"
      onClick={() => useSentReading.setState({ readerId: null })}
      className="min-h-11 rounded-lg border border-edge px-3 text-base font-semibold whitespace-nowrap hover:border-accent"
    >
      {STAND_WORDS.readAs(part === 'bass' ? STAND_WORDS.bass : reader.short)}
    </button>
  );
}
