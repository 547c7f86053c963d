import { randomUUID } from 'node:crypto';
import { GAP_SECONDS, NEW_SET_SONG } from '@aurora/core';
import type { MemberCreateRequest, MemberReads, SetListBody, SetSongEntry } from '@aurora/wire';
import { addBand } from '../band/band-store.ts';
import type { House } from '../context/enter.ts';
import type { Db } from '../db/pool.ts';
import { bandIds, isEmpty } from '../db/whole-house.ts';
import { addMember } from '../member/member-store.ts';
import { addAccount } from '../people/account-store.ts';
import { addPiece } from '../piece/piece-store.ts';
import { addPasses, type Player as Practiser } from '../practice/pass-store.ts';
import { saveSession, saveSettings } from '../practice/session-store.ts';
import { addSet } from '../set/set-store.ts';
import { addSong } from '../song/song-store.ts';
import { DEMO_PIECES } from './demo-piece-table.ts';
import { demoPractice } from './demo-practice.ts';
import { DEMO_SONGS, DEMO_TAGS } from './demo-song-table.ts';

const DEMO_BAND = 'The Weirlamp Seven';

/** G3 to D5 with ease, E3 to F5 on a good day. */
const INES: MemberReads['voice'] = { comfortable: { low: 55, high: 74 }, possible: { low: 52, high: 77 } };
/** G2 to F4 with ease, E2 to A4 on a good day. */
const TAM: MemberReads['voice'] = { comfortable: { low: 43, high: 65 }, possible: { low: 40, high: 69 } };

/** The demo band's players. */
export const DEMO_MEMBERS: readonly MemberCreateRequest[] = [
  { name: 'Ines', plays: 'voice', reads: { show: 'letters', cues: 'own', voice: INES } },
  { name: 'Tam', plays: 'guitar', reads: { voice: TAM } },
  { name: 'Juno', plays: 'second guitar', reads: { barres: 'none', words: false } },
  { name: 'Bram', plays: 'bass', reads: { part: 'bass', cues: 'own', words: false } },
  { name: 'Odile', plays: 'alto saxophone', reads: { transpose: 9, show: 'letters', cues: 'own', words: false } },
  { name: 'Pim', plays: 'trumpet', reads: { transpose: 2, show: 'letters', cues: 'own', words: false } },
  { name: 'Rosa', plays: 'drums', reads: { part: 'form', size: 'large type', cues: 'own' } },
];

/** The player who leads the demo band, and whom everybody is who comes to the demo. */
export const DEMO_LEADER = 'Tam';

/** Fills an empty database with the demo band; of one that is older its players get their accounts, and the rest is left alone. */
export async function seedDemo(house: Pick<House, 'as'>): Promise<void> {
  if (!(await isEmpty(house.as({})))) return peopleOlderDemo(house);
  const bandId = randomUUID();
  const db = house.as({ band: bandId });
  await addBand(db, DEMO_BAND, bandId);
  const players = new Map<string, string>();
  for (const member of DEMO_MEMBERS) players.set(member.name, await addPlayer(house, bandId, member));
  const by = { memberId: players.get(DEMO_LEADER) ?? null, name: DEMO_LEADER };
  const songs = new Map<string, string>();
  for (const source of DEMO_SONGS) {
    const title = /^title: (.*)$/m.exec(source)?.[1] ?? '';
    songs.set(title, (await addSong(db, bandId, { source, tags: DEMO_TAGS[title] ?? [], by }))?.id ?? '');
  }
  await addSet(db, bandId, demoSet(songs, players.get('Juno') ?? ''), by);
  for (const { title, by: writer, abc } of DEMO_PIECES)
    await addPiece(db, bandId, { title, by: writer, format: 'abc', source: Buffer.from(abc), rhythm: 'auto' });
  await addPractice(db, { bandId, memberId: players.get('Tam') ?? '' });
}

/** A demo from before there were accounts: each of its players gets one. */
async function peopleOlderDemo(house: Pick<House, 'as'>): Promise<void> {
  const [bandId] = await bandIds(house.as({}));
  if (bandId === undefined) return;
  const { rows } = await house
    .as({ band: bandId })
    .query<{ id: string; name: string; has: boolean }>(
      'select id, name, account_id is not null as has from member where band_id = $1 order by created_at, name',
      [bandId],
    );
  if (rows.some(({ has }) => has)) return;
  const leader = rows.find(({ name }) => name === DEMO_LEADER) ?? rows[0];
  for (const { id, name } of rows) await signUp(house, bandId, { id, name, leads: id === leader?.id });
}

/** A player with an account, so that one can be them. */
async function addPlayer(house: Pick<House, 'as'>, bandId: string, member: MemberCreateRequest): Promise<string> {
  const id = (await addMember(house.as({ band: bandId }), bandId, member))?.id ?? '';
  await signUp(house, bandId, { id, name: member.name, leads: member.name === DEMO_LEADER });
  return id;
}

interface Player {
  readonly id: string;
  readonly name: string;
  readonly leads: boolean;
}

async function signUp(house: Pick<House, 'as'>, bandId: string, { id, name, leads }: Player): Promise<void> {
  const account = await addAccount(house, name);
  await house
    .as({ band: bandId, account })
    .query('update member set account_id = $3, role = $4 where band_id = $1 and id = $2', [
      bandId,
      id,
      account,
      leads ? 'leader' : 'member',
    ]);
}

const PASSES_AT_ONCE = 1000;

/** The guitarist's six weeks. */
async function addPractice(db: Db, player: Practiser): Promise<void> {
  const { passes, sessions, settings } = demoPractice();
  await saveSettings(db, player, settings);
  for (let at = 0; at < passes.length; at += PASSES_AT_ONCE) await addPasses(db, player, passes.slice(at, at + PASSES_AT_ONCE), new Date());
  for (const session of sessions) await saveSession(db, player, session);
}

/** An evening with a key for the singer, capos, a medley and a break. */
function demoSet(songs: ReadonlyMap<string, string>, juno: string): SetListBody {
  const song = (id: string, title: string, more: Partial<SetSongEntry> = {}): SetSongEntry => ({
    ...NEW_SET_SONG,
    id,
    songId: songs.get(title) ?? '',
    ...more,
  });
  return {
    name: 'Friday at the Tidehouse',
    place: 'The Tidehouse, Corriewick',
    startsAt: '20:30',
    date: '',
    gapSeconds: GAP_SECONDS,
    entries: [
      song('e1', 'Harbor Wall', { starts: 'Rosa', notes: 'Horns from the second verse' }),
      song('e2', 'Kelp Ladder', { seconds: 195, capos: { [juno]: 2 }, join: { kind: 'bridge', bridge: 'dominant' } }),
      song('e3', 'Emberwick Street', { key: 'D', capos: { [juno]: 2 }, starts: 'Tam' }),
      song('e4', 'Glasswater Orchard', { seconds: 205, tempo: 132, starts: 'Bram' }),
      { kind: 'break', id: 'e5', name: 'Break', seconds: 900 },
      song('e6', 'Low Tide Waltz', { seconds: 225, key: 'A', notes: 'Ask the room to dance' }),
      song('e7', 'Copper Line Shuffle', { seconds: 240, starts: 'Rosa', join: { kind: 'bridge', bridge: 'two-five' } }),
      song('e8', 'Northbound Gravel', { seconds: 165, starts: 'Tam' }),
      song('e9', 'Two Lanterns', { seconds: 300, notes: 'Last one: slow, everybody sings' }),
    ],
  };
}
