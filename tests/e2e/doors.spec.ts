import { expect, test, type Page } from '@playwright/test';
import { openStand, signIn, station, unfold } from './helpers';

/** Holds back the answer of one write until it is let go, so that a person can be faster than it. */
async function heldBack(
  page: Page,
  url: string,
  method: string,
): Promise<{ asked: Promise<void>; letGo: () => void; answered: Promise<unknown> }> {
  let letGo = (): void => undefined;
  let asked = (): void => undefined;
  const gate = new Promise<void>((resolve) => (letGo = resolve));
  const begun = new Promise<void>((resolve) => (asked = resolve));
  await page.route(url, async (route) => {
    if (route.request().method() !== method) return route.fallback();
    asked();
    const answer = await route.fetch();
    await gate;
    return route.fulfill({ response: answer });
  });
  return {
    asked: begun,
    letGo,
    answered: page.waitForResponse(
      (r) => r.request().method() === method && new RegExp(url.replaceAll('*', '.*')).test(r.url()),
    ),
  };
}

/** Who is signed in by the server's word; null where nobody is. */
const whoIs = async (page: Page): Promise<unknown> => {
  const session = (await (await page.request.get('/api/v1/session')).json()) as { user: unknown };
  return session.user;
};

test('signs out by its button, and the next person on this browser starts from nothing', async ({ page }) => {
  await signIn(page);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('dialog', { name: 'More' }).getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect((await page.request.get('/api/v1/session')).ok()).toBeTruthy();
  expect(await whoIs(page)).toBeNull();
  await page.goto('/today');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await signIn(page, 'bram');
  await page.getByRole('button', { name: 'More', exact: true }).hover();
  await expect(page.getByRole('tooltip', { name: /^bram@/ })).toBeVisible();
});

test('leaves the screen even where the server cannot be told, and tells it before anything else', async ({ page }) => {
  await signIn(page);
  await page.route('**/api/v1/session', (route) =>
    route.request().method() === 'DELETE'
      ? route.fulfill({
          status: 500,
          contentType: 'application/problem+json',
          body: '{"type":"about:blank","title":"x","status":500}',
        })
      : route.fallback(),
  );
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('dialog', { name: 'More' }).getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.unroute('**/api/v1/session');
  const told = page.waitForRequest((r) => r.method() === 'DELETE' && r.url().endsWith('/api/v1/session'));
  await page.goto('/today');
  await told;
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(await whoIs(page)).toBeNull();
});

test('a late answer moves nobody from where they have gone meanwhile', async ({ page }) => {
  await signIn(page);

  await test.step('a method chosen, then at once to Field day', async () => {
    await openStand(page, /Common privet/);
    await station(page, 'Methods');
    await unfold(page);
    const late = await heldBack(page, '**/api/v1/stands/*/step', 'PUT');
    await page
      .getByRole('button', { name: /^Dig out/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Choose Dig out' }).click();
    await late.asked;
    await station(page, 'Field day');
    late.letGo();
    await late.answered;
    await expect(
      page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Field day/ }),
    ).toHaveAttribute('aria-current', 'page');
    await expect(page).toHaveURL(/\/field-day$/);
    await page.waitForLoadState('networkidle');
    await expect(page).toHaveURL(/\/field-day$/);
  });

  await test.step('a new stand on a patch, then at once to the Shed', async () => {
    await station(page, 'Ground');
    await page.getByRole('button', { name: 'Hollin Hedge and oak wood' }).click();
    await page.getByRole('button', { name: 'North hedge' }).first().click();
    const late = await heldBack(page, '**/api/v1/patches/*/stands', 'POST');
    await page.getByRole('button', { name: 'Scout a new stand here' }).click();
    await late.asked;
    await station(page, 'Shed');
    late.letGo();
    await late.answered;
    await page.waitForLoadState('networkidle');
    await expect(page).toHaveURL(/\/shed/);
  });
});
