import type { Me } from '@aurora/wire';

/** One who leads a band, as the server tells it. */
export function leaderOf(bandId: string, bandName: string): Me {
  return {
    person: { id: 'me', name: 'Tam', email: null, hasPassword: false, leavesAt: null },
    deviceId: 'device',
    bands: [{ id: bandId, name: bandName, role: 'leader', memberId: 'tam', playerName: 'Tam', guestSet: null, leavesAt: null }],
    demo: null,
    mailbox: false,
    isEmpty: false,
  };
}
