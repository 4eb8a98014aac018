<script lang="ts">
  import { createRawSnippet, getAllContexts, hydrate, mount, unmount, type Snippet } from 'svelte';
  import { render } from 'svelte/server';
  import { inTurn } from '$lib/deferred.svelte';
  import Whole from './Whole.svelte';

  let { children }: { children: Snippet } = $props();

  const options = {
    props: { children: (...given: Parameters<Snippet>) => children(...given) },
    context: getAllContexts(),
  };

  const part = createRawSnippet(() => ({
    render: () => `<div class="contents">${import.meta.env.SSR ? render(Whole, options).body : ''}</div>`,
    setup: (target) => {
      let leave: (() => void) | undefined;
      let left = false;
      const come = (bring: typeof hydrate): void => {
        if (left) return;
        const shown = bring(Whole, { ...options, target });
        leave = () => void unmount(shown);
      };
      // What the server drew stands there already; what is drawn here is wanted at once.
      if (target.hasChildNodes()) inTurn(() => come(hydrate), 'inView');
      else come(mount as typeof hydrate);
      return () => {
        left = true;
        leave?.();
      };
    },
  }));
</script>

<!-- What comes to life in a task of its own: until then what the server drew stands there. -->
{@render part()}
