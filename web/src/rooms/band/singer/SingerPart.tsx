import {
  accidentalsFor,
  CONCERT_READER,
  easeWord,
  faultWords,
  type Key,
  type Kindness,
  nameKey,
  type PitchRange,
  parseRange,
  printKey,
  printRange,
  type SingerKey,
  semitonesBetween,
  singerKeys,
  sungWords,
  withHeadLine,
} from '@aurora/core';
import type { Member, Song } from '@aurora/wire';
import { useMemo, useState } from 'react';
import { useMembers } from '../../../api/members.ts';
import { newSetSong, readOnce, withEntry } from '../../../document/evening-view.ts';
import { useGuitarKindness } from '../../../parts/neck/neck-engine.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { useSongEdit } from '../../../parts/song/use-song-edit.ts';
import { useNaming } from '../../../session/lens.ts';
import { setKey } from '../../../session/lens-store.ts';
import { isGuitar } from '../../../session/reader-view.ts';
import { Button } from '../../../ui/Button.tsx';
import { SaveIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { sayDone } from '../../../ui/say.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { SongChoice } from '../SongChoice.tsx';
import { capoWishOf } from '../tonight/capo-wish.ts';
import { useBandSong } from '../use-band-song.ts';
import { RangeKeys } from './RangeKeys.tsx';
import { VoicePicture } from './VoicePicture.tsx';
import { type VoiceScale, voiceScale } from './voice-scale.ts';

const NO_RANGE = BAND_WORDS.thisChartDoesNotSayHow;

/** Which key suits whoever sings, and then the guitars and the horns. It is chosen for tonight; the song stays. */
export function SingerPart() {
  const { song, waiting, tonight, at, tonightsKey, songs, choose } = useBandSong();
  const members = useMembers() ?? [];
  const singers = members.filter(({ reads }) => reads.voice !== null);
  const [asked, setAsked] = useState<readonly string[] | null>(null);
  const [tapped, setTapped] = useState<{ readonly songId: string; readonly range: PitchRange } | null>(null);
  if (song === undefined) return waiting ? <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheSong}</p> : <NoSong />;
  if (singers.length === 0) return <NoSinger />;
  const reading = readOnce(song.source);
  const singing = asked === null ? singers.slice(0, 1) : singers.filter(({ id }) => asked.includes(id));
  const range = tapped?.songId === song.id ? tapped.range : reading.head.range;
  const setRange = (next: PitchRange) => setTapped({ songId: song.id, range: next });
  const scale = voiceScale([
    ...singing.flatMap(({ reads: { voice } }) => (voice === null ? [] : [voice.possible])),
    ...(range === null ? [] : [range]),
  ]);
  const takeTonight = (key: Key) => {
    const name = key.tonic === reading.head.key.tonic ? null : printKey(key);
    const id = tonight?.evening.entries[at]?.id;
    if (id !== undefined) {
      tonight?.desk.change((body) => withEntry(body, id, (entry) => (entry.kind === 'break' ? entry : { ...entry, key: name })));
      return;
    }
    setKey(key);
    tonight?.desk.change((body) => ({ ...body, entries: [...body.entries, { ...newSetSong(song.id), key: name }] }));
    tonight?.desk.bring([song]);
  };
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <SongChoice song={song} songs={songs} choose={choose} />
        <RangeField range={range} home={reading.head.key} onRange={setRange} />
        <KeepRange song={song} range={range} />
        <WhoSings singers={singers} singing={singing} onAsk={setAsked} />
      </div>
      <div className={ON_SCALE}>
        <div className="col-start-2 phone:col-span-2 phone:col-start-1">
          <RangeKeys range={range} scale={scale} onRange={setRange} />
        </div>
      </div>
      {range === null || singing.length === 0 ? (
        <p className="text-lead text-quiet">{range === null ? NO_RANGE : BAND_WORDS.sayWhoSings}</p>
      ) : (
        <Keys
          home={reading.head.key}
          source={song.source}
          songId={song.id}
          range={range}
          singers={singing}
          scale={scale}
          members={members}
          now={tonightsKey}
          onTonight={takeTonight}
          inSet={tonight === null ? null : at >= 0}
        />
      )}
    </div>
  );
}

interface WhoSingsProps {
  readonly singers: readonly Member[];
  readonly singing: readonly Member[];
  readonly onAsk: (ids: readonly string[]) => void;
}

function WhoSings({ singers, singing, onAsk }: WhoSingsProps) {
  const ids = singing.map(({ id }) => id);
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4">
      <legend className="sr-only">{BAND_WORDS.whoSings}</legend>
      {singers.map(({ id, name }) => (
        <Tick key={id} label={name} on={ids.includes(id)} onTick={(on) => onAsk(on ? [...ids, id] : ids.filter((one) => one !== id))} />
      ))}
    </fieldset>
  );
}

function NoSong() {
  return (
    <Notice title={BAND_WORDS.noSongHereYet}>
      <p>{BAND_WORDS.openASongForTheSinger}</p>
    </Notice>
  );
}

function NoSinger() {
  return (
    <Notice title={BAND_WORDS.nobodySingsYet}>
      <p>{BAND_WORDS.underPlayersTickSingsForWhoever}</p>
    </Notice>
  );
}

/** For a range that the chart does not say yet. */
function KeepRange({ song, range }: { readonly song: Song; readonly range: PitchRange | null }) {
  const edit = useSongEdit();
  const reading = readOnce(song.source);
  const own = reading.head.range;
  if (range === null || (own?.low === range.low && own.high === range.high)) return null;
  const keep = () =>
    edit(
      song,
      (source) => withHeadLine(source, readOnce(source), 'range', printRange(range, reading.head.key)),
      BAND_WORDS.saysNowHowFarItsMelody(song.title || BAND_WORDS.theSong),
    );
  return (
    <Button onClick={keep}>
      <SaveIcon size={17} aria-hidden="true" /> {BAND_WORDS.saveWithTheSong}
    </Button>
  );
}

interface RangeFieldProps {
  readonly range: PitchRange | null;
  /** The key the notes are called by. */
  readonly home: Key;
  readonly onRange: (range: PitchRange) => void;
}

function RangeField({ range, home, onRange }: RangeFieldProps) {
  const [fault, setFault] = useState<string | null>(null);
  const take = (text: string) => {
    const read = parseRange(text);
    setFault(read.ok ? null : faultWords(read.fault));
    if (read.ok) onRange(read.value);
  };
  return (
    <div>
      <TextField
        label={BAND_WORDS.melodyLowestAndHighestNote}
        value={range === null ? '' : printRange(range, home)}
        most={12}
        placeholder="B3 D5"
        className="w-56"
        onChange={take}
      />
      {fault !== null && (
        <p role="alert" className="mt-1 max-w-96 text-fine font-semibold text-alarm">
          {fault}
        </p>
      )}
    </div>
  );
}

interface KeysProps {
  readonly home: Key;
  readonly source: string;
  readonly songId: string;
  readonly range: PitchRange;
  readonly singers: readonly Member[];
  readonly scale: VoiceScale;
  readonly members: readonly Member[];
  /** Tonight's key in the set; null when the song is not in it. */
  readonly now: Key | null;
  /** Whether the song is in tonight's set; null without a set. */
  readonly inSet: boolean | null;
  readonly onTonight: (key: Key) => void;
}

function Keys({ home, source, range, singers, scale, members, now, inSet, onTonight }: KeysProps) {
  const naming = useNaming();
  const guitars = useMemo(() => members.filter(isGuitar).map(capoWishOf), [members]);
  const guitar = useGuitarKindness(source, guitars).data;
  const horns = useMemo(
    () => members.filter(({ reads }) => reads.transpose !== 0).map(({ reads }) => ({ ...CONCERT_READER, transpose: reads.transpose })),
    [members],
  );
  const voices = singers.flatMap(({ reads: { voice } }) => (voice === null ? [] : [voice]));
  const kindness = (key: Key): Kindness => ({
    guitar: guitar?.[semitonesBetween(home.tonic, key.tonic)] ?? null,
    accidentals: accidentalsFor(horns, key),
  });
  const keys = singerKeys(home, range, voices, kindness);
  const choose = (key: Key) => {
    onTonight(key);
    const name = nameKey(key, naming);
    void sayDone(inSet === null ? BAND_WORDS.readInNow(name) : inSet ? BAND_WORDS.tonightIn(name) : BAND_WORDS.putIntoTonightsSetIn(name));
  };
  return (
    <ol aria-label={BAND_WORDS.keysBestFirst} className="flex flex-col">
      {keys.map((one) => (
        <KeyRow
          key={one.semitones}
          one={one}
          home={home}
          singers={singers}
          scale={scale}
          isNow={now !== null && now.tonic === one.key.tonic}
          hasHorns={horns.length > 0}
          onChoose={() => choose(one.key)}
        />
      ))}
    </ol>
  );
}

/** The keyboard and every row have their pictures in one column, so that a key stands over the same note of every voice. */
const ON_SCALE = BAND_WORDS.gridGridCols45rem1fr;

interface KeyRowProps {
  readonly one: SingerKey;
  readonly home: Key;
  readonly singers: readonly Member[];
  readonly scale: VoiceScale;
  readonly isNow: boolean;
  readonly hasHorns: boolean;
  readonly onChoose: () => void;
}

const FIT_WORDS = { comfortable: BAND_WORDS.fitsWithEase, possible: BAND_WORDS.fitsPossibly, outside: BAND_WORDS.outOfReach } as const;

function KeyRow({ one, home, singers, scale, isNow, hasHorns, onChoose }: KeyRowProps) {
  const naming = useNaming();
  const { key, fit, sung, guitar, accidentals } = one;
  return (
    <li className={`${ON_SCALE} border-t border-hairline py-1.5 ${fit === 'outside' ? 'text-quiet' : ''}`}>
      <span className="leading-tight">
        <b className="music-glyph font-numeral text-figure">
          <Glyphs text={nameKey(key, naming)} />
        </b>
        {key.tonic === home.tonic && <span className="block text-fine text-quiet">{BAND_WORDS.home}</span>}
      </span>
      <div className="min-w-0">
        {sung.map((range, index) => (
          <VoicePicture
            key={singers[index]?.id}
            name={singers.length > 1 ? (singers[index]?.name ?? '') : ''}
            voice={singers[index]?.reads.voice ?? null}
            sung={range}
            scale={scale}
          />
        ))}
        <p className="text-fine text-quiet">
          {sung.length === 1 && sung[0] !== undefined ? <Glyphs text={sungWords(sung[0], key, naming)} /> : FIT_WORDS[fit]}
          {guitar !== null && (
            <span title={BAND_WORDS.of100(guitar.score)}>{BAND_WORDS.onTheGuitars(easeWord(guitar.score), guitar.capo)}</span>
          )}
          {hasHorns && BAND_WORDS.forTheHorns(accidentals === 1 ? '1 accidental' : BAND_WORDS.accidentals(accidentals))}
        </p>
      </div>
      <Button aria-pressed={isNow} onClick={onChoose} className="aria-pressed:border-accent aria-pressed:bg-wash">
        {isNow ? BAND_WORDS.tonightsKey : BAND_WORDS.useTonight}
      </Button>
    </li>
  );
}
