import { formatDistanceToNow } from 'date-fns';
import type { ChartDraft, ChartDraftState } from '../document/song-drafts.ts';
import { useDraftState, useSongDraft } from '../document/use-song-draft.ts';

/** Whether what is on the screen is safe, in a few words. */
export function SaveState({ songId }: { readonly songId: string }) {
  const { draft } = useSongDraft(songId);
  return draft === null ? <span>&nbsp;</span> : <StateOf draft={draft} />;
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
      return `Saved ${formatDistanceToNow(status.at, { addSuffix: true })}`;
    case 'waiting':
      return 'Writing…';
    case 'saving':
      return 'Saving…';
    case 'away':
      return isKept
        ? 'The server does not answer. Your text is kept here and saved when it is back.'
        : 'The server does not answer and this device has no room. Keep this page open, or copy the text.';
    case 'refused':
      return `Not saved: ${status.why}`;
    case 'conflict':
      return 'Changed elsewhere too: choose below.';
  }
}
