/*
 * Takes the pictures of docs/screenshots from the running demo: THICKET_URL=... node tests/e2e/pictures.mjs [name ...]
 */
import { chromium } from '@playwright/test';

const only = process.argv.slice(2);
const url = process.env.THICKET_URL ?? 'http://127.0.0.1:8085';
const out = process.env.PICTURES ?? 'docs/screenshots';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});

const SHOTS = [
  { name: 'today', path: '/today' },
  {
    name: 'ground',
    path: '/ground',
    before: async (p) => {
      await p.getByRole('button', { name: 'Hollin Hedge and oak wood' }).click();
      await p.getByRole('button', { name: 'North hedge', exact: true }).click();
      await p.waitForTimeout(900);
      await p.getByRole('button', { name: 'Show all' }).click();
      await p.waitForTimeout(900);
    },
  },
  {
    name: 'scout-key',
    path: '/scout',
    before: async (p) => {
      await p.getByRole('button', { name: 'Name a plant' }).click();
      await p.getByRole('combobox', { name: 'Ground' }).first().click();
      await p.getByRole('option', { name: 'Hollin Hedge and oak wood' }).first().click();
      await p.waitForTimeout(900);
      for (const [question, state] of [
        ['What kind of plant is it?', 'woody vine'],
        ['What is one leaf like?', 'three leaflets'],
      ]) {
        const group = p.getByRole('group', { name: question }).filter({ has: p.getByRole('checkbox') });
        if (!(await group.first().isVisible())) await p.locator('summary', { hasText: question }).click();
        await group.first().getByText(state, { exact: true }).click();
      }
      await p.waitForTimeout(600);
      await p.waitForLoadState('networkidle');
      await p.evaluate(() => document.querySelector('.warn')?.scrollIntoView());
    },
  },
  { name: 'sightings', path: '/scout' },
  { name: 'scout-tally', path: (s) => `/stands/${s['Tree-of-heaven']}/scout` },
  { name: 'methods', path: (s) => `/stands/${s['Tree-of-heaven']}/methods` },
  {
    name: 'programmes',
    path: (s) => `/stands/${s['Tree-of-heaven']}/methods`,
    before: async (p) => {
      await p.getByRole('tab', { name: 'Programmes' }).click();
      await p.getByRole('heading', { name: 'Programmes for this stand' }).waitFor();
      await p.waitForTimeout(400);
    },
  },
  {
    name: 'compared',
    path: (s) => `/stands/${s['Common privet']}/methods`,
    before: async (p) => {
      for (let i = 0; i < 3; i++)
        await p
          .getByRole('checkbox', { name: /^Side by side/ })
          .nth(i)
          .check();
      await p.getByRole('tab', { name: /^Side by side/ }).click();
      await p.getByRole('table').waitFor();
      await p.waitForTimeout(400);
    },
  },
  { name: 'mix', path: (s) => `/stands/${s['Norway maple']}/mix` },
  { name: 'when', path: (s) => `/stands/${s['Quackgrass']}/when` },
  {
    name: 'season',
    path: '/season',
    before: async (p) => {
      await p.getByRole('button', { name: /^Propose days|^Plan again/ }).click();
      await p.getByRole('button', { name: 'Keep these days' }).click();
      await p.getByRole('button', { name: /^Plan again/ }).waitFor();
      await p.waitForTimeout(4200);
    },
  },
  { name: 'field-day', path: (s) => `/stands/${s['Bush honeysuckle']}/field-day` },
  { name: 'look-back', path: (s) => `/stands/${s['Bush honeysuckle']}/look-back` },
  { name: 'years-ahead', path: (s) => `/stands/${s['Bush honeysuckle']}/look-back?view=ahead` },
  { name: 'shed', path: '/shed?view=stock' },
  { name: 'crew', path: '/crew?view=settings' },
  { name: 'handbook-species', path: '/handbook/species/poison-hemlock' },
  {
    name: 'phone-mixing',
    path: (s) => `/stands/${s['Norway maple']}/mix`,
    phone: true,
    before: async (p) => {
      await p.getByRole('button', { name: 'Save this recipe' }).click();
      await p.getByRole('button', { name: 'Mix it now' }).click();
      await p.getByRole('button', { name: /^Product, .*: it is in$/ }).click();
      await p.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'phone-field-day',
    path: (s) => `/stands/${s['Quackgrass']}/field-day`,
    phone: true,
    before: async (p) => {
      // a sheet of its own: every gate open, but for those that a lead may pass
      const reasons = p.getByLabel('Reason, printed on the sheet');
      await reasons.first().waitFor();
      for (let i = 0; i < (await reasons.count()); ++i) await reasons.nth(i).fill('seen and settled on the spot');
      await p.getByRole('button', { name: 'Issue the job sheet' }).click();
      await p.getByRole('textbox', { name: 'Password' }).fill('thicket-demo');
      await p.getByRole('dialog').getByRole('button').last().click();
      await p.getByRole('link', { name: 'Take it to the field' }).click();
      const open = p.getByRole('checkbox', { checked: false });
      await open.first().waitFor();
      for (let left = await open.count(); left > 0; left = await open.count()) {
        await open.first().press('Space');
        await p.waitForTimeout(120);
      }
      await p.getByLabel('Temperature, °F').fill('64');
      await p.getByLabel('Wind, mph').fill('4');
      await p.getByRole('combobox', { name: 'Wind from' }).click();
      await p.getByRole('option', { name: 'west', exact: true }).click();
      await p.getByRole('button', { name: 'Note the weather' }).click();
      await p.getByRole('button', { name: 'Start', exact: true }).click();
      const pads = p.locator('button.pad');
      await pads.first().waitFor();
      for (let i = 0; i < 7; ++i) await pads.nth(i % (await pads.count())).click();
      await p.getByRole('button', { name: /Start: Tell whoever waits/ }).click();
      await p.evaluate(() => window.scrollTo(0, 0));
      await p.waitForTimeout(1200);
    },
  },
];

for (const phone of [false, true]) {
  const wanted = SHOTS.filter((s) => Boolean(s.phone) === phone && (only.length === 0 || only.includes(s.name)));
  if (wanted.length === 0) continue;
  const page = await browser.newPage({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    locale: 'en-GB',
  });
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('E-mail').fill('ada@alderbrook.example');
  await page.getByLabel('Password').fill('thicket-demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
  const today = await page.evaluate(async () =>
    (await fetch('/api/v1/today', { headers: { Accept: 'application/json' } })).json(),
  );
  const stands = Object.fromEntries(today.lines.map((l) => [l.name, l.id]));
  for (const shot of wanted) {
    await page.goto(url + (typeof shot.path === 'string' ? shot.path : shot.path(stands)));
    await page.waitForLoadState('networkidle');
    await shot.before?.(page);
    await page.screenshot({ path: `${out}/${shot.name}.png` });
  }
  await page.close();
}
await browser.close();
