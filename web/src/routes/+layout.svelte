<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '../app.css';
  import { onMount, type Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();

  // Tests wait for it; until then controls that need scripts are disabled.
  onMount(() => void (document.documentElement.dataset['hydrated'] = 'true'));
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-card focus:p-3">To the main part</a>
{@render children()}
