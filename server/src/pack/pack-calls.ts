import { jobState, packRequest } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { startJob } from '../job/job-store.ts';
import { listMembers } from '../member/member-store.ts';
import { requireSongs } from './pack-content.ts';

/** `/bands/{id}/packs`: a PDF for every member, for a song or a whole set, made meanwhile. */
export const PACK_CALLS: readonly Call[] = [
  call(
    {
      id: 'startPack',
      access: 'member',
      method: 'post',
      path: '/bands/{bandId}/packs',
      tag: 'work',
      summary: 'Start on a PDF for every player, of a song or a set',
      body: packRequest,
      answer: jobState,
      status: 202,
      isLimited: true,
    },
    async ({ body, db, seat }) => {
      const { bandId } = seat;
      if ((await listMembers(db, bandId)).length === 0)
        throw new HttpFault('invalid', 'There is nobody in the band yet: add a player first.');
      await requireSongs(db, bandId, body);
      return startJob(db, seat, { kind: 'pack', wish: body });
    },
  ),
];
