// How much script the first load of Today takes over the wire: the entry, the page and whatever both ask for at once.
// node bin/lib/firstLoad.mjs web/dist-test
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const MOST_KB = 220;
const dist = process.argv[2] ?? 'web/dist';
const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
const files = new Map();
const take = (key) => {
  const chunk = manifest[key];
  if (files.has(chunk.file)) return;
  files.set(chunk.file, gzipSync(readFileSync(join(dist, chunk.file))).length);
  (chunk.imports ?? []).forEach(take);
};
const entry = Object.keys(manifest).find((key) => manifest[key].isEntry);
take(entry);
take('src/features/today/TodayPage.vue');
const kb = [...files.values()].reduce((sum, n) => sum + n, 0) / 1024;
const told = [...files].sort(([, a], [, b]) => b - a).map(([file, n]) => `${(n / 1024).toFixed(1)} ${file}`);
process.stdout.write(`First load of Today: ${kb.toFixed(1)} KB of script, at most ${MOST_KB}.\n${told.join('\n')}\n`);
process.exit(kb <= MOST_KB ? 0 : 1);
