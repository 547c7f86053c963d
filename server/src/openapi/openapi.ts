import { OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi';
import * as wire from '@aurora/wire';
import { z } from 'zod';

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';

interface Call {
  readonly method: Method;
  readonly path: string;
  readonly summary: string;
  readonly body?: z.ZodType;
  readonly query?: z.ZodObject;
  readonly answer: z.ZodType;
  readonly status?: number;
  /** What it answers with, when that is not JSON. */
  readonly content?: string;
  /** Statuses this call answers with problem+json, beside 400, 413 and 422 for its body. */
  readonly problems?: readonly number[];
}

const GONE = z.object({ gone: z.boolean() });

const CALLS: readonly Call[] = [
  { method: 'post', path: '/harmonize', summary: 'Harmonize a key', body: wire.harmonizeRequest, answer: wire.harmonizeAnswer },
  { method: 'post', path: '/chords/parse', summary: 'Read a chord symbol', body: wire.chordParseRequest, answer: wire.chordParseAnswer },
  {
    method: 'post',
    path: '/chords/identify',
    summary: 'Name a set of notes',
    body: wire.chordIdentifyRequest,
    answer: wire.chordIdentifyAnswer,
  },
  {
    method: 'post',
    path: '/analyze',
    summary: 'Keys, readings and scales of a progression',
    body: wire.analyzeRequest,
    answer: wire.analyzeAnswer,
  },
  { method: 'post', path: '/charts/parse', summary: 'Read a chart text', body: wire.chartParseRequest, answer: wire.chartParseAnswer },
  {
    method: 'post',
    path: '/charts/render',
    summary: 'Write a chart for a key and a reader',
    body: wire.chartRenderRequest,
    answer: wire.chartRenderAnswer,
  },
  {
    method: 'post',
    path: '/voicings',
    summary: 'Shapes of a chord on an instrument',
    body: wire.voicingsRequest,
    answer: wire.voicingsAnswer,
  },
  { method: 'post', path: '/capo', summary: 'Every fret for a capo, the kindest first', body: wire.capoRequest, answer: wire.capoAnswer },
  {
    method: 'post',
    path: '/bridges',
    summary: 'Ways from the last chord of a song to the first of the next',
    body: wire.bridgesRequest,
    answer: wire.bridgesAnswer,
  },
  {
    method: 'post',
    path: '/convert',
    summary: 'A song from one format into another, with what gets lost',
    body: wire.convertRequest,
    answer: wire.convertAnswer,
  },
  {
    method: 'post',
    path: '/sheets/pdf',
    summary: 'Set drawn pages as a PDF',
    body: wire.sheetRequest,
    answer: z.string().meta({ format: 'binary' }),
    content: 'application/pdf',
  },
  { method: 'get', path: '/bands', summary: 'The bands', answer: wire.bandsAnswer, problems: [503] },
  {
    method: 'get',
    path: '/bands/{bandId}/songs',
    summary: 'The band’s songs, found and sorted, a page at a time',
    query: wire.songsQuery,
    answer: wire.songsAnswer,
    problems: [404, 422, 503],
  },
  {
    method: 'post',
    path: '/bands/{bandId}/songs',
    summary: 'Add a song',
    body: wire.songCreateRequest,
    answer: wire.song,
    status: 201,
    problems: [404, 503],
  },
  { method: 'get', path: '/bands/{bandId}/songs/{songId}', summary: 'A song with its chart', answer: wire.song, problems: [404, 503] },
  {
    method: 'put',
    path: '/bands/{bandId}/songs/{songId}',
    summary: 'Save a chart on top of a revision',
    body: wire.songSaveRequest,
    answer: wire.song,
    problems: [404, 409, 503],
  },
  {
    method: 'get',
    path: '/bands/{bandId}/songs/{songId}/versions',
    summary: 'The saves of a song, newest first, a page at a time',
    query: wire.versionsQuery,
    answer: wire.songVersionsAnswer,
    problems: [404, 422, 503],
  },
  {
    method: 'get',
    path: '/bands/{bandId}/songs/{songId}/versions/{revision}',
    summary: 'One save with its chart',
    answer: wire.songVersion,
    problems: [404, 503],
  },
  {
    method: 'patch',
    path: '/bands/{bandId}/songs/{songId}/versions/{revision}',
    summary: 'Name a save',
    body: wire.versionName,
    answer: wire.songVersion.omit({ source: true }),
    problems: [404, 503],
  },
  {
    method: 'patch',
    path: '/bands/{bandId}/songs/{songId}',
    summary: 'Change a song’s tags, put it away or bring it back',
    body: wire.songChange,
    answer: wire.song,
    problems: [404, 503],
  },
  {
    method: 'post',
    path: '/bands/{bandId}/songs/{songId}/copies',
    summary: 'Put a copy of a song on the shelf',
    answer: wire.song,
    status: 201,
    problems: [404, 503],
  },
  { method: 'get', path: '/bands/{bandId}/songs/tags', summary: 'The band’s tags', answer: wire.tagsAnswer, problems: [404, 503] },
  {
    method: 'get',
    path: '/bands/{bandId}/songs/{songId}/alike',
    summary: 'Songs with the same number pattern, in any key and rotation',
    answer: wire.alikeAnswer,
    problems: [404, 503],
  },
  {
    method: 'get',
    path: '/bands/{bandId}/songs/{songId}/swaps',
    summary: 'Chords that players play otherwise',
    answer: wire.swapsAnswer,
    problems: [404, 503],
  },
  {
    method: 'put',
    path: '/bands/{bandId}/songs/{songId}/swaps',
    summary: 'Have a player play another chord, or the one that is written',
    body: wire.swapRequest,
    answer: wire.swapsAnswer,
    problems: [404, 503],
  },
  { method: 'get', path: '/bands/{bandId}/preferences', summary: 'What the band prefers', answer: wire.preferences, problems: [404, 503] },
  { method: 'get', path: '/bands/{bandId}/members', summary: 'Who plays, and on what', answer: wire.membersAnswer, problems: [404, 503] },
  {
    method: 'post',
    path: '/bands/{bandId}/members',
    summary: 'Add a player',
    body: wire.memberCreateRequest,
    answer: wire.member,
    status: 201,
    problems: [404, 503],
  },
  {
    method: 'patch',
    path: '/bands/{bandId}/members/{memberId}',
    summary: 'Change how a player reads',
    body: wire.memberChange,
    answer: wire.member,
    problems: [404, 503],
  },
  { method: 'delete', path: '/bands/{bandId}/members/{memberId}', summary: 'Take a player out', answer: GONE, problems: [404, 503] },
  { method: 'get', path: '/bands/{bandId}/sets', summary: 'The band’s sets', answer: wire.setListsAnswer, problems: [404, 503] },
  {
    method: 'post',
    path: '/bands/{bandId}/sets',
    summary: 'Make a set',
    body: wire.setListBody,
    answer: wire.setList,
    status: 201,
    problems: [404, 503],
  },
  { method: 'get', path: '/bands/{bandId}/sets/{setId}', summary: 'A set with its songs', answer: wire.setList, problems: [404, 503] },
  {
    method: 'put',
    path: '/bands/{bandId}/sets/{setId}',
    summary: 'Save a set on top of a revision',
    body: wire.setListSaveRequest,
    answer: wire.setList,
    problems: [404, 409, 503],
  },
  { method: 'delete', path: '/bands/{bandId}/sets/{setId}', summary: 'Take a set away', answer: GONE, problems: [404, 503] },
  {
    method: 'post',
    path: '/bands/{bandId}/packs',
    summary: 'Start on a PDF for every player, of a song or a set',
    body: wire.packRequest,
    answer: wire.jobState,
    status: 202,
    problems: [404, 503],
  },
  {
    method: 'get',
    path: '/bands/{bandId}/imports/{importId}',
    summary: 'What a file that was read would become',
    answer: wire.importPreview,
    problems: [404, 503],
  },
  {
    method: 'post',
    path: '/bands/{bandId}/imports/{importId}/accept',
    summary: 'Start on taking a file in: all of it, or nothing',
    body: wire.importAccept,
    answer: wire.jobState,
    status: 202,
    problems: [404, 503],
  },
  {
    method: 'post',
    path: '/bands/{bandId}/exports',
    summary: 'Start on a zip of every song in another format',
    body: wire.exportRequest,
    answer: wire.jobState,
    status: 202,
    problems: [404, 503],
  },
  {
    method: 'get',
    path: '/bands/{bandId}/exports/backup.json',
    summary: 'The whole band as a backup',
    answer: wire.bandBackup,
    problems: [404, 503],
  },
  { method: 'get', path: '/bands/{bandId}/jobs/{jobId}', summary: 'How far work on the server is', answer: wire.jobState, problems: [404] },
  { method: 'delete', path: '/bands/{bandId}/jobs/{jobId}', summary: 'Stop work on the server', answer: wire.jobState, problems: [404] },
  {
    method: 'get',
    path: '/bands/{bandId}/jobs/{jobId}/file',
    summary: 'The file that work on the server made',
    answer: z.string().meta({ format: 'binary' }),
    content: 'application/octet-stream',
    problems: [404],
  },
  {
    method: 'put',
    path: '/bands/{bandId}/members/{memberId}/instrument',
    summary: 'Set up a member’s instrument',
    body: wire.instrument,
    answer: wire.member,
    problems: [404, 503],
  },
  {
    method: 'patch',
    path: '/bands/{bandId}/preferences',
    summary: 'Change preferences',
    body: wire.preferencesChange,
    answer: wire.preferences,
    problems: [404, 503],
  },
];

const BODY_PROBLEMS = [400, 413, 415, 422];

/** The OpenAPI 3.1 document, made from the schemas that check the requests. */
export function openApiDocument(): object {
  const registry = new OpenAPIRegistry();
  for (const call of CALLS) registry.registerPath(pathOf(call));
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: { title: 'Aurora Ridge', version: '1', description: 'Harmony, charts and songs for a band. Notes are ASCII: F#, Bb.' },
    servers: [{ url: '/api/v1' }],
  });
}

function pathOf({ method, path, summary, body, query, answer, status = 200, content = 'application/json', problems = [] }: Call) {
  const failing = [...(body === undefined ? [] : BODY_PROBLEMS), ...problems, 429];
  return {
    method,
    path,
    summary,
    request: {
      ...(body === undefined ? {} : { body: { required: true, content: { 'application/json': { schema: body } } } }),
      ...(query === undefined ? {} : { query }),
      ...parametersOf(path),
    },
    responses: {
      [status]: { description: summary, content: { [content]: { schema: answer } } },
      ...Object.fromEntries(
        failing.map((code) => [code, { description: 'Problem', content: { 'application/problem+json': { schema: wire.problem } } }]),
      ),
    },
  };
}

function parametersOf(path: string) {
  const names = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1] as string);
  return names.length === 0
    ? {}
    : { params: z.object(Object.fromEntries(names.map((name) => [name, name === 'revision' ? z.coerce.number().int() : z.uuid()]))) };
}
