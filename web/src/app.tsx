import { QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { RouterProvider } from 'react-router/dom';
import { queries } from './api/queries.ts';
import { router } from './routes.tsx';

/** Notices come later than the page: they are not needed to open it. */
const Toaster = lazy(async () => ({ default: (await import('sonner')).Toaster }));

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
