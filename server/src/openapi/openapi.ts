import { OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi';
import { problem } from '@aurora/wire';
import { z } from 'zod';
import { CALL_TAGS, type Call } from '../call/call.ts';

/** The OpenAPI 3.1 document of the calls, made from the values their routes are made of. */
export function openApiDocument(calls: readonly Call[]): object {
  const registry = new OpenAPIRegistry();
  for (const call of calls) registry.registerPath(pathOf(call));
  registry.registerComponent('securitySchemes', SESSION, {
    type: 'apiKey',
    in: 'cookie',
    name: 'aurora',
    description: 'What a device shows that somebody signed in on; over TLS its name is __Host-aurora',
  });
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: {
      title: 'Aurora Ridge',
      version: '1',
      description:
        'Harmony, charts and songs for a band: everything the screens compute, and everything a band keeps. Notes are ASCII: F#, Bb. What cannot be read is answered as problem+json with its place. What computes may be asked by anybody; what a band keeps, by who belongs to it: they are signed in by a cookie that an invitation, a link or a password gives.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/api/v1' }],
    tags: Object.entries(CALL_TAGS).map(([name, description]) => ({ name, description })),
    security: [],
  });
}

/** The name of the way one is known by. */
const SESSION = 'session';

const PROBLEM_WORDS: Readonly<Record<number, string>> = {
  400: 'The body cannot be read',
  401: 'Nobody is signed in, or not in this way',
  403: 'Not for whoever asks',
  404: 'Not here',
  406: 'Not in a form the request accepts',
  409: 'It was saved elsewhere meanwhile; what is stored comes with the answer',
  413: 'Too much at once',
  415: 'The body is of another kind',
  422: 'Something in the request cannot be used, with its place',
  429: 'More calls than are answered in a minute',
  503: 'The song shelf cannot be reached',
  507: 'The disk of the server is full',
};

function pathOf(call: Call) {
  const { id, method, path, access, tag, summary, answer, query, status = 200, content = 'application/json' } = call;
  return {
    operationId: id,
    method,
    path,
    summary,
    tags: [tag],
    security: access === 'open' || access === 'stranger' ? [] : [{ [SESSION]: [] }],
    request: { ...bodyPart(call), ...(query === undefined ? {} : { query }), ...parametersOf(path) },
    responses: {
      [status]: { description: summary, content: { [content]: { schema: answer } } },
      ...Object.fromEntries(
        problemsOf(call).map((code) => [
          code,
          { description: PROBLEM_WORDS[code] as string, content: { 'application/problem+json': { schema: problem } } },
        ]),
      ),
    },
  };
}

function bodyPart({ body, takesFile }: Call) {
  if (takesFile)
    return { body: { required: true, content: { 'application/octet-stream': { schema: z.string().meta({ format: 'binary' }) } } } };
  return body === undefined ? {} : { body: { required: true, content: { 'application/json': { schema: body } } } };
}

/** What can go wrong follows from what a call takes and touches. */
function problemsOf({ problems = [], ...call }: Call): readonly number[] {
  const codes = new Set([406, ...problems, ...codesOfBody(call), ...codesOfAccess(call)]);
  if (call.query !== undefined) codes.add(422);
  if (call.path.includes('{')) for (const code of [404, 422]) codes.add(code);
  if (call.isLimited) codes.add(429);
  return [...codes].sort((a, b) => a - b);
}

function codesOfBody({ body, takesFile }: Pick<Call, 'body' | 'takesFile'>): readonly number[] {
  if (body === undefined && !takesFile) return [];
  return [400, 413, 422, ...(takesFile ? [] : [415])];
}

function codesOfAccess({ access, method, path }: Pick<Call, 'access' | 'method' | 'path'>): readonly number[] {
  if (access === 'open') return [];
  return [
    429,
    503,
    ...(access === 'stranger' ? [] : [401]),
    ...(path.startsWith('/bands/') && access !== 'guest' ? [403] : []),
    ...(method === 'get' ? [] : [507]),
  ];
}

/** Ids are part of the address, so that each of them has to be there. */
function parametersOf(path: string) {
  const names = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1] as string);
  if (names.length === 0) return {};
  return { params: z.object(Object.fromEntries(names.map((name) => [name, name === 'revision' ? z.number().int().min(1) : z.uuid()]))) };
}
