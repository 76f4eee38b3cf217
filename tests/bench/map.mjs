/*
 * The map with 5,000 patches of 100 corners: time to the first picture, then frames while panning and zooming in
 * headless Chromium. A stall is a gap of more than 100 ms between two animation frames.
 * Usage: node tests/bench/map.mjs URL GROUND-NAME
 */
import { chromium } from '@playwright/test';

const [url, name] = process.argv.slice(2);
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
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${url}/sign-in`);
await page.getByLabel('E-mail').fill('ada@alderbrook.example');
await page.getByLabel('Password').fill('thicket-demo');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL('**/today');
await page.goto(`${url}/ground`);
const map = page.getByRole('region', { name: /^Map of the ground/ });
await map.waitFor();
const open = async (ground) => {
  const answered = page.waitForResponse((r) => r.url().includes('/map') && r.ok());
  const start = Date.now();
  await page.getByRole('button', { name: ground }).click();
  const response = await answered;
  const bytes = (await response.body()).length;
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  return { ms: Date.now() - start, bytes };
};
const frames = async (act) => {
  await page.evaluate(() => {
    window.gaps = [];
    let last = performance.now();
    window.counting = true;
    const tick = (now) => {
      window.gaps.push(now - last);
      last = now;
      if (window.counting) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await act();
  const gaps = (await page.evaluate(() => ((window.counting = false), window.gaps))).sort((a, b) => a - b);
  return {
    frames: gaps.length,
    median: gaps[gaps.length >> 1],
    p95: gaps[Math.floor(gaps.length * 0.95)],
    worst: gaps.at(-1),
    stalls: gaps.filter((g) => g > 100).length,
  };
};
const box = await map.boundingBox();
const middle = [box.x + box.width / 2, box.y + box.height / 2];
const pan = async () => {
  for (let k = 0; k < 6; ++k) {
    await page.mouse.move(...middle);
    await page.mouse.down();
    for (let s = 1; s <= 12; ++s) await page.mouse.move(middle[0] + s * (k % 2 ? 18 : -18), middle[1] + s * 6);
    await page.mouse.up();
    await page.waitForTimeout(150);
  }
};
const zoom = async () => {
  await page.mouse.move(...middle);
  for (const dy of [-240, -240, -240, -240, 240, 240, 240, 240]) {
    await page.mouse.wheel(0, dy);
    await page.waitForTimeout(350);
  }
};
const show = (what, r) =>
  console.log(
    `${what.padEnd(34)} ${r.frames} frames, median ${r.median.toFixed(0)} ms, p95 ${r.p95.toFixed(0)} ms,`,
    `worst ${r.worst.toFixed(0)} ms, ${r.stalls} stalls over 100 ms`,
  );
const small = await open('Hollin Hedge and oak wood');
show('map of 4 patches, pan', await frames(pan));
const large = await open(name);
console.log(
  `map of 5,000 patches: first picture ${large.ms} ms (${(large.bytes / 1024).toFixed(0)} kB before packing),`,
  `ratio to 4 patches ${(large.ms / small.ms).toFixed(1)}`,
);
await page.waitForTimeout(1500);
show('map of 5,000 patches, pan', await frames(pan));
show('map of 5,000 patches, zoom', await frames(zoom));
await browser.close();
