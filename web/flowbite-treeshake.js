/** Flowbite's parts are free of side effects but do not say so; without this their whole set is bundled. */
export const flowbiteTreeshake = {
  moduleSideEffects: [{ test: /node_modules\/flowbite-svelte(-icons)?\/dist\/.*(?<!\.css)$/, sideEffects: false }],
  manualPureFunctions: ['tv'],
};
