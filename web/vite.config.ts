import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import tailwindcss from '@tailwindcss/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig, type Plugin } from 'vitest/config';

/** Lists what was built, for the worker that keeps it for when there is no network. */
const listed: Plugin = {
  name: 'listed',
  enforce: 'post', // after the sheet of styles is made
  generateBundle(_, built) {
    const names = Object.keys(built).filter((name) => /\.(js|css|woff2)$/.test(name));
    this.emitFile({ type: 'asset', fileName: 'files.json', source: JSON.stringify([...names.sort(), 'mark.svg']) });
  },
};

export default defineConfig({
  base: '/static/',
  plugins: [svelte(), tailwindcss(), svelteTesting(), listed],
  resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    manifest: 'manifest.json',
    assetsInlineLimit: 0,
    cssCodeSplit: false, // one small sheet, linked by every page: nothing waits for a second one
    rollupOptions: { input: ['src/main.ts'] },
  },
  test: {
    experimental: { fsModuleCache: true },
    environment: 'jsdom',
    pool: 'threads',
    isolate: false, // one document and one set of modules for all: a seventh of the time; the setup leaves each test what it found
    setupFiles: ['./vitest-setup.ts'],
    include: ['src/**/*.test.ts'],
  },
});
