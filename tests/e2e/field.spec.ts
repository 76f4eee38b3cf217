import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { ask, fieldDay, isAccessible, issuedTrees, killWorkers, signIn } from './helpers';

test.use({ viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

const pad = (page: Page) => page.getByRole('button', { name: /^3 in/ });
const toPart = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click();

/** Ticks all that has to be ticked and notes mild weather, so that work may begin. */
async function getReady(page: Page): Promise<void> {
  const open = page.getByRole('checkbox', { checked: false });
  for (let left = await open.count(); left > 0; --left) {
    await open.first().press('Space');
    await expect(open).toHaveCount(left - 1);
  }
  await page.getByLabel('Temperature, °F').fill('68');
  await page.getByRole('combobox', { name: 'Wind from' }).click();
  await page.getByRole('option', { name: 'west', exact: true }).click();
  await page.getByRole('button', { name: 'Note the weather' }).click();
  await expect(page.getByText('from the west, 68 °F')).toBeVisible();
}

/** Takes the sheet along, and waits till the shell is on the device. */
async function takeAlong(page: Page, sheet: string): Promise<void> {
  await page.goto(`/field/${sheet}`);
  await expect(page.getByRole('heading', { name: /Tree-of-heaven/ })).toBeVisible();
  // active: whatever is opened from now on comes from this device, though this very page may have come before it
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
}

test('works a day without signal: started, counted, reloaded in the wood, and every note arrives once', async ({
  page,
  context,
}) => {
  await signIn(page);
  const { sheet, stand } = await issuedTrees(page);
  await takeAlong(page, sheet);
  await isAccessible(page);

  await test.step('before: what is ticked, and wind above the limit', async () => {
    await expect(page.getByRole('heading', { name: /things to tick before you begin/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeDisabled();
    await page.getByLabel('Temperature, °F').fill('85.1');
    await expect(page.getByRole('alert').filter({ hasText: 'Not now:' })).toBeVisible();
    await page.getByLabel('Temperature, °F').fill('85');
    await expect(page.getByRole('alert').filter({ hasText: 'Not now:' })).toHaveCount(0);
    await getReady(page);
    await expect(page.getByRole('heading', { name: 'All is ticked: you can begin' })).toBeVisible();
  });
  await test.step('where one goes, by the simulated receiver', async () => {
    await toPart(page, 'At work');
    await page.getByRole('button', { name: 'Record my way' }).click();
    await expect(page.getByText(/positions, about/)).toBeVisible();
    await page.getByRole('button', { name: 'Stop recording' }).click();
    await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
    await page.getByLabel('How wide one pass is').fill('5 ft');
    await page.getByRole('button', { name: 'What is covered' }).click();
    await expect(page.getByText('Gone over twice:')).toBeVisible();
    await isAccessible(page);
  });
  await test.step('a spot marked by keys, and the way of another device', async () => {
    const before = (await fieldDay(page, sheet)).notes;
    await page.getByRole('button', { name: 'Mark a spot' }).click();
    const map = page.getByRole('application', { name: /^Map: tap where the spot is/ });
    await map.press('ArrowRight');
    await page.getByRole('radio', { name: 'missed, to come back to' }).check({ force: true });
    await page.getByLabel(/^Why \(wren/).fill('Ran out by the ditch');
    await isAccessible(page);
    await page.getByRole('button', { name: 'Put it here' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Ran out by the ditch' })).toBeVisible();
    const point = (i: number): string => `<trkpt lat="44.1001" lon="${-71.2 + i * 0.00005}"/>`;
    const way = `<trk><trkseg>${[0, 1, 2, 3].map(point).join('')}</trkseg></trk>`;
    await page.getByLabel('A way that another device recorded (GPX)').setInputFiles({
      name: 'way.gpx',
      mimeType: 'application/gpx+xml',
      buffer: Buffer.from(`<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${way}</gpx>`),
    });
    await expect.poll(async () => (await fieldDay(page, sheet)).notes).toBe(before + 2);
    await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
  });
  const noted = (await fieldDay(page, sheet)).notes;

  await context.setOffline(true);
  await test.step('at work without signal', async () => {
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    for (let i = 0; i < 5; ++i) await pad(page).click();
    await page.getByRole('button', { name: 'Take back the last: 3 in' }).click();
    await expect(pad(page)).toContainText('4');
    await page.getByRole('button', { name: /notes? not sent/ }).click();
    await expect(page.getByRole('button', { name: /not sent.*no signal/ })).toBeVisible();
    // a picture waits on the phone like everything else
    await page.getByLabel('What the next one shows').fill('The stump by the ditch');
    await page.getByLabel('Take or choose a picture').setInputFiles('docs/screenshots/phone-field-day.png');
    await expect(page.getByRole('img', { name: 'The stump by the ditch' })).toBeVisible();
    await expect(page.getByText('not sent yet', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: /Start: Tell whoever waits/ }).click();
    await expect(page.getByRole('timer')).toContainText('Tell whoever waits');
    await isAccessible(page);
  });

  await test.step('the phone dies and starts again, in the wood', async () => {
    await page.reload();
    await expect(page.getByRole('heading', { name: /Tree-of-heaven/ })).toBeVisible();
    await toPart(page, 'At work');
    await expect(pad(page)).toContainText('4');
    await expect(page.getByRole('timer')).toContainText('Tell whoever waits');
    await pad(page).click();
    await page.getByRole('button', { name: 'Spill or accident' }).click();
    await expect(page.getByText('Scoop it up with the soil that is wet')).toBeVisible();
    await page.getByRole('button', { name: 'Leave it' }).click();
    await page.getByRole('button', { name: 'Stop for today' }).click();
    await expect(page.getByText('5 treated')).toBeVisible();
  });

  await test.step('the record is signed on the phone, and not sealed', async () => {
    await page.getByText('Write the record').click();
    await page.getByRole('button', { name: 'Take over what was noted' }).click();
    await expect(page.getByLabel('Treated (stems or plants)')).toHaveValue('5');
    await page.getByLabel('Mix used').fill('1 qt');
    await page.getByLabel('Sky and ground').fill('dry');
    await page.getByLabel('Wind', { exact: true }).fill('3 mph');
    // an hour of work, in this journey's few seconds
    await page.getByLabel('Stop', { exact: true }).fill('23:59');
    await page.getByLabel('Stop', { exact: true }).press('Tab');
    await page.getByRole('button', { name: 'Sign the record' }).click();
    await expect(page.getByRole('heading', { name: 'Signed on this phone, not sealed' })).toBeVisible();
  });

  // the server takes the first of it and dies before it answers: all is sent again
  let lost = 0;
  await page.route('**/api/v1/sheets/*/notes', async (route) => {
    if (route.request().method() !== 'POST' || lost++ > 0) return route.continue();
    await route.fetch();
    return route.abort('connectionreset');
  });
  await context.setOffline(false);
  await expect.poll(() => lost).toBeGreaterThan(0);
  await page.getByRole('button', { name: /not sent/ }).click();
  // the record is what is left: it waits for a person
  await expect(page.getByRole('button', { name: /^1 note not sent/ })).toBeVisible();
  const told = await fieldDay(page, sheet);
  // a start, five taps, one taken back, a picture, a clock, one tap more, a stop
  expect(told).toEqual({ treated: 5, notes: noted + 11 });
  await page.getByRole('button', { name: 'Seal it now' }).click();
  await expect(page.getByRole('heading', { name: 'Signed on this phone, not sealed' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
  await page.goto(`/stands/${stand}/look-back`);
  await expect(page.getByText('Signed by Ada Thornbury')).toBeVisible();
  await expect(page.getByRole('img', { name: 'The stump by the ditch' })).toBeVisible();
});

test('has every job that is out on the phone once Today was seen, and opens it from there without signal', async ({
  page,
  context,
}) => {
  await signIn(page);
  const { sheet } = await issuedTrees(page);
  await page.goto('/today');
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  // the sheet itself was never opened on this phone
  await expect
    .poll(() =>
      page.evaluate(
        (id) =>
          new Promise<boolean>((told) => {
            const asked = indexedDB.open('thicket-field');
            asked.onerror = () => told(false);
            asked.onsuccess = () => {
              const db = asked.result;
              if (!db.objectStoreNames.contains('days')) return (db.close(), told(false));
              const all = db.transaction('days').objectStore('days').getAllKeys();
              all.onsuccess = () => (db.close(), told(all.result.some((key) => (key as string).endsWith(id))));
            };
          }),
        sheet,
      ),
    )
    .toBe(true);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Jobs this phone has with it' })).toBeVisible();
  await isAccessible(page);
  await page
    .getByRole('link', { name: /Basal bark, Tree-of-heaven/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /things to tick before you begin/ })).toBeVisible();
  await context.setOffline(false);
});

test('two phones on one job: counts add up, what they say differently is shown to a person', async ({
  page,
  browser,
}) => {
  await signIn(page);
  const { sheet } = await issuedTrees(page);
  await takeAlong(page, sheet);
  const second: BrowserContext = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const other = await second.newPage();
  await signIn(other, 'bram');
  await takeAlong(other, sheet);

  const say = async (on: Page, words: string): Promise<void> => {
    await toPart(on, 'After');
    await on.getByLabel('Equipment').fill(words);
    await on.getByRole('button', { name: 'Keep it' }).first().click();
    await expect(on.getByText(`Equipment: ${words}`)).toBeVisible();
  };
  await page.context().setOffline(true);
  await second.setOffline(true);
  for (const [on, taps] of [
    [page, 3],
    [other, 4],
  ] as const) {
    await toPart(on, 'At work');
    for (let i = 0; i < taps; ++i) await pad(on).click();
  }
  await say(page, 'blue sprayer');
  await say(other, 'red sprayer');
  await page.context().setOffline(false);
  await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
  await second.setOffline(false);
  await expect(other.getByRole('button', { name: 'All sent' })).toBeVisible();
  // the second has both now
  await expect(other.getByText('7 treated')).toBeVisible();
  await expect(other.getByText('Two devices say different things of this: Equipment.')).toBeVisible();
  await other.getByRole('listitem').filter({ hasText: 'blue sprayer' }).getByRole('button').click();
  await expect(other.getByText('Equipment: blue sprayer')).toBeVisible();
  await expect(other.getByRole('button', { name: 'All sent' })).toBeVisible();
  expect((await fieldDay(page, sheet)).treated).toBe(7);
  await second.close();
});

test('a server that dies while it takes notes, and a session ended elsewhere: every note arrives once', async ({
  page,
  context,
}) => {
  await signIn(page);
  const { sheet } = await issuedTrees(page);
  await takeAlong(page, sheet);
  await toPart(page, 'At work');
  await context.setOffline(true);
  for (let i = 0; i < 12; ++i) await pad(page).click();
  let [lost, killed] = [0, 0];
  page.on('response', (r) => void (r.status() >= 500 && lost++));
  page.on('requestfailed', (r) => void (r.method() === 'POST' && lost++));
  await context.setOffline(false);
  for (const until = Date.now() + 8000; Date.now() < until && (killed === 0 || lost === 0);) {
    killed += killWorkers();
    await page.waitForTimeout(20);
  }
  expect([killed > 0, lost > 0]).toEqual([true, true]);
  await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible({ timeout: 60_000 });
  expect((await fieldDay(page, sheet)).treated).toBe(12);

  await test.step('the session is ended elsewhere: the phone keeps what it has, and says why', async () => {
    await context.clearCookies();
    await pad(page).click();
    await expect(page.getByRole('button', { name: /1 note not sent/ })).toContainText('sign in again');
    await page.reload();
    await signIn(page);
    await page.goto(`/field/${sheet}`);
    await expect(page.getByRole('button', { name: 'All sent' })).toBeVisible();
    expect((await fieldDay(page, sheet)).treated).toBe(13);
  });
});

test('asks who agreed before a sheet goes out: the owner, and people who walk by', async ({ page }) => {
  await signIn(page);
  const { stand, sheet } = await issuedTrees(page);
  const patch = String((await ask(page, 'GET', `/stands/${stand}`)).json.patchId);
  await ask(page, 'POST', `/sheets/${sheet}/withdraw`, { reason: 'A path was forgotten.' });
  await ask(page, 'POST', `/patches/${patch}/observations`, { facts: [{ fact: 'public-way', value: true }] });
  await page.goto(`/stands/${stand}/field-day`);
  const shut = (words: string) => page.getByText(words, { exact: true });
  const agreed = page.getByRole('region', { name: 'Agreed with others first' });
  await expect(agreed.getByText('From Hester Fernshaw, Sat 1 Aug 2026.')).toBeVisible();
  await expect(shut('Not told yet: people who use the path.')).toBeVisible();
  await agreed.getByRole('button', { name: 'That no longer holds' }).click();
  await expect(shut("Not recorded: the owner's consent.")).toBeVisible();
  await expect(page.getByRole('button', { name: 'Issue the job sheet' })).toBeDisabled();
  await agreed.getByRole('button', { name: 'Write it down' }).first().click();
  await agreed.getByRole('radio', { name: 'It is our own ground' }).click({ force: true });
  await agreed.getByLabel('Who of you owns it').fill('Ada Thornbury');
  await agreed.getByRole('button', { name: 'Keep it' }).click();
  await expect(agreed.getByText('Walk the boundary first, and say that it was checked.')).toBeVisible();
  await isAccessible(page);
  await agreed.getByRole('checkbox', { name: 'The boundary was walked and is known' }).press('Space');
  await agreed.getByRole('button', { name: 'Keep it' }).click();
  await expect(shut("Not recorded: the owner's consent.")).toHaveCount(0);
  await agreed.getByRole('button', { name: 'Write it down' }).click();
  await agreed.getByLabel('Who was told').fill('Walkers, by a board at the gate');
  await agreed.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { name: 'All gates are open' })).toBeVisible();
  await page.getByRole('button', { name: 'Issue the job sheet' }).click();
  await expect(page.getByText(/people who use the path: Walkers, by a board at the gate/)).toBeVisible();
});
