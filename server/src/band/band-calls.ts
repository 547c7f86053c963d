import { bandsAnswer, preferences, preferencesChange } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { changePreferences, readPreferences } from '../preference/preference-store.ts';
import { idOf, notFound } from '../validate.ts';
import { listBands } from './band-store.ts';

/** `/bands`: the bands, and what each of them prefers. */
export function bandCalls(pool: Pool): readonly Call[] {
  return [
    call({ id: 'listBands', method: 'get', path: '/bands', tag: 'bands', summary: 'The bands', answer: bandsAnswer }, async () => ({
      bands: await listBands(pool),
    })),
    call(
      {
        id: 'readPreferences',
        method: 'get',
        path: '/bands/{bandId}/preferences',
        tag: 'bands',
        summary: 'What the band prefers',
        answer: preferences,
      },
      ({ request }) => readPreferences(pool, idOf(request, 'bandId', 'band')),
    ),
    call(
      {
        id: 'changePreferences',
        method: 'patch',
        path: '/bands/{bandId}/preferences',
        tag: 'bands',
        summary: 'Change preferences',
        body: preferencesChange,
        answer: preferences,
      },
      async ({ body, request }) => {
        const changed = await changePreferences(pool, idOf(request, 'bandId', 'band'), body);
        if (changed === undefined) throw notFound('band');
        return changed;
      },
    ),
  ];
}
