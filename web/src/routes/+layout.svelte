<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '../app.css';
  import ThemeProvider from 'flowbite-svelte/ThemeProvider.svelte';
  import { onMount, type Snippet } from 'svelte';
  import { inTurn } from '$lib/deferred.svelte';
  import { units } from '$lib/units.svelte';

  let { children }: { children: Snippet } = $props();

  // Tests wait for it; until then nothing takes a press.
  onMount(() => {
    units.resume();
    // After everything in view has come to life.
    inTurn(() => (document.documentElement.dataset['hydrated'] = 'true'));
  });
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-card focus:p-3">To the main part</a>
<!-- Without a theme in context every Flowbite part raises and catches an error while it renders. -->
<ThemeProvider theme={{}}>{@render children()}</ThemeProvider>
