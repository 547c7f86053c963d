import { moveKey, nameKey, parseLength, printKey, printLength, simplestKey, writtenKey } from '@aurora/core';
import type { Member, SetBreakEntry, SetSongEntry } from '@aurora/wire';
import { BookOpen, Minus, Plus, RotateCcw, Trash2, Wand2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMembers } from '../../api/members.ts';
import { withEntry } from '../../document/evening-view.ts';
import type { Tonight } from '../../document/use-evening.ts';
import { planCaposOfSet } from '../../parts/neck/neck-engine.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { KeyInput } from '../../parts/reading/KeyInput.tsx';
import { useLens } from '../../session/lens.ts';
import { lensSearch } from '../../session/lens-store.ts';
import { isGuitar, memberChoice } from '../../session/reader-view.ts';
import { Button, buttonLook } from '../../ui/Button.tsx';
import { NumberField } from '../../ui/NumberField.tsx';
import { sayFault } from '../../ui/say.ts';
import { TextField } from '../../ui/TextField.tsx';
import { capoWishOf } from './capo-wish.ts';

interface EntryDetailsProps {
  readonly tonight: Tonight;
  /** Place of the chosen entry; −1 for none. */
  readonly at: number;
  readonly onGone: () => void;
}

/** What is said about the chosen song or break tonight; nothing of it changes the song. */
export function EntryDetails({ tonight, at, onGone }: EntryDetailsProps) {
  const { desk, evening, state } = tonight;
  const one = evening.entries[at];
  const stored = state.body.entries.find(({ id }) => id === one?.id);
  if (one === undefined || stored === undefined)
    return (
      <aside aria-label="Tonight" className="rounded-2xl border border-hairline p-4">
        <p className="text-[15px] text-quiet">
          Choose a song to say in which key it goes tonight, who has a capo where, and who counts in. The song itself stays as it is.
        </p>
        <CapoPlans tonight={tonight} />
      </aside>
    );
  const change = (next: Partial<SetSongEntry> | Partial<SetBreakEntry>) =>
    desk.change((body) => withEntry(body, stored.id, (entry) => ({ ...entry, ...next }) as typeof entry));
  const remove = () => {
    desk.change((body) => ({ ...body, entries: body.entries.filter(({ id }) => id !== stored.id) }));
    onGone();
  };
  return (
    <aside aria-label={`${one.name} tonight`} className="flex flex-col gap-3 rounded-2xl border border-hairline p-4">
      <div className="flex items-center gap-2">
        <h2 className="min-w-0 flex-1 truncate font-numeral text-xl font-bold">{one.name}</h2>
        <Button look="bare" aria-label={`Take ${one.name} out of the set`} onClick={remove}>
          <Trash2 size={18} />
        </Button>
      </div>
      {stored.kind === 'break' ? (
        <>
          <TextField label="What it is" value={stored.name} most={80} onChange={(name) => change({ name })} />
          <NumberField
            label="Minutes"
            value={Math.round(stored.seconds / 60)}
            min={1}
            max={240}
            placeholder="15"
            onChange={(minutes) => minutes !== null && change({ seconds: minutes * 60 })}
          />
        </>
      ) : (
        <SongTonight tonight={tonight} at={at} stored={stored} onChange={change} />
      )}
    </aside>
  );
}

interface SongTonightProps {
  readonly tonight: Tonight;
  readonly at: number;
  readonly stored: SetSongEntry;
  readonly onChange: (change: Partial<SetSongEntry>) => void;
}

function SongTonight({ tonight, at, stored, onChange }: SongTonightProps) {
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
      <div role="group" aria-label="Tonight’s key" className="flex flex-wrap items-center gap-2">
        <Button aria-label="Down a half step" className="px-3!" onClick={() => setKey(moveKey(song.key, -1).tonic)}>
          <Minus size={18} />
        </Button>
        <b className="music-glyph min-w-16 text-center font-numeral text-3xl" data-testid="tonights-key">
          <Glyphs text={nameKey(song.key, naming)} />
        </b>
        <Button aria-label="Up a half step" className="px-3!" onClick={() => setKey(moveKey(song.key, 1).tonic)}>
          <Plus size={18} />
        </Button>
        {song.key.tonic !== home.tonic && (
          <Button look="bare" aria-label={`Back to the home key ${nameKey(home, naming)}`} onClick={() => setKey(null)}>
            <RotateCcw size={17} /> <Glyphs text={nameKey(home, naming)} />
          </Button>
        )}
        <div className="w-full">
          <KeyInput label="Type tonight’s key" onKey={({ tonic }) => setKey(simplestKey({ ...home, tonic }, home).tonic)} />
        </div>
      </div>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Tempo"
          value={stored.tempo}
          min={20}
          max={400}
          placeholder={String(song.reading.head.tempo ?? 'unsaid')}
          onChange={(tempo) => onChange({ tempo })}
        />
        <LengthField value={stored.seconds} usual={seconds} onChange={(next) => onChange({ seconds: next })} />
      </div>
      <TextField label="Who counts in" value={stored.starts} most={80} onChange={(starts) => onChange({ starts })} />
      <TextField label="Notes for tonight" value={stored.notes} most={600} onChange={(notes) => onChange({ notes })} />
      {guitars.map((member) => (
        <NumberField
          key={member.id}
          label={`${member.name}’s capo: ${nameKey(writtenKey(memberChoice(member, capoOf(member)).reader, song.key), naming)} shapes`}
          value={stored.capos[member.id] ?? null}
          min={0}
          max={member.reads.maxCapo}
          placeholder={String(member.reads.capo)}
          onChange={(fret) => onChange({ capos: caposWith(stored.capos, member.id, fret) })}
        />
      ))}
      <Link to={{ pathname: `/songs/${stored.songId}/chart`, search }} className={buttonLook('plain')}>
        <BookOpen size={17} aria-hidden="true" /> Open the chart in tonight’s key
      </Link>
    </>
  );
}

function caposWith(capos: SetSongEntry['capos'], id: string, fret: number | null): SetSongEntry['capos'] {
  const { [id]: _, ...rest } = capos;
  return fret === null ? rest : { ...rest, [id]: fret };
}

/** A length as minutes and seconds; empty for as long as the chart says. */
function LengthField({
  value,
  usual,
  onChange,
}: {
  readonly value: number | null;
  readonly usual: number;
  readonly onChange: (seconds: number | null) => void;
}) {
  const shown = value === null ? '' : printLength(value);
  const [fault, setFault] = useState(false);
  const take = (text: string) => {
    if (text === shown) return setFault(false);
    const next = text.trim() === '' ? null : parseLength(text);
    setFault(next === undefined);
    if (next !== undefined) onChange(next);
  };
  return (
    <div>
      <TextField
        key={shown}
        label="Length"
        value={shown}
        most={6}
        placeholder={usual === 0 ? '3:30' : printLength(usual)}
        onChange={take}
      />
      {fault && (
        <p role="alert" className="text-sm font-semibold text-alarm">
          Minutes and seconds, such as 3:30
        </p>
      )}
    </div>
  );
}

/** For each guitar, frets for the whole set with the fewest moves. */
function CapoPlans({ tonight }: { readonly tonight: Tonight }) {
  const members = (useMembers() ?? []).filter(isGuitar);
  const { desk, evening } = tonight;
  const [told, setTold] = useState<string | null>(null);
  const plan = async (member: Member) => {
    try {
      const songs = evening.entries.map(({ song }) => (song === null ? null : { source: song.source, tonic: song.key.tonic }));
      const frets = await planCaposOfSet(songs, capoWishOf(member));
      desk.change((body) => ({
        ...body,
        entries: body.entries.map((entry, at) =>
          entry.kind === 'break' ? entry : { ...entry, capos: caposWith(entry.capos, member.id, frets[at] ?? null) },
        ),
      }));
      setTold(`${member.name}: ${movesWords(frets)}`);
    } catch {
      void sayFault('The capos could not be planned.');
    }
  };
  if (members.length === 0 || evening.entries.length === 0) return null;
  return (
    <div className="mt-4 flex flex-col items-start gap-2 border-t border-hairline pt-3">
      <h3 className="font-semibold">Capos for the whole set</h3>
      <p className="text-[14px] text-quiet">The fewest moves, with shapes about as easy as they can be in every song.</p>
      {members.map((member) => (
        <Button key={member.id} onClick={() => void plan(member)}>
          <Wand2 size={17} aria-hidden="true" /> Plan {member.name}’s capo
        </Button>
      ))}
      {told !== null && (
        <p role="status" className="text-[15px]">
          {told}
        </p>
      )}
    </div>
  );
}

/** How often a capo moves, a break apart. */
function movesWords(frets: readonly (number | null)[]): string {
  const moves = frets.filter((fret, at) => at > 0 && fret !== null && frets[at - 1] !== null && frets[at - 1] !== fret).length;
  return moves === 0
    ? 'the capo stays where it is between songs.'
    : moves === 1
      ? 'one move between songs.'
      : `${moves} moves between songs.`;
}
