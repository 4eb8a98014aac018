<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Later } from '$lib/deferred.svelte';

  let { children }: { children: Snippet } = $props();
  const later = new Later();
</script>

<!-- What stands below everything else comes after it. -->
{#if later.now}{@render children()}{/if}
