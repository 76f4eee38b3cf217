import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { answer, choose, isAccessible, openStand, signIn, station, unfold } from './helpers';

test('tells a look-alike pair apart both ways: the weed one way, the kept native the other', async ({ page }) => {
  await signIn(page);
  await page.goto('/scout');
  await page.getByRole('button', { name: 'Name a plant' }).click();
  await choose(page.getByRole('combobox', { name: 'Ground' }).first(), 'Hollin Hedge and oak wood');
  await choose(page.getByRole('combobox', { name: 'Patch' }), 'North hedge');
  await page.getByLabel('make it a stand to work on').check();
  await answer(page, 'What kind of plant is it?', 'woody vine');
  await answer(page, 'How does it hold on?', 'winds round');
  await answer(page, 'What is the fruit like?', 'case that opens on orange or red');
  const could = page.getByRole('region', { name: 'Could be' }).getByRole('listitem');
  await expect(could.first()).toContainText('bittersweet');
  await expect(could.nth(1)).toContainText('bittersweet');
  await isAccessible(page);
  await page.getByRole('checkbox', { name: 'compare: Oriental bittersweet' }).check();
  await page.getByRole('checkbox', { name: 'compare: American bittersweet' }).check();
  await page.getByRole('link', { name: 'Put 2 side by side' }).click();
  await expect(page.getByRole('heading', { name: 'What tells them apart' })).toBeVisible();
  await expect(page.getByText('Does fruit or flower sit along the stem at many leaves')).toBeVisible();
  await isAccessible(page);
  await page.goBack();
  await expect(page.getByText('Picked up what you had typed')).toBeHidden();
  await page.getByRole('button', { name: 'Name a plant' }).click();
  await page.getByRole('button', { name: 'It is Oriental bittersweet' }).click();
  await expect(page.getByRole('heading', { name: 'Scout: Oriental bittersweet' })).toBeVisible();

  await test.step('one answer leaves the name and rules the native out', async () => {
    await expect(page.getByText('It may still be American bittersweet.')).toBeVisible();
    await page.getByRole('button', { name: /nearly as wide as long\? Yes/ }).click();
    await expect(page.getByText('American bittersweet is ruled out.')).toBeVisible();
  });
  await test.step('the other answer takes the name back, and the stand is held', async () => {
    await page.getByRole('button', { name: 'Look again' }).click();
    await page.getByRole('button', { name: 'It is American bittersweet' }).click();
    await expect(page.getByRole('heading', { name: 'Scout: American bittersweet' })).toBeVisible();
    await page.getByRole('button', { name: /nearly as wide as long\? Yes/ }).click();
    await expect(page.getByRole('heading', { name: 'Scout: Unnamed plant' })).toBeVisible();
    await expect(page.getByText('Hold: do nothing to it.')).toBeVisible();
    await expect(page.getByText('It could still be a plant that is kept: American bittersweet')).toBeVisible();
  });
});

test('stops at the hazard of an unknown three-leaflet vine, holds it, and lets nothing through to a job sheet', async ({
  page,
}) => {
  await signIn(page);
  await openStand(page, /Unnamed plant\s*Oak wood/);
  await station(page, 'Scout');
  await expect(page.getByText('Hold: do nothing to it.')).toBeVisible();
  await expect(
    page.getByText("It could still be a plant that is kept: Virgin's bower, Virginia creeper."),
  ).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Poison ivy' })).toContainText('Would open:');
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(
    page.getByText('A vine or shrub with three leaflets is handled as skin-burning till it is settled.'),
  ).toBeVisible();
  await expect(page.getByText('Its oil could blister skin, also from tools and smoke.')).toBeVisible();
  await isAccessible(page);
  await station(page, 'Methods');
  await unfold(page);
  await expect(page.getByRole('button', { name: /^Hand pull/ })).toContainText('Cannot tell');
  await expect(page.getByRole('button', { name: /^Hand pull/ })).toContainText(
    "It could still be Virgin's bower, Virginia creeper, which is kept.",
  );
  await page.getByRole('button', { name: /^Hand pull/ }).click();
  await page.getByRole('button', { name: 'Choose Hand pull' }).click();
  await station(page, 'Field day');
  await expect(page.getByRole('button', { name: 'Issue the job sheet' })).toBeDisabled();
});

test('keeps a sighting with photos: its place is offered, who confirmed is noted, and it leaves as a table', async ({
  page,
}) => {
  await signIn(page);
  await station(page, 'Handbook');
  await page.getByLabel('Find a plant').fill('garlik mustard');
  await expect(page.getByRole('link', { name: 'Garlic mustard' })).toBeVisible();
  await page.goto('/scout');
  await page.getByRole('button', { name: 'Name a plant' }).click();
  await choose(page.getByRole('combobox', { name: 'Ground' }).first(), 'Alderbrook creek');
  await page.getByLabel('Do you know a name of it?').fill('garlik mustard');
  await page.getByRole('button', { name: 'It is Garlic mustard' }).click();
  await expect(page.getByText('Say where it was: mark the point, or choose a patch.')).toBeVisible();
  await page.getByRole('button', { name: 'Where I stand' }).click();
  await expect(page.getByLabel('Latitude')).toHaveValue(/^44\.0/);
  await page.getByRole('button', { name: 'It is Garlic mustard' }).click();
  const card = page.getByRole('article', { name: /Garlic mustard/ });
  await expect(card).toContainText('nobody else has confirmed it');
  await card.getByRole('button', { name: 'Put right or add' }).click();
  await card.getByLabel('Add photos (JPEG, PNG, WebP)').setInputFiles([
    { name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: readFileSync('database/seeders/photos/vine.jpg') },
    { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') },
  ]);
  await expect(card.getByText('Give a JPEG, PNG or WebP picture.')).toBeVisible();
  await expect(card.getByRole('img', { name: 'Garlic mustard, photo 1' })).toBeVisible();
  await card
    .getByLabel('Confirmed by (extension, herbarium, forester; name and number)')
    .fill('Valley herbarium, sheet 300');
  await card.getByRole('radio', { name: 'certain' }).check();
  await card.getByRole('button', { name: 'Save the sighting' }).click();
  await expect(card).toContainText('confirmed by Valley herbarium, sheet 300');
  await isAccessible(page);
  await card.getByRole('button', { name: 'Open photo 1' }).click();
  await expect(page.getByRole('dialog').getByRole('img', { name: 'Garlic mustard, photo 1' })).toHaveJSProperty(
    'naturalWidth',
    640,
  );
  await page.keyboard.press('Escape');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As a table (Darwin Core)' }).click(),
  ]);
  const table = readFileSync(await file.path(), 'utf8');
  expect(table.split('\n')[0]).toMatch(/^occurrenceID,basisOfRecord,eventDate/);
  expect(table).toContain('Alliaria petiolata');
  expect(table).toContain('"Valley herbarium, sheet 300"');
});

test('finds plants by kind and month, reads a page with drawings, and notes the law of the place', async ({ page }) => {
  await signIn(page);
  await station(page, 'Handbook');
  await choose(page.getByRole('combobox', { name: 'Kind' }), { value: 'shrub' });
  await choose(page.getByRole('combobox', { name: 'Month' }), 'February');
  await choose(page.getByRole('combobox', { name: /^with/ }), { value: 'fruit' });
  await expect(page.getByRole('link', { name: 'Common buckthorn' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Bush honeysuckle' })).toHaveCount(0);
  await isAccessible(page);
  await page.getByRole('link', { name: 'Common buckthorn' }).click();
  await expect(page.getByRole('heading', { name: 'What it looks like' })).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: 'Regulated' }).click();
  await expect(page.getByText('Noted as regulated here: report it where asked, move no live parts.')).toBeVisible();
  await page.getByRole('button', { name: 'Nothing noted' }).click();
  await expect(page.getByText('Noted as regulated here')).toHaveCount(0);
});
