import vue from '@vitejs/plugin-vue';
import { fileURLToPath } from 'node:url';
import Components from 'unplugin-vue-components/vite';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: fileURLToPath(new URL('./web', import.meta.url)),
  // white space between elements is kept as written, so that words of neighbouring elements never run together
  plugins: [
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    Components({ dirs: [], dts: false, resolvers: [ElementPlusResolver({ importStyle: 'css' })] }),
    // the shell alone: answers of the API are never kept here, for they are one person's (field-mode/fieldStore.ts)
    VitePWA({
      strategies: 'generateSW',
      // a newer shell is taken when all of the old one is closed: nothing is reloaded under somebody's hands
      registerType: 'prompt',
      injectRegister: false,
      manifestFilename: 'manifest.json',
      manifest: {
        name: 'Gallant Thicket',
        short_name: 'Thicket',
        description: 'Clearing unwanted plants: from the name to the signed record.',
        start_url: '/today',
        display: 'standalone',
        background_color: '#e9eee9',
        theme_color: '#e9eee9',
        icons: [{ src: '/thorn.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/sanctum\//],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
      },
    }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
  build: { outDir: process.env.THICKET_DIST ?? 'dist', emptyOutDir: true, target: 'es2022', manifest: true },
});
