<script lang="ts">
  import type { Snippet } from 'svelte';
  import ThemeButton from './ThemeButton.svelte';
  import UnitsButton from './UnitsButton.svelte';

  let {
    current,
    children,
  }: { current: 'jobs' | 'motors' | 'sites' | 'catalogues' | 'rig' | 'glossary'; children?: Snippet } = $props();

  const places = [
    ['jobs', '/', 'Jobs'],
    ['motors', '/motors', 'Motors'],
    ['sites', '/sites', 'Sites'],
    ['catalogues', '/catalogues', 'Catalogues'],
    ['rig', '/rig', 'Rig'],
    ['glossary', '/glossary', 'Glossary'],
  ] as const;
</script>

<header class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b bg-card px-4 py-2">
  <a href="/" class="flex items-center gap-2 text-lg font-bold"
    ><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a
  >
  <nav aria-label="Main" class="flex grow flex-wrap gap-x-0.5 sm:gap-x-1">
    {#each places as [place, href, label] (place)}
      <a
        {href}
        aria-current={place === current ? 'page' : undefined}
        class={`flex min-h-11 items-center border-b-4 px-1 sm:px-2 lg:px-3 ${place === current ? 'border-copper font-semibold' : 'border-transparent hover:bg-wash'}`}
        >{label}</a
      >
    {/each}
  </nav>
  {@render children?.()}
  <UnitsButton />
  <ThemeButton />
</header>
