import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { RouterProvider } from 'react-router/dom';
import { ApiFault } from './api/client.ts';
import { router } from './routes.tsx';

/** Notices come later than the page: they are not needed to open it. */
const Toaster = lazy(async () => ({ default: (await import('sonner')).Toaster }));

const TRIES = 2;

const queries = new QueryClient({
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

/** The application with what every room needs around it. */
export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Tooltip.Provider delayDuration={400}>
        <RouterProvider router={router} />
        <Suspense>
          <Toaster position="bottom-center" toastOptions={{ className: '!bg-raised !text-ink !border-edge !font-text' }} />
        </Suspense>
      </Tooltip.Provider>
    </QueryClientProvider>
  );
}
