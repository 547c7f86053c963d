import { expect, expectAccessible, test } from './pages.ts';

test('in the demo one is its guitarist at once, and can be any other player', { tag: '@quick' }, async ({ page }) => {
  await page.goto('/you');
  await expect(page.getByRole('heading', { name: 'Be another player of the demo' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Juno/ }).click();
  const rooms = page.getByRole('navigation', { name: 'Rooms' });
  await expect(rooms.getByRole('link', { name: 'Juno' })).toBeVisible();
  // a member sees who is in, and does nothing about it
  await page.goto('/band/players');
  await expect(page.getByRole('list', { name: 'Members' }).getByRole('listitem').filter({ hasText: 'Juno' })).toContainText('you');
  await expect(page.getByRole('button', { name: /Make leader|Remove/ })).toHaveCount(0);
  await expectAccessible(page);
  // what Juno saves is Juno's
  const { bands } = await (await page.request.get('/api/v1/me')).json();
  const at = `/api/v1/bands/${bands[0].id}/songs`;
  const { id } = await (await page.request.post(at, { data: { source: 'title: Juno’s own\nkey: C\n\n1 4\n' } })).json();
  const { versions } = await (await page.request.get(`${at}/${id}/versions`)).json();
  expect(versions[0].by).toBe('Juno');
  await page.request.patch(`${at}/${id}`, { data: { archived: true } });
  // signed out, one is the demo's guitarist again
  await page.goto('/you');
  await page.getByRole('button', { name: 'Sign out on this device' }).click();
  await expect(rooms.getByRole('link', { name: 'Tam' })).toBeVisible();
});
