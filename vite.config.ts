// Builds web/ into public/build for Laravel to serve; runs the front end's unit tests.
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ mode }) => ({
  plugins: [react(), ...(mode === 'test' ? [] : [tailwindcss(), laravel({ input: 'web/main.tsx' })])],
  resolve: { alias: { '~': new URL('./web', import.meta.url).pathname } },
  build: { target: 'es2022', chunkSizeWarningLimit: 400 },
  test: {
    environment: 'jsdom',
    include: ['web/**/*.test.{ts,tsx}'],
    setupFiles: ['web/setup-tests.ts'],
    css: false,
  },
}));
