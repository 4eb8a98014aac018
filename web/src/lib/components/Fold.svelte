<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Deferred } from '$lib/deferred.svelte';

  interface Props {
    title: string;
    /** How much of it is filled in. */
    note: string;
    open: boolean;
    class?: string;
    children: Snippet;
  }
  let { title, note, open, class: own = '', children }: Props = $props();

  // What is folded away need not come with the page.
  const later = new Deferred();
</script>

<details class={`rounded-lg border bg-card ${own}`} {open}>
  <summary class="min-h-11 cursor-pointer truncate px-3 py-2.5 text-sm font-semibold text-quiet"
    >{title}<span class="font-normal">&nbsp;· {note}</span></summary
  >
  {#if open || later.now}{@render children()}{/if}
</details>
