import { expect, test } from '@playwright/test';
import { isAccessible, signIn } from './helpers';

test('plans the season: proposed, kept, a job moved where it may go, busy days taken in', async ({ page }) => {
  await signIn(page);
  // with no stand in hand When is the season of the crew
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'When' }).click();
  await expect(page.getByRole('heading', { name: 'The season' })).toBeVisible();
  await page.getByRole('button', { name: 'Propose days for all' }).click();
  await expect(page.getByText(/^\d+ of \d+ jobs would have their days\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep these days' }).click();
  await expect(page.getByText(/^\d+ of \d+ jobs have their days\./)).toBeVisible();
  await isAccessible(page);

  // one job with its reasons; a day on which nobody works is refused with the reason
  const thistle = page.getByRole('button', { name: /^Shielded spot spray, Canada thistle/ });
  await thistle.press('Enter');
  const one = page.getByRole('region', { name: 'Shielded spot spray, Canada thistle' });
  await expect(one.getByText(/^Open Thu 3 Sep 2026 to /)).toBeVisible();
  await one.getByRole('combobox', { name: 'Put it on' }).fill('2026-09-21');
  await one.getByRole('combobox', { name: 'Put it on' }).press('Enter');
  await one.getByRole('button', { name: 'Put and pin it there' }).click();
  await expect(one.getByText('Nobody who may do it works that day.')).toBeVisible();
  await isAccessible(page);

  // on the wall calendar it is carried to another Tuesday
  await page.getByRole('tab', { name: 'Calendar' }).click();
  const cell = (day: string) =>
    page.getByRole('cell').filter({ has: page.locator('.number', { hasText: new RegExp(`^${day}$`) }) });
  const job = page.getByRole('link', { name: /^Shielded spot spray: Canada thistle/ });
  await job.dragTo(cell('23').first());
  await expect(page.getByText('Nobody who may do it works that day.')).toBeVisible();
  await job.dragTo(cell('22').first());
  await expect(
    cell('22')
      .first()
      .getByRole('link', { name: /^Shielded spot spray: Canada thistle/ }),
  ).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: 'As a list' }).click();
  await expect(page.getByRole('link', { name: /^Bram Quillfeather is away until Sun 13 Sep/ })).toBeVisible();

  // who is away is planned around
  await page.getByRole('tab', { name: 'Who works when' }).click();
  await page.getByLabel('Calendar file (.ics)').setInputFiles({
    name: 'mine.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20260922\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
    ),
  });
  await expect(page.getByText(/^Ada Thornbury: Tue 22 Sep/)).toBeVisible();
  await isAccessible(page);
  await page.getByRole('tab', { name: 'Plan' }).click();
  await expect(page.getByRole('button', { name: /^Shielded spot spray, Canada thistle.*pinned$/ })).toBeVisible();

  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('heading', { name: 'Planned this week' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Hand pull: Japanese stiltgrass/ }).first()).toBeVisible();
});
