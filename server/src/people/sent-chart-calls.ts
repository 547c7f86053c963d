import { parseKey } from '@aurora/core';
import { gone, openSentRequest, sendRequest, sentChart, sentChartsAnswer, sentLink } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { idOf, notFound, required } from '../validate.ts';
import type { PeopleDeps } from './people-deps.ts';
import { listSent, lookAtSent, send, takeSentBack } from './sent-chart-store.ts';

const SENT = '/bands/{bandId}/sent';

/** Charts sent by a link: made, listed and taken back by the band, read by whoever has one. */
export function sentChartCalls(deps: PeopleDeps): readonly Call[] {
  return [...sendingCalls(), readingCall(deps)];
}

function sendingCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'sendChart',
        method: 'post',
        path: SENT,
        access: 'member',
        tag: 'people',
        summary: 'Make a link that shows a chart, or a set, to whoever has it',
        body: sendRequest,
        answer: sentLink,
        status: 201,
      },
      ({ body, db, seat }) => {
        if (body.what === 'song' && body.key !== null) required(parseKey(body.key), 'key');
        return send(db, seat, body, new Date());
      },
    ),
    call(
      {
        id: 'listSentCharts',
        method: 'get',
        path: SENT,
        access: 'member',
        tag: 'people',
        summary: 'Links that open',
        answer: sentChartsAnswer,
      },
      async ({ db, seat }) => ({ sent: [...(await listSent(db, seat.bandId))] }),
    ),
    call(
      {
        id: 'takeSentChartBack',
        method: 'delete',
        path: `${SENT}/{sentId}`,
        access: 'member',
        tag: 'people',
        summary: 'Take a link back: it opens no more',
        answer: gone,
      },
      async ({ request, db, seat }) => {
        if (!(await takeSentBack(db, seat, idOf(request, 'sentId', 'link')))) throw notFound('link');
        return { gone: true };
      },
    ),
  ];
}

function readingCall({ house }: PeopleDeps): Call {
  return call(
    {
      id: 'readSentChart',
      method: 'post',
      path: '/sent/look',
      access: 'stranger',
      tag: 'people',
      isLimited: true,
      summary: 'What a link shows, as it stands now',
      body: openSentRequest,
      answer: sentChart,
      problems: [404],
    },
    ({ body }) => lookAtSent(house, body.token),
  );
}
