import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
const url = 'http://127.0.0.1:8085';
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const page = await browser.newPage();
await page.goto(url + '/sign-in');
await page.getByLabel('E-mail').fill('ada@alderbrook.example');
await page.getByLabel('Password').fill('thicket-demo');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL('**/today');
const id = await page.evaluate(async () => {
  const g = async (p) => (await fetch('/api/v1' + p, { headers: { Accept: 'application/json' } })).json();
  const t = await g('/today');
  const l = t.lines.find((l) => l.name === 'Bush honeysuckle');
  return (await g('/stands/' + l.id)).sheetId;
});
const pdf = await page.evaluate(async (id) => Array.from(new Uint8Array(await (await fetch('/api/v1/sheets/' + id + '/pdf')).arrayBuffer())), id);
writeFileSync('/tmp/sheet.pdf', Buffer.from(pdf));
await browser.close();
