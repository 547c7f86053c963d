import { formatDistanceToNow } from 'date-fns';
import type { ChartDraft, ChartDraftState } from '../document/song-drafts.ts';
import { useDraftState, useSongDraft } from '../document/use-song-draft.ts';
import { HELP_WORDS } from '../wording/help.ts';

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
      return HELP_WORDS.saved(formatDistanceToNow(status.at, { addSuffix: true }));
    case 'waiting':
      return HELP_WORDS.writing;
    case 'saving':
      return HELP_WORDS.saving;
    case 'away':
      return isKept ? HELP_WORDS.theServerDoesNotAnswerYour : HELP_WORDS.theServerDoesNotAnswerAnd;
    case 'refused':
      return HELP_WORDS.notSaved(status.why);
    case 'conflict':
      return HELP_WORDS.changedElsewhereToo;
  }
}
