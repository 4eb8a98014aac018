<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Deferred } from '$lib/deferred.svelte';

  let { children }: { children: Snippet } = $props();
  const later = new Deferred();
</script>

<!-- What stands below everything else comes after it. -->
{#if later.now}{@render children()}{/if}
