import { moveKey, nameKey, printKey, simplestKey, writtenKey } from '@aurora/core';
import type { Member, SetSongEntry } from '@aurora/wire';
import { Link } from 'react-router';
import { useMembers } from '../../../api/members.ts';
import { caposWith } from '../../../document/evening-view.ts';
import type { Tonight } from '../../../document/use-evening.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { KeyInput } from '../../../parts/reading/KeyInput.tsx';
import { useLens, useNaming } from '../../../session/lens.ts';
import { lensSearch } from '../../../session/lens-store.ts';
import { isGuitar, memberChoice } from '../../../session/reader-view.ts';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { Hint } from '../../../ui/Hint.tsx';
import { ChartIcon, HomeKeyIcon, KeyDownIcon, KeyUpIcon } from '../../../ui/icons.ts';
import { NumberField } from '../../../ui/NumberField.tsx';
import { TextField } from '../../../ui/TextField.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { LengthField } from './LengthField.tsx';

interface SongTonightProps {
  readonly tonight: Tonight;
  readonly at: number;
  readonly stored: SetSongEntry;
  readonly onChange: (change: Partial<SetSongEntry>) => void;
}

/** What is said about a song tonight. */
export function SongTonight({ tonight, at, stored, onChange }: SongTonightProps) {
  const { naming, reader } = useLens();
  const members = useMembers() ?? [];
  const one = tonight.evening.entries[at];
  const song = one?.song;
  if (one === undefined || song === null || song === undefined) return null;
  const home = song.reading.head.key;
  const setKey = (tonic: number | null) => onChange({ key: tonic === null || tonic === home.tonic ? null : printKey({ ...home, tonic }) });
  const seconds = tonight.times[at]?.seconds ?? 0;
  const guitars = members.filter(isGuitar);
  const capoOf = (member: Member) => stored.capos[member.id] ?? member.reads.capo;
  const readerTonight = reader.member !== null && isGuitar(reader.member) ? memberChoice(reader.member, capoOf(reader.member)) : reader;
  const search = lensSearch({ key: song.key.tonic === home.tonic ? null : song.key, readerId: readerTonight.id });
  return (
    <>
      <KeyTonight song={song} onKey={setKey} />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={BAND_WORDS.tempo}
          value={stored.tempo}
          min={20}
          max={400}
          placeholder={String(song.reading.head.tempo ?? BAND_WORDS.unsaid)}
          onChange={(tempo) => onChange({ tempo })}
        />
        <LengthField value={stored.seconds} usual={seconds} onChange={(next) => onChange({ seconds: next })} />
      </div>
      <TextField label={BAND_WORDS.whoCountsIn} value={stored.starts} most={80} onChange={(starts) => onChange({ starts })} />
      <TextField label={BAND_WORDS.notesForTonight} value={stored.notes} most={600} onChange={(notes) => onChange({ notes })} />
      {guitars.map((member) => (
        <NumberField
          key={member.id}
          label={BAND_WORDS.sCapoShapes(member.name, nameKey(writtenKey(memberChoice(member, capoOf(member)).reader, song.key), naming))}
          value={stored.capos[member.id] ?? null}
          min={0}
          max={member.reads.maxCapo}
          placeholder={String(member.reads.capo)}
          onChange={(fret) => onChange({ capos: caposWith(stored.capos, member.id, fret) })}
        />
      ))}
      <Link to={{ pathname: `/songs/${stored.songId}/chart`, search }} className={buttonLook('plain')}>
        <ChartIcon size={17} aria-hidden="true" /> {BAND_WORDS.openTheChartInTonightsKey}
      </Link>
    </>
  );
}

interface KeyTonightProps {
  readonly song: NonNullable<Tonight['evening']['entries'][number]['song']>;
  readonly onKey: (tonic: number | null) => void;
}

/** Tonight’s key, a half step at a time or typed, and back to the song’s own. */
function KeyTonight({ song, onKey }: KeyTonightProps) {
  const naming = useNaming();
  const home = song.reading.head.key;
  return (
    <div role="group" aria-label={BAND_WORDS.tonightsKey} className="flex flex-wrap items-center gap-2">
      <Hint text={BAND_WORDS.downAHalfStep}>
        <Button aria-label={BAND_WORDS.downAHalfStep} className="px-3!" onClick={() => onKey(moveKey(song.key, -1).tonic)}>
          <KeyDownIcon size={18} />
        </Button>
      </Hint>
      <b className="music-glyph min-w-16 text-center font-numeral text-figure" data-testid="tonights-key">
        <Glyphs text={nameKey(song.key, naming)} />
      </b>
      <Hint text={BAND_WORDS.upAHalfStep}>
        <Button aria-label={BAND_WORDS.upAHalfStep} className="px-3!" onClick={() => onKey(moveKey(song.key, 1).tonic)}>
          <KeyUpIcon size={18} />
        </Button>
      </Hint>
      {song.key.tonic !== home.tonic && (
        <Button look="bare" aria-label={BAND_WORDS.backToTheHomeKey(nameKey(home, naming))} onClick={() => onKey(null)}>
          <HomeKeyIcon size={17} /> <Glyphs text={nameKey(home, naming)} />
        </Button>
      )}
      <div className="w-full">
        <KeyInput label={BAND_WORDS.typeTonightsKey} onKey={({ tonic }) => onKey(simplestKey({ ...home, tonic }, home).tonic)} />
      </div>
    </div>
  );
}
