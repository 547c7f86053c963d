import { QueryClient } from '@tanstack/react-query';
import { ApiFault } from './client.ts';

const TRIES = 2;

/** What was asked of the server, for the whole application. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // what is not there will not be there the second time
      retry: (failures, error) => failures < TRIES && !(error instanceof ApiFault && error.status < 500),
      staleTime: 10_000,
      // without a network the device answers, so it is asked all the same
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});
