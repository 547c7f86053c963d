/** @jest-environment jsdom */
import '../../../test/dom.ts';
import type { InvitationLook } from '@aurora/wire';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { JoinPage } from './JoinPage.tsx';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

const LOOK: InvitationLook = { band: 'The Slack Water', name: 'Nils', role: 'member', set: null, madeBy: 'Edda', until: null };
const NOBODY = { person: null, deviceId: null, bands: [], demo: null, mailbox: false, isEmpty: false };
const EDDA = { ...NOBODY, person: { id: 'e', name: 'Edda', email: null, hasPassword: false, leavesAt: null }, deviceId: 'd' };

/** Opens the page with what the server would answer. */
function open(look: InvitationLook | { readonly problem: string }, me: object = NOBODY, hash = '#a-token-that-is-long-enough') {
  const asked: string[] = [];
  globalThis.fetch = jest.fn((path: unknown) => {
    asked.push(String(path));
    const isLook = String(path).endsWith('/look');
    const fails = isLook && 'problem' in look;
    const body = isLook ? ('problem' in look ? { type: '', title: '', status: 404, detail: look.problem } : look) : me;
    return Promise.resolve({
      ok: !fails,
      status: fails ? 404 : 200,
      headers: new Headers(),
      json: async () => body,
    } as unknown as Response);
  }) as typeof fetch;
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[`/join${hash}`]}>
        <JoinPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}

describe('an invitation', () => {
  test('says who invites whom to what, and opens nothing by itself', async () => {
    const asked = open(LOOK);
    expect(await screen.findByRole('heading', { name: 'You are invited to play in The Slack Water' })).toBeTruthy();
    expect(screen.getByText('Edda invites you as Nils.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Come in as Nils' })).toBeTruthy();
    // what only looks at links opens none
    expect(asked.some((path) => path.endsWith('/open'))).toBe(false);
  });

  test('for an evening says which set, and until when', async () => {
    open({ ...LOOK, role: 'guest', set: 'Friday', until: '2026-11-28T12:00:00.000Z' });
    expect(await screen.findByRole('heading', { name: /to read “Friday” with The Slack Water/ })).toBeTruthy();
    expect(screen.getByText(/^As a guest, until Sat 28 Nov/)).toBeTruthy();
  });

  test('joins the bands of one who is signed in', async () => {
    open(LOOK, EDDA);
    expect(await screen.findByText('You are signed in as Edda: this band joins your others.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Come in' })).toBeTruthy();
  });

  test('that does not open says why', async () => {
    open({ problem: 'This link is used up.' });
    expect((await screen.findByRole('alert')).textContent).toBe('This link is used up.');
  });

  test('that was not copied whole asks no server', async () => {
    const asked = open(LOOK, NOBODY, '');
    expect((await screen.findByRole('alert')).textContent).toMatch(/not whole/);
    expect(asked).toEqual([]);
  });
});
