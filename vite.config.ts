// Builds web/ into public/build for Laravel to serve, its components memoised by React's compiler; runs the front end's unit tests.
import babel from '@rolldown/plugin-babel';
import tailwindcss from '@tailwindcss/vite';
import react, { reactCompilerPreset } from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [
    react(),
    babel({ presets: [reactCompilerPreset()] }),
    ...(mode === 'test' ? [] : [tailwindcss(), laravel({ input: 'web/main.tsx' })]),
  ],
  resolve: { alias: { '~': new URL('./web', import.meta.url).pathname } },
  build: { target: 'es2022', chunkSizeWarningLimit: 400 },
  test: {
    environment: 'jsdom',
    include: ['web/**/*.test.{ts,tsx}'],
    setupFiles: ['web/setup-tests.ts'],
    css: false,
    testTimeout: 60_000,
    // One page for all files of a worker: to make a page and read every module anew for each took four times as long as the tests.
    isolate: false,
  },
}));
