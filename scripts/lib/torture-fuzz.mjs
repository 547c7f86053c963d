// @ts-check
import { setTimeout as sleep } from 'node:timers/promises';
import { randomFrom } from './random.mjs';

const AT_ONCE = 12;
const SLOW_MS = 5000;
const FILES_PER = 10;

const NAMES = [
  'key',
  'tonic',
  'scale',
  'symbol',
  'source',
  'notes',
  'depth',
  'reading',
  'from',
  'to',
  'content',
  'format',
  'data',
  'minutes',
  'passes',
  'kinds',
  'keys',
  'count',
  'seed',
  'as',
  'name',
  'role',
  'token',
  'email',
  'entries',
  'tuning',
  'maxFret',
  'capo',
  'limit',
  'options',
  'now',
];
const WORDS = [
  '',
  'C',
  'Eb',
  'H',
  'Gm7b5',
  'major',
  'numbers',
  'abc',
  'musicxml',
  'midi',
  'seventh',
  '1 4 5 1',
  'key: C\n\n1 4 5 1\n',
  '{',
  '('.repeat(400),
  '\u0000',
  '🎸',
  '%s',
  "'; drop table song; --",
  '../../etc/passwd',
  '1/0',
  'null',
  '-1',
  '1e999',
  'x'.repeat(3000),
  '|: 1 :|'.repeat(60),
  'C '.repeat(900),
  '"C"',
  '\ud83c',
];

/** @param {() => number} random @param {readonly any[]} of */
const one = (random, of) => of[Math.floor(random() * of.length)];

/** @param {() => number} random @param {number} depth @returns {unknown} */
function value(random, depth = 0) {
  const kind = random();
  if (kind < 0.45) return one(random, WORDS);
  if (kind < 0.6) return one(random, [0, 1, -1, 7, 200, 1e9, -1e9, 0.5, 2 ** 53]);
  if (kind < 0.7) return one(random, [true, false, null]);
  if (depth > 3) return 'deep';
  if (kind < 0.85) return Array.from({ length: Math.floor(random() * 6) }, () => value(random, depth + 1));
  return body(random, depth + 1);
}

/** @param {() => number} random @param {number} depth @returns {Record<string, unknown>} */
function body(random, depth = 0) {
  return Object.fromEntries(Array.from({ length: Math.floor(random() * 7) }, () => [one(random, NAMES), value(random, depth + 1)]));
}

/** A body that fits what the call asks for, here and there spoilt. @param {() => number} random @param {any} schema @param {any} all @param {number} depth @returns {unknown} */
function fitting(random, schema, all, depth = 0) {
  if (schema === undefined || depth > 6 || random() < 0.06) return value(random);
  if (schema.$ref !== undefined) return fitting(random, all[schema.$ref.split('/').at(-1)], all, depth + 1);
  for (const several of ['oneOf', 'anyOf', 'allOf'])
    if (Array.isArray(schema[several])) return fitting(random, one(random, schema[several]), all, depth + 1);
  if (schema.const !== undefined) return schema.const;
  if (Array.isArray(schema.enum)) return one(random, schema.enum);
  if (schema.type === 'object' || schema.properties !== undefined)
    return Object.fromEntries(
      Object.entries(schema.properties ?? {})
        .filter(([name]) => (schema.required ?? []).includes(name) || random() < 0.5)
        .map(([name, inner]) => [name, fitting(random, inner, all, depth + 1)]),
    );
  if (schema.type === 'array') return Array.from({ length: Math.floor(random() * 5) }, () => fitting(random, schema.items, all, depth + 1));
  if (schema.type === 'integer' || schema.type === 'number') return Math.round((schema.minimum ?? 0) + random() * 12);
  return one(random, WORDS);
}

/** @param {() => number} random */
function file(random) {
  const start = one(random, [
    'X:1\nT:a\nM:4/4\nL:1/4\nK:C\n',
    '<?xml version="1.0"?><score-partwise version="4.0"><part-list/>',
    'MThd\0\0\0\x06\0\x01\0\x02\x01\xe0',
    'title,key\n',
    '{"format":"aurora-ridge-band"',
    'PK\x03\x04',
    'key: C\n\n',
    '',
  ]);
  const piece = one(random, [
    '"C"C4|',
    '{',
    '(',
    '<note><pitch><step>C</step></pitch></note>',
    '\xff\x58',
    'a,b\n',
    '[V:1]',
    '1 4 5 1\n',
    '&#x41;',
    '\0',
    '|:',
    '🎸',
  ]);
  return Buffer.from(start + String(piece).repeat(Math.floor(random() ** 3 * 9000)), random() < 0.5 ? 'utf8' : 'latin1');
}

/**
 * Requests nobody would send, and files no program writes, against every call. True when nothing answered 500,
 * nothing took too long, and the house stayed awake meanwhile.
 * @param {import('./torture-faults.mjs').Tortured} tortured
 * @param {number} requests
 * @param {number} seed
 */
export async function tortureFuzz({ urls }, requests, seed) {
  const random = randomFrom(seed);
  const url = urls[0] ?? '';
  const document = /** @type {any} */ (await (await fetch(`${url}/api/v1/openapi.json`)).json());
  const { bands } = /** @type {any} */ (await (await fetch(`${url}/api/v1/me`)).json());
  const calls = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(/** @type {any} */ (methods)).map(([method, described]) => ({ path, method: method.toUpperCase(), described })),
  );
  // what would end the run rather than test it
  const fuzzed = calls.filter(
    ({ described }) => !/deleteBand|leaveBand|deleteMember|deleteMe|changeRole|signOut/.test(described.operationId),
  );
  const tally = new Tally();
  let sent = 0;
  let over = false;
  const pulse = pulseOf(url, () => over);
  const next = async () => {
    while (sent < requests) {
      sent += 1;
      const isFile = sent % FILES_PER === 0;
      const request = isFile
        ? fileRequest(random, bands[0].id)
        : callRequest(random, one(random, fuzzed), bands[0].id, document.components.schemas);
      const status = await tally.send(`${url}/api/v1`, request);
      // the house takes so many files at once, and says so
      if (isFile && status === 429) await sleep(60);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, next));
  over = true;
  const { longest, median } = await pulse;
  const { statuses, wrong, slowest } = tally;
  for (const line of wrong.slice(0, 20)) console.log(line);
  console.log(
    `${requests} fuzzed requests, ${Math.floor(requests / FILES_PER)} of them files: ${JSON.stringify(statuses)}; 500, without an answer or over 5 s: ${wrong.length}; the slowest ${(slowest / 1000).toFixed(1)} s; meanwhile a health call took ${median.toFixed(0)} ms in the middle and ${longest.toFixed(0)} ms at most (goal: 200 ms)`,
  );
  return wrong.length === 0;
}

/** @typedef {{ path: string, init: RequestInit, about: string }} Fuzzed */

/** A file no program writes. @param {() => number} random @param {string} bandId @returns {Fuzzed} */
function fileRequest(random, bandId) {
  const path = `/bands/${bandId}/imports?name=a.${one(random, ['abc', 'xml', 'mid', 'csv', 'json', 'txt', 'mxl'])}`;
  return { path, init: { method: 'POST', body: file(random), headers: { 'Content-Type': 'application/octet-stream' } }, about: 'a file' };
}

/** A call as nobody would make it. @param {() => number} random @param {any} call @param {string} bandId @param {any} schemas @returns {Fuzzed} */
function callRequest(random, { path, method, described }, bandId, schemas) {
  const target = path
    .replace('{bandId}', random() < 0.9 ? bandId : one(random, ['x', '00000000-0000-4000-8000-000000000000']))
    .replaceAll(/\{\w+\}/g, () => one(random, ['00000000-0000-4000-8000-000000000001', 'x', '1', '%00', '%ff']));
  const query =
    random() < 0.2
      ? `?${one(random, NAMES)}=${encodeURIComponent(
          one(
            random,
            WORDS.filter((word) => !/\p{Surrogate}/u.test(word)),
          ),
        )}`
      : '';
  const schema = described.requestBody?.content?.['application/json']?.schema;
  const text = random() < 0.03 ? '{"a":' : JSON.stringify(random() < 0.7 ? fitting(random, schema, schemas) : body(random));
  const headers = { 'Content-Type': random() < 0.03 ? 'text/plain' : 'application/json' };
  return {
    path: target + query,
    init: { method, headers, ...(method === 'GET' ? {} : { body: text ?? '' }) },
    about: String(text).slice(0, 300),
  };
}

/** What came back, and what should not have. */
class Tally {
  /** @type {Record<string, number>} */
  statuses = {};
  /** @type {string[]} */
  wrong = [];
  slowest = 0;

  /** @param {string} base @param {Fuzzed} request */
  async send(base, { path, init, about }) {
    const start = performance.now();
    let ms = 0;
    const status = await fetch(base + path, init).then(
      async (response) => {
        // a file that is sent as it is made takes as long as there is of it
        ms = performance.now() - start;
        await response.arrayBuffer();
        return response.status;
      },
      () => 0,
    );
    this.slowest = Math.max(this.slowest, ms);
    this.statuses[status] = (this.statuses[status] ?? 0) + 1;
    if (status === 500 || status === 0 || ms > SLOW_MS)
      this.wrong.push(`${status} after ${ms.toFixed(0)} ms: ${init.method} ${path} ${about}`);
    return status;
  }
}

/** Asks again and again whether the house is awake. @param {string} url @param {() => boolean} isOver */
async function pulseOf(url, isOver) {
  /** @type {number[]} */
  const times = [];
  while (!isOver()) {
    const start = performance.now();
    await fetch(`${url}/healthz`).then((response) => response.arrayBuffer());
    times.push(performance.now() - start);
    await sleep(20);
  }
  times.sort((a, b) => a - b);
  return { longest: times.at(-1) ?? 0, median: times[Math.floor(times.length / 2)] ?? 0 };
}
