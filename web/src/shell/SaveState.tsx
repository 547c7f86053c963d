import { formatDistanceToNow } from 'date-fns';
import type { ChartDraft, ChartDraftState } from '../document/song-drafts.ts';
import { useDraftState, useSongDraft } from '../document/use-song-draft.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

/** Whether what is on the screen is safe, in a few words. */
export function SaveState({ songId }: { readonly songId: string }) {
  const { draft } = useSongDraft(songId);
  return draft === null ? <span> </span> : <StateOf draft={draft} />;
}

function StateOf({ draft }: { readonly draft: ChartDraft }) {
  const state = useDraftState(draft);
  const { kind } = state.status;
  const alarming = kind === 'away' || kind === 'refused' || kind === 'conflict' || (kind !== 'saved' && !state.isKept);
  return (
    <span role="status" data-testid="save-state" data-status={kind} className={alarming ? 'font-semibold text-alarm' : ''}>
      {words(state)}
    </span>
  );
}

function words({ status, isKept }: ChartDraftState): string {
  switch (status.kind) {
    case 'saved':
      return HOUSE_WORDS.saved(formatDistanceToNow(status.at, { addSuffix: true }));
    case 'waiting':
      return HOUSE_WORDS.writing;
    case 'saving':
      return HOUSE_WORDS.saving;
    case 'away':
      return isKept ? HOUSE_WORDS.theServerDoesNotAnswerYour : HOUSE_WORDS.theServerDoesNotAnswerAnd;
    case 'refused':
      return HOUSE_WORDS.notSaved(status.why);
    case 'conflict':
      return HOUSE_WORDS.changedElsewhereToo;
  }
}
