import adapter from '@sveltejs/adapter-node';

/** The yardstick of the bench: a bare SvelteKit application with the same Flowbite parts and one query. */
export default { kit: { adapter: adapter() } };
