import { readFileSync } from 'node:fs';
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

/** A write or a question by whoever is signed in on the page, past its screens. */
export async function ask(
  page: Page,
  method: string,
  path: string,
  body: unknown = null,
  match = '',
): Promise<Answered> {
  return page.evaluate(
    async ([verb, where, sent, revision]) => {
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
      const response = await fetch(`/api/v1${where}`, {
        method: verb,
        headers: {
          'Content-Type': 'application/json',
          Accept: 'application/json',
          'X-XSRF-TOKEN': token,
          'Idempotency-Key': crypto.randomUUID(),
          ...(revision ? { 'If-Match': revision } : {}),
        },
        ...(verb === 'GET' ? {} : { body: JSON.stringify(sent ?? {}) }),
      });
      if (!response.ok) throw new Error(`${verb} ${where}: ${response.status} ${await response.text()}`);
      return { json: (await response.json()) as Record<string, never>, etag: response.headers.get('ETag') ?? '' };
    },
    [method, path, body, match] as const,
  );
}
interface Answered {
  json: Record<string, never>;
  etag: string;
}

/** Trees of heaven with a sheet that is out, on a ground of their own: basal bark in oil, twelve stems counted. */
export async function issuedTrees(page: Page): Promise<{ stand: string; sheet: string }> {
  const call = async (method: string, path: string, body: unknown = null, match = ''): Promise<Answered> =>
    ask(page, method, path, body, match);
  const ground = String(
    (
      await call('POST', '/grounds', {
        name: 'Fernshaw',
        latitude: '44.1',
        longitude: '-71.2',
        elevation: '690 ft',
        timeZone: 'Etc/GMT+5',
      })
    ).json.id,
  );
  const ring = [
    [-71.2, 44.1],
    [-71.199, 44.1],
    [-71.199, 44.1005],
    [-71.2, 44.1005],
    [-71.2, 44.1],
  ];
  const outline = { type: 'Polygon', coordinates: [ring] };
  const lane = { name: 'Lane edge', setting: 'woods', outline };
  const patch = String((await call('POST', `/grounds/${ground}/patches`, lane)).json.id);
  const stand = String((await call('POST', `/patches/${patch}/stands`)).json.id);
  await call('POST', `/stands/${stand}/sightings`, {
    seen: { habit: 'tree' },
    species: 'tree-of-heaven',
    tests: [{ pair: 'tree-of-heaven--winged-sumac', test: 'leaflet-notch', answer: 'yes' }],
  });
  await call('PUT', `/stands/${stand}/tally`, { rows: [{ diameter: '3 in', count: 12 }] });
  await call('POST', `/patches/${patch}/observations`, {
    facts: [
      { fact: 'bark-texture', value: 'smooth' },
      { fact: 'bark-wetness', value: 'dry' },
      { fact: 'grass-at-base', value: false },
    ],
  });
  const { rows } = (await call('GET', `/stands/${stand}/board`)).json as unknown as {
    rows: { method: { id: string }; card: { versionId: string } | null }[];
  };
  const card = rows.find((r) => r.method.id === 'basal-bark' && r.card !== null)?.card?.versionId;
  const { etag } = await call('GET', `/stands/${stand}`);
  const chosen = { method: 'basal-bark', active: 'triclopyr-ester', cardVersionId: card };
  const { step } = (await call('PUT', `/stands/${stand}/step`, chosen, etag)).json as unknown as {
    step: { id: string };
  };
  const recipe = await call('GET', `/steps/${step.id}/recipe`);
  await call('PUT', `/steps/${step.id}/recipe`, {}, recipe.etag);
  await call('POST', `/stands/${stand}/duties`, {
    kind: 'owner',
    state: 'done',
    who: 'Hester Fernshaw',
    on: '2026-08-01',
    boundaryChecked: true,
  });
  // whatever was mixed on another journey is rinsed out
  const { sprayers } = (await call('GET', '/shed')).json as unknown as {
    sprayers: { id: string; holds: object | null }[];
  };
  for (const sprayer of sprayers.filter((one) => one.holds !== null))
    await call('POST', `/shed/sprayers/${sprayer.id}/cleanings`, {});
  await call('POST', '/session/password', { password: 'thicket-demo' });
  return { stand, sheet: String((await call('POST', `/stands/${stand}/sheets`)).json.id) };
}

/** Kills -9 the workers of the server that these journeys go to; says how many there were. */
export function killWorkers(): number {
  const noted = `${process.env.THICKET_VAR ?? 'var'}/run/fpm.pid.noted`;
  const master = readFileSync(noted, 'utf8').split(' ')[0] ?? '';
  const workers = readFileSync(`/proc/${master}/task/${master}/children`, 'utf8').trim().split(' ').filter(Boolean);
  workers.forEach((pid) => process.kill(Number(pid), 'SIGKILL'));
  return workers.length;
}

/** What the server holds of a field day. */
export async function fieldDay(page: Page, sheet: string): Promise<{ treated: number; notes: number }> {
  const { json } = await ask(page, 'GET', `/sheets/${sheet}/notes`);
  const told = json as unknown as { day: { treated: number }; notes: unknown[] };
  return { treated: told.day.treated, notes: told.notes.length };
}
