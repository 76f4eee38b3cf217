import { chromium } from '@playwright/test';
const url = 'http://127.0.0.1:8085';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const p = await (await b.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
p.on('pageerror', (e) => console.log('ERR', e.message));
p.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
await p.goto(url + '/sign-in');
await p.getByLabel(/mail/i).fill('ada@alderbrook.example');
await p.getByLabel('Password').fill('thicket-demo');
await p.keyboard.press('Enter');
await p.waitForURL(/today/);
const stands = await p.evaluate(async () => {
  const g = await (await fetch('/api/v1/today')).json();
  return g;
});
const name = process.argv[2];
const path = process.argv[3];
const width = Number(process.argv[4] ?? 1280);
await p.setViewportSize({ width, height: width < 500 ? 844 : 800 });
let target = path;
if (path.startsWith('@')) {
  const [who, rest] = path.slice(1).split('/');
  const all = JSON.stringify(stands);
  const m = [...all.matchAll(/"id":"([0-9a-f-]{36})","name":"([^"]+)"/g)].find((x) => x[2] === who);
  target = `/stands/${m[1]}/${rest}`;
}
await p.goto(url + target);
await p.waitForLoadState('networkidle');
const todo = process.argv[5];
if (todo) await new Function('p', `return (async()=>{${todo}})()`)(p);
await p.waitForTimeout(700);
await p.screenshot({ path: `/tmp/zz-${name}.png`, fullPage: process.argv[6] === 'full' });
await b.close();
