/** @jest-environment jsdom */
import '../../test/dom.ts';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import { FakeHouse, Refusal } from '../../test/fake-house.ts';
import { songKey } from '../api/songs.ts';
import { changeSong } from './change-song.ts';
import { OpenDocuments, type Page } from './open-documents.ts';
import { SONG_DOCUMENT } from './song-drafts.ts';

const BAND = '00000000-0000-4000-8000-0000000000ba';

/** A page that counts who listens to it. */
class CountedPage implements Page {
  readonly saves = new Set<() => void>();
  readonly asks = new Set<() => boolean>();
  onLeaving = (save: () => void) => {
    this.saves.add(save);
    return () => void this.saves.delete(save);
  };
  onClosing = (ask: () => boolean) => {
    this.asks.add(ask);
    return () => void this.asks.delete(ask);
  };
}

let house: FakeHouse;
let queries: QueryClient;
let page: CountedPage;
let documents: OpenDocuments;

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  house = new FakeHouse();
  house.open();
  queries = new QueryClient();
  page = new CountedPage();
  documents = new OpenDocuments(queries, page);
});

const settled = () => new Promise((resolve) => setTimeout(resolve, 20));
function song(text = 'key: C\n\n1 4\n') {
  const made = house.addSong(text);
  const open = () => documents.open(SONG_DOCUMENT, { bandId: BAND, id: made.id }, house.songs.find(({ id }) => id === made.id) ?? made);
  return { id: made.id, open, source: () => house.songs.find(({ id }) => id === made.id)?.source };
}
const listeners = () => [queries.getQueryCache().hasListeners(), page.saves.size, page.asks.size, documents.size];

describe('a document that is open', () => {
  test('is one, whoever opens it, until the last has closed it', async () => {
    const { open } = song();
    const [first, second] = [open(), open()];
    expect(first.document).toBe(second.document);
    first.close();
    first.close();
    await settled();
    expect(documents.size).toBe(1);
    second.close();
    await settled();
    expect(listeners()).toEqual([false, 0, 0, 0]);
  });

  test('takes in what others save, and no longer when it is closed', async () => {
    const { id, open } = song();
    const { document, close } = open();
    const theirs = (source: string) =>
      queries.setQueryData(songKey(BAND, id), { ...house.save(id, { source }), savedAt: new Date(Date.now() + 1e6).toISOString() });
    theirs('key: C\n\n1 5\n');
    expect(document.get().value).toBe('key: C\n\n1 5\n');
    close();
    await settled();
    theirs('key: C\n\n1 6-\n');
    expect(document.get().value).toBe('key: C\n\n1 5\n');
  });

  test('a hundred songs opened and left cost nothing', async () => {
    for (let count = 0; count < 100; count += 1) {
      const { open } = song();
      open().close();
    }
    await settled();
    const asked = house.asked.length;
    expect(listeners()).toEqual([false, 0, 0, 0]);
    await settled();
    expect(house.asked.length).toBe(asked);
  });

  test('left with something unsaved it is saved, and then gone', async () => {
    const { open, source } = song();
    const { document, close } = open();
    document.write('key: C\n\n1 57\n');
    close();
    await settled();
    expect([source(), documents.size]).toEqual(['key: C\n\n1 57\n', 0]);
  });

  test('left while the house is away it stays until the house has it, and asks before it would be lost', async () => {
    const { open, source } = song();
    house.isAway = true;
    const { document, close } = open();
    document.write('key: C\n\n1 57\n');
    close();
    await settled();
    expect([documents.size, document.get().status.kind]).toEqual([1, 'away']);
    // it is kept on this device, so closing the tab loses nothing
    expect([...page.asks].map((ask) => ask())).toEqual([false]);
    const again = open();
    expect(again.document).toBe(document);
    again.close();
    house.isAway = false;
    for (const save of page.saves) save();
    await settled();
    expect([source(), documents.size]).toEqual(['key: C\n\n1 57\n', 0]);
  });

  test('what was done is taken back also after it was closed and opened again', async () => {
    const { open } = song();
    const first = open();
    first.document.write('key: C\n\n1 57\n');
    first.close();
    await settled();
    const { document, close } = open();
    expect(document.get().canUndo).toBe(true);
    document.undo();
    expect(document.get().value).toBe('key: C\n\n1 4\n');
    close();
  });

  test('everything that is open is saved when the page is left', async () => {
    const [a, b] = [song(), song()];
    for (const { open } of [a, b]) open().document.write('key: C\n\n1 57\n');
    for (const save of page.saves) save();
    await settled();
    expect([a.source(), b.source()]).toEqual(['key: C\n\n1 57\n', 'key: C\n\n1 57\n']);
  });
});

describe('a song changed from outside its own room', () => {
  const addBar = (source: string) => source.replace('1 4', '1 4 5');
  const fetched = (id: string) => house.songs.find((one) => one.id === id) as (typeof house.songs)[number];

  test('is saved, and can be taken back', async () => {
    const { id, source } = song();
    const changed = await changeSong(queries, BAND, fetched(id), addBar);
    expect([changed.kind, source()]).toEqual(['saved', 'key: C\n\n1 4 5\n']);
    if (changed.kind === 'saved') await changed.undo();
    expect(source()).toBe('key: C\n\n1 4\n');
  });

  test('is put together with what somebody saved meanwhile', async () => {
    const { id, source } = song('key: C\n\n[A]\n1 4\n\n[B]\n6- 2-\n');
    const before = fetched(id);
    house.save(id, { source: before.source.replace('6- 2-', '6- 3-') });
    const changed = await changeSong(queries, BAND, before, addBar);
    expect([changed.kind, source()]).toEqual(['saved', 'key: C\n\n[A]\n1 4 5\n\n[B]\n6- 3-\n']);
  });

  test('is kept while the house is away, and asked about where both changed the same bar', async () => {
    const { id } = song();
    house.isAway = true;
    expect((await changeSong(queries, BAND, fetched(id), addBar)).kind).toBe('kept');
    house.isAway = false;
    const other = song();
    const before = fetched(other.id);
    house.save(other.id, { source: 'key: C\n\n1 2-\n' });
    expect(await changeSong(queries, BAND, before, (source) => source.replace('1 4', '1 6-'))).toEqual({ kind: 'asked', why: null });
  });

  test('says why when it is refused', async () => {
    const { id } = song();
    house.on('PUT', /.*/, () => new Refusal(422, 'This chart is too long.'));
    expect(await changeSong(queries, BAND, fetched(id), addBar)).toEqual({ kind: 'asked', why: 'This chart is too long.' });
  });
});
