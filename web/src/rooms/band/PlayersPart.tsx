import type { BandSeat, Member, People } from '@aurora/wire';
import { type FormEvent, useRef, useState } from 'react';
import { usePeople } from '../../api/me.ts';
import { useMemberChanges, useMembers } from '../../api/members.ts';
import { useBand } from '../../api/songs.ts';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { LinkCard } from '../../parts/people/LinkCard.tsx';
import { useLens } from '../../session/lens.ts';
import { keyInForce } from '../../session/lens-store.ts';
import { memberChoice, readerNote } from '../../session/reader-view.ts';
import { usePhone } from '../../session/use-media.ts';
import { Button } from '../../ui/Button.tsx';
import { AddPlayerIcon } from '../../ui/icons.ts';
import { sayFault } from '../../ui/say.ts';
import { BAND_WORDS } from '../../wording/band.ts';
import { PEOPLE_WORDS } from '../../wording/people.ts';
import { PlayerForm } from './PlayerForm.tsx';
import { BandDoors } from './people/BandDoors.tsx';
import { BandItself } from './people/BandItself.tsx';
import type { MadeLink } from './people/made-link.ts';
import { SeatLine, seatSigns } from './people/SeatLine.tsx';
import { PLAYER_TABLE, usualReads } from './player-table.ts';

/** Who is in the band, as what, how each of them reads, and how somebody comes in. */
export function PlayersPart() {
  const { data: band } = useBand();
  if (band === undefined) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheBand}</p>;
  // a guest is told nothing of the others, and may go
  return band.role === 'guest' ? <BandItself band={band} /> : <Players band={band} />;
}

function Players({ band }: { readonly band: BandSeat }) {
  const members = useMembers();
  const { data: people } = usePeople(band);
  const { add } = useMemberChanges();
  const [chosenId, setChosen] = useState<string | null>(null);
  const [made, setMade] = useState<MadeLink | null>(null);
  const leads = band.role === 'leader';
  const isPhone = usePhone();
  const form = useRef<HTMLDivElement>(null);
  if (members === undefined) return <p className="py-6 text-quiet">{BAND_WORDS.fetchingTheBand}</p>;
  const chosen = members.find(({ id }) => id === chosenId) ?? members[0];
  const seatOf = (member: Member | undefined) => people?.people.find(({ memberId }) => memberId === member?.id);
  const seat = seatOf(chosen);
  const choose = (id: string) => {
    setChosen(id);
    // below the list on a phone: what was asked for comes into sight
    if (isPhone) form.current?.scrollIntoView({ block: 'start' });
  };
  const join = (name: string, plays: string) =>
    add.mutate(
      { name, plays, reads: usualReads(plays) },
      { onSuccess: ({ id }) => setChosen(id), onError: (error) => void sayFault(error.message) },
    );
  return (
    <div className="flex flex-col gap-8">
      <h2 className="sr-only">{BAND_WORDS.players}</h2>
      {made !== null && (
        <LinkCard key={made.token} title={PEOPLE_WORDS.linkFor(made.name)} path="/join" token={made.token} expiresAt={made.expiresAt}>
          {PEOPLE_WORDS.sendItOrShowIt}
        </LinkCard>
      )}
      <div className="grid items-start gap-6 lg:grid-cols-[20rem_1fr]">
        <div>
          <ul aria-label={PEOPLE_WORDS.whoIsIn} className="flex flex-col gap-1">
            {members.map((member) => (
              <li key={member.id}>
                <PlayerLine member={member} seat={seatOf(member)} chosen={member === chosen} onChoose={() => choose(member.id)} />
              </li>
            ))}
          </ul>
          {leads && <NewPlayer onJoin={join} />}
        </div>
        <div ref={form} className="scroll-mt-2">
          {chosen === undefined ? (
            <p className="text-lead text-quiet">{BAND_WORDS.addThePeopleYouPlayWith}</p>
          ) : (
            <PlayerForm key={chosen.id} member={chosen}>
              {seat !== undefined && <SeatLine person={seat} leads={leads} onMade={setMade} />}
            </PlayerForm>
          )}
        </div>
      </div>
      {people !== undefined && <BandDoors band={band} people={people} onMade={setMade} />}
    </div>
  );
}

interface PlayerLineProps {
  readonly member: Member;
  /** What they are in the band, once it is known. */
  readonly seat: People['people'][number] | undefined;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function PlayerLine({ member, seat, chosen, onChoose }: PlayerLineProps) {
  const lens = useLens();
  const note = readerNote(memberChoice(member), keyInForce(lens), lens.naming);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      className="w-full rounded-xl px-4 py-2 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_3px_0_0_var(--accent)]"
    >
      <span className="flex items-center gap-2 text-lead leading-tight font-bold">
        {member.name}
        {seat?.isYou && <span className="rounded-full bg-wash px-2.5 py-0.5 text-fine font-semibold">{PEOPLE_WORDS.itIsYou}</span>}
      </span>
      <span className="block text-base text-quiet">
        {[member.plays, ...(seat === undefined ? [] : [seatSigns(seat)])].filter((words) => words !== '').join(' · ')}
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
