<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '../app.css';
  import ThemeProvider from 'flowbite-svelte/ThemeProvider.svelte';
  import { onMount, type Snippet } from 'svelte';
  import { units } from '$lib/units.svelte';

  let { children }: { children: Snippet } = $props();

  // Tests wait for it; until then controls that need scripts are disabled.
  onMount(() => {
    units.resume();
    document.documentElement.dataset['hydrated'] = 'true';
  });
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-card focus:p-3">To the main part</a>
<!-- Without a theme in context every Flowbite part raises and catches an error while it renders. -->
<ThemeProvider theme={{}}>{@render children()}</ThemeProvider>
