import { ApiFault } from '../api/client.ts';
import { ANSWER_WORDS } from '../wording/answers.ts';

/** What an answer that is no success means for what was sent. */
export interface Verdict {
  /** The server has read it and will never take it as it is; else it is tried again. */
  readonly isFinal: boolean;
  /** What is said to whoever wrote it. */
  readonly why: string;
  /** Not before so many milliseconds, where the server asked for it; null where it did not. */
  readonly againMs: number | null;
}

interface Row {
  readonly isFinal: boolean;
  /** What is said; the server's own words where this is null, and where it refuses in words. */
  readonly words: string | null;
}

const LATER = (words: string | null): Row => ({ isFinal: false, words });
const NEVER: Row = { isFinal: true, words: null };

/** Answers by their status, 0 where there was none. Everything that is sent to be kept is judged by this table alone. */
const ROWS: Readonly<Record<number, Row>> = {
  0: LATER(ANSWER_WORDS.notSavedYet),
  // the work stays here until somebody signs in again
  401: LATER(ANSWER_WORDS.signedOut),
  403: NEVER,
  404: NEVER,
  408: LATER(ANSWER_WORDS.notSavedYet),
  409: NEVER,
  413: { isFinal: true, words: ANSWER_WORDS.tooLarge },
  422: NEVER,
  429: LATER(ANSWER_WORDS.tooMany),
  // the house says itself that its disk is full
  507: LATER(null),
};
const OTHER_REFUSAL = NEVER;
const OTHER_FAILURE = LATER(ANSWER_WORDS.notSavedYet);

/** What is to be done about whatever was thrown by a call. */
export function verdictOn(error: unknown): Verdict {
  const fault = asApiFault(error);
  const row = ROWS[fault.status] ?? (fault.status < 500 ? OTHER_REFUSAL : OTHER_FAILURE);
  const said = row.isFinal && fault.problem !== null ? fault.message : row.words;
  return { isFinal: row.isFinal, why: said ?? fault.message, againMs: fault.againMs };
}

/** Whatever was thrown as a fault of a call. */
export function asApiFault(error: unknown): ApiFault {
  return error instanceof ApiFault ? error : new ApiFault(0, String(error));
}
