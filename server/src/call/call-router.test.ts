import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import express from 'express';
import { Threads } from '../compute/threads.ts';
import type { Context } from '../context/context.ts';
import type { Call } from './call.ts';
import { callRouter } from './call-router.ts';
import type { Limits } from './limits.ts';

/** Who asks, as the house would say it. */
const ASKER = { person: { accountId: 'one', name: 'Tam', deviceId: null }, seat: null } as unknown as Context;

let server: Server;
let seen: unknown;
let counted = 0;
beforeAll(async () => {
  const call = {
    id: 'who',
    method: 'post',
    path: '/who',
    access: 'account',
    isLimited: false,
    body: {},
    serve: (request: express.Request, response: express.Response, context: Context) => {
      seen = { context, body: request.body, locals: { ...response.locals } };
      response.json({});
    },
  } as unknown as Call;
  const limits = {
    count: async () => {
      counted += 1;
    },
  } as unknown as Limits;
  const app = express().use(callRouter([call], { house: { enter: async () => ASKER }, limits, threads: new Threads(null) }));
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

test('a call is given whom the house let in, whatever counts it', async () => {
  const { port } = server.address() as AddressInfo;
  const answer = await fetch(`http://127.0.0.1:${port}/who`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{"chord":"C"}',
  });
  expect([answer.status, counted]).toEqual([200, 1]);
  expect(seen).toEqual({ context: ASKER, body: { chord: 'C' }, locals: {} });
});
