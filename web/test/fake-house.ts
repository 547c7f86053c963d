// A house that answers in the page itself: a band with songs, sets and players that tests read and change through the
// same calls as the application. What it does not know is answered 404, as the server would.
import { printKey, readChart } from '@aurora/core';
import {
  DEFAULT_PREFERENCES,
  DEFAULT_READS,
  type Me,
  type Member,
  type MemberReads,
  type Preferences,
  type SetList,
  type Song,
  type SongSummary,
} from '@aurora/wire';
import { leaderOf } from './known-me.ts';

export const BAND_ID = '00000000-0000-4000-8000-0000000000ba';
const SAVED_AT = '2026-01-01T00:00:00.000Z';

let count = 0;
const freshId = () => {
  count += 1;
  return `00000000-0000-4000-8000-${String(count).padStart(12, '0')}`;
};

/** What was asked of the house. */
export interface Asked {
  readonly method: string;
  /** Without `/api/v1`. */
  readonly path: string;
  readonly body: unknown;
}

type Answering = (asked: Asked, match: readonly string[]) => unknown;

/** An answer that is none of 200. */
export class Refusal {
  readonly status: number;
  readonly detail: string;
  readonly more: object;

  constructor(status: number, detail: string, more: object = {}) {
    this.status = status;
    this.detail = detail;
    this.more = more;
  }
}

/** A song as the server outlines it. */
export function songOf(source: string, over: Partial<Song> = {}): Song {
  const { head, bars } = readChart(source);
  return {
    id: freshId(),
    title: /^title: (.*)$/m.exec(source)?.[1] ?? '',
    by: '',
    key: printKey(head.key),
    tempo: Number(/^tempo: (\d+)$/m.exec(source)?.[1] ?? 0) || null,
    bars: bars.length,
    opening: ['1', '4', '6-', '5'],
    ridge: [0, 1, 2, 1],
    tags: [],
    archived: false,
    revision: 1,
    savedAt: SAVED_AT,
    source,
    ...over,
  };
}

export function playerOf(name: string, plays: string, reads: Partial<MemberReads> = {}): Member {
  return { id: freshId(), name, plays, reads: { ...DEFAULT_READS, ...reads }, instrument: null, isIn: true };
}

/** What a player is in the band: the one who looks leads it, and all are signed in. */
export const seatOf = ({ id, name }: Member, isYou = false) => ({
  memberId: id,
  name,
  role: isYou ? 'leader' : 'member',
  isIn: true,
  isYou,
  guestUntil: null as string | null,
});

export const entryOf = (song: Song, over: object = {}) => ({
  kind: 'song' as const,
  id: freshId(),
  songId: song.id,
  key: null,
  tempo: null,
  capos: {},
  starts: '',
  notes: '',
  seconds: null,
  join: { kind: 'gap' as const },
  ...over,
});

export function setOf(name: string, songs: readonly Song[], over: Partial<SetList> = {}): SetList {
  const entries = songs.map((song) => entryOf(song));
  return {
    id: freshId(),
    name,
    place: '',
    startsAt: '',
    date: '',
    gapSeconds: 30,
    entries,
    revision: 1,
    savedAt: SAVED_AT,
    savedBy: null,
    songs: [...songs],
    ...over,
  };
}

interface Version {
  readonly revision: number;
  readonly source: string;
  name: string | null;
}

export class FakeHouse {
  me: Me = leaderOf(BAND_ID, 'The Weirlamp Seven');
  songs: Song[] = [];
  sets: SetList[] = [];
  members: Member[] = [];
  preferences: Preferences = DEFAULT_PREFERENCES;
  readonly asked: Asked[] = [];
  /** When set, nothing answers. */
  isAway = false;
  readonly #versions = new Map<string, Version[]>();
  readonly #answers: [method: string, path: RegExp, answer: Answering][] = [];

  constructor() {
    this.#songs();
    this.#sets();
    this.#band();
  }

  /** Has a call answered otherwise than usual, or at all; what is said last counts. */
  on(method: string, path: RegExp, answer: Answering): this {
    this.#answers.unshift([method, new RegExp(`^${path.source}$`), answer]);
    return this;
  }

  /** What was asked with this method of paths like that. */
  all(method: string, path: RegExp): readonly Asked[] {
    return this.asked.filter((one) => one.method === method && path.test(one.path));
  }

  addSong(source: string, over: Partial<Song> = {}): Song {
    const song = songOf(source, over);
    this.songs.push(song);
    this.#versions.set(song.id, [{ revision: 1, source, name: null }]);
    return song;
  }

  /** Lets the page ask this house and no other. */
  open(): this {
    globalThis.fetch = ((url: string, init: RequestInit = {}) => this.#fetch(String(url), init)) as typeof fetch;
    return this;
  }

  async #fetch(url: string, { method = 'GET', body }: RequestInit): Promise<unknown> {
    const path = url.replace(/^https?:\/\/[^/]+/, '').replace('/api/v1', '');
    const asked = { method, path, body: typeof body === 'string' ? JSON.parse(body) : (body ?? null) };
    this.asked.push(asked);
    await Promise.resolve();
    if (this.isAway) throw new TypeError('Failed to fetch');
    for (const [verb, pattern, answer] of this.#answers) {
      const match = verb === method ? pattern.exec(path) : null;
      if (match !== null) return responseOf(await answer(asked, match.slice(1)));
    }
    return responseOf(new Refusal(404, `Nothing answers ${method} ${path}.`));
  }

  #song(id: string): Song {
    const song = this.songs.find((one) => one.id === id);
    if (song === undefined) throw new Error(`no song ${id}`);
    return song;
  }

  #put(song: Song): Song {
    this.songs = this.songs.map((one) => (one.id === song.id ? song : one));
    return song;
  }

  #songs(): void {
    const [all, one] = [`/bands/${BAND_ID}/songs`, `/bands/${BAND_ID}/songs/([^/?]+)`];
    this.on('GET', new RegExp(`${all}(?:\\?(.*))?`), (_, [search]) => ({
      songs: found(this.songs, new URLSearchParams(search)),
      next: null,
    }));
    this.on('GET', new RegExp(`${one}`), (_, [id]) => this.#song(id as string));
    this.on('GET', new RegExp(`${all}/tags`), () => ({ tags: tagsOf(this.songs) }));
    this.on('GET', new RegExp(`${one}/alike`), () => ({ songs: [] }));
    this.on('GET', new RegExp(`${one}/swaps`), () => ({ swaps: [] }));
    this.on('POST', new RegExp(all), ({ body }) => this.addSong((body as { source: string }).source));
    this.on('POST', new RegExp(`${one}/copies`), (_, [id]) => {
      const { source, tags, title } = this.#song(id as string);
      return this.addSong(source.replace(`title: ${title}`, `title: ${title} (copy)`), { tags });
    });
    this.on('PATCH', new RegExp(one), ({ body }, [id]) => this.#put({ ...this.#song(id as string), ...(body as object) }));
    this.on('PUT', new RegExp(one), ({ body }, [id]) => this.save(id as string, body as { source: string; baseRevision: number }));
    this.on('GET', new RegExp(`${one}/versions(?:\\?.*)?`), ({ path }, [id]) => ({
      versions: this.#heads(id as string, path.includes('named=yes')),
      next: null,
    }));
    this.on('GET', new RegExp(`${one}/versions/(\\d+)`), (_, [id, revision]) => this.#version(id as string, Number(revision)));
    this.on('PATCH', new RegExp(`${one}/versions/(\\d+)`), ({ body }, [id, revision]) => {
      const version = (this.#versions.get(id as string) ?? []).find((each) => each.revision === Number(revision)) as Version;
      version.name = (body as { name: string | null }).name;
      return this.#version(id as string, Number(revision));
    });
  }

  /** A chart saved by this page, or by somebody else. */
  save(id: string, { source, baseRevision }: { readonly source: string; readonly baseRevision?: number }): Song | Refusal {
    const before = this.#song(id);
    if (baseRevision !== undefined && baseRevision !== before.revision)
      return new Refusal(409, 'Somebody saved a newer revision.', { current: before });
    const { id: _, ...outline } = songOf(source);
    const revision = before.revision + 1;
    this.#versions.get(id)?.unshift({ revision, source, name: null });
    return this.#put({ ...before, ...outline, tags: before.tags, archived: before.archived, revision });
  }

  #heads(id: string, named: boolean) {
    const versions = this.#versions.get(id) ?? [];
    return versions
      .filter(({ name }) => !named || name !== null)
      .map(({ revision, name }) => ({ revision, name, savedAt: SAVED_AT, by: 'Tam', changes: [] }));
  }

  #version(id: string, revision: number) {
    const found = this.#versions.get(id)?.find((one) => one.revision === revision);
    return found === undefined ? new Refusal(404, 'There is no such version.') : { ...found, savedAt: SAVED_AT, by: 'Tam' };
  }

  #sets(): void {
    const [all, one] = [`/bands/${BAND_ID}/sets`, `/bands/${BAND_ID}/sets/([^/?]+)`];
    const whole = (set: SetList) => ({
      ...set,
      songs: this.songs.filter(({ id }) => set.entries.some((entry) => entry.kind === 'song' && entry.songId === id)),
    });
    this.on('GET', new RegExp(all), () => ({
      sets: this.sets.map(({ entries, gapSeconds: _, songs: __, ...head }) => ({ ...head, songs: entries.length })),
    }));
    this.on('GET', new RegExp(one), (_, [id]) => {
      const set = this.sets.find((each) => each.id === id);
      return set === undefined ? new Refusal(404, 'There is no such set.') : whole(set);
    });
    this.on('POST', new RegExp(all), ({ body }) => {
      const set = { ...setOf('', []), ...(body as object) };
      this.sets.unshift(set);
      return whole(set);
    });
    this.on('PUT', new RegExp(one), ({ body }, [id]) => {
      const { baseRevision, ...content } = body as { baseRevision: number };
      this.sets = this.sets.map((set) => (set.id === id ? { ...set, ...content, revision: baseRevision + 1 } : set));
      return whole(this.sets.find((set) => set.id === id) as SetList);
    });
    this.on('DELETE', new RegExp(one), (_, [id]) => {
      this.sets = this.sets.filter((set) => set.id !== id);
      return { gone: true };
    });
  }

  #band(): void {
    const members = `/bands/${BAND_ID}/members`;
    this.on('GET', /\/me/, () => this.me);
    this.on('GET', new RegExp(members), () => ({ members: this.members }));
    this.on('GET', /.*\/people/, () => ({ people: this.members.map((member, place) => seatOf(member, place === 0)), invitations: [] }));
    this.on('POST', new RegExp(members), ({ body }) => {
      const { name, plays, reads } = body as { name: string; plays: string; reads?: Partial<MemberReads> };
      const member = playerOf(name, plays, reads);
      this.members.push(member);
      return member;
    });
    this.on('PATCH', new RegExp(`${members}/([^/]+)`), ({ body }, [id]) => {
      const { reads, ...rest } = body as { reads?: Partial<MemberReads> };
      this.members = this.members.map((one) => (one.id === id ? { ...one, ...rest, reads: { ...one.reads, ...reads } } : one));
      return this.members.find((one) => one.id === id);
    });
    this.on('PUT', new RegExp(`${members}/([^/]+)/instrument`), ({ body }, [id]) => {
      this.members = this.members.map((one) => (one.id === id ? { ...one, instrument: body as Member['instrument'] } : one));
      return this.members.find((one) => one.id === id);
    });
    this.on('DELETE', new RegExp(`${members}/([^/]+)`), (_, [id]) => {
      this.members = this.members.filter((one) => one.id !== id);
      return { gone: true };
    });
    this.on('GET', new RegExp(`/bands/${BAND_ID}/preferences`), () => this.preferences);
    this.on('PATCH', new RegExp(`/bands/${BAND_ID}/preferences`), ({ body }) => {
      const { naming } = body as { naming?: Preferences['naming'] };
      this.preferences = { ...this.preferences, ...(naming === undefined ? {} : { naming: { ...this.preferences.naming, ...naming } }) };
      return this.preferences;
    });
  }
}

function responseOf(answer: unknown) {
  const refused = answer instanceof Refusal ? answer : null;
  const body =
    refused === null ? answer : { type: 'about:blank', title: 'Refused', status: refused.status, detail: refused.detail, ...refused.more };
  const status = refused?.status ?? 200;
  const text = JSON.stringify(body);
  return {
    ok: status < 400,
    status,
    headers: { get: () => null },
    json: () => Promise.resolve(JSON.parse(text)),
    text: () => Promise.resolve(text),
    blob: () => Promise.resolve(new Blob([text])),
  };
}

/** Songs as a shelf is asked for them; the pattern is looked for as it stands. */
function found(songs: readonly Song[], search: URLSearchParams): readonly SongSummary[] {
  const [find, pattern, tag] = [search.get('find')?.toLowerCase() ?? '', search.get('pattern') ?? '', search.get('tag')];
  const archived = search.get('archived') === 'yes';
  return songs
    .filter((song) => song.archived === archived && song.title.toLowerCase().includes(find) && (tag === null || song.tags.includes(tag)))
    .filter(({ source }) => source.includes(pattern))
    .sort((one, other) => (search.get('sort') === 'tempo' ? (one.tempo ?? 0) - (other.tempo ?? 0) : one.title.localeCompare(other.title)))
    .map(({ source: _, ...head }) => head);
}

function tagsOf(songs: readonly Song[]) {
  const tags = songs.flatMap((song) => song.tags);
  return [...new Set(tags)].map((tag) => ({ tag, songs: tags.filter((one) => one === tag).length }));
}
