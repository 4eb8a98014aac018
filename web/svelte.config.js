import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter(),
    // Its check knows one origin only; edge.ts checks every changing request, JSON too, against the host asked for.
    csrf: { trustedOrigins: ['*'] },
    csp: {
      // Nonces: hashing the data of a page anew for every request costs more than rendering it.
      mode: 'nonce',
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        // ECharts and popover placement set inline styles; scripts stay strict.
        'style-src': ['self', 'unsafe-inline'],
        'img-src': ['self', 'data:'],
        'worker-src': ['self', 'blob:'],
        'object-src': ['none'],
        'base-uri': ['self'],
        'form-action': ['self'],
        'frame-ancestors': ['none'],
      },
    },
  },
};
