import vue from '@vitejs/plugin-vue';
import { fileURLToPath } from 'node:url';
import Components from 'unplugin-vue-components/vite';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import { defineConfig } from 'vite';

export default defineConfig({
  root: fileURLToPath(new URL('./web', import.meta.url)),
  // white space between elements is kept as written, so that words of neighbouring elements never run together
  plugins: [
    vue({ template: { compilerOptions: { whitespace: 'preserve' } } }),
    Components({ dirs: [], dts: false, resolvers: [ElementPlusResolver({ importStyle: 'css' })] }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
  build: { outDir: process.env.THICKET_DIST ?? 'dist', emptyOutDir: true, target: 'es2022', manifest: true },
});
