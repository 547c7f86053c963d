import type { Drawing, Paper } from '@aurora/core';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { usePaper } from '../../session/paper-store.ts';
import { PrintedPages } from './PrintedPages.tsx';

/** What a room is on paper, when the browser is told to print it: its part, and not the screen around it. */
export default function RoomPaper({ pagesOn }: { readonly pagesOn: (paper: Paper) => readonly Drawing[] }) {
  const [printing, setPrinting] = useState(false);
  const { paper } = usePaper();
  useEffect(() => {
    // the browser lays out what is there when this event is over; a sheet that is open prints itself
    const begin = () => {
      if (document.querySelector('.print-pages') === null) flushSync(() => setPrinting(true));
    };
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return printing ? <PrintedPages pages={pagesOn(paper)} paper={paper} /> : null;
}
