import { expect, test } from '@playwright/test';
import { answer, choose, givePassword, hasArea, isAccessible, openStand, signIn, station, unfold } from './helpers';

const OUTLINE = JSON.stringify({
  type: 'Polygon',
  coordinates: [
    [
      [-71.38, 44.05],
      [-71.3795, 44.05],
      [-71.3795, 44.0503],
      [-71.38, 44.0503],
      [-71.38, 44.05],
    ],
  ],
});

test('carries a new patch from its outline to a signed record, and sees why it cannot be judged yet', async ({
  page,
}) => {
  await signIn(page);
  await isAccessible(page);

  await test.step('Ground: a patch with an outline, a keeper, a stand', async () => {
    await station(page, 'Ground');
    await page.getByRole('button', { name: 'Hollin Hedge and oak wood' }).click();
    await page.getByRole('button', { name: 'New patch' }).click();
    await page.getByLabel('Name of the patch').fill('South lane');
    await page.getByRole('button', { name: 'Paste' }).click();
    await page.getByLabel('Outline (GeoJSON polygon, pasted)').fill('{"type":"Point","coordinates":[1,2]}');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('Give a GeoJSON Polygon (or a Feature of one).')).toBeVisible();
    await page.getByLabel('Outline (GeoJSON polygon, pasted)').fill(OUTLINE);
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('0.3301 ac')).toBeVisible();
    // at once: what was typed last is written when the page goes
    await page.reload();
    await page.getByRole('button', { name: 'Hollin Hedge and oak wood' }).click();
    await page.getByRole('button', { name: 'New patch' }).click();
    await expect(page.getByText('Picked up what you had typed')).toBeVisible();
    await expect(page.getByLabel('Name of the patch')).toHaveValue('South lane');
    await expect(page.getByText('0.3301 ac')).toBeVisible();
    await page.getByRole('button', { name: 'Save the patch' }).click();
    await expect(page.getByRole('heading', { name: 'South lane' })).toBeVisible();
    // 0.0005 by 0.0003 degrees at 44.05 N on the ellipsoid: 1335.67 m2 = 0.3301 ac
    await hasArea(page, 'South lane', '0.3301 ac');
    await isAccessible(page);
    await page.getByRole('button', { name: 'Scout a new stand here' }).click();
  });

  await test.step('Scout: answer, confirm, count, note', async () => {
    await answer(page, 'What kind of plant is it?', 'tree');
    await answer(page, 'What is one leaf like?', 'feather of leaflets');
    await answer(page, 'Does it prick?', 'none');
    await answer(page, 'What is the bark like?', 'smooth');
    await expect(page.getByRole('region', { name: 'Could be' }).getByRole('listitem').first()).toContainText(
      'Tree-of-heaven',
    );
    await isAccessible(page);
    await page.getByRole('button', { name: 'It is Tree-of-heaven' }).click();
    await expect(page.getByRole('heading', { name: 'Scout: Tree-of-heaven' })).toBeVisible();
    await page.getByRole('button', { name: /gland below\? Yes/ }).click();
    await expect(page.getByText('Winged sumac is ruled out.')).toBeVisible();
    await page.getByLabel('From or exactly 1').fill('1 in');
    await page.getByLabel('To below 1').fill('2 in');
    await page.getByLabel('Stems 1', { exact: true }).fill('30');
    await page.getByLabel('Stems 1', { exact: true }).press('Enter');
    await page.getByLabel('From or exactly 2').fill('3 gal');
    await page.getByLabel('Stems 2', { exact: true }).fill('12');
    await page.getByRole('button', { name: 'Save the count' }).click();
    await expect(
      page.getByText('Row 2: Give length here, such as 4 in or 10 cm; US gal measures volume.'),
    ).toBeVisible();
    await page.getByLabel('From or exactly 2').fill('3 in');
    await page.getByRole('button', { name: 'Save the count' }).click();
    await expect(page.getByText('last counted Thu 3 Sep 2026: 42')).toBeVisible();
    for (const [fact, value] of [
      ['bark texture', 'smooth'],
      ['bark wet or dry', 'dry'],
      ['grass at the base', 'No'],
    ] as const) {
      await choose(page.getByRole('combobox', { name: /^Note/ }), fact);
      await page
        .getByRole('group', { name: 'is', exact: true })
        .getByRole('button', { name: value, exact: true })
        .click();
      await expect(page.getByRole('listitem').filter({ hasText: value }).first()).toBeVisible();
    }
    await isAccessible(page);
  });

  await test.step('Methods: reasons, another school, choose', async () => {
    await station(page, 'Methods');
    const basal = page.getByRole('button', { name: /^Basal bark/ });
    await expect(basal).toContainText('With care');
    await expect(basal).toContainText('It will stand dead');
    await unfold(page);
    await expect(page.getByRole('button', { name: /^Cut stump/ }).first()).toContainText('Does not suit');
    await page
      .getByRole('button', { name: /^Cut stump/ })
      .first()
      .click();
    await expect(page.getByText('Treat it standing from 1 July to first colour; cut 30 days after.')).toBeVisible();
    await page.keyboard.press('1');
    await expect(page.getByRole('button', { name: /^Cut stump/ })).toHaveCount(0);
    await page.keyboard.press('1');
    await page.getByText('Look at it by another school').click();
    await choose(page.getByRole('combobox', { name: 'Height of the basal band' }), '12 in (30 cm)');
    await isAccessible(page);
    await basal.click();
    await page.getByRole('button', { name: 'Choose Basal bark' }).click();
  });

  await test.step('Mix: amounts in both systems, saved', async () => {
    await expect(page.getByRole('heading', { name: 'Mix: Tree-of-heaven' })).toBeVisible();
    // (30 x 1.5 + 12 x 3) in x pi x 12 in = 3053.6 sq in = 1.9701 m2; x 0.30 x 1.1 = 0.6501 L; 25 % = 5.496 fl oz
    await expect(page.getByText('5.496 fl oz').first()).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByText('162.5 mL').first()).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByRole('img', { name: /Wet 12 in all round/ })).toBeVisible();
    await isAccessible(page);
    await page.getByRole('button', { name: 'Save this recipe' }).click();
    await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  });

  await test.step('When: in season', async () => {
    await station(page, 'When');
    await expect(page.getByText('Basal bark is in season')).toBeVisible();
    await expect(page.getByRole('img', { name: /today is Thu 3 Sep/ })).toBeVisible();
    await isAccessible(page);
  });

  await test.step('Field day: sheet, PDF, record', async () => {
    await station(page, 'Field day');
    await expect(page.getByText('All gates are open')).toBeVisible();
    await page.getByRole('button', { name: 'Issue the job sheet' }).click();
    await givePassword(page);
    await expect(page.getByText('This sheet advises. The label and local law decide.')).toBeVisible();
    await page.getByRole('button', { name: 'Print the sheet (PDF)' }).click();
    const pdf = await page.request.get(
      (await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')) ?? '',
    );
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    expect((await pdf.body()).subarray(0, 4).toString()).toBe('%PDF');
    await isAccessible(page);
    await page.getByLabel('Start').fill('09:30');
    await page.getByLabel('Stop').fill('09:00');
    await page.getByLabel('Treated (stems or plants)').fill('42');
    await page.getByLabel('Mix used').fill('0.2 gal');
    await page.getByLabel('Sky and ground').fill('bright, dry');
    await page.getByLabel('Wind').fill('3 mph');
    await page.getByLabel('Temperature').fill('66 F');
    await page.getByRole('button', { name: 'Sign the record' }).click();
    await expect(page.getByText('Work stops after it starts.')).toBeVisible();
    await page.getByLabel('Stop').fill('11:45');
    await page.getByRole('button', { name: 'Sign the record' }).click();
    await expect(page.getByText('The record is signed.')).toBeVisible();
  });

  await test.step('Look back: not before a year', async () => {
    await station(page, 'Look back');
    await expect(page.getByRole('heading', { name: 'Not to be judged before Fri 3 Sep 2027' })).toBeVisible();
    await expect(page.getByRole('row', { name: /^Mix about 22 fl oz.* about 26 fl oz/ })).toBeVisible();
    await isAccessible(page);
  });

  await test.step('the next plan listens: what it took, against what was planned', async () => {
    await station(page, 'Shed');
    await page.getByRole('tab', { name: 'Prices and figures' }).click();
    const lessons = page.getByRole('region', { name: 'What your records say' });
    const film = lessons.getByRole('listitem').filter({ hasText: /^Mix of record .* South lane/ });
    await expect(film).toContainText(/Basal bark, full wet: 0\.\d+ L\/m²,? planned with 0\.30/);
    await expect(film).toContainText('Counts');
    // two and a quarter hours for 42 stems: far out of the common, so a person is asked
    const hands = lessons.getByRole('listitem').filter({ hasText: /^Time of record .* South lane/ });
    await hands.getByRole('button', { name: /^Say whether it counts/ }).click();
    await hands.getByLabel(/^Why/).fill('A talk with the neighbour came between.');
    await hands.getByRole('button', { name: 'Leave it out' }).click();
    await expect(hands).toContainText('Left out: A talk with the neighbour came between.');
    await isAccessible(page);
  });
});

test('stops at a look-alike and opens when the test is made', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: /Norway maple/ }).click();
  await station(page, 'Field day');
  await expect(page.getByRole('main').getByText('Look-alike not ruled out: Red maple.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Issue the job sheet' })).toBeDisabled();
  await page.getByRole('link', { name: 'Do the look-alike test at Scout.' }).first().click();
  await page.getByRole('button', { name: /white milk come out\? Yes/ }).click();
  await expect(page.getByText('Red maple is ruled out.')).toBeVisible();
  await page.getByRole('button', { name: /straight line\? Yes/ }).click();
  await expect(page.getByText('Sugar maple is ruled out.')).toBeVisible();
  await expect(page.getByText('Red maple is ruled out.')).toBeVisible();
  await station(page, 'Field day');
  await expect(page.getByRole('main').getByText('Look-alike not ruled out')).toHaveCount(0);
});

test('warns of a burning plant before it has a name, and never asks to cut it', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: /Unnamed plant\s*Hay meadow/ }).click();
  await answer(page, 'What colour are the flowers?', 'yellow');
  await answer(page, 'What is one leaf like?', 'feather of leaflets');
  await expect(page.getByText('Cutting, crushing and smelling are stopped')).toBeVisible();
  await expect(page.getByText('Its sap could burn skin in sunlight.')).toBeVisible();
  await page.locator('summary', { hasText: 'What sap comes from a broken stalk?' }).click();
  await expect(
    page
      .locator('details', { hasText: 'What sap comes from a broken stalk?' })
      .getByText('Stopped while a burning or poisonous plant is in play.'),
  ).toBeVisible();
  await expect(
    page.getByRole('group', { name: 'What sap comes from a broken stalk?' }).getByRole('checkbox'),
  ).toHaveCount(0);
});

test('greets at the door and says so when a page does not exist', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await isAccessible(page);
  await signIn(page);
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing here.' })).toBeVisible();
  await isAccessible(page);

  for (const station of ['scout', 'methods', 'mix', 'when', 'field-day', 'look-back'])
    await test.step(`${station} of a stand that is gone`, async () => {
      await page.goto(`/stands/01a228c5-0000-7000-8000-000000000000/${station}`);
      await expect(page.getByRole('main').getByText('There is nothing here.')).toBeVisible();
      await expect(page.getByRole('button', { name: 'Try again' })).toHaveCount(0);
    });
});

test('says that there is no signal, and asks again when told to', async ({ page }) => {
  await signIn(page);
  await page.route('**/api/v1/handbook', (route) => route.abort());
  await page.goto('/handbook');
  await expect(page.getByText('No signal: the server cannot be reached.')).toBeVisible({ timeout: 30_000 });
  await isAccessible(page);
  await page.unroute('**/api/v1/handbook');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'Ways of working' })).toBeVisible();
  await expect(page.getByText('No signal')).toHaveCount(0);
});

test('shows a viewer everything and no button that writes', async ({ page }) => {
  await signIn(page, 'cleo');
  await openStand(page, /Tree-of-heaven/);
  await station(page, 'Methods');
  await expect(page.getByRole('button', { name: /^Basal bark/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Choose/ })).toHaveCount(0);
  await station(page, 'Shed');
  await expect(page.getByRole('button', { name: 'Enter a label card' })).toHaveCount(0);
  await isAccessible(page);
});

test('sees when the job can be done: the answer, the picture, one hour with its reasons', async ({ page }) => {
  await signIn(page);
  await expect(page.getByRole('heading', { name: 'Open now' })).toBeVisible();
  await openStand(page, /^Quackgrass/);
  await station(page, 'When');
  // a wet and windy week with one good morning in it
  await expect(page.getByText(/^Not now\. Opens Sat 5 Sep \d\d:00/)).toBeVisible();
  await expect(page.getByText(/Wind is about [\d.]+ mph; the limit is 10 mph/).first()).toBeVisible();
  const grid = page.getByRole('grid', { name: 'Hours of the coming days' });
  const chosen = grid.getByRole('gridcell', { selected: true });
  await expect(chosen).toHaveAccessibleName(/^Sat 5 Sep 0\d:00: With care$/);
  const one = page.getByRole('region', { name: 'One hour' });
  await expect(one.getByText(/Leaves should be dry/)).toBeVisible();
  await chosen.focus();
  await page.keyboard.press('ArrowUp');
  await expect(chosen).toHaveAccessibleName(/^Fri 4 Sep 0\d:00: Not now$/);
  await expect(one.getByText(/Leaves are wet/)).toBeVisible();
  await one.getByRole('button', { name: 'An hour later' }).click();
  await expect(chosen).toHaveAccessibleName(/^Fri 4 Sep 0\d:00/);
  await isAccessible(page);
});

test('finds by any name and walks the stations by keys', async ({ page }) => {
  await signIn(page);
  await page.keyboard.press('/');
  const search = page.getByRole('combobox', { name: 'Station, stand, plant, product or way of working' });
  await search.fill('injection');
  await page.getByRole('option', { name: /Hack and squirt/ }).click();
  await expect(page.getByText('Also called: Injection')).toBeVisible();
  await page.keyboard.press('/');
  await search.fill('couch');
  // the stand of that plant first, then its page
  await expect(page.getByRole('option', { name: /Quackgrass.*Cider rows/ })).toBeVisible();
  await isAccessible(page);
  await page.getByRole('option', { name: /Quackgrass.*couch/i }).click();
  await expect(page.getByRole('heading', { name: 'Quackgrass' })).toBeVisible();
  await isAccessible(page);
  await page.keyboard.press('[');
  await expect(page.getByRole('heading', { name: 'The Shed' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await isAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
});

test('reads on a phone, in dusk and in bright sun', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  await page.getByRole('link', { name: /Quackgrass/ }).click();
  for (const light of ['dusk', 'sun', 'day']) {
    await page.getByRole('button', { name: 'More', exact: true }).click();
    const more = page.getByRole('dialog', { name: 'More' });
    await more
      .getByRole('radio', { name: light === 'sun' ? 'bright sun' : light === 'day' ? 'daylight' : light })
      .check();
    await expect(page.locator(`html[data-light="${light}"]`)).toBeAttached();
    await isAccessible(page);
    await page.keyboard.press('Escape');
    await expect(more).toBeHidden();
    await isAccessible(page);
  }
  for (const name of ['Ground', 'Scout', 'Methods', 'Mix', 'When', 'Field day', 'Shed', 'Handbook']) {
    await station(page, name);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth),
      `${name} is not wider than the phone`,
    ).toBeLessThanOrEqual(390);
    await isAccessible(page);
  }
});
