import type { Member } from '@aurora/wire';
import { type FormEvent, useState } from 'react';
import { useMemberChanges, useMembers } from '../../api/members.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { memberChoice, readerNote } from '../../session/reader-view.ts';
import { Button } from '../../ui/Button.tsx';
import { AddPlayerIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import { BAND_WORDS } from '../../wording/band.ts';
import { PlayerForm } from './PlayerForm.tsx';
import { PLAYER_TABLE, usualReads } from './player-table.ts';

/** Who is in the band, and how each of them reads. */
export function PlayersPart() {
  const members = useMembers();
  const { add } = useMemberChanges();
  const [chosenId, setChosen] = useState<string | null>(null);
  if (members === undefined) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheBand}</p>;
  const chosen = members.find(({ id }) => id === chosenId) ?? members[0];
  const join = (name: string, plays: string) =>
    add.mutate(
      { name, plays, reads: usualReads(plays) },
      { onSuccess: ({ id }) => setChosen(id), onError: (error) => void sayFault(error.message) },
    );
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[20rem_1fr]">
      <div>
        <ul aria-label={BAND_WORDS.players} className="flex flex-col gap-1">
          {members.map((member) => (
            <li key={member.id}>
              <PlayerLine member={member} chosen={member === chosen} onChoose={() => setChosen(member.id)} />
            </li>
          ))}
        </ul>
        <NewPlayer onJoin={join} />
      </div>
      {chosen === undefined ? (
        <p className="text-lead text-quiet">{BAND_WORDS.addThePeopleYouPlayWith}</p>
      ) : (
        <PlayerForm key={chosen.id} member={chosen} onGone={() => setChosen(null)} />
      )}
    </div>
  );
}

function PlayerLine({ member, chosen, onChoose }: { readonly member: Member; readonly chosen: boolean; readonly onChoose: () => void }) {
  const lens = useLens();
  const note = readerNote(memberChoice(member), keyInForce(lens), lens.naming);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      className="w-full rounded-xl px-4 py-2 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_3px_0_0_var(--accent)]"
    >
      <span className="block text-lead leading-tight font-bold">{member.name}</span>
      <span className="block text-base text-quiet">
        {member.plays}
        {note !== null && (
          <>
            {' · '}
            <Glyphs text={note} />
          </>
        )}
      </span>
    </button>
  );
}

function NewPlayer({ onJoin }: { readonly onJoin: (name: string, plays: string) => void }) {
  const [name, setName] = useState('');
  const [plays, setPlays] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') return;
    onJoin(name.trim(), plays.trim());
    setName('');
    setPlays('');
  };
  const field = 'min-h-11 min-w-0 rounded-lg border border-edge bg-raised px-3 placeholder:text-quiet';
  return (
    <form onSubmit={submit} className="mt-3 flex flex-col gap-2 border-t border-hairline pt-3">
      <input
        aria-label={BAND_WORDS.nameOfTheNewPlayer}
        placeholder={BAND_WORDS.name}
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
        className={field}
      />
      <input
        aria-label={BAND_WORDS.whatTheNewPlayerPlays}
        placeholder={BAND_WORDS.playsGuitarAltoSaxophoneVoice}
        list="instruments"
        maxLength={60}
        value={plays}
        onChange={(event) => setPlays(event.target.value)}
        className={field}
      />
      <datalist id="instruments">
        {PLAYER_TABLE.map(([instrument]) => (
          <option key={instrument} value={instrument} />
        ))}
      </datalist>
      <Button type="submit" disabled={name.trim() === ''}>
        <AddPlayerIcon size={17} aria-hidden="true" /> {BAND_WORDS.addAPlayer}
      </Button>
    </form>
  );
}
