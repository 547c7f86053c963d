import { formatDistanceToNow } from 'date-fns';
import { useSyncExternalStore } from 'react';
import type { DraftKeeper, DraftStatus } from '../document/draft-keeper.ts';
import { useOpenDraft } from '../document/draft-store.ts';

/** Whether what is on the screen is safe, in a few words. */
export function SaveState() {
  const keeper = useOpenDraft((state) => state.keeper);
  return keeper === null ? <span>&nbsp;</span> : <KeeperState keeper={keeper} />;
}

function KeeperState({ keeper }: { readonly keeper: DraftKeeper }) {
  const { status } = useSyncExternalStore(keeper.subscribe, keeper.get);
  const alarming = status.kind === 'away' || status.kind === 'refused' || status.kind === 'conflict';
  return (
    <span role="status" data-testid="save-state" data-status={status.kind} className={alarming ? 'font-semibold text-alarm' : ''}>
      {words(status)}
    </span>
  );
}

function words(status: DraftStatus): string {
  switch (status.kind) {
    case 'saved':
      return `Saved ${formatDistanceToNow(status.at, { addSuffix: true })}`;
    case 'waiting':
      return 'Writing…';
    case 'saving':
      return 'Saving…';
    case 'away':
      return 'The server does not answer. Your text is kept here and saved when it is back.';
    case 'refused':
      return `Not saved: ${status.why}`;
    case 'conflict':
      return 'Saved elsewhere meanwhile: choose below.';
  }
}
