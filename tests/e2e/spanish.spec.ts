import { readdirSync, readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { ask, isAccessible, issuedTrees, signIn } from './helpers';

const read = (file: string): Record<string, unknown> =>
  JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;
const texts = (words: unknown): string[] =>
  typeof words === 'string' ? [words] : Object.values(words as Record<string, unknown>).flatMap(texts);
const ofFolder = (folder: string): string[] => readdirSync(folder).flatMap((file) => texts(read(`${folder}/${file}`)));

/**
 * What the application says in English, in the pieces between what is filled in, as far as no Spanish text has it too.
 * What people called a thing or wrote down stays in their own language.
 */
const pieces = (): string[] => {
  const spanish = [...texts(read('web/src/messages/es.json')), ...ofFolder('lang/es')].join('\n');
  const refused = Object.keys(read('lang/es/refusals.json')).map((code) => code.replace('refused.', ''));
  return [...texts(read('web/src/messages/en.json')), ...ofFolder('lang/en'), ...refused]
    .flatMap((text) => text.replaceAll("''", "'").split(/[{}|\n]/))
    .map((piece) => piece.trim())
    .filter((piece) => /\S+ \S+ \S+/.test(piece) && piece.length > 13 && !spanish.includes(piece));
};

/** Every word of the page made 40 % longer, as a further language may have it: nothing may be pushed off the side. */
const widerThanScreen = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode())
      node.nodeValue = (node.nodeValue ?? '').replaceAll(
        /\p{L}{4,}/gu,
        (word) => word + word.slice(0, Math.ceil(word.length * 0.4)),
      );

    return document.documentElement.scrollWidth - window.innerWidth;
  });

const english = pieces();
/** No piece of what the application says in English stands on the page. */
async function isSpanish(page: Page): Promise<void> {
  await expect(page.getByRole('heading').first()).toBeVisible();
  await page.waitForLoadState('networkidle');
  const shown = (await page.locator('body').innerText()).replaceAll(/\s+/g, ' ');
  expect(english.filter((piece) => shown.includes(piece))).toEqual([]);
}

test('walks the trail in Spanish, with no English left and room for longer words', async ({ page }) => {
  expect(english.length).toBeGreaterThan(2000);
  await signIn(page, 'cleo');
  await test.step('the language is chosen where a person chooses for themselves', async () => {
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('radiogroup', { name: 'Language' }).getByText('Español').click();
    await expect(page.getByRole('radiogroup', { name: 'Idioma' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.locator('html')).toHaveAttribute('lang', /^es/);
    await expect(page.getByRole('heading', { name: 'jue 3 de sep de 2026' })).toBeVisible();
  });
  const stand = await page
    .getByRole('link', { name: /Zacate zancudo japonés/ })
    .first()
    .getAttribute('href');
  const stations = ['scout', 'methods', 'mix', 'when', 'field-day', 'look-back'].map(
    (station) => `/stands/${(stand ?? '').split('/')[2]}/${station}`,
  );
  const others = [
    ...['/today', '/ground', '/scout', '/sums', '/accounts', '/account', '/crew'],
    ...['plan', 'calendar', 'people'].map((view) => `/season?view=${view}`),
    ...['cards', 'stock', 'sprayers', 'tools', 'people', 'buying', 'figures', 'ways'].map(
      (view) => `/shed?view=${view}`,
    ),
    ...['/handbook', '/handbook/species/poison-hemlock', '/handbook/compare?species=poison-ivy,virginia-creeper'],
  ];
  for (const path of [...others, ...stations])
    await test.step(path, async () => {
      await page.goto(path);
      await isSpanish(page);
    });
  await isAccessible(page);
  await page.setViewportSize({ width: 390, height: 800 });
  for (const path of ['/today', '/shed', '/season', '/crew', '/account', '/handbook', ...stations])
    await test.step(`${path} with longer words`, async () => {
      await page.goto(path);
      await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      expect(await widerThanScreen(page)).toBeLessThanOrEqual(0);
    });
  // whoever signs in next finds it as it was
  await ask(page, 'PATCH', '/session', { locale: 'en' });
});

test('goes through a field day in Spanish, from the sheet to what comes after', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  // issued by somebody who reads English
  const { sheet, stand } = await issuedTrees(page);
  await ask(page, 'PATCH', '/session', { locale: 'es' });
  await page.goto(`/field/${sheet}`);
  for (const part of ['Antes', 'Trabajando', 'Después'])
    await test.step(part, async () => {
      await page.getByRole('button', { name: part, exact: true }).click();
      await isSpanish(page);
      expect(await widerThanScreen(page)).toBeLessThanOrEqual(0);
      await page.reload();
    });
  await page.goto(`/stands/${stand}/field-day`);
  await isSpanish(page);
  await ask(page, 'PATCH', '/session', { locale: 'en' });
});
