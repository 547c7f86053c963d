// Draws a room at an address, asking a house of the test's own. Around it stand only the places that rooms fill.
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { Tooltip } from 'radix-ui';
import { createMemoryRouter, Outlet, type RouteObject } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { bindAddress } from '../src/session/address.ts';
import { SlotPlace } from '../src/ui/Slot.tsx';
import type { FakeHouse } from './fake-house.ts';

function Frame() {
  return (
    <>
      <SlotPlace name="tools" />
      <SlotPlace name="line" />
      <SlotPlace name="text" />
      <Outlet />
      <SlotPlace name="hand" />
    </>
  );
}

/** Opens an address among these routes; other addresses show only where one is. */
export function openRoom(house: FakeHouse, at: string, routes: readonly RouteObject[]) {
  house.open();
  const queries = new QueryClient({
    defaultOptions: { queries: { retry: false, staleTime: 10_000, networkMode: 'always' }, mutations: { networkMode: 'always' } },
  });
  const elsewhere = { path: '*', Component: () => null };
  const router = createMemoryRouter([{ path: '/', Component: Frame, children: [...routes, elsewhere] }], { initialEntries: [at] });
  bindAddress(router);
  render(
    <QueryClientProvider client={queries}>
      <Tooltip.Provider>
        <RouterProvider router={router} />
      </Tooltip.Provider>
    </QueryClientProvider>,
  );
  return { router, queries };
}
