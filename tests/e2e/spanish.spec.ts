import { expect, test, type Page } from '@playwright/test';
import { isAccessible, signIn } from './helpers';

/** Small words that stand in nearly every English sentence, and in no Spanish one. */
const ENGLISH = /\b(?:the|and|with|this|that|from|which|of|are|not|your|have|been|till|how|what)\b/i;

/** What crews, grounds and patches of the demo are called, and what somebody wrote down there. */
const OWN = /Hollin Hedge and oak wood|Two stems left under the wren nest/g;

const englishOn = (page: Page): Promise<string[]> =>
  page.evaluate(
    ([english, own]) =>
      document.body.innerText
        .replaceAll(new RegExp(own as string, 'g'), '')
        .split('\n')
        .filter((line) => new RegExp(english as string, 'i').test(line)),
    [ENGLISH.source, OWN.source],
  );

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

test('walks the trail in Spanish, with no English left and room for longer words', async ({ page }) => {
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
  const others = ['/today', '/ground', '/season', '/shed', '/sums', '/handbook/species/poison-hemlock', '/account'];
  for (const path of [...others, ...stations])
    await test.step(path, async () => {
      await page.goto(path);
      await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      expect(await englishOn(page)).toEqual([]);
    });
  await isAccessible(page);
  await page.setViewportSize({ width: 390, height: 800 });
  for (const path of ['/today', '/shed', '/account', stations[1] as string, stations[2] as string])
    await test.step(`${path} with longer words`, async () => {
      await page.goto(path);
      await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      expect(await widerThanScreen(page)).toBeLessThanOrEqual(0);
    });
});
