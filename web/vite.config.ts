import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

/** Flowbite's parts are free of side effects but do not say so; without this their whole set is bundled. */
export const flowbiteTreeshake = {
  moduleSideEffects: [{ test: /node_modules\/flowbite-svelte(-icons)?\/dist\/.*(?<!\.css)$/, sideEffects: false }],
  manualPureFunctions: ['tv'],
};

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  build: { rolldownOptions: { treeshake: flowbiteTreeshake } },
});
