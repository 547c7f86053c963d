import { bandCalls } from './band/band-calls.ts';
import type { Call } from './call/call.ts';
import { type ChangeDeps, changeCalls } from './change/change-calls.ts';
import type { Threads } from './compute/threads.ts';
import { OPEN_CALLS } from './compute/work-table.ts';
import { exportCalls } from './file/export-calls.ts';
import { IMPORT_CALLS } from './file/import-calls.ts';
import { JOB_CALLS } from './job/job-calls.ts';
import { memberCalls } from './member/member-calls.ts';
import { PACK_CALLS } from './pack/pack-calls.ts';
import { bandPeopleCalls } from './people/band-people-calls.ts';
import { doorCalls } from './people/door-calls.ts';
import { invitationCalls } from './people/invitation-calls.ts';
import { meCalls } from './people/me-calls.ts';
import type { PeopleDeps } from './people/people-deps.ts';
import { sentChartCalls } from './people/sent-chart-calls.ts';
import { signInCalls } from './people/sign-in-calls.ts';
import { pieceCalls } from './piece/piece-calls.ts';
import { practiceCalls } from './practice/practice-calls.ts';
import { setCalls } from './set/set-calls.ts';
import { songCalls } from './song/song-calls.ts';
import { swapCalls } from './swap/swap-calls.ts';

/** What calls need beside the context of each request. */
export interface CallDeps extends ChangeDeps {
  readonly people: PeopleDeps;
  readonly threads: Threads;
}

/** Every call the API answers: what computes, who one is, then what a band keeps. */
export function apiCalls({ people, threads, changes }: CallDeps): readonly Call[] {
  return [
    ...OPEN_CALLS,
    ...meCalls(people),
    ...signInCalls(people),
    ...doorCalls(people),
    ...invitationCalls(people),
    ...sentChartCalls(people),
    ...bandPeopleCalls(),
    ...bandCalls(),
    ...changeCalls({ changes }),
    ...songCalls(threads),
    ...swapCalls(),
    ...memberCalls(),
    ...practiceCalls(),
    ...setCalls(),
    ...pieceCalls(threads),
    ...PACK_CALLS,
    ...IMPORT_CALLS,
    ...exportCalls(threads),
    ...JOB_CALLS,
  ];
}
