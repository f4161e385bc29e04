import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import tailwindcss from '@tailwindcss/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  base: '/static/',
  plugins: [svelte(), tailwindcss(), svelteTesting()],
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
    setupFiles: ['./vitest-setup.ts'],
    include: ['src/**/*.test.ts'],
  },
});
