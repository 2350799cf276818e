// Builds web/ into public/build for Laravel to serve; runs the front end's unit tests.
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const testing = process.env.VITEST !== undefined;

export default defineConfig({
  plugins: [react(), tailwindcss(), ...(testing ? [] : [laravel({ input: 'web/main.tsx' })])],
  resolve: { alias: { '~': fileURLToPath(new URL('./web', import.meta.url)) } },
  build: { target: 'es2022', chunkSizeWarningLimit: 400 },
  test: { environment: 'jsdom', include: ['web/**/*.test.{ts,tsx}'], css: false },
});
