import type { SetList } from '@aurora/wire';
import { saveSet, setKey } from '../api/sets.ts';
import { copiesHere, PAGE_CLOCK } from './browser-device.ts';
import type { DocumentKind } from './open-documents.ts';
import { SetDesk } from './set-desk.ts';
import { SET_KIND } from './set-kind.ts';

/** The order of an evening, with its songs beside it. */
export const SET_DOCUMENT: DocumentKind<SetList, SetDesk> = {
  name: 'set',
  key: ({ bandId, id }) => setKey(bandId, id),
  adopt: (desk, set) => desk.adopt(set),
  open: (queries, { bandId, id }, set) =>
    new SetDesk(
      set,
      async (body, base) => {
        const saved = await saveSet(bandId, id, body, base);
        queries.setQueryData(setKey(bandId, id), saved);
        return saved;
      },
      { ...PAGE_CLOCK, copies: copiesHere(SET_KIND, { bandId, id }) },
    ),
};
