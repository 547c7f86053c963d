import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { RouterProvider } from 'react-router/dom';
import { Toaster } from 'sonner';
import { ApiFault } from './api/client.ts';
import { router } from './routes.tsx';

const TRIES = 2;

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // what is not there will not be there the second time
      retry: (failures, error) => failures < TRIES && !(error instanceof ApiFault && error.status < 500),
      staleTime: 10_000,
    },
  },
});

/** The application with what every room needs around it. */
export function App() {
  return (
    <QueryClientProvider client={queries}>
      <Tooltip.Provider delayDuration={400}>
        <RouterProvider router={router} />
        <Toaster position="bottom-center" toastOptions={{ className: '!bg-raised !text-ink !border-edge !font-text' }} />
      </Tooltip.Provider>
    </QueryClientProvider>
  );
}
