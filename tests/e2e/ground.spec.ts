import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { answer, choose, enter, hasArea, isAccessible, openStand, signIn, station } from './helpers';

const mark = (name: string, inside: string): string =>
  [
    `<Placemark><name>${name}</name><ExtendedData><Data name="owner"><value>the trust &amp; co</value></Data>`,
    `</ExtendedData>${inside}</Placemark>`,
  ].join('');
const KML = `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document>${[
  mark('Mill leat', '<LineString><coordinates>-71.3595,44.0522 -71.358,44.0524</coordinates></LineString>'),
  mark('Typing slip', '<Point><coordinates>west,44.05</coordinates></Point>'),
  mark('Over the sea', '<Point><coordinates>10.0,50.0</coordinates></Point>'),
  mark(
    'Bramble acre',
    [
      '<Polygon><outerBoundaryIs><LinearRing><coordinates>-71.3615,44.0523 -71.3605,44.0523 -71.3605,44.0528 ',
      '-71.3615,44.0528 -71.3615,44.0523</coordinates></LinearRing></outerBoundaryIs></Polygon>',
    ].join(''),
  ),
].join('')}</Document></kml>`;

/** Clicks on the map at shares of its width and height. */
const clickMap = async (page: Page, places: [number, number][]): Promise<void> => {
  const box = (await page.getByRole('region', { name: /^Map of the ground/ }).boundingBox())!;
  for (const [i, [x, y]] of places.entries()) {
    const at = [box.x + box.width * x, box.y + box.height * y] as const;
    if (i === places.length - 1) await page.mouse.dblclick(...at);
    else await page.mouse.click(...at);
    // two clicks within a quarter of a second would be one double click: here time itself is what is tested
    await page.waitForTimeout(350);
  }
};
interface Drawn {
  features: { properties: Record<string, unknown>; geometry: unknown }[];
}
const exported = async (page: Page): Promise<Drawn> => {
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'GeoJSON' }).click();
  return JSON.parse(readFileSync(await (await waiting).path(), 'utf8')) as Drawn;
};

test('walks onto unknown ground and leaves with a map, a count and its interval', async ({ page }) => {
  await signIn(page);
  await station(page, 'Ground');
  const orchard = page.getByRole('button', { name: 'Quince Court orchard' });
  await orchard.click();
  await expect(page.getByRole('heading', { name: '3 patches' })).toBeVisible();
  // the ground chosen stands in the address: it outlives the page
  await page.reload();
  await expect(orchard).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('heading', { name: '3 patches' })).toBeVisible();
  await isAccessible(page);

  await test.step('a file with two bad rows: each named, the rest taken', async () => {
    await page.getByRole('button', { name: 'Bring in a file' }).click();
    await page
      .getByLabel('File', { exact: true })
      .setInputFiles({ name: 'valley.kml', mimeType: 'application/xml', buffer: Buffer.from(KML) });
    await expect(page.getByText('2 bad')).toBeVisible();
    await expect(page.getByText("Position 1 reads 'west,44.05'; it must read longitude,latitude.")).toBeVisible();
    await expect(page.getByText(/km from the ground/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take 2 rows' })).toBeDisabled();
    await choose(page.getByRole('combobox', { name: 'Kind 1' }), { value: 'stream' });
    await isAccessible(page);
    await page.getByRole('button', { name: 'Take 2 rows' }).click();
    await expect(page.getByText('Taken: 1 patches, 1 kept things; 2 left out.')).toBeVisible();
    await expect(page.getByRole('heading', { name: '4 patches' })).toBeVisible();
    await page.getByRole('button', { name: 'Bring in a file' }).click();
  });

  await test.step('a stream drawn on the map is near the orchard at once', async () => {
    await page.getByRole('button', { name: 'Draw something to keep' }).click();
    await page.getByRole('button', { name: 'line', exact: true }).click();
    await page.getByLabel('Name', { exact: true }).fill('Quince brook');
    await choose(page.getByRole('combobox', { name: 'Kind' }), { value: 'stream' });
    await clickMap(page, [
      [0.2, 0.92],
      [0.5, 0.95],
      [0.8, 0.92],
    ]);
    await expect(page.getByRole('status').filter({ hasText: /\d+ ft/ })).toBeVisible();
    await isAccessible(page);
    await page.getByRole('button', { name: 'Save it' }).click();
    await expect(orchard).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Cider rows', exact: true }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Quince brook' })).toContainText(/ft to the south/);
  });

  await test.step('an outline walked with the receiver: weak positions, jumps and lost fixes are said', async () => {
    await page.getByRole('button', { name: 'New patch' }).click();
    await page.getByLabel('Name of the patch').fill('Walked corner');
    await page.getByRole('button', { name: 'Walk it' }).click();
    await page.getByRole('button', { name: 'Start walking' }).click();
    await expect(page.getByText('garbled lines skipped')).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText('The receiver fell silent.')).toBeVisible({ timeout: 40_000 });
    await page.getByRole('button', { name: 'Close the outline' }).click();
    await expect(page.getByText(/\d+ positions used, 5 weak ones left out, 1 jump left out/)).toBeVisible();
    // the field is 60 by 36 m or so: 0.5 ac
    await expect(page.getByText(/^0\.(4|5)\d* ac$/)).toBeVisible();
    await isAccessible(page);
    await page.getByRole('button', { name: 'Save the patch' }).click();
    await expect(page.getByRole('heading', { name: 'Walked corner' })).toBeVisible();
  });

  await test.step('counted in plots: mean, interval, and how many more are needed', async () => {
    await page.getByRole('button', { name: 'Scout a new stand here' }).click();
    await answer(page, 'What kind of plant is it?', 'shrub');
    await answer(page, 'What is the fruit like?', 'black berry');
    await page.getByRole('button', { name: 'It is Common privet' }).click();
    await expect(page.getByRole('heading', { name: 'Scout: Common privet' })).toBeVisible();
    await page.getByRole('button', { name: 'Sample plots' }).click();
    await page.getByLabel('How many').fill('5');
    await page.getByLabel('Radius').first().fill('5 m');
    await page.getByLabel('Seed', { exact: true }).fill('7');
    await page.getByRole('button', { name: 'Place them' }).click();
    await expect(page.getByText('5 plots of 5 m, at random, seed 7')).toBeVisible();
    await page.getByLabel('From or exactly 1').fill('1 in');
    await page.getByLabel('To below 1').fill('2 in');
    for (const [i, n] of [4, 7, 3, 6, 5].entries()) {
      await page.getByLabel(`Plot ${i + 1}, class 1`).fill(String(n));
      await page.getByLabel(`Part inside ${i + 1}`).fill('');
    }
    await isAccessible(page);
    await page.getByRole('button', { name: 'Save the count' }).click();
    const found = page.getByRole('region', { name: 'From sample plots' });
    await expect(found).toContainText('90 % sure between');
    // the worked case: 636.6 a hectare, standard error 90.0, half width 191.9; 9 plots for a fifth
    await page.getByRole('button', { name: 'US units' }).click();
    await expect(found).toContainText('636.6 per ha');
    await expect(found).toContainText('90 per ha');
    await expect(found).toContainText('444.7 per ha – 828.6 per ha');
    await expect(found).toContainText('4 more plots');
    await choose(page.getByRole('combobox', { name: 'Precision wanted' }), { value: '0.5' });
    await expect(found).toContainText('enough plots');
    await isAccessible(page);
    await page.getByRole('button', { name: /metric/i }).click();
  });

  await test.step('saved as a file, and read back equal', async () => {
    await station(page, 'Ground');
    await page.getByRole('button', { name: 'Quince Court orchard' }).click();
    const out = await exported(page);
    const byName = Object.fromEntries(out.features.map((f) => [String(f.properties.name as string), f]));
    expect(byName['Mill leat']).toMatchObject({
      properties: { owner: 'the trust & co', thicket_kind: 'stream' },
      geometry: {
        type: 'LineString',
        coordinates: [
          [-71.3595, 44.0522],
          [-71.358, 44.0524],
        ],
      },
    });
    expect(byName['Walked corner']?.properties.thicket_what).toBe('patch');
    await page.getByRole('button', { name: 'Bring in a file' }).click();
    await page.getByLabel('File', { exact: true }).setInputFiles({
      name: 'back.geojson',
      mimeType: 'application/geo+json',
      buffer: Buffer.from(JSON.stringify(out)),
    });
    await expect(page.getByText('0 bad')).toBeVisible();
    // every row is known again, corner for corner
    await expect(page.getByText(/Here already as/)).toHaveCount(out.features.length);
  });
});

test('changes a patch by keys alone: corner table, split, join, zones, history, archive', async ({ page }) => {
  await signIn(page, 'bram');
  await station(page, 'Ground');
  await page.getByRole('button', { name: 'Hollin Hedge and oak wood' }).click();
  await enter(page.getByRole('button', { name: 'New patch' }));
  await page.getByLabel('Name of the patch').fill('Keyed field');
  await enter(page.getByRole('button', { name: 'Corner table' }));
  const corners = [
    ['-71.3820', '44.0520'],
    ['-71.3810', '44.0520'],
    ['-71.3810', '44.0526'],
    ['-71.3820', '44.0526'],
  ];
  for (const [i, [lon, lat]] of corners.entries()) {
    await page.getByLabel(`Longitude ${i + 1}`).fill(lon!);
    await page.getByLabel(`Latitude ${i + 1}`).fill(lat!);
    await page.getByLabel(`Latitude ${i + 1}`).press('Enter');
  }
  await page.getByLabel('Longitude 1', { exact: true }).fill('west');
  await expect(page.getByText('Write decimal degrees with a point, such as -71.3805.')).toBeVisible();
  await page.getByLabel('Longitude 1', { exact: true }).fill('-71.3820');
  await page.getByLabel('Longitude 1', { exact: true }).press('Tab');
  // 0.001 by 0.0006 degrees at 44.05 N: 5342 m2
  await expect(page.getByText('1.32 ac')).toBeVisible();
  await enter(page.getByRole('button', { name: 'Undo' }));
  await enter(page.getByRole('button', { name: 'Redo' }));
  await expect(page.getByText('1.32 ac')).toBeVisible();
  await enter(page.getByRole('button', { name: 'Save the patch' }));
  await expect(page.getByRole('heading', { name: 'Keyed field' })).toBeVisible();

  await page.getByText('Change this patch').click();
  await enter(page.getByRole('button', { name: 'Split' }));
  await page.getByLabel('Name of the smaller piece').fill('Keyed end');
  await enter(page.getByRole('button', { name: 'Corner table' }));
  for (const [i, [lon, lat]] of [
    ['-71.3813', '44.0519'],
    ['-71.3813', '44.0527'],
  ].entries()) {
    await page.getByLabel(`Longitude ${i + 1}`).fill(lon!);
    await page.getByLabel(`Latitude ${i + 1}`).fill(lat!);
    await page.getByLabel(`Latitude ${i + 1}`).press('Tab');
  }
  await enter(page.getByRole('button', { name: 'Split it' }));
  await expect(page.getByRole('button', { name: 'Keyed end', exact: true })).toBeVisible();
  await hasArea(page, 'Keyed field', /^0\.924\d? ac/);
  await page.getByText('Change this patch').click();
  await enter(page.getByRole('button', { name: 'Join' }));
  await page.getByLabel('Keyed end').check();
  await enter(page.getByRole('button', { name: 'Join them' }));
  await hasArea(page, 'Keyed field', /^1\.32\d? ac/);
  await page.getByLabel(/^Edge this wide/).fill('15 ft');
  await enter(page.getByRole('button', { name: 'Part edge and core' }));
  await expect(page.getByRole('heading', { name: 'Zones counted apart' })).toBeVisible();
  await page.getByText('Earlier outlines').click();
  await expect(page.getByText('joined, Bram Quillfeather')).toBeVisible();
  await isAccessible(page);
  await enter(page.getByRole('button', { name: 'Put away', exact: true }));
  await page.getByLabel('Why').fill('made for practice');
  await enter(page.getByRole('button', { name: 'Put away', exact: true }).last());
  await expect(page.getByText('Put away: made for practice')).toBeVisible();
});

test('counts by large buttons on a phone, and takes a tap back', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'bram');
  await openStand(page, /Common privet[\s\S]*North hedge/);
  await station(page, 'Scout');
  await page.getByRole('button', { name: 'Counter' }).click();
  const pad = page.getByRole('button', { name: /^1 in–2 in/ });
  await pad.click();
  await pad.click();
  await page.getByRole('button', { name: 'Take the last tap back' }).click();
  await expect(pad).toContainText('37');
  const size = (await pad.boundingBox())!;
  expect(Math.min(size.width, size.height)).toBeGreaterThan(90);
  await isAccessible(page);
  await page.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText(/last counted Thu 3 Sep 2026: 157/)).toBeVisible();
});
