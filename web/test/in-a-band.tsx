import { DEFAULT_READS, type Member } from '@aurora/wire';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';
import { leaderOf } from './known-me.ts';

const member = (id: string, name: string, plays: string, transpose: number): Member => ({
  id,
  name,
  plays,
  reads: { ...DEFAULT_READS, transpose },
  instrument: null,
  isIn: false,
});

/** A band that is known already: nothing is asked of a server. */
const MEMBERS: readonly Member[] = [
  member('00000000-0000-4000-8000-000000000001', 'Tam', 'guitar', 0),
  member('00000000-0000-4000-8000-000000000002', 'Odile', 'alto saxophone', 9),
];

/** Draws a part as it stands in the application, in a band of two. */
export function renderInBand(part: ReactNode) {
  const queryFn = () => new Promise<never>(() => undefined);
  const queries = new QueryClient({ defaultOptions: { queries: { queryFn, retry: false, staleTime: Number.POSITIVE_INFINITY } } });
  queries.setQueryData(['me'], leaderOf('band', 'The Weirlamp Seven'));
  queries.setQueryData(['members', 'band'], MEMBERS);
  return render(
    <QueryClientProvider client={queries}>
      <Tooltip.Provider>{part}</Tooltip.Provider>
    </QueryClientProvider>,
  );
}
