import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useBand } from '../songs.ts';
import { type LineDeps, NewsLine } from './news-line.ts';
import { useNews } from './news-state.ts';
import { takeNews } from './take-news.ts';

/** Hears what changes in the band for as long as the page is open. */
export function useHearNews(): void {
  const bandId = useBand().data?.id;
  const queries = useQueryClient();
  useEffect(() => {
    if (bandId === undefined) return;
    const line = new NewsLine(bandId, BROWSER, {
      onNews: (news) => takeNews(queries, bandId, news),
      onOpen: (isOpen) => useNews.setState({ since: isOpen ? Date.now() : null }),
    });
    return () => {
      line.close();
      useNews.setState({ since: null });
    };
  }, [bandId, queries]);
}

const BROWSER: LineDeps = {
  open: typeof EventSource === 'undefined' ? null : (path) => new EventSource(path),
  inOneTab: (name, signal, work) => {
    // an old browser's tabs each listen for themselves
    if (navigator.locks === undefined) void work();
    else void navigator.locks.request(name, { signal }, work).catch(() => undefined);
  },
  channel: (name) => (typeof BroadcastChannel === 'undefined' || navigator.locks === undefined ? null : new BroadcastChannel(name)),
  setTimer: (work, ms) => window.setTimeout(work, ms),
  clearTimer: (timer) => window.clearTimeout(timer),
};
