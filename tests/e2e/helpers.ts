import AxeBuilder from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';

export async function signIn(page: Page, name = 'ada'): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(`${name}@alderbrook.example`);
  await page.getByLabel('Password').fill('thicket-demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Thu 3 Sep 2026' })).toBeVisible();
}

/** No violation on the screen as it stands; there are no exclusions (B36). */
export async function isAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
}

/** Opens a stand from Today by its line: plant, and where two are of one kind its patch. */
export async function openStand(page: Page, line: RegExp): Promise<void> {
  await page.getByRole('link', { name: line }).first().click();
  // before it is in hand the stem leads to the stations of no stand
  await expect(page).toHaveURL(/\/stands\//);
}

/**
 * Goes to a station of the stem by its name, and stands there: what is named the same on the page left is not meant.
 */
export async function station(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click();
  await expect(page).toHaveURL((url) => url.pathname.endsWith(`/${name.toLowerCase().replace(' ', '-')}`));
}

/** The exact area of the patch in hand: it is told as people say it until somebody taps it. */
export async function hasArea(page: Page, patch: string, exact: string | RegExp): Promise<void> {
  const panel = page.getByRole('region', { name: patch });
  const told = panel.getByRole('button', { name: /^about .+; show it exactly$/ }).first();
  const shown = panel.getByText(exact).first();
  await expect(told.or(shown).first()).toBeVisible();
  if (!(await shown.isVisible())) await told.press('Enter');
  await expect(shown).toBeVisible();
}

/** Presses a button by its key once it can be pressed: while a write is on its way it cannot, and the key is lost. */
export async function enter(button: Locator): Promise<void> {
  await expect(button).toBeEnabled();
  await button.press('Enter');
}

export async function givePassword(page: Page): Promise<void> {
  const dialog = page.getByRole('dialog', { name: 'Your password again' });
  await dialog.getByLabel('Password').fill('thicket-demo');
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect(dialog).toBeHidden();
}

/** Answers one question of the key, wherever it stands: as the next best one, or folded among the others. */
export async function answer(page: Page, question: string, ...states: string[]): Promise<void> {
  const group = page.getByRole('group', { name: question }).filter({ has: page.getByRole('checkbox') });
  await expect(group.or(page.locator('summary', { hasText: question })).first()).toBeVisible();
  for (const state of states) {
    if (!(await group.first().isVisible())) await page.locator('summary', { hasText: question }).click();
    await group.first().getByText(state, { exact: true }).click();
    // an answered question moves down among the others
    await expect(page.locator('summary', { hasText: question })).toContainText(state);
  }
}

/** Opens the rest of the board where it is folded away. */
export async function unfold(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'How the order comes about' })).toBeVisible();
  const rest = page.locator('details', { hasText: /more ways? and why/ });
  if ((await rest.count()) > 0 && !(await rest.first().evaluate((d) => (d as HTMLDetailsElement).open)))
    await rest.first().locator('summary').click();
}

/** Chooses in a list that opens, by what stands there or by its value. */
export async function choose(field: Locator, option: string | { value: string }): Promise<void> {
  await field.click();
  const list = field.page().locator(`[id="${await field.getAttribute('aria-controls')}"]`);
  await expect(list).toBeVisible();
  await (
    typeof option === 'string'
      ? list.getByRole('option', { name: option, exact: true })
      : list.locator(`[role="option"][data-value="${option.value}"]`)
  ).click();
  await expect(list).toBeHidden();
}

/** What stands chosen in such a list, as text. */
export const chosen = (field: Locator): Locator =>
  field.locator('xpath=ancestor::*[contains(@class, "el-select__wrapper")]');
