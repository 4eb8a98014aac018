import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { flowbiteTreeshake } from './flowbite-treeshake.js';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  build: { rolldownOptions: { treeshake: flowbiteTreeshake } },
});
