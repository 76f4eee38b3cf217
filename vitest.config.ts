import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
  test: {
    root: fileURLToPath(new URL('./web', import.meta.url)),
    include: ['tests/**/*.test.ts'],
    environment: 'node',
  },
});
