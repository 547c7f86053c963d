import { ApiFault } from '../api/client.ts';
import { HELP_WORDS } from '../wording/help.ts';

const DISK_FULL = 507;
const TOO_MANY = 429;

/** What came of a save that was not taken, where nobody else saved: whether it is tried again, and what is said meanwhile. */
export function plainFault(fault: ApiFault): { readonly kind: 'away' | 'refused'; readonly why: string } {
  const { status, message } = fault;
  if (status === DISK_FULL) return { kind: 'away', why: message };
  const away = status === 0 || status >= 500 || status === TOO_MANY;
  return away ? { kind: 'away', why: HELP_WORDS.theServerDoesNotAnswerNot } : { kind: 'refused', why: message };
}

/** Whatever was thrown as a fault of a call. */
export function asApiFault(error: unknown): ApiFault {
  return error instanceof ApiFault ? error : new ApiFault(0, String(error));
}
