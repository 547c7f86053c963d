import { type CapoPair, nameKey, pairWords } from '@aurora/core';
import type { Member } from '@aurora/wire';
import { useState } from 'react';
import { useMembers } from '../../api/members.ts';
import { readOnce, withEntry } from '../../document/evening-view.ts';
import { useCapoPairs } from '../../parts/neck/neck-engine.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { ShapeChip } from '../../parts/reading/ShapeChip.tsx';
import { useLens, useNaming } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { isGuitar } from '../../session/reader-view.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { sayDone } from '../../ui/say.ts';
import { BAND_WORDS } from '../../wording/band.ts';
import { EasierChords } from './EasierChords.tsx';
import { SongChoice } from './SongChoice.tsx';
import { capoWishOf } from './tonight/capo-wish.ts';
import { useBandSong } from './use-band-song.ts';

const MOST_PAIRS = 5;

/** Two guitars that should not double each other: pairs of frets, and easier chords for one of them. */
export function GuitarsPart() {
  const { song, waiting, tonight, at, songs, choose } = useBandSong();
  const members = useMembers();
  const guitars = (members ?? []).filter(isGuitar);
  const [ids, setIds] = useState<readonly [string | null, string | null]>([null, null]);
  const lens = useLens();
  const first = guitars.find(({ id }) => id === ids[0]) ?? guitars[0];
  const second = guitars.find(({ id }) => id === ids[1] && id !== first?.id) ?? guitars.find(({ id }) => id !== first?.id);
  if (waiting || members === undefined) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheSong}</p>;
  if (song === undefined || first === undefined || second === undefined) return <NothingToPair hasSong={song !== undefined} />;
  const reading = readOnce(song.source);
  const tonightKey = at < 0 ? null : (tonight?.evening.entries[at]?.song?.key ?? null);
  const key = tonightKey ?? keyInForce({ key: lens.key, homeKey: reading.head.key });
  const tonightCapos = at < 0 ? undefined : tonight?.state.body.entries.find(({ id }) => id === tonight.evening.entries[at]?.id);
  const capoOf = ({ id, reads }: Member) => (tonightCapos?.kind === 'song' ? tonightCapos.capos[id] : undefined) ?? reads.capo;
  const take = ({ first: one, second: other }: CapoPair) => {
    const id = tonight?.evening.entries[at]?.id;
    if (tonight === null || id === undefined) return;
    tonight.desk.change((body) =>
      withEntry(body, id, (entry) =>
        entry.kind === 'break' ? entry : { ...entry, capos: { ...entry.capos, [first.id]: one.fret, [second.id]: other.fret } },
      ),
    );
    void sayDone(BAND_WORDS.tonight(first.name, capoName(one.fret), second.name, capoName(other.fret)));
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <SongChoice song={song} songs={songs} choose={choose} />
        <PlayerChoice label={BAND_WORDS.firstGuitar} value={first} guitars={guitars} onChange={(id) => setIds([id, ids[1]])} />
        <PlayerChoice
          label={BAND_WORDS.secondGuitar}
          value={second}
          guitars={guitars.filter(({ id }) => id !== first.id)}
          onChange={(id) => setIds([ids[0], id])}
        />
        <p className="min-h-11 content-center text-base text-quiet">
          {BAND_WORDS.aBoxedChordIsBarreOr} <b className="music-glyph text-ink">{nameKey(key, lens.naming)}</b>
        </p>
      </div>
      <Pairs source={song.source} tonic={key.tonic} first={first} second={second} onTake={at < 0 ? null : take} />
      <EasierChords song={song} sounding={key} guitars={guitars} capoOf={capoOf} />
    </div>
  );
}

function capoName(fret: number): string {
  return fret === 0 ? BAND_WORDS.withoutACapo : BAND_WORDS.capo(fret);
}

interface PlayerChoiceProps {
  readonly label: string;
  readonly value: Member;
  readonly guitars: readonly Member[];
  readonly onChange: (id: string) => void;
}

function PlayerChoice({ label, value, guitars, onChange }: PlayerChoiceProps) {
  return <SelectField label={label} value={value.id} options={guitars.map(({ id, name }) => [id, name])} onChange={onChange} />;
}

interface PairsProps {
  readonly source: string;
  readonly tonic: number;
  readonly first: Member;
  readonly second: Member;
  /** Null when the song is not in tonight's set. */
  readonly onTake: ((pair: CapoPair) => void) | null;
}

function Pairs({ source, tonic, first, second, onTake }: PairsProps) {
  const naming = useNaming();
  const pairs = useCapoPairs(source, { ...capoWishOf(first), tonic }, { ...capoWishOf(second), tonic }, MOST_PAIRS);
  if (pairs.error !== null)
    return (
      <p className="text-alarm">
        {BAND_WORDS.thePairsCouldNotBeWorked} {pairs.error.message}
      </p>
    );
  if (pairs.data === undefined) return <p className="text-quiet">{BAND_WORDS.tryingEveryPairOfFrets}</p>;
  return (
    <ol aria-label={BAND_WORDS.pairsOfFretsBestFirst}>
      {pairs.data.map((pair) => (
        <li
          key={`${pair.first.fret} ${pair.second.fret}`}
          className="grid grid-cols-[1fr_1fr_auto] items-center gap-x-5 border-t border-hairline py-2.5 max-md:grid-cols-1"
        >
          <Side member={first} option={pair.first} />
          <Side member={second} option={pair.second} />
          <span className="flex flex-col items-end gap-1 max-md:items-start">
            {onTake !== null && <Button onClick={() => onTake(pair)}>{BAND_WORDS.useTonight}</Button>}
          </span>
          <p className="col-span-full text-fine text-quiet">
            <Glyphs text={pairWords(pair, naming)} />
          </p>
        </li>
      ))}
    </ol>
  );
}

function Side({ member, option }: { readonly member: Member; readonly option: CapoPair['first'] }) {
  const naming = useNaming();
  return (
    <div className="min-w-0">
      <p className="flex items-baseline gap-2">
        <b className="font-numeral text-lead">{member.name}</b>
        <span className="text-base text-quiet">{option.fret === 0 ? BAND_WORDS.noCapo : BAND_WORDS.capo(option.fret)}</span>
      </p>
      <ul aria-label={BAND_WORDS.sShapes(member.name)} className="mt-1 flex flex-wrap gap-1.5">
        {option.shapes.map((shape) => (
          <ShapeChip key={`${shape.shape.root} ${shape.shape.formula} ${shape.shape.bass}`} shape={shape} naming={naming} brief />
        ))}
      </ul>
    </div>
  );
}

function NothingToPair({ hasSong }: { readonly hasSong: boolean }) {
  return (
    <Notice title={hasSong ? BAND_WORDS.twoGuitarsAreNeeded : BAND_WORDS.noSongHereYet}>
      <p>{hasSong ? BAND_WORDS.addASecondPlayerWhoseInstrument : BAND_WORDS.openASongOrPutSongs}</p>
    </Notice>
  );
}
