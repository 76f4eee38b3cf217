import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { answer, ask, choose, givePassword, isAccessible, signIn } from './helpers';

const NEW = 'heron ladle quartz';

/** What a phone with that secret shows now: an independent reckoner of one-time passwords. */
const shown = (secret: string): string =>
  execFileSync('oathtool', ['--totp', '-b', secret.replaceAll(' ', '')], { encoding: 'utf8' }).trim();

const comeIn = async (page: Page, email: string, password: string): Promise<void> => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password', { exact: true }).fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
};

test('takes a member in, who forgets the password, sets up a phone and loses it', async ({
  page,
  browser,
  baseURL,
}) => {
  // another try meets who came in by the first one
  const name = `Sage ${Date.now().toString(36)}`;
  const email = `${name.replace(' ', '.').toLowerCase()}@alderbrook.example`;
  await signIn(page);
  await page.goto('/crew');
  let link = '';
  await test.step('a lead makes a link', async () => {
    await page.getByLabel('Name, if you like').fill(name);
    await isAccessible(page);
    await page.getByRole('button', { name: 'Make the link' }).click();
    link = await page.getByLabel('The link, shown only now').inputValue();
    await expect(page.getByText(`${name}, member`)).toBeVisible();
  });
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    serviceWorkers: 'block',
    locale: 'en-GB',
  });
  const theirs = await context.newPage();
  await test.step('and somebody comes in by it, once', async () => {
    await theirs.goto(new URL(link).pathname);
    await expect(theirs.getByText('Ada Thornbury asks you to join Alderbrook Valley Trust.')).toBeVisible();
    await expect(theirs.getByLabel('Your name')).toHaveValue(name);
    await theirs.getByLabel('E-mail').fill(email);
    await theirs.getByLabel('Password', { exact: true }).fill('alderbrook trust');
    await theirs.getByRole('button', { name: 'Join' }).click();
    await expect(theirs.getByText(/words that have nothing to do with you/)).toBeVisible();
    await isAccessible(theirs);
    await theirs.getByLabel('Password', { exact: true }).fill('nine grey barrows');
    await theirs.getByRole('button', { name: 'Join' }).click();
    await expect(theirs.getByRole('heading', { name: 'Thu 3 Sep 2026' })).toBeVisible();
  });
  await test.step('forgotten: a code that the lead reads out', async () => {
    await page.reload();
    await page.getByRole('button', { name: `A code for a new password of ${name}` }).click();
    await givePassword(page);
    const code = await page.locator('.told').innerText();
    const other = await (
      await browser.newContext({ ...(baseURL ? { baseURL } : {}), serviceWorkers: 'block' })
    ).newPage();
    await other.goto('/sign-in');
    await other.getByRole('link', { name: 'I forgot my password' }).click();
    await other.getByText('with a code from a lead').click();
    await other.getByRole('textbox', { name: 'E-mail' }).fill(email);
    await other.getByRole('textbox', { name: 'Code', exact: true }).fill(code);
    await other.getByLabel('New password').fill(NEW);
    await isAccessible(other);
    await other.getByRole('button', { name: 'Keep it' }).click();
    await expect(other.getByText('Done. All places where you were signed in are signed out.')).toBeVisible();
    // the browser that was signed in is out with it
    await theirs.reload();
    await expect(theirs.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await other.context().close();
  });
  let secret = '';
  await test.step('a phone is set up, and asked for', async () => {
    await comeIn(theirs, email, NEW);
    await expect(theirs.getByRole('heading', { name: 'Thu 3 Sep 2026' })).toBeVisible();
    await theirs.goto('/account');
    await theirs.getByRole('button', { name: 'Set up a phone' }).click();
    const dialog = theirs.getByRole('dialog', { name: 'Your password again' });
    await dialog.getByLabel('Password').fill(NEW);
    await dialog.getByRole('button', { name: 'Go on' }).click();
    secret = await theirs.locator('.secret').innerText();
    await isAccessible(theirs);
    await theirs.getByLabel('Code of your phone').fill(shown(secret));
    await theirs.getByRole('button', { name: 'Turn it on' }).click();
    await expect(theirs.locator('.codes li')).toHaveCount(10);
  });
  const codes = await theirs.locator('.codes li').allInnerTexts();
  await test.step('without it, by a code on paper', async () => {
    const other = await (
      await browser.newContext({ ...(baseURL ? { baseURL } : {}), serviceWorkers: 'block' })
    ).newPage();
    await comeIn(other, email, NEW);
    await expect(other.getByText('Give the code that your phone shows.')).toBeVisible();
    await other.getByLabel('Code of your phone').fill(codes[0] ?? '');
    await other.getByRole('button', { name: 'Sign in' }).click();
    await expect(other.getByRole('heading', { name: 'Thu 3 Sep 2026' })).toBeVisible();
    // and from there the browser that may be in other hands is signed out
    await other.goto('/account');
    await other.getByRole('button', { name: 'Sign out', exact: true }).first().click();
    await expect(other.getByRole('button', { name: 'Sign out', exact: true })).toHaveCount(0);
    await theirs.reload();
    await expect(theirs.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await other.context().close();
  });
  await test.step('taken out, and the trail tells it', async () => {
    await page.goto('/crew');
    const line = page.getByRole('listitem').filter({ hasText: name });
    await line.getByRole('button', { name: 'Take out' }).click();
    await line.getByRole('button', { name: `Yes, take ${name} out` }).click();
    await expect(line).toHaveCount(0);
    await page.getByRole('tab', { name: 'Who did what' }).click();
    await expect(page.getByRole('row').filter({ hasText: `took ${name} out of the crew` })).toBeVisible();
    await isAccessible(page);
    await comeIn(theirs, email, NEW);
    await expect(theirs.getByText('Name and password do not go together.')).toBeVisible();
  });
  await context.close();
});

test('sets what holds for all work, and says who changed it', async ({ page }) => {
  await signIn(page);
  await page.goto('/crew?view=settings');
  await page.getByLabel('Years that records are kept').fill('5');
  await page.getByRole('button', { name: 'Keep the settings' }).click();
  await expect(
    page.getByText('Years that records are kept: give a whole number from 7 to 50.').or(page.getByText(/from 7 to 50/)),
  ).toBeVisible();
  await page.getByLabel('Years that records are kept').fill('10');
  await page.getByLabel('Law and authority here').fill('Rules of the county; ask its weed officer.');
  await choose(page.getByRole('combobox', { name: 'Fuel oil as a carrier' }), 'yes');
  await page.getByRole('button', { name: 'Keep the settings' }).click();
  await expect(page.getByText(/Changed by Ada Thornbury/)).toHaveCount(3);
  await isAccessible(page);
  await page.getByRole('tab', { name: 'Who did what' }).click();
  await expect(page.getByText('Years that records are kept: 7 → 10')).toBeVisible();
  // as it was, for the journeys after this one
  const crew = (await ask(page, 'GET', '/crew')).json as unknown as { revision: number };
  expect(crew.revision).toBeGreaterThan(1);
});

test.describe('an installation of its own', () => {
  let place = '';
  let server: ChildProcess | null = null;
  let address = '';
  let code = '';
  const log = (): string => readFileSync(join(place, 'start.log'), 'utf8');

  test.beforeAll(async () => {
    test.setTimeout(240_000);
    place = mkdtempSync(join(tmpdir(), 'thicket-empty-'));
    chmodSync(place, 0o755);
    writeFileSync(join(place, 'start.log'), '');
    server = spawn('bash', ['-c', `exec setsid bash bin/start --empty > ${place}/start.log 2>&1`], {
      env: {
        ...process.env,
        THICKET_VAR: place,
        THICKET_PORT: '8995',
        THICKET_NOW: '2026-09-03T09:00:00-05:00',
        THICKET_DIST_NAME: process.env.THICKET_DIST_NAME ?? 'dist',
      },
      stdio: 'ignore',
    });
    await expect.poll(log, { timeout: 200_000 }).toContain('Ctrl-C stops it.');
    address = /^Gallant Thicket is at (\S+)/m.exec(log())?.[1] ?? '';
    code = /^Setup code for the first account: (\S+)/m.exec(log())?.[1] ?? '';
  });
  test.afterAll(async () => {
    if (server?.pid) process.kill(-server.pid, 'SIGINT');
    await new Promise((done) => (server ? server.once('exit', done) : done(null)));
    rmSync(place, { recursive: true, force: true });
  });

  test("goes from nothing to a second member's first count", async ({ browser }) => {
    const context = await browser.newContext({ baseURL: address, serviceWorkers: 'block', locale: 'en-US' });
    const page = await context.newPage();
    await test.step('the first account', async () => {
      await page.goto('/');
      await page.getByLabel('Setup code').fill(code);
      await page.getByLabel('Name of your crew or place').fill('Larkmoor friends');
      await page.getByLabel('Your name').fill('Wren Tallis');
      await page.getByLabel('E-mail').fill('wren@larkmoor.example');
      await page.getByLabel('Password', { exact: true }).fill('nine grey barrows');
      await isAccessible(page);
      await page.getByRole('button', { name: 'Begin' }).click();
      await expect(page.getByRole('heading', { name: 'Welcome, Larkmoor friends' })).toBeVisible();
      await page.getByRole('button', { name: 'Go on' }).click();
    });
    await test.step('where: pasted, then a file', async () => {
      await page.getByLabel('Paste latitude and longitude').fill('somewhere');
      await page.getByRole('button', { name: 'Take it' }).click();
      await expect(page.getByText(/Give latitude and longitude, such as/)).toBeVisible();
      await page.getByLabel('Paste latitude and longitude').fill("44° 3' N 71° 24' W");
      await page.getByRole('button', { name: 'Take it' }).click();
      await expect(page.getByLabel('Latitude, as 44.05')).toHaveValue('44.05');
      await page.getByLabel('Name of the ground').fill('Larkmoor');
      await page.getByLabel('Height above the sea').fill('690 ft');
      await isAccessible(page);
      await page.getByRole('button', { name: 'Keep the ground' }).click();
    });
    await test.step('a first patch, and cards to begin with', async () => {
      await page.getByLabel('Name of the patch').fill('Hedge by the gate');
      await page.getByRole('button', { name: 'Keep the patch' }).click();
      await page.getByRole('button', { name: 'Lay out the cards' }).click();
      await expect(page.getByText('12 cards are laid out.')).toBeVisible();
      await isAccessible(page);
      await page.getByRole('button', { name: 'To the first patch' }).click();
      await expect(page.getByRole('heading', { name: 'Hedge by the gate' })).toBeVisible();
    });
    await test.step('no template is confirmed', async () => {
      await page.goto('/shed');
      await expect(page.getByText('A template: copy your own label into it', { exact: false }).first()).toBeVisible();
      await expect(page.getByRole('button', { name: 'Confirm' })).toHaveCount(0);
    });
    const link = await test.step('a second member', async () => {
      await page.goto('/crew');
      await page.getByRole('button', { name: 'Make the link' }).click();
      return page.getByLabel('The link, shown only now').inputValue();
    });
    const phone = await browser.newContext({
      baseURL: address,
      serviceWorkers: 'block',
      locale: 'en-US',
      viewport: { width: 390, height: 800 },
    });
    const theirs = await phone.newPage();
    await test.step('who names and counts the first plants', async () => {
      await theirs.goto(new URL(link).pathname);
      await theirs.getByLabel('Your name').fill('Teal Marchbank');
      await theirs.getByLabel('E-mail').fill('teal@larkmoor.example');
      await theirs.getByLabel('Password', { exact: true }).fill('heron ladle quartz');
      await theirs.getByRole('button', { name: 'Join' }).click();
      await expect(theirs).toHaveURL(/today/);
      await theirs.goto('/ground');
      await theirs.getByRole('button', { name: 'Hedge by the gate' }).first().click();
      await theirs.getByRole('button', { name: 'Scout a new stand here' }).click();
      await answer(theirs, 'What kind of plant is it?', 'shrub');
      await answer(theirs, 'What is the fruit like?', 'black berry');
      await theirs.getByRole('button', { name: 'It is Common privet' }).click();
      await theirs.getByLabel('From or exactly 1').fill('1 in');
      await theirs.getByLabel('Stems 1', { exact: true }).fill('24');
      await theirs.getByRole('button', { name: 'Save the count' }).click();
      await expect(theirs.getByText('last counted Thu 3 Sep 2026: 24')).toBeVisible();
    });
    await page.goto('/crew?view=trail');
    await expect(
      page
        .getByRole('row')
        .filter({ hasText: 'Teal Marchbank' })
        .filter({ hasText: 'counted Common privet, Hedge by the gate' }),
    ).toBeVisible();
    await context.close();
    await phone.close();
  });
});
