import { expect, test } from '@playwright/test';
import { choose, isAccessible, openStand, signIn, station, unfold } from './helpers';

test('weighs ways side by side, sees what waiting costs, and takes a programme whose jobs follow on the trail', async ({
  page,
}) => {
  await signIn(page);
  await openStand(page, /Common privet/);
  await station(page, 'Methods');
  await unfold(page);

  await test.step('another school: the reason changes', async () => {
    await page.getByRole('button', { name: /^Cut stump\s*glyphosate/ }).click();
    await expect(page.getByText('How wet a stump: the least that wets.')).toBeVisible();
    await page.getByText('Look at it by another school').click();
    await choose(page.getByRole('combobox', { name: 'How wet a stump' }), 'liberal on small stumps, to be sure');
    await expect(page.getByText('How wet a stump: liberal on small stumps, to be sure.')).toBeVisible();
  });

  await test.step('side by side', async () => {
    for (const name of [
      'Side by side: Cut stump, glyphosate',
      'Side by side: Dig out',
      'Side by side: Basal bark, triclopyr ester',
    ])
      await page.getByRole('checkbox', { name, exact: true }).check();
    await page.getByRole('tab', { name: 'Side by side (3)' }).click();
    const table = page.getByRole('table');
    await expect(table.getByRole('columnheader')).toHaveText([
      'Figure',
      'Cut stump, glyphosate',
      'Dig out',
      'Basal bark, triclopyr ester',
    ]);
    await expect(table.getByRole('row', { name: /^Judge not before/ })).toContainText('Fri 3 Sep 2027');
    await expect(table.getByRole('row', { name: /^Money for one pass/ })).toContainText('old price: triclopyr ester');
    await expect(table.getByRole('row', { name: /^Other weeds/ })).toContainText('Tree-of-heaven: hits');
    await isAccessible(page);
    await table.getByRole('button', { name: 'Take out' }).nth(2).click();
    await expect(page.getByRole('tab', { name: 'Side by side (2)' })).toBeVisible();
  });

  await test.step('cost of waiting', async () => {
    await page.getByRole('tab', { name: 'Cost' }).click();
    await expect(page.getByRole('img', { name: /^Hours of one pass/ })).toBeVisible();
    const waiting = page.getByRole('table', { name: 'If you wait' });
    await expect(waiting.getByRole('row')).toHaveCount(5);
    await isAccessible(page);
  });

  await test.step('a programme', async () => {
    await page.getByRole('tab', { name: 'Programmes' }).click();
    await expect(page.getByRole('button', { name: /^Cut, and cut again/ })).toContainText('without any product');
    await page.getByRole('button', { name: /^Pull, sow oats, patrol/ }).click();
    await isAccessible(page);
    await page.getByRole('button', { name: 'Follow: Pull, sow oats, patrol' }).click();
    await expect(page.getByRole('heading', { name: 'You follow: Pull, sow oats, patrol' })).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: /^next/ })).toHaveCount(1);
    await station(page, 'When');
    await expect(page.locator('g.names').getByText('frost likely')).toBeVisible();
    await isAccessible(page);
  });
});

test('keeps prices with their days, and the money on the board follows', async ({ page }) => {
  await signIn(page);
  await station(page, 'Shed');
  await page.getByRole('tab', { name: 'Prices and figures' }).click();
  await expect(page.getByText('old price, of Sat 10 Aug 2024')).toBeVisible();
  await page.getByLabel('An hour').fill('forty');
  await page.getByRole('button', { name: 'Keep prices' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('An hour').fill('40');
  await page.getByRole('group', { name: 'triclopyr ester' }).getByLabel('on').fill('2026-09-01');
  await page.getByRole('button', { name: 'Keep prices' }).click();
  await expect(page.getByText('old price, of')).toHaveCount(0);
  await isAccessible(page);
  await page.getByRole('tab', { name: 'How we work' }).click();
  await page.getByText('Stumps', { exact: true }).click();
  await choose(page.getByRole('combobox', { name: 'Longest wait from cut to treatment' }), '5 minutes');
});
