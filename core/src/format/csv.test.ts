import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { readTable, SONG_COLUMNS, songsOfTable, writeTable } from './csv.ts';

describe('tables as CSV', () => {
  test('quotes what has to be quoted, and comes back as it was', () => {
    const table = {
      columns: ['title', 'notes'],
      rows: [
        { title: 'Salt, rope & tide', notes: 'said "slow"\nthen fast' },
        { title: 'Plain', notes: '' },
      ],
    };
    const text = writeTable(table);
    expect(text).toBe('title,notes\r\n"Salt, rope & tide","said ""slow""\nthen fast"\r\nPlain,\r\n');
    expect(requireValue(readTable(text))).toEqual(table);
  });

  test('what a spreadsheet would run is text, and comes back', () => {
    const table = { columns: ['title'], rows: [{ title: '=1+2' }, { title: '-tide' }] };
    expect(writeTable(table)).not.toMatch(/^=/m);
    expect(requireValue(readTable(writeTable(table))).rows).toEqual(table.rows);
  });

  test('semicolons, tabs, a byte order mark and capitals in the head line are read', () => {
    expect(requireValue(readTable('\ufeffTitle;KEY\nRope;G\n')).rows).toEqual([{ title: 'Rope', key: 'G' }]);
    expect(requireValue(readTable('title\tkey\nRope\tG\n')).rows).toEqual([{ title: 'Rope', key: 'G' }]);
  });

  test.each([
    ['nothing', '', 'format-empty'],
    ['a head line alone', 'title,key\n', 'format-empty'],
    ['an open quotation mark', 'title,key\n"Rope,G\n', 'format-broken'],
  ])('%s is refused', (_, text, code) => {
    const result = readTable(text);
    expect(result.ok ? null : result.fault.code).toBe(code);
  });
});

describe('a song index', () => {
  const songs = (text: string) => songsOfTable(requireValue(readTable(text)));

  test('becomes charts that are still without bars', () => {
    const [rope, plain] = requireValue(songs('title,by,key,time,tempo,feel,tags\nRope,Me,Eb,6/8,60,slow,"loud; encore"\nPlain,,,,,,\n'));
    expect(rope).toEqual({
      title: 'Rope',
      source: 'title: Rope\nby: Me\nkey: Eb\ntime: 6/8\ntempo: 60\nfeel: slow\n\n[A]\n',
      tags: ['loud', 'encore'],
      unread: [],
    });
    expect(plain?.source).toBe('title: Plain\n\n[A]\n');
  });

  test('what cannot be read in a row is told, the rest is kept', () => {
    const [song] = requireValue(songs('title,key,time,tempo\nRope,H,7/9,fast\n'));
    expect(song).toMatchObject({ source: 'title: Rope\n\n[A]\n', unread: ['key H', 'time 7/9', 'tempo fast'] });
  });

  test('a line break in a cell does not begin a line of the chart', () => {
    const [song] = requireValue(songs('title,by\n"Rope\n[B]",Me\n'));
    expect(song?.source).toBe('title: Rope [B]\nby: Me\n\n[A]\n');
  });

  test('without titles is refused', () => {
    expect(songs('name,key\nRope,G\n')).toMatchObject({ ok: false, fault: { code: 'format-missing' } });
    expect(SONG_COLUMNS).toContain('title');
  });
});
