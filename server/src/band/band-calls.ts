import { bandsAnswer, preferences, preferencesChange } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { changePreferences, readPreferences } from '../preference/preference-store.ts';
import { idOf, notFound } from '../validate.ts';
import { listBands } from './band-store.ts';

/** `/bands`: the bands, and what each of them prefers. */
export function bandCalls(): readonly Call[] {
  return [
    call(
      { id: 'listBands', access: 'account', method: 'get', path: '/bands', tag: 'bands', summary: 'One’s own bands', answer: bandsAnswer },
      async ({ db }) => ({
        bands: await listBands(db),
      }),
    ),
    call(
      {
        id: 'readPreferences',
        access: 'guest',
        method: 'get',
        path: '/bands/{bandId}/preferences',
        tag: 'bands',
        summary: 'What the band prefers',
        answer: preferences,
      },
      ({ request, db }) => readPreferences(db, idOf(request, 'bandId', 'band')),
    ),
    call(
      {
        id: 'changePreferences',
        access: 'member',
        method: 'patch',
        path: '/bands/{bandId}/preferences',
        tag: 'bands',
        summary: 'Change preferences',
        body: preferencesChange,
        answer: preferences,
      },
      async ({ body, request, db }) => {
        const changed = await changePreferences(db, idOf(request, 'bandId', 'band'), body);
        if (changed === undefined) throw notFound('band');
        return changed;
      },
    ),
  ];
}
