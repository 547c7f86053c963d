import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { PAGE } from './browser-device.ts';
import { type DocumentKind, type Openable, OpenDocuments } from './open-documents.ts';

const DOCUMENTS = new WeakMap<QueryClient, OpenDocuments>();

/** The documents that are open in this page. */
export function documentsOf(queries: QueryClient): OpenDocuments {
  const known = DOCUMENTS.get(queries) ?? new OpenDocuments(queries, PAGE);
  DOCUMENTS.set(queries, known);
  return known;
}

/** Holds a document open for as long as something shows it; null until the server, or the device, has said what it is. */
export function useOpenDocument<Answer, Document extends Openable>(
  kind: DocumentKind<Answer, Document>,
  bandId: string | undefined,
  id: string | null | undefined,
  answer: Answer | undefined,
): Document | null {
  const queries = useQueryClient();
  const [held, setHeld] = useState<{ readonly id: string; readonly document: Document } | null>(null);
  const latest = useRef(answer);
  latest.current = answer;
  const isThere = answer !== undefined;
  // before anything is drawn: what is open is never shown as closed
  useLayoutEffect(() => {
    if (!isThere || bandId === undefined || id == null) return;
    const { document, close } = documentsOf(queries).open(kind, { bandId, id }, latest.current as Answer);
    setHeld({ id, document });
    return close;
  }, [queries, kind, bandId, id, isThere]);
  return held !== null && held.id === id ? held.document : null;
}
