import { chromium } from '@playwright/test';
const url = process.env.THICKET_URL ?? 'http://127.0.0.1:8085';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const phone = process.argv[4] === 'phone';
const page = await browser.newPage({ viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 }, locale: 'en-GB' });
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
await page.goto(url + '/sign-in');
await page.getByLabel('E-mail').fill((process.env.AS ?? 'ada') + '@alderbrook.example');
await page.getByLabel('Password').fill('thicket-demo');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL('**/today');
const today = await page.evaluate(async () => (await fetch('/api/v1/today', { headers: { Accept: 'application/json' } })).json());
const s = Object.fromEntries(today.lines.map((l) => [l.name, l.id]));
let path = process.argv[2];
path = path.replace(/\{(.+?)\}/, (_, n) => s[n]);
await page.goto(url + path);
await page.waitForLoadState('networkidle');
await page.waitForTimeout(900);
if (process.argv[5]) await new Function('page', 's', `return (async()=>{${process.argv[5]}})()`)(page, s);
await page.screenshot({ path: process.argv[3], fullPage: process.env.FULL === '1' });
await browser.close();
