import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { flowbiteTreeshake } from '../../../web/flowbite-treeshake.js';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  build: { rolldownOptions: { treeshake: flowbiteTreeshake } },
});
