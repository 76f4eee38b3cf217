import { expect, test } from '@playwright/test';
import { ask, choose, isAccessible, openStand, signIn, station } from './helpers';

test('plans the season: proposed, kept, a job moved where it may go, busy days taken in', async ({ page }) => {
  await signIn(page);
  // with no stand in hand When is the season of the crew
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'When' }).click();
  await expect(page.getByRole('heading', { name: 'The season' })).toBeVisible();
  await page.getByRole('button', { name: /^Propose days for all$|^Plan again/ }).click();
  await expect(page.getByText(/^\d+ of \d+ jobs would have their days\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep these days' }).click();
  await expect(page.getByText(/^\d+ of \d+ jobs have their days\./)).toBeVisible();
  await isAccessible(page);

  // one job with its reasons; a day on which it is shut is refused with the reason
  const thistle = page.getByRole('button', { name: /^Shielded spot spray, Canada thistle/ });
  await thistle.press('Enter');
  const one = page.getByRole('region', { name: 'Shielded spot spray, Canada thistle' });
  await expect(one.getByText(/^Open Thu 3 Sep 2026 to /)).toBeVisible();
  await one.getByRole('combobox', { name: 'Put it on' }).fill('2026-10-14');
  await one.getByRole('combobox', { name: 'Put it on' }).press('Enter');
  await one.getByRole('button', { name: 'Put and pin it there' }).click();
  await expect(one.getByText('Its season is shut then.')).toBeVisible();
  await isAccessible(page);

  // on the wall calendar it is carried to another Tuesday; nothing scrolls while a hand holds something
  await page.setViewportSize({ width: 1280, height: 1100 });
  await page.getByRole('tab', { name: 'Calendar' }).click();
  const cell = (day: string) =>
    page.getByRole('cell').filter({ has: page.locator('.number', { hasText: new RegExp(`^${day}$`) }) });
  const job = page.getByRole('link', { name: /^Shielded spot spray: Canada thistle/ });
  const grass = page.getByRole('link', { name: /^Hand pull: Japanese stiltgrass/ }).first();
  await grass.dragTo(cell('22').first());
  await expect(page.getByText('Its season is shut then.')).toBeVisible();
  await job.first().dragTo(cell('22').first());
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
      [
        ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:1', 'DTSTART;VALUE=DATE:20260922'],
        ...['END:VEVENT', 'END:VCALENDAR', ''],
      ].join('\r\n'),
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

test('lives through the bad days of the weather service, and goes by what somebody heard', async ({ page }) => {
  await signIn(page);
  await openStand(page, /^Quackgrass/);
  await station(page, 'When');
  await page.getByRole('button', { name: 'Bring your own forecast' }).click();
  const have = async (day: string): Promise<void> => {
    await choose(page.getByRole('combobox', { name: 'Demo: the weather service has' }), day);
  };
  const grid = page.getByRole('grid', { name: 'Hours of the coming days' });
  // neither an outage nor an answer of a later hour is told as weather; what to do instead is
  const silent = page.getByRole('alert').filter({ hasText: /^The weather service does not answer\./ });
  for (const day of ['an outage', 'a clock that runs ahead']) {
    await have(day);
    await expect(silent).toBeVisible();
    await expect(grid).toBeHidden();
  }
  await isAccessible(page);
  await have('nonsense values');
  await expect(page.getByText(/readings were left out: no weather has them\./)).toBeVisible();
  await have('half an answer');
  await expect(page.getByText(/readings were left out/)).toBeHidden();
  await expect(grid.getByRole('gridcell', { name: /Cannot tell$/ }).first()).toBeVisible();
  await have('slow answers');
  await expect(silent).toBeVisible();

  // what the radio said stands in for it
  const said: [string, string][] = [
    ['Air 10:00', '68'],
    ['Wind 10:00', '5'],
    ['Gusts 10:00', '8'],
    ['Cloud % 10:00', '60'],
    ['Rain in all 10:00', '0'],
  ];
  for (const [field, figure] of said) await page.getByLabel(field).fill(figure);
  await page.getByRole('button', { name: 'Let it count' }).click();
  await expect(page.getByText(/^What Ada Thornbury typed in counts here first/)).toBeVisible();
  await expect(grid.getByRole('gridcell', { name: /^Thu 3 Sep 10:00/ })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the service alone' }).click();
  await have('a fine day');
  await expect(page.getByText(/^Not now\. Opens Sat 5 Sep/)).toBeVisible();
});

test('goes from a treatment that failed to another round, and sees the years ahead of both', async ({ page }) => {
  await signIn(page);
  const today = (await ask(page, 'GET', '/today')).json as unknown as { lines: { id: string; name: string }[] };
  const stand = today.lines.find((l) => l.name === 'Bush honeysuckle')?.id ?? '';
  await page.goto(`/stands/${stand}/look-back`);
  await test.step('plot by plot, and refused where it cannot be', async () => {
    await page.getByText('Plots, tops, seedlings, injury, other signs').click();
    for (const [n, counted, dead] of [
      [1, '30', '31'],
      [2, '28', '4'],
    ] as const) {
      await page.getByRole('button', { name: 'A plot more' }).click();
      await page.getByLabel(`Plot ${n}: Counted (stems or plants)`).fill(counted);
      await page.getByLabel(`Plot ${n}: Dead to the root`).fill(dead);
    }
    await page.getByRole('button', { name: 'Keep as the score' }).click();
    await expect(page.getByText('Dead and resprouted together are more than were counted.')).toBeVisible();
    await isAccessible(page);
    await page.getByLabel('Dead to the root').first().fill('6');
    await page.getByRole('button', { name: 'Keep as the score' }).click();
    await expect(page.getByText('Worse than expected', { exact: false })).toBeVisible();
  });
  await test.step('the years ahead begin with what is left', async () => {
    await page.getByRole('tab', { name: 'Years ahead' }).click();
    await expect(page.getByText('Begins with the look-back of', { exact: false })).toBeVisible();
    await expect(page.getByRole('radio', { name: 'Left alone' })).toBeVisible();
    const told = page.getByRole('table', { name: /Year by year/ });
    await expect(told.getByRole('row')).toHaveCount(12);
    await page.getByText('Left alone', { exact: true }).first().click();
    await expect(page.getByRole('table', { name: 'Year by year: Left alone' })).toBeVisible();
    await isAccessible(page);
    await page.getByText('What this rests on, and what you know better').click();
    const years = page.getByLabel('Years to look');
    await years.fill('5');
    await page.getByRole('button', { name: 'Look again with these' }).click();
    await expect(told.getByRole('row')).toHaveCount(7);
  });
  await test.step('another round: the survivors are counted, and a way is chosen anew', async () => {
    await page.getByRole('tab', { name: 'Did it work' }).click();
    await expect(page.getByText('About 48 plants of those that were treated live.')).toBeVisible();
    await page.getByRole('button', { name: 'Another round: 48 plants left' }).click();
    await expect(page).toHaveURL(/\/methods$/);
    await page.goto('/today');
    await expect(
      page
        .getByRole('region', { name: /Choose how/ })
        .or(page.locator('section', { hasText: 'Choose how' }))
        .first(),
    ).toContainText('Bush honeysuckle');
  });
  await test.step('what it cost, and the season on paper for a neighbour', async () => {
    await page.getByRole('link', { name: 'Accounts and papers of the crew' }).click();
    await expect(page.getByRole('heading', { name: 'Accounts', exact: true })).toBeVisible();
    await expect(
      page.getByRole('table', { name: 'By patch' }).getByRole('row', { name: /Old rose corner/ }),
    ).toBeVisible();
    await page.getByRole('combobox', { name: 'Year' }).click();
    await page.getByRole('option', { name: '2025', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Papers of 2025' })).toBeVisible();
    await expect(page.getByRole('table', { name: 'By year' }).getByRole('row')).toHaveCount(2);
    await isAccessible(page);
    await page.getByRole('button', { name: 'The season, for a neighbour' }).click();
    await expect(page.getByRole('link', { name: 'Open the PDF' })).toBeVisible({ timeout: 60_000 });
  });
});
