import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { codeSplitting } from './chunks.ts';
import { flowbiteTreeshake } from './flowbite-treeshake.js';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  resolve: {
    // Flowbite’s classes without the merging of them, which takes a third of what a page needs to come to life: what
    // overrides a class of Flowbite’s says so (`!`).
    alias: [
      { find: /^tailwind-variants$/, replacement: 'tailwind-variants/lite' },
      { find: /^tailwind-merge$/, replacement: fileURLToPath(new URL('src/lib/no-merge.ts', import.meta.url)) },
    ],
  },
  worker: { format: 'es' },
  build: { rolldownOptions: { treeshake: flowbiteTreeshake } },
  environments: { client: { build: { rolldownOptions: { output: { codeSplitting } } } } },
});
